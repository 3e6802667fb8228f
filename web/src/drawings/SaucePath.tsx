import { scaleLinear } from 'd3-scale';
import { useId } from 'react';
import type { Schemas } from '../api/client';
import { span } from '../format/time';
import { format, type Units } from '../format/units';
import { colour } from '../theme/system';
import { arrowSteps, useDragged, useHandle } from './useDragged';
import { useWidth } from './useWidth';

type Leg = Schemas['SauceLeg'];

type Props = {
  from: Schemas['Stand'];
  path: Leg[];
  targets: Schemas['TargetBody'][];
  target: Schemas['Target'];
  spoons: Schemas['SpoonTest'][];
  units: Units;
  /** A leg is bent to another figure: litres, grams or body. `done` when it is let go. */
  onBend: (leg: number, figure: number, done: boolean) => void;
  height?: number;
};

const LEFT = 16;
/** Beside it stands what each thickness is good for; on a narrow screen in it. */
const BESIDE = 182;
const NARROW = 560;
const TOP = 30;
const BOTTOM = 46;
/** So thick the drawing goes. */
const THICK = 3.3;
/** Where each thickness stands, in the drawing: in the middle of its zone. */
const zones: Record<Schemas['OnTheSpoon'], [number, number]> = {
  runs: [0, 0.35],
  film: [0.35, 0.95],
  coats: [0.95, 1.6],
  clings: [1.6, 2.6],
  sticks: [2.6, THICK],
};
const called: Record<Schemas['Target'], string> = {
  broth: 'broth',
  coat: 'coats a spoon',
  gravy: 'gravy',
  glaze: 'glaze',
};

/** What a leg is bent by: along the liquid, or up its body. */
const bentBy = ({ move }: Leg): 'liquid' | 'body' | undefined =>
  move.kind === 'reduce' || move.kind === 'set_aside'
    ? 'liquid'
    : move.kind === 'thicken'
      ? 'body'
      : undefined;

