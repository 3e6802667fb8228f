import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { hearChanges } from './changes';

/** Stand-ins for the streams, locks and channels that the pages of one browser share. */
class Stream {
  static readonly CLOSED = 2;
  static all: Stream[] = [];
  onmessage?: (message: { data: string; lastEventId: string }) => void;
  onerror?: () => void;
  readyState = 1;
  constructor(readonly address: string) {
    Stream.all.push(this);
  }
  close() {
    this.readyState = Stream.CLOSED;
  }
  tell(id: string, change: object) {
    this.onmessage?.({ data: JSON.stringify(change), lastEventId: id });
  }
}
const open = () => Stream.all.filter((stream) => stream.readyState === 1);

class Channel {
  static all = new Set<Channel>();
  onmessage?: (message: { data: unknown }) => void;
  constructor() {
    Channel.all.add(this);
  }
  postMessage(data: unknown) {
    for (const other of Channel.all) if (other !== this) other.onmessage?.({ data });
  }
  close() {
    Channel.all.delete(this);
  }
}

type Wanted = { signal: AbortSignal; hold: () => Promise<void> };
let queue: Wanted[];
const next = () => {
  queue = queue.filter((wanted) => !wanted.signal.aborted);
  const first = queue[0];
  if (first)
    void first.hold().then(() => {
      queue.shift();
      next();
    });
};
const locks = {
  request: (_: string, { signal }: { signal: AbortSignal }, hold: () => Promise<void>) => {
    queue.push({ signal, hold });
    if (queue.length === 1) next();
    return Promise.resolve();
  },
};

beforeEach(() => {
  Stream.all = [];
  Channel.all = new Set();
  queue = [];
  vi.stubGlobal('EventSource', Stream);
});
afterEach(() => {
  vi.unstubAllGlobals();
  vi.useRealTimers();
});

const cook = { what: 'cook', id: 'x' };

describe('pages of one browser', () => {
  beforeEach(() => {
    vi.stubGlobal('BroadcastChannel', Channel);
    vi.stubGlobal('navigator', { locks });
  });

  it('share one stream, and all hear what it tells', () => {
    const heard = Array.from({ length: 7 }, () => vi.fn());
    heard.forEach((hear) => hearChanges(hear));
    expect(Stream.all).toHaveLength(1);
    Stream.all[0]!.tell('a-1', cook);
    heard.forEach((hear) => expect(hear).toHaveBeenCalledExactlyOnceWith(cook));
  });

  it('hand it on when the one that listens is closed, from the last change on', async () => {
    const [first, second] = [vi.fn(), vi.fn()];
    const end = hearChanges(first);
    hearChanges(second);
    Stream.all[0]!.tell('a-4', cook);
    end();
    await vi.waitFor(() => expect(open()).toHaveLength(1));
    expect(open()[0]!.address).toBe('/api/events?after=a-4');
    open()[0]!.tell('a-5', cook);
    expect(second).toHaveBeenCalledTimes(2);
    expect(first).toHaveBeenCalledTimes(1);
  });

  it('ask again for a stream that was refused', () => {
    vi.useFakeTimers();
    hearChanges(vi.fn());
    Stream.all[0]!.tell('a-4', cook);
    Stream.all[0]!.close();
    Stream.all[0]!.onerror?.();
    vi.advanceTimersByTime(6000);
    expect(open().map((stream) => stream.address)).toEqual(['/api/events?after=a-4']);
  });
});

describe('a page where a browser has no locks', () => {
  const see = (state: 'visible' | 'hidden') => {
    vi.spyOn(document, 'visibilityState', 'get').mockReturnValue(state);
    document.dispatchEvent(new Event('visibilitychange'));
  };

  it('listens while it is looked at, and goes on where it was', () => {
    const end = hearChanges(vi.fn());
    open()[0]!.tell('b-2', cook);
    see('hidden');
    expect(open()).toHaveLength(0);
    see('visible');
    expect(open().map((stream) => stream.address)).toEqual(['/api/events?after=b-2']);
    end();
    expect(open()).toHaveLength(0);
  });
});
