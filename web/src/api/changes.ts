import type { Schemas } from './client';

export type Change = Schemas['Change'];
type Told = { id: string; change: Change };
type Hear = (change: Change) => void;

const NAME = 'ergastic-changes';
/** A stream that was refused is asked for again after so long, ms. */
const AGAIN_MS = 5000;

/**
 * Hears what changes in the kitchen, and ends with the function it answers.
 *
 * A browser holds six connections to one machine, and a stream takes one for good: so one page of all that are open listens,
 * and tells the others. It is the one that holds a lock; when it closes, the next gets the lock and goes on after the last
 * change that it heard. Where a browser has no locks, each page listens while it is looked at.
 */
export function hearChanges(hear: Hear): () => void {
  const shared = typeof BroadcastChannel === 'function' && 'locks' in navigator;
  return shared ? hearTogether(hear) : hearWhileSeen(hear);
}

/** A stream from after a change on; it tells of each with its id. */
function listen(after: string | undefined, tell: (told: Told) => void): () => void {
  let source: EventSource | undefined;
  let timer: ReturnType<typeof setTimeout> | undefined;
  let last = after;
  const begin = () => {
    source = new EventSource(last ? `/api/events?after=${encodeURIComponent(last)}` : '/api/events');
    source.onmessage = (message: MessageEvent<string>) => {
      last = message.lastEventId || last;
      tell({ id: last ?? '', change: JSON.parse(message.data) as Change });
    };
    source.onerror = () => {
      // A lost connection is made again by the browser; a refused one is not.
      if (source?.readyState !== EventSource.CLOSED) return;
      clearTimeout(timer);
      timer = setTimeout(begin, AGAIN_MS);
    };
  };
  begin();
  return () => {
    clearTimeout(timer);
    source?.close();
  };
}

function hearTogether(hear: Hear): () => void {
  const channel = new BroadcastChannel(NAME);
  const waiting = new AbortController();
  let last: string | undefined;
  let end: (() => void) | undefined;
  const heard = ({ id, change }: Told) => {
    last = id || last;
    hear(change);
  };
  channel.onmessage = (message: MessageEvent<Told>) => heard(message.data);
  navigator.locks
    .request(
      NAME,
      { signal: waiting.signal },
      () =>
        new Promise<void>((release) => {
          const stop = listen(last, (told) => {
            channel.postMessage(told);
            heard(told);
          });
          end = () => {
            stop();
            release();
          };
          if (waiting.signal.aborted) end();
        }),
    )
    .catch(() => undefined); // given up while waiting
  return () => {
    waiting.abort();
    end?.();
    channel.close();
  };
}

function hearWhileSeen(hear: Hear): () => void {
  let last: string | undefined;
  let stop: (() => void) | undefined;
  const look = () => {
    const seen = document.visibilityState === 'visible';
    if (seen && !stop) {
      stop = listen(last, ({ id, change }) => {
        last = id || last;
        hear(change);
      });
    } else if (!seen) {
      stop?.();
      stop = undefined;
    }
  };
  // A page that was left may live on in the browser's memory: it must not keep its connection there.
  const leave = () => {
    stop?.();
    stop = undefined;
  };
  document.addEventListener('visibilitychange', look);
  window.addEventListener('pagehide', leave);
  window.addEventListener('pageshow', look);
  look();
  return () => {
    document.removeEventListener('visibilitychange', look);
    window.removeEventListener('pagehide', leave);
    window.removeEventListener('pageshow', look);
    leave();
  };
}