/** The way from the pot to the sauce: liquid across, body up, the salt's edge on the left. Its ends are bent by hand. */
export function SaucePath({ from, path, targets, target, spoons, units, onBend, height = 380 }: Props) {
  const id = useId();
  const { ref, width } = useWidth<HTMLDivElement>(640);
  const narrow = width < NARROW;
  const right = narrow ? LEFT : BESIDE;
  const stands = [from, ...path.map((leg) => leg.after)];
  const most = Math.max(...stands.map((stand) => stand.liquid_l)) * 1.08;
  const x = scaleLinear([0, most], [LEFT, width - right]);
  const y = scaleLinear([0, THICK], [height - BOTTOM, TOP]);
  const end = stands.at(-1) ?? from;
  const edge = end.edge_l != null && end.edge_l < most ? end.edge_l : undefined;
  const at = (stand: Schemas['Stand']) => ({ x: x(stand.liquid_l), y: y(Math.min(stand.body, THICK)) });
  const ticks = x.ticks(width < 500 ? 4 : 6).filter((tick) => tick > 0);
  const goal = targets.find((one) => one.target === target);
  return (
    <div ref={ref}>
      <svg
        width={width}
        height={height}
        role="group"
        aria-label={`The way to the sauce: from ${format('volume', from.liquid_l, units)} to ${format('volume', end.liquid_l, units)}, ${spoons.find((one) => one.shows === end.spoon)?.words ?? ''}`}
        style={{ display: 'block', maxWidth: '100%', touchAction: 'pan-y' }}
      >
        <defs>
          <pattern
            id={`${id}salt`}
            width="10"
            height="10"
            patternUnits="userSpaceOnUse"
            patternTransform="rotate(45)"
          >
            <rect width="10" height="10" fill={colour('ground')} />
            <rect width="3" height="10" fill={colour('caution')} opacity="0.55" />
          </pattern>
        </defs>
        {spoons.map(({ shows, good_for }, i) => {
          const [low, high] = zones[shows];
          const isGoal = goal !== undefined && goal.body > 0 && goal.body >= low && goal.body < high;
          return (
            <g key={shows}>
              <rect
                x={LEFT}
                y={y(high)}
                width={width - LEFT - right}
                height={y(low) - y(high)}
                fill={colour('liquid')}
                opacity={0.05 + 0.05 * i}
              />
              <text
                x={narrow ? width - right - 8 : width - right + 12}
                y={(y(low) + y(high)) / 2 + 5}
                textAnchor={narrow ? 'end' : 'start'}
                fill={colour(isGoal ? 'ink' : 'soft')}
                style={{ fontSize: 14, fontWeight: isGoal ? 700 : 400 }}
              >
                {good_for}
              </text>
            </g>
          );
        })}
        {goal && goal.body > 0 && (
          <g>
            <line
              x1={LEFT}
              x2={width - right + 6}
              y1={y(goal.body)}
              y2={y(goal.body)}
              stroke={colour('rim')}
              strokeWidth="3"
              strokeDasharray="2 6"
              strokeLinecap="round"
            />
            {!narrow && (
              <text
                x={width - right - 8}
                y={y(goal.body) - 8}
                textAnchor="end"
                stroke={colour('ground')}
                strokeWidth="4"
                paintOrder="stroke"
                fill={colour('rim')}
                style={{ fontSize: 14, fontWeight: 700 }}
              >
                to here: {called[target]}
              </text>
            )}
          </g>
        )}
        {edge !== undefined && (
          <g>
            <rect
              x={LEFT}
              y={TOP}
              width={x(edge) - LEFT}
              height={height - BOTTOM - TOP}
              fill={`url(#${id}salt)`}
            />
            <line
              x1={x(edge)}
              x2={x(edge)}
              y1={TOP - 8}
              y2={height - BOTTOM}
              stroke={colour('caution')}
              strokeWidth="4"
            />
            <text
              x={x(edge) + 8}
              y={TOP - 10}
              fill={colour('caution')}
              style={{ fontSize: 14, fontWeight: 700 }}
            >
              too salty below {format('volume', edge, units)}
            </text>
          </g>
        )}
        <line
          x1={LEFT}
          x2={width - right}
          y1={height - BOTTOM}
          y2={height - BOTTOM}
          stroke={colour('ink')}
          strokeWidth="2"
        />
        {ticks.map((tick) => (
          <text
            key={tick}
            x={x(tick)}
            y={height - BOTTOM + 20}
            textAnchor="middle"
            fill={colour('soft')}
            style={{ fontSize: 14, fontVariantNumeric: 'tabular-nums' }}
          >
            {format('volume', tick, units)}
          </text>
        ))}
        <text x={LEFT} y={height - 6} fill={colour('soft')} style={{ fontSize: 14 }}>
          liquid in the pot
        </text>
        {path.map((leg, i) => (
          <path
            key={i}
            d={leg.curve
              .map(([liquid = 0, body = 0], j) => `${j ? 'L' : 'M'}${x(liquid)},${y(Math.min(body, THICK))}`)
              .join(' ')}
            fill="none"
            stroke={leg.done ? colour('soft') : leg.move.kind === 'reduce' ? colour('heat') : colour('rim')}
            strokeWidth={leg.done ? 3 : 5}
            strokeDasharray={leg.move.kind === 'set_aside' ? '3 7' : undefined}
            strokeLinecap="round"
            strokeLinejoin="round"
          />
        ))}
        {path.map((leg, i) => {
          const before = at(stands[i] ?? from);
          const to = at(leg.after);
          const apart = Math.hypot(to.x - before.x, to.y - before.y);
          return (
            !leg.done &&
            leg.min >= 1 &&
            apart > 44 && (
              <text
                key={i}
                x={(before.x + to.x) / 2 + (Math.abs(to.x - before.x) < 20 ? 10 : 0)}
                y={(before.y + to.y) / 2 + (Math.abs(to.x - before.x) < 20 ? 5 : -14)}
                textAnchor={Math.abs(to.x - before.x) < 20 ? 'start' : 'middle'}
                fill={colour(leg.move.kind === 'reduce' ? 'heat' : 'rim')}
                stroke={colour('ground')}
                strokeWidth="4"
                paintOrder="stroke"
                style={{ fontSize: 14, fontWeight: 700, fontVariantNumeric: 'tabular-nums' }}
              >
                {span(leg.min)}
              </text>
            )
          );
        })}
        <circle
          cx={at(from).x}
          cy={at(from).y}
          r="8"
          fill={colour('ground')}
          stroke={colour('ink')}
          strokeWidth="3"
        />
        {path.map((leg, i) => {
          const by = leg.done || !leg.bends ? undefined : bentBy(leg);
          return by ? (
            <Handle
              key={i}
              leg={leg}
              by={by}
              at={at(leg.after)}
              read={(px) =>
                by === 'body'
                  ? y.invert(px.y)
                  : leg.move.kind === 'set_aside'
                    ? (leg.curve[0]?.[0] ?? 0) - x.invert(px.x)
                    : x.invert(px.x)
              }
              onBend={(figure, done) => onBend(i, figure, done)}
            />
          ) : (
            <circle
              key={i}
              cx={at(leg.after).x}
              cy={at(leg.after).y}
              r={i === path.length - 1 ? 8 : 5}
              fill={leg.done ? colour('soft') : colour('rim')}
            />
          );
        })}
        <text
          x={Math.min(at(from).x, width - right - 30)}
          y={at(from).y - 16}
          textAnchor="middle"
          fill={colour('ink')}
          stroke={colour('ground')}
          strokeWidth="5"
          paintOrder="stroke"
          style={{ fontSize: 16, fontWeight: 700, fontVariantNumeric: 'tabular-nums' }}
        >
          {format('volume', from.liquid_l, units)}
        </text>
        {path.length > 0 && (
          <text
            x={Math.min(Math.max(at(end).x, LEFT + 80), width - right - 80)}
            y={at(end).y - 20}
            textAnchor="middle"
            fill={colour('ink')}
            stroke={colour('ground')}
            strokeWidth="5"
            paintOrder="stroke"
            style={{ fontSize: 16, fontWeight: 700, fontVariantNumeric: 'tabular-nums' }}
          >
            {format('volume', end.liquid_l, units)}, salt {format('strength', end.salt_g_per_kg, units)}
          </text>
        )}
      </svg>
    </div>
  );
}

