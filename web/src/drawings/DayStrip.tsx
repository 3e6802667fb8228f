import { useId } from 'react';
import type { Schemas } from '../api/client';
import { about, clock, millis, span, weekday } from '../format/time';
import { colour } from '../theme/system';
import { fold } from './fold';
import { hourTicks } from './timeScale';
import { useWidth } from './useWidth';

type Props = {
  tasks: Schemas['Task'][];
  ready?: Schemas['Ready'];
  bell: string;
  zone: string;
  now: number;
  chosen?: string;
  onChoose?: (task: string) => void;
};

const LANE = 46;
const GUTTER = 62;
const names: Record<Schemas['Lane'], string> = {
  hands: 'Hands',
  hob: 'Hob',
  fire: 'Fire',
  oven: 'Oven',
  pressure_pot: 'Pressure',
  crock: 'Crock',
  pit: 'Pit',
  bath: 'Bath',
  cold: 'Cold',
  board: 'Board',
};
/** What cooks, cools or rests by itself, in the order of its lanes. */
const APPLIANCES = ['hob', 'fire', 'oven', 'pressure_pot', 'crock', 'pit', 'bath', 'cold', 'board'] as const;
const short: Partial<Record<Schemas['TaskKind'], string>> = {
  salt: 'salt',
  take_out: 'dry',
  sear: 'sear',
  deglaze: 'deglaze',
  simmer: 'simmer',
  lift: 'lift',
  skim: 'skim',
  sauce: 'sauce',
  slice: 'slice',
  serve: 'plate',
  hold: 'hold',
  braise: 'cook',
  add: 'add',
  move: 'move',
  preheat: 'preheat',
  rest: 'rest',
};

