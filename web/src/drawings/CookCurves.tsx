import { scaleLinear } from 'd3-scale';
import { area, curveMonotoneX, line } from 'd3-shape';
import { useId } from 'react';
import type { Schemas } from '../api/client';
import { span } from '../format/time';
import { format, type Units } from '../format/units';
import { colour } from '../theme/system';
import { useDragged } from './useDragged';
import { useWidth } from './useWidth';

type Props = {
  curve: Schemas['CurvePoint'][];
  bands: Schemas['BandPoint'][];
  ready: Schemas['Quantiles'];
  tooFar?: number | null;
  stages: Schemas['StageSpan'][];
  units: Units;
  /** Minutes since the meat met the heat. */
  at: number;
  onScrub: (minute: number) => void;
  height?: number;
};

const LEFT = 52;
const RIGHT = 84;
const TOP = 30;
const BOTTOM = 34;

/** Keeps names at the curves' ends from lying on each other. */
function apart(ends: { y: number; name: string; of: string }[]) {
  const sorted = [...ends].sort((a, b) => a.y - b.y);
  let above = -Infinity;
  for (const end of sorted) above = end.y = Math.max(end.y, above + 17);
  return sorted;
}

const steps = [15, 30, 60, 120, 180, 240, 360, 720, 1440];

