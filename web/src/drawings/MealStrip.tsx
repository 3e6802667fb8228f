import { useId, useState } from 'react';
import type { Schemas } from '../api/client';
import { useFields } from '../api/queries';
import { about, clock, millis, span } from '../format/time';
import { colour } from '../theme/system';
import { fold, type Folded } from './fold';
import { Grip, type SaidOfTask } from './Grip';
import { FoldedAxis, Marks } from './FoldedAxis';
import { useWidth } from './useWidth';

type Task = Schemas['MealTask'];
type Props = {
  sheet: Schemas['MealSheet'];
  now: number;
  chosen?: string;
  onChoose: (task: string) => void;
  /** The chosen task is moved, and not let go yet. */
  onTry: (task: Task, said: SaidOfTask) => void;
  /** It is let go. */
  onSay: (task: Task, said: SaidOfTask) => void;
};

/** Tasks that lie too near to be told apart, in one block. */
type Cluster = { tasks: Task[]; from: number; to: number };

const LANE = 48;
const GUTTER = 128;
const TOP = 40;
/** Blocks nearer than this are one, px. */
const APART = 4;
/** The numbers that tasks have in the list beside the picture. */
const numbered = (tasks: readonly Task[]) => new Map(tasks.map((task, i) => [task.id, i + 1]));

/** Numbers under one label, where each of its own would run into the next. */
type Label = { from: number; to: number; left: number; right: number };

const DIGIT = 9;
const reads = ({ from, to }: { from: number; to: number }) => (from === to ? String(from) : `${from}–${to}`);

function labelled(clusters: Cluster[], x: (at: number) => number, numbers: Map<string, number>): Label[] {
  const found: (Label & { text: number })[] = [];
  for (const { tasks, from, to } of clusters) {
    const [first, last] = [numbers.get(tasks[0]?.id ?? '') ?? 0, numbers.get(tasks.at(-1)?.id ?? '') ?? 0];
    const label = { from: first, to: last, left: x(from), right: x(to) };
    const middle = (label.left + label.right) / 2;
    const half = (DIGIT * reads(label).length) / 2;
    const before = found.at(-1);
    if (before && middle - half < before.text + 4) {
      before.to = last;
      before.right = label.right;
      before.text = (before.left + before.right) / 2 + (DIGIT * reads(before).length) / 2;
    } else found.push({ ...label, text: middle + half });
  }
  return found;
}

function clustered(tasks: Task[], x: (at: number) => number): Cluster[] {
  const found: Cluster[] = [];
  for (const task of tasks) {
    const [from, to] = [millis(task.start), millis(task.end)];
    const last = found.at(-1);
    if (last && x(from) - x(last.to) < APART) {
      last.tasks.push(task);
      last.to = Math.max(last.to, to);
    } else found.push({ tasks: [task], from, to });
  }
  return found;
}