const FINGER = 44;

function Handle({
  leg,
  by,
  at,
  read,
  onBend,
}: {
  leg: Leg;
  by: 'liquid' | 'body';
  at: { x: number; y: number };
  read: (px: { x: number; y: number }) => number;
  onBend: (figure: number, done: boolean) => void;
}) {
  const { least, most } = leg.bends ?? { least: 0, most: 0 };
  const held = (figure: number) => Math.min(most, Math.max(least, figure));
  const figure =
    leg.move.kind === 'reduce'
      ? leg.move.to_l
      : leg.move.kind === 'set_aside'
        ? leg.move.litres
        : leg.move.kind === 'thicken'
          ? leg.move.to_body
          : 0;
  const handle = useHandle();
  const dragged = useDragged<{ x: number; y: number }>({
    take: () => at,
    move: (taken, { x, y }, _, done) => onBend(held(read({ x: taken.x + x, y: taken.y + y })), done),
  });
  const step = (most - least) / 40;
  return (
    <g
      {...dragged()}
      {...handle}
      aria-label={leg.words}
      aria-valuemin={least}
      aria-valuemax={most}
      aria-valuenow={figure}
      aria-orientation={by === 'body' ? 'vertical' : 'horizontal'}
      style={{ cursor: by === 'body' ? 'ns-resize' : 'ew-resize', touchAction: 'none' }}
      onKeyDown={(event) => {
        const steps = arrowSteps(event, 5);
        if (steps) onBend(held(figure + steps * step), true);
      }}
    >
      <rect x={at.x - FINGER / 2} y={at.y - FINGER / 2} width={FINGER} height={FINGER} fill="transparent" />
      <circle cx={at.x} cy={at.y} r="13" fill={colour('panel')} stroke={colour('rim')} strokeWidth="4" />
      <path
        d={
          by === 'body'
            ? `M${at.x - 4},${at.y - 2} l4,-5 l4,5 M${at.x - 4},${at.y + 2} l4,5 l4,-5`
            : `M${at.x - 2},${at.y - 4} l-5,4 l5,4 M${at.x + 2},${at.y - 4} l5,4 l-5,4`
        }
        fill="none"
        stroke={colour('rim')}
        strokeWidth="2.5"
        strokeLinecap="round"
        strokeLinejoin="round"
      />
    </g>
  );
}