/** Middle, surface and medium over the cook, with the middle's doubt behind it and when it is ready beneath; drag to scrub. */
export function CookCurves({ curve, bands, ready, tooFar, stages, units, at, onScrub, height = 260 }: Props) {
  const id = useId();
  const { ref, width } = useWidth<HTMLDivElement>(720);
  const last = curve[curve.length - 1]?.min ?? 60;
  const top = Math.max(100, ...curve.map((point) => Math.max(point.medium_c, point.surface_c))) + 4;
  const low = Math.min(0, ...curve.map((point) => point.core_c));
  const x = scaleLinear([0, last], [LEFT, width - RIGHT]);
  const y = scaleLinear([low, top], [height - BOTTOM, TOP]);
  const path = (of: (point: Schemas['CurvePoint']) => number) =>
    line<Schemas['CurvePoint']>(
      (point) => x(point.min),
      (point) => y(of(point)),
    ).curve(curveMonotoneX)(curve) ?? '';
  const start = curve[0]?.core_c ?? 0;
  const fromStart: typeof bands = bands[0]
    ? [{ ...bands[0], min: 0, core_c: [start, start, start] }, ...bands]
    : [];
  const doubt =
    area<Schemas['BandPoint']>()
      .x((point) => x(point.min))
      .y0((point) => y(point.core_c[0]))
      .y1((point) => y(point.core_c[2]))
      .curve(curveMonotoneX)(fromStart) ?? '';
  const step = steps.find((every) => (last / every) * 62 <= width - LEFT - RIGHT) ?? 2880;
  const ticks = Array.from({ length: Math.floor(last / step) + 1 }, (_, i) => i * step);
  const degrees = (units === 'us' ? [50, 100, 150, 200, 250, 300] : [0, 20, 40, 60, 80, 100, 120, 140])
    .map((shown) => ({ shown, celsius: units === 'us' ? (shown - 32) / 1.8 : shown }))
    .filter(({ celsius }) => celsius >= low && celsius <= top);
  const end = curve.at(-1);
  const ends = apart(
    end
      ? [
          { y: y(end.medium_c), name: mediumName(stages), of: 'liquid' },
          { y: y(end.surface_c), name: 'surface', of: 'heat' },
          { y: y(end.core_c), name: 'middle', of: 'ink' },
        ]
      : [],
  );
  const dragged = useDragged<number>({
    forAll: true,
    take: ({ target }) => (target instanceof Element ? target.getBoundingClientRect().left : 0),
    move: (left, _, to) => onScrub(Math.round(Math.min(last, Math.max(0, x.invert(to.x - left))))),
  });
  const [p10, p50, p90] = [ready.p10, ready.p50, ready.p90];
  const base = height - BOTTOM;
  return (
    <div ref={ref}>
      <svg
        width={width}
        height={height}
        role="img"
        aria-label={`Middle, surface and ${mediumName(stages)} over ${span(last)}${p50 ? `; half are tender by ${span(p50)}` : ''}`}
        style={{ display: 'block', touchAction: 'pan-y', cursor: 'ew-resize' }}
        {...dragged()}
      >
        <defs>
          <pattern id={id} width="6" height="6" patternUnits="userSpaceOnUse" patternTransform="rotate(35)">
            <line x1="1" y1="0" x2="1" y2="6" stroke={colour('tender')} strokeWidth="2" opacity="0.5" />
          </pattern>
        </defs>
        {degrees.map(({ shown, celsius }) => (
          <g key={shown}>
            <path d={`M${LEFT},${y(celsius)} H${width - RIGHT}`} stroke={colour('line')} />
            <text
              x={LEFT - 8}
              y={y(celsius) + 5}
              textAnchor="end"
              fill={colour('soft')}
              style={{ fontSize: 14, fontVariantNumeric: 'tabular-nums' }}
            >
              {format('temperature', celsius, units).replace(/ .*/, '°')}
            </text>
          </g>
        ))}
        {ticks.map((minute) => (
          <text
            key={minute}
            x={x(minute)}
            y={height - 10}
            textAnchor="middle"
            fill={colour('soft')}
            style={{ fontSize: 14 }}
          >
            {minute === 0 ? 'in' : span(minute)}
          </text>
        ))}
        {stages
          .slice(1)
          .map((stage, i) =>
            stage.from_min != null && stage.from_min < last ? (
              <path
                key={i}
                d={`M${x(stage.from_min)},${TOP} V${base}`}
                stroke={colour('ink')}
                strokeDasharray="2 5"
                strokeWidth="1.5"
              />
            ) : null,
          )}
        {p10 != null && p90 != null && (
          <g>
            <rect
              x={x(p10)}
              y={TOP}
              width={Math.max(2, x(Math.min(p90, last)) - x(p10))}
              height={base - TOP}
              fill={colour('tender')}
              opacity="0.12"
            />
            <rect
              x={x(p10)}
              y={base - 9}
              width={Math.max(2, x(Math.min(p90, last)) - x(p10))}
              height={9}
              fill={`url(#${id})`}
            />
          </g>
        )}
        {p50 != null && (
          <g>
            <path d={`M${x(p50)},${TOP} V${base}`} stroke={colour('tender')} strokeWidth="2.5" />
            <text
              x={Math.min(x(p50), width - RIGHT - 30)}
              y={TOP - 10}
              textAnchor="middle"
              fill={colour('tender')}
              style={{ fontSize: 14, fontWeight: 700 }}
            >
              half tender, {span(Math.round(p50 / 5) * 5)}
            </text>
          </g>
        )}
        {tooFar != null && tooFar < last && (
          <path
            d={`M${x(tooFar)},${TOP} V${base}`}
            stroke={colour('tender')}
            strokeWidth="3"
            strokeDasharray="1 7"
            strokeLinecap="round"
          />
        )}
        <path d={doubt} fill={colour('ink')} opacity="0.14" />
        <path d={path((point) => point.medium_c)} fill="none" stroke={colour('liquid')} strokeWidth="2.5" />
        <path
          d={path((point) => point.surface_c)}
          fill="none"
          stroke={colour('heat')}
          strokeWidth="2.5"
          strokeDasharray="7 4"
        />
        <path d={path((point) => point.core_c)} fill="none" stroke={colour('ink')} strokeWidth="3.5" />
        {ends.map(({ y: place, name, of }) => (
          <text
            key={name}
            x={width - RIGHT + 8}
            y={place + 5}
            fill={colour(of as 'ink')}
            style={{ fontSize: 14, fontWeight: 700 }}
          >
            {name}
          </text>
        ))}
        <path d={`M${x(at)},${TOP - 2} V${base + 4}`} stroke={colour('rim')} strokeWidth="3" />
        <circle cx={x(at)} cy={base + 4} r="8" fill={colour('rim')} />
      </svg>
    </div>
  );
}

/** What surrounds the meat in the last stage, in a word. */
function mediumName(stages: Schemas['StageSpan'][]): string {
  const method = stages[stages.length - 1]?.method;
  return method === 'smoke'
    ? 'pit air'
    : method === 'confit'
      ? 'fat'
      : method === 'chill'
        ? 'cold'
        : method === 'water_bath'
          ? 'bath'
          : 'liquid';
}