/** A whole meal: the hands at the top, a lane a dish, nights and absences shaded, empty time folded to a crease. */
export function MealStrip({ sheet, now, chosen, onChoose, onTry, onSay }: Props) {
  const id = useId();
  const { ref, width } = useWidth<HTMLDivElement>(900);
  const { tasks, dishes, zone } = sheet;
  const spans = tasks.map((task) => ({ from: millis(task.start), to: millis(task.end) }));
  const fresh = fold(spans, width - GUTTER);
  // Under the hand the hours stay where they are.
  const [held, setHeld] = useState<Folded>();
  const folded = held ?? fresh;
  const moved = tasks.find((task) => task.id === chosen && task.moves);
  const broken = new Set(sheet.conflicts.flatMap((conflict) => conflict.tasks));
  const x = (at: number) => GUTTER + folded.x(at);
  const numbers = numbered(tasks);
  const hands = clustered(
    tasks.filter((task) => task.hands_on),
    x,
  );
  const height = TOP + LANE * (1 + dishes.length) + 8;
  return (
    <div ref={ref}>
      <svg
        width={width}
        height={height}
        role="group"
        aria-label="The meal, lane by lane"
        style={{ display: 'block' }}
      >
        <defs>
          <pattern id={`${id}d`} width="8" height="8" patternUnits="userSpaceOnUse">
            <circle cx="3" cy="3" r="1.6" fill={colour('soft')} />
          </pattern>
          <pattern id={`${id}b`} width="6" height="6" patternUnits="userSpaceOnUse">
            <path d="M0,6 L6,0" stroke={colour('caution')} strokeWidth="2.5" />
          </pattern>
          <pattern id={`${id}n`} width="10" height="10" patternUnits="userSpaceOnUse">
            <path d="M0,10 L10,0" stroke={colour('line')} strokeWidth="3" />
          </pattern>
        </defs>
        {sheet.shut.map((away) => (
          <rect
            key={away.from}
            x={x(millis(away.from))}
            y={TOP}
            width={Math.max(0, x(millis(away.to)) - x(millis(away.from)))}
            height={LANE}
            fill={`url(#${id}n)`}
          >
            <title>Nobody is up and there</title>
          </rect>
        ))}
        <FoldedAxis folded={folded} left={GUTTER} zone={zone} height={height} width={width} />
        <LaneName y={TOP} width={width} name="Hands" />
        {hands.map((cluster) => (
          <HandsBlock
            key={cluster.tasks[0]?.id}
            cluster={cluster}
            x={x}
            zone={zone}
            chosen={cluster.tasks.some((task) => task.id === chosen)}
            broken={cluster.tasks.some((task) => broken.has(task.id))}
            stripes={`url(#${id}b)`}
            onChoose={onChoose}
          />
        ))}
        {labelled(hands, x, numbers).map((label) => (
          <text
            key={label.from}
            x={Math.min(width - 6 - (DIGIT * reads(label).length) / 2, (label.left + label.right) / 2)}
            y={TOP + 13}
            textAnchor="middle"
            fill={colour('ink')}
            style={{
              fontSize: 14,
              fontWeight: 600,
              fontVariantNumeric: 'tabular-nums',
              pointerEvents: 'none',
            }}
          >
            {reads(label)}
          </text>
        ))}
        {dishes.map((dish, i) => {
          const y = TOP + LANE * (i + 1);
          const own = tasks.filter((task) => task.number === dish.number && !task.hands_on);
          const ready = sheet.ready[i];
          return (
            <g key={dish.number}>
              <LaneName y={y} width={width} name={dish.dish} />
              {own
                .filter((task) => millis(task.end) > millis(task.start))
                .map((task) => (
                  <Waiting
                    key={task.id}
                    task={task}
                    x={x}
                    y={y}
                    dots={`url(#${id}d)`}
                    broken={broken.has(task.id) ? `url(#${id}b)` : undefined}
                  />
                ))}
              {ready?.p10 && ready.p90 && (
                <g>
                  <rect
                    x={x(millis(ready.p10))}
                    y={y + 32}
                    width={Math.max(3, x(millis(ready.p90)) - x(millis(ready.p10)))}
                    height="8"
                    rx="4"
                    fill={colour('tender')}
                  />
                  <title>{`Tender ${about(ready.p10, zone)} to ${about(ready.p90, zone)}`}</title>
                </g>
              )}
            </g>
          );
        })}
        {sheet.conflicts.map(({ tasks: whose, text }) => (
          <Promise key={text} tasks={tasks.filter((task) => whose.includes(task.id))} text={text} x={x} />
        ))}
        {moved && (
          <Grip
            task={moved}
            folded={folded}
            left={GUTTER}
            top={TOP}
            zone={zone}
            onMove={(said) => {
              if (!held) setHeld(fresh);
              onTry(moved, said);
            }}
            onDone={(said) => {
              setHeld(undefined);
              onSay(moved, said);
            }}
          />
        )}
        <Marks
          folded={folded}
          now={now}
          serveAt={millis(sheet.serve_at)}
          x={x}
          height={height}
          width={width}
        />
      </svg>
    </div>
  );
}

/** A name on two lines, where it is too long for one. */
function onTwoLines(name: string): string[] {
  if (name.length <= 15) return [name];
  const gaps = [...name.matchAll(/[ -]/g)].map(({ index }) => index + 1);
  const middle = gaps.sort((a, b) => Math.abs(a - name.length / 2) - Math.abs(b - name.length / 2))[0];
  const lines = middle ? [name.slice(0, middle).trimEnd(), name.slice(middle)] : [name];
  return lines.map((line) => (line.length > 16 ? `${line.slice(0, 15).trimEnd()}…` : line));
}

function LaneName({ y, width, name }: { y: number; width: number; name: string }) {
  const lines = onTwoLines(name);
  return (
    <g>
      <text fill={colour('ink')} style={{ fontSize: 14, fontWeight: 600 }}>
        {lines.map((line, i) => (
          <tspan key={line} x="0" y={y + (lines.length > 1 ? 16 : 24) + 17 * i}>
            {line}
          </tspan>
        ))}
        <title>{name}</title>
      </text>
      <line x1="0" x2={width} y1={y + LANE - 3} y2={y + LANE - 3} stroke={colour('line')} />
    </g>
  );
}