/** Lanes over hours and days: hands-on solid, waiting outlined, buffers dotted, empty time folded to a crease. */
export function DayStrip({ tasks, ready, bell, zone, now, chosen, onChoose }: Props) {
  const id = useId();
  const { ref, width } = useWidth<HTMLDivElement>(900);
  const spans = tasks.map((task) => ({ from: millis(task.start), to: millis(task.end) }));
  const folded = fold(spans, width - GUTTER);
  const x = (at: number | string) => GUTTER + folded.x(typeof at === 'string' ? millis(at) : at);
  const unattended = tasks.filter((task) => !task.hands_on && millis(task.end) > millis(task.start));
  const lanes = APPLIANCES.filter((lane) => unattended.some((task) => task.lane === lane));
  const top = 40;
  const handsY = top;
  const laneY = (lane: string) => top + LANE * (1 + lanes.indexOf(lane as (typeof lanes)[number]));
  const readyY = top + LANE * (1 + lanes.length);
  const height = readyY + 46;
  const [first, last] = [folded.stretches[0], folded.stretches.at(-1)];
  const inView = !!first && !!last && now >= first.from && now <= last.to;
  return (
    <div ref={ref}>
      <svg
        width={width}
        height={height}
        role="group"
        aria-label="The day, lane by lane"
        style={{ display: 'block' }}
      >
        <defs>
          <pattern id={`${id}d`} width="8" height="8" patternUnits="userSpaceOnUse">
            <circle cx="3" cy="3" r="1.6" fill={colour('soft')} />
          </pattern>
        </defs>
        {folded.stretches.map((stretch) => (
          <g
            key={stretch.from}
            fill={colour('soft')}
            style={{ fontVariantNumeric: 'tabular-nums', fontSize: 14 }}
          >
            {stretch.width > 70 && (
              <text x={GUTTER + stretch.x} y="14" fill={colour('ink')} style={{ fontWeight: 700 }}>
                {weekday(stretch.from, zone)}
              </text>
            )}
            {stretch.width > 90 ? (
              hourTicks(stretch.from, stretch.to, stretch.width, zone).map((tick) => (
                <g key={tick.at}>
                  <line x1={x(tick.at)} x2={x(tick.at)} y1="34" y2={height - 6} stroke={colour('line')} />
                  <text x={Math.min(width - 20, x(tick.at))} y="30" textAnchor="middle">
                    {tick.label}
                  </text>
                </g>
              ))
            ) : (
              <text x={GUTTER + stretch.x + stretch.width / 2} y="30" textAnchor="middle">
                {stretch.width > 70 ? '' : `${weekday(stretch.from, zone)} `}
                {clock(stretch.from + 600_000, zone)}
              </text>
            )}
          </g>
        ))}
        {folded.creases.map((crease) => (
          <g key={crease.x}>
            <path
              d={`M${GUTTER + crease.x - 4},34 l8,${(height - 40) / 4} l-8,${(height - 40) / 4} l8,${(height - 40) / 4} l-8,${(height - 40) / 4}`}
              fill="none"
              stroke={colour('soft')}
              strokeWidth="1.5"
            />
            <title>{`${span((crease.to - crease.from) / 60_000)} with nothing to do`}</title>
          </g>
        ))}
        {(['hands', ...lanes] as const).map((lane) => {
          const y = lane === 'hands' ? handsY : laneY(lane);
          return (
            <g key={lane}>
              <text x="0" y={y + 24} fill={colour('ink')} style={{ fontSize: 14, fontWeight: 600 }}>
                {names[lane]}
              </text>
              <line x1={GUTTER} x2={width} y1={y + LANE - 4} y2={y + LANE - 4} stroke={colour('line')} />
            </g>
          );
        })}
        {unattended.map((task) => {
          const wide = Math.max(3, x(task.end) - x(task.start));
          const buffer = task.kind === 'hold';
          return (
            <g key={task.id}>
              <rect
                x={x(task.start)}
                y={laneY(task.lane) + 5}
                width={wide}
                height="30"
                rx="6"
                fill={buffer ? `url(#${id}d)` : 'transparent'}
                stroke={colour(task.kind === 'rest' || buffer ? 'soft' : 'heat')}
                strokeWidth="2.5"
                strokeDasharray={buffer ? '3 4' : undefined}
              />
              {wide > 62 && (
                <text
                  x={x(task.start) + wide / 2}
                  y={laneY(task.lane) + 25}
                  textAnchor="middle"
                  fill={colour('ink')}
                  stroke={colour('ground')}
                  strokeWidth="4"
                  paintOrder="stroke"
                  style={{ fontSize: 14 }}
                >
                  {`${short[task.kind]} ${task.kind === 'braise' && wide > 130 ? span((millis(task.end) - millis(task.start)) / 60_000) : ''}`}
                </text>
              )}
            </g>
          );
        })}
        {tasks
          .filter((task) => task.hands_on)
          .map((task) => {
            const wide = Math.max(5, x(task.end) - x(task.start) - 1);
            return (
              <g
                key={task.id}
                role={onChoose ? 'button' : undefined}
                tabIndex={onChoose ? 0 : undefined}
                aria-label={`${clock(task.start, zone)} ${task.what}`}
                onClick={() => onChoose?.(task.id)}
                onKeyDown={(event) => event.key === 'Enter' && onChoose?.(task.id)}
                style={{ cursor: onChoose ? 'pointer' : undefined }}
              >
                <rect
                  x={x(task.start)}
                  y={handsY + 5}
                  width={wide}
                  height="30"
                  rx="3"
                  fill={colour('hands')}
                  stroke={chosen === task.id ? colour('ink') : 'none'}
                  strokeWidth="3"
                />
                {wide > 7.6 * (short[task.kind]?.length ?? 99) + 6 && (
                  <text
                    x={x(task.start) + wide / 2}
                    y={handsY + 25}
                    textAnchor="middle"
                    fill={colour('ground')}
                    style={{ fontSize: 14, fontWeight: 600 }}
                  >
                    {short[task.kind]}
                  </text>
                )}
                <title>{`${clock(task.start, zone)} ${task.what}`}</title>
              </g>
            );
          })}
        {ready?.p10 && ready.p50 && ready.p90 && (
          <g>
            <text x="0" y={readyY + 24} fill={colour('ink')} style={{ fontSize: 14, fontWeight: 600 }}>
              Tender
            </text>
            <path
              d={`M${x(ready.p10)},${readyY + 20} C${x(ready.p10)},${readyY + 6} ${x(ready.p50) - 4},${readyY + 4} ${x(ready.p50)},${readyY + 4} C${x(ready.p50) + 8},${readyY + 4} ${x(ready.p90)},${readyY + 10} ${x(ready.p90)},${readyY + 20} C${x(ready.p90)},${readyY + 30} ${x(ready.p50) + 8},${readyY + 36} ${x(ready.p50)},${readyY + 36} C${x(ready.p50) - 4},${readyY + 36} ${x(ready.p10)},${readyY + 34} ${x(ready.p10)},${readyY + 20} Z`}
              fill={colour('tender')}
            />
            <text
              x={x(ready.p10) - 8}
              y={readyY + 25}
              textAnchor="end"
              fill={colour('ink')}
              stroke={colour('ground')}
              strokeWidth="4"
              paintOrder="stroke"
              style={{ fontSize: 14, fontWeight: 600 }}
            >
              {`${about(ready.p10, zone)}–${about(ready.p90, zone)}`}
            </text>
          </g>
        )}
        {inView && (
          <line
            x1={x(now)}
            x2={x(now)}
            y1="34"
            y2={height}
            stroke={colour('ink')}
            strokeWidth="2"
            strokeDasharray="2 4"
          />
        )}
        <line
          x1={Math.min(width - 2, x(bell))}
          x2={Math.min(width - 2, x(bell))}
          y1="34"
          y2={height}
          stroke={colour('rim')}
          strokeWidth="4"
        />
      </svg>
    </div>
  );
}
