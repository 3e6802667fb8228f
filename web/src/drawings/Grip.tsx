import type { Schemas } from '../api/client';
import { clock, millis, span } from '../format/time';
import { colour } from '../theme/system';
import type { Folded } from './fold';
import { arrowSteps, useDragged, useHandle } from './useDragged';

type Task = Schemas['MealTask'];
/** What a hand says of a task: when it starts, or how long it takes. */
export type SaidOfTask = { at?: string; min?: number };

const STEP_MIN = 5;
const MINUTE = 60_000;
/** A finger needs so much, px. */
const FINGER = 44;

type Props = {
  task: Task;
  folded: Folded;
  /** Where time begins in the picture, and where hands are drawn, px. */
  left: number;
  top: number;
  zone: string;
  /** It is moved, and is not let go yet. */
  onMove: (said: SaidOfTask) => void;
  /** It is let go, or moved by a key. */
  onDone: (said: SaidOfTask) => void;
};

const fives = (at: number) => Math.round(at / (STEP_MIN * MINUTE)) * STEP_MIN * MINUTE;
const startsAt = (at: number): SaidOfTask => ({ at: new Date(fives(at)).toISOString() });
const takes = (minutes: number): SaidOfTask => ({ min: Math.max(1, Math.round(minutes)) });

/** The handles of the task that is chosen: the flag moves its start, the bar at its end how long it takes. */
export function Grip({ task, folded, left, top, zone, onMove, onDone }: Props) {
  const [from, to] = [millis(task.start), millis(task.end)];
  const [x, end] = [left + folded.x(from), left + folded.x(to)];
  const minutes = (to - from) / MINUTE;
  const handle = useHandle();
  const flag = useDragged<{ px: number }>({
    take: () => ({ px: folded.x(from) }),
    move: ({ px }, by, _at, done) => (done ? onDone : onMove)(startsAt(folded.at(px + by.x))),
  });
  const bar = useDragged<{ px: number; from: number }>({
    take: () => ({ px: folded.x(to), from }),
    move: (taken, by, _at, done) =>
      (done ? onDone : onMove)(takes((folded.at(taken.px + by.x) - taken.from) / MINUTE)),
  });
  const wide = 64;
  return (
    <g style={{ touchAction: 'none' }}>
      <g
        {...flag()}
        {...handle}
        aria-label={`When it starts: ${task.what}`}
        aria-valuenow={from / MINUTE}
        aria-valuetext={clock(task.start, zone)}
        style={{ cursor: 'ew-resize', touchAction: 'none' }}
        onKeyDown={(event) => {
          const steps = arrowSteps(event, 6);
          if (steps) onDone(startsAt(from + steps * STEP_MIN * MINUTE));
        }}
      >
        <rect x={x - FINGER / 2} y={top - 8} width={FINGER} height={FINGER + 12} fill="transparent" />
        <line x1={x} x2={x} y1={top - 6} y2={top + 44} stroke={colour('rim')} strokeWidth="3" />
        <rect x={x - wide / 2} y={top - 30} width={wide} height="24" rx="5" fill={colour('rim')} />
        <text
          x={x}
          y={top - 13}
          textAnchor="middle"
          fill={colour('ground')}
          style={{ fontSize: 14, fontWeight: 700, fontVariantNumeric: 'tabular-nums', pointerEvents: 'none' }}
        >
          {clock(task.start, zone)}
        </text>
      </g>
      <g
        {...bar()}
        {...handle}
        aria-label={`How long it takes: ${task.what}`}
        aria-valuenow={minutes}
        aria-valuetext={span(minutes)}
        style={{ cursor: 'ew-resize', touchAction: 'none' }}
        onKeyDown={(event) => {
          const steps = arrowSteps(event, 5);
          if (steps) onDone(takes(minutes + steps));
        }}
      >
        <rect x={end} y={top + 8} width={FINGER * 0.7} height={FINGER - 4} fill="transparent" />
        <rect x={end + 2} y={top + 14} width="7" height="30" rx="3" fill={colour('rim')} />
      </g>
    </g>
  );
}
