import { area, curveMonotoneX, line } from 'd3-shape';
import { scaleLinear } from 'd3-scale';
import type { Schemas } from '../api/client';
import { millis } from '../format/time';
import { format, type Units } from '../format/units';
import { colour } from '../theme/system';
import { hourTicks, timeScale } from './timeScale';

type Point = { at: number; low: number; middle: number; high: number; medium: number };

type Props = {
  from: number;
  to: number;
  width: number;
  height?: number;
  zone: string;
  units: Units;
  course: Schemas['CoursePoint'][];
  probes: Schemas['ProbeNow'][];
  now?: number;
  serveAt?: number;
};

const TOP = 14;
const BOTTOM = 12;

/** What a probe's line is drawn in, by where its tip is. */
const tone = { meat: 'ink', pot: 'liquid', air: 'heat', aside: 'soft' } as const;

/** Readings that belong together: a line breaks where one is missing for long, or is not believed. */
function runs(points: Schemas['TracePoint'][], believed: boolean) {
  const found: { x: number; y: number }[][] = [];
  let last: number | undefined;
  for (const point of points) {
    const at = millis(point.at);
    if (point.believed !== believed) {
      last = undefined;
      continue;
    }
    if (last === undefined || at - last > 12 * 60_000) found.push([]);
    found.at(-1)?.push({ x: at, y: point.celsius });
    last = at;
  }
  return found;
}

/**
 * The middle of the meat and what is about it over the cook, as foretold now, with what the probes really read: on the same
 * time axis as the band above it. What is not believed is drawn in rings.
 */
export function CourseOfCook({
  from,
  to,
  width,
  height = 190,
  zone,
  units,
  course,
  probes,
  now,
  serveAt,
}: Props) {
  const points: Point[] = course.map(({ at, core_c: [low, middle, high], medium_c }) => ({
    at: millis(at),
    low,
    middle,
    high,
    medium: medium_c,
  }));
  const read = probes.flatMap((probe) => probe.points.map((point) => point.celsius));
  const top = Math.max(100, ...points.map((point) => point.medium), ...read) + 6;
  const x = timeScale(from, to, width);
  const y = scaleLinear([0, top], [height - BOTTOM, TOP]).clamp(true);
  const curve = (of: (point: Point) => number) =>
    line<Point>(
      (point) => x(point.at),
      (point) => y(of(point)),
    ).curve(curveMonotoneX)(points) ?? '';
  const doubt =
    area<Point>()
      .x((point) => x(point.at))
      .y0((point) => y(point.low))
      .y1((point) => y(point.high))
      .curve(curveMonotoneX)(points) ?? '';
  const degrees = (units === 'us' ? [100, 150, 200, 250] : [20, 40, 60, 80, 100, 120])
    .map((shown) => ({ shown, celsius: units === 'us' ? (shown - 32) / 1.8 : shown }))
    .filter(({ celsius }) => celsius < top);
  const said = probes
    .filter((probe) => probe.celsius != null)
    .map((probe) => `${probe.probe} reads ${format('temperature', probe.celsius ?? 0, units)}`);
  const clear = (at: number) => Math.min(width - 58, Math.max(4, x(at) + 8));
  return (
    <svg
      width={width}
      height={height}
      role="img"
      aria-label={['The middle of the meat as foretold', ...said].join('; ')}
      style={{ display: 'block' }}
    >
      {hourTicks(from, to, width, zone).map((tick) => (
        <line key={tick.at} x1={x(tick.at)} x2={x(tick.at)} y1="0" y2={height} stroke={colour('line')} />
      ))}
      {degrees.map(({ shown, celsius }) => (
        <g key={shown}>
          <path d={`M0,${y(celsius)} H${width}`} stroke={colour('line')} strokeDasharray="2 6" />
        </g>
      ))}
      <path d={doubt} fill={colour('ink')} opacity="0.12" />
      <path
        d={curve((point) => point.medium)}
        fill="none"
        stroke={colour('liquid')}
        strokeWidth="2"
        opacity="0.7"
      />
      <path
        d={curve((point) => point.middle)}
        fill="none"
        stroke={colour('ink')}
        strokeWidth="2"
        strokeDasharray="6 5"
      />
      {probes.map((probe) => (
        <g key={probe.probe}>
          {runs(probe.points, true).map((run, i) => (
            <path
              key={i}
              d={
                line<{ x: number; y: number }>(
                  (point) => x(point.x),
                  (point) => y(point.y),
                )(run) ?? ''
              }
              fill="none"
              stroke={colour(tone[probe.into])}
              strokeWidth="4"
              strokeLinecap="round"
              strokeLinejoin="round"
            />
          ))}
          {runs(probe.points, false)
            .flat()
            .map((point) => (
              <circle
                key={point.x}
                cx={x(point.x)}
                cy={y(point.y)}
                r="3"
                fill="none"
                stroke={colour('caution')}
                strokeWidth="1.5"
              />
            ))}
          {probe.at && probe.celsius != null && (
            <text
              x={clear(millis(probe.at))}
              y={Math.max(TOP + 4, y(probe.celsius) - 8)}
              fill={colour(tone[probe.into])}
              stroke={colour('ground')}
              strokeWidth="4"
              paintOrder="stroke"
              style={{ fontSize: 16, fontWeight: 700, fontVariantNumeric: 'tabular-nums' }}
            >
              {format('temperature', probe.celsius, units)}
            </text>
          )}
        </g>
      ))}
      {degrees.map(({ shown, celsius }) => (
        <text
          key={shown}
          x={2}
          y={y(celsius) - 3}
          fill={colour('soft')}
          stroke={colour('ground')}
          strokeWidth="4"
          paintOrder="stroke"
          style={{ fontSize: 14 }}
        >
          {shown}°
        </text>
      ))}
      {now !== undefined && now > from && (
        <line x1={x(now)} x2={x(now)} y1="0" y2={height} stroke={colour('ink')} strokeDasharray="2 4" />
      )}
      {serveAt !== undefined && (
        <line x1={x(serveAt)} x2={x(serveAt)} y1="0" y2={height} stroke={colour('rim')} strokeWidth="4" />
      )}
    </svg>
  );
}
