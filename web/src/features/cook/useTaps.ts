import { tap, useOutbox, type Waiting } from '../../api/outbox';
import type { Schemas } from '../../api/client';
import { useUndoCorner } from '../shell/undo';

type Happened = Schemas['Happened'];

export type Taps = {
  /** Logs what happened: with the time of the tap, once, through a lost connection. */
  log: (happened: Happened) => void;
  /** What has not reached the kitchen yet. */
  waiting: Waiting[];
  /** Takes a line back, or puts it back. */
  take: (event: string) => void;
};

/** The taps of a cook, and undo in its corner: it acts on the last thing shown, once, and may be repeated. */
export function useTaps(cook: Schemas['CookAnswer']): Taps {
  const waiting = useOutbox().filter((one) => one.cook === cook.id);
  const taken = new Set(
    waiting.flatMap(({ event: { happened } }) => (happened.kind === 'undone' ? [happened.event] : [])),
  );
  const log = (happened: Happened) => void tap(cook.id, happened);
  const take = (event: string) => {
    if (!taken.has(event)) log({ kind: 'undone', event });
  };
  const own = waiting.filter(
    ({ event }) => !['undone', 'retimed'].includes(event.happened.kind) && !taken.has(event.id),
  );
  // What is on its way is the last thing shown, before what the kitchen knows already.
  const lastWaiting = own.at(-1);
  const lastKept = [...cook.view.log]
    .reverse()
    .find(
      (line) =>
        !line.undone && !taken.has(line.event.id) && !own.some((one) => one.event.id === line.event.id),
    );
  const last = lastWaiting
    ? { event: lastWaiting.event.id, name: 'the last tap' }
    : lastKept && { event: lastKept.event.id, name: lastKept.name };
  const back = cook.view.redo && !taken.has(cook.view.redo.event) ? cook.view.redo : undefined;
  useUndoCorner({
    undo: last && (() => take(last.event)),
    undoes: last?.name ?? '',
    redo: back && (() => take(back.event)),
    redoes: back?.name,
  });
  return { log, waiting, take };
}