/** A promise between two tasks that is not kept, drawn from the one to the other. */
function Promise({ tasks, text, x }: { tasks: Task[]; text: string; x: (at: number) => number }) {
  const [first, last] = [tasks[0], tasks.at(-1)];
  if (!first || !last || first === last) return null;
  const [from, to] = [x(millis(first.start)), x(millis(last.start))].sort((a, b) => a - b);
  if (from === undefined || to === undefined || to - from < 3) return null;
  return (
    <path
      d={`M${from},${TOP + 14} v-6 H${to} v6`}
      fill="none"
      stroke={colour('caution')}
      strokeWidth="2.5"
      strokeDasharray="6 3"
    >
      <title>{text}</title>
    </path>
  );
}

/** Work of the hands, with the numbers it has in the list. */
function HandsBlock({
  cluster,
  x,
  zone,
  chosen,
  broken,
  stripes,
  onChoose,
}: {
  cluster: Cluster;
  x: (at: number) => number;
  zone: string;
  chosen: boolean;
  broken: boolean;
  stripes: string;
  onChoose: (task: string) => void;
}) {
  const wide = Math.max(5, x(cluster.to) - x(cluster.from) - 1);
  const first = cluster.tasks[0];
  if (!first) return null;
  const said = `${clock(first.start, zone)} ${first.dish}: ${first.what}${cluster.tasks.length > 1 ? `, and ${cluster.tasks.length - 1} more` : ''}`;
  return (
    <g
      role="button"
      tabIndex={0}
      aria-label={said}
      onClick={() => onChoose(first.id)}
      onKeyDown={(event) => event.key === 'Enter' && onChoose(first.id)}
      style={{ cursor: 'pointer' }}
    >
      {/* A finger needs more room than a short task has. */}
      <rect x={x(cluster.from) - 8} y={TOP} width={wide + 16} height={LANE - 4} fill="transparent" />
      <rect
        x={x(cluster.from)}
        y={TOP + 16}
        width={wide}
        height="26"
        rx="3"
        fill={colour(cluster.tasks.every((task) => task.done) ? 'soft' : 'hands')}
        stroke={chosen ? colour('ink') : broken ? colour('caution') : 'none'}
        strokeWidth="3"
      />
      {broken && <rect x={x(cluster.from)} y={TOP + 16} width={wide} height="26" rx="3" fill={stripes} />}
      {cluster.tasks.some((task) => task.pinned) && (
        <circle
          cx={x(cluster.from) + 1}
          cy={TOP + 16}
          r="5"
          fill={colour('rim')}
          stroke={colour('ground')}
          strokeWidth="2"
        />
      )}
      <title>{said}</title>
    </g>
  );
}

function Waiting({
  task,
  x,
  y,
  dots,
  broken,
}: {
  task: Task;
  x: (at: number) => number;
  y: number;
  dots: string;
  /** The stripes of what can't be kept. */
  broken?: string;
}) {
  const [from, to] = [millis(task.start), millis(task.end)];
  const wide = Math.max(3, x(to) - x(from));
  const quiet = ['hold', 'rest', 'cool', 'release'].includes(task.kind);
  const { data: fields } = useFields();
  const lane = fields?.lanes.find(({ lane }) => lane === task.lane)?.label ?? '';
  const name = quiet && task.kind !== 'cool' ? task.kind : lane;
  // What only gets hot lies low, beneath what cooks meanwhile.
  const heats = task.kind === 'preheat' || task.kind === 'heat_pan';
  const label = wide > 110 ? `${name} ${span((to - from) / 60_000)}` : name;
  return (
    <g>
      <rect
        x={x(from)}
        y={y + (heats ? 21 : 5)}
        width={wide}
        height={heats ? 10 : 26}
        rx={heats ? 4 : 6}
        fill={broken ?? (task.kind === 'hold' ? dots : 'transparent')}
        stroke={colour(broken ? 'caution' : quiet ? 'soft' : 'heat')}
        strokeWidth="2.5"
        strokeDasharray={task.kind === 'hold' ? '3 4' : undefined}
      />
      {!heats && wide > 8 * label.length && (
        <text
          x={x(from) + wide / 2}
          y={y + 23}
          textAnchor="middle"
          fill={colour('ink')}
          stroke={colour('ground')}
          strokeWidth="4"
          paintOrder="stroke"
          style={{ fontSize: 14 }}
        >
          {label}
        </text>
      )}
      <title>{task.what}</title>
    </g>
  );
}
