import { Box } from '@chakra-ui/react';
import { useId, useState } from 'react';
import type { Schemas } from '../api/client';
import { span } from '../format/time';
import { format, type Units } from '../format/units';
import { colour } from '../theme/system';
import { Slider } from '../ui/Slider';
import { useWidth } from './useWidth';

type Props = {
  inside: Schemas['Inside'];
  units: Units;
  /** Minutes since the meat met the heat; without it the cook scrubs. */
  at?: number;
  height?: number;
  start?: number;
};

const rings = [50, 60, 70, 80, 90];

/** The radius (0–1) at which a temperature stands, if it does. */
function radiusAt(celsius: number[], radius: number[], wanted: number): number | undefined {
  for (const [i, outer] of celsius.entries()) {
    const [inner, from, to] = [celsius[i - 1], radius[i - 1], radius[i]];
    if (inner === undefined || from === undefined || to === undefined) continue;
    if (inner <= wanted && outer > wanted) return from + ((wanted - inner) / (outer - inner)) * (to - from);
  }
  return undefined;
}

/** The cross-section of this piece: shells shaded by how far each has softened, ringed by temperature. Scrub, and it cooks. */
export function SliceOfPiece({ inside, units, at, height = 220, start }: Props) {
  const id = useId();
  const { ref, width } = useWidth<HTMLDivElement>(360);
  const last = inside.frames[inside.frames.length - 1]?.min ?? 0;
  const [scrubbed, setScrubbed] = useState(start ?? last / 2);
  const minute = Math.min(last, Math.max(0, at ?? scrubbed));
  const frame = inside.frames.reduce((best, next) =>
    Math.abs(next.min - minute) < Math.abs(best.min - minute) ? next : best,
  );
  const [thick, across] = inside.sides_mm;
  const scale = Math.min((width - 48) / across, (height - 24) / thick);
  const [w, h] = [across * scale, thick * scale];
  const [left, top] = [(width - w) / 2, (height - h) / 2];
  // A shell at radius r lies (1 − r) of the half-thickness in from every side.
  const box = (radius: number) => {
    const inset = ((1 - radius) * h) / 2;
    return {
      x: left + inset,
      y: top + inset,
      width: Math.max(2, w - 2 * inset),
      height: Math.max(2, h - 2 * inset),
      rx: Math.max(2, 0.32 * h * radius),
    };
  };
  const shells = inside.radius.map((radius, i) => ({
    radius,
    soft: Math.min(1.25, (frame.tenderness[i] ?? 0) / inside.enough),
  }));
  const middle = frame.celsius[0] ?? 0;
  const surface = frame.celsius[frame.celsius.length - 1] ?? 0;
  const state = frame.words;
  return (
    <Box ref={ref}>
      <svg
        width={width}
        height={height}
        role="img"
        style={{ display: 'block' }}
        aria-label={`Inside the piece after ${span(minute)}: middle ${format('temperature', middle, units)}, near the surface ${format('temperature', surface, units)}; ${state}`}
      >
        <defs>
          {[3, 5, 8].map((gap, i) => (
            <pattern
              key={gap}
              id={`${id}${i}`}
              width={gap * 1.6}
              height="10"
              patternUnits="userSpaceOnUse"
              patternTransform="rotate(18)"
            >
              <path
                d={`M1,0 q${gap / 4},5 0,10`}
                stroke={colour('tender')}
                fill="none"
                strokeWidth="1.1"
                opacity={0.6 - i * 0.15}
              />
            </pattern>
          ))}
        </defs>
        {[...shells].reverse().map((shell) => (
          <rect
            key={shell.radius}
            {...box(shell.radius)}
            style={{
              fill: `color-mix(in oklab, ${colour('tender')} ${Math.round(Math.min(1, shell.soft) * 78)}%, ${colour('raw')})`,
            }}
          />
        ))}
        {[...shells]
          .reverse()
          .map((shell, i) =>
            i % 3 === 0 ? (
              <rect
                key={shell.radius}
                {...box(shell.radius)}
                fill={`url(#${id}${shell.soft < 0.25 ? 0 : shell.soft < 0.8 ? 1 : 2})`}
                opacity="0.45"
              />
            ) : null,
          )}
        <rect {...box(1)} fill="none" stroke={colour('ink')} strokeWidth="2.5" />
        {rings.map((celsius) => {
          const radius = radiusAt(frame.celsius, inside.radius, celsius);
          if (radius === undefined) return null;
          const ring = box(radius);
          return (
            <g key={celsius}>
              <rect {...ring} fill="none" stroke={colour('heat')} strokeWidth="1.6" strokeDasharray="6 4" />
              <text
                x={ring.x + ring.width / 2}
                y={ring.y + 5}
                textAnchor="middle"
                fill={colour('heat')}
                stroke={colour('ground')}
                strokeWidth="4"
                paintOrder="stroke"
                style={{ fontSize: 14, fontWeight: 700 }}
              >
                {format('temperature', celsius, units)}
              </text>
            </g>
          );
        })}
        <text
          x={left + w / 2}
          y={top + h / 2 + 6}
          textAnchor="middle"
          fill={colour('ink')}
          stroke={colour('ground')}
          strokeWidth="5"
          paintOrder="stroke"
          style={{ fontSize: 20, fontWeight: 700 }}
        >
          {format('temperature', middle, units)}
        </text>
      </svg>
      {at === undefined && (
        <Slider
          label="Scrub through the cook"
          value={minute}
          min={0}
          max={last}
          step={5}
          onChange={setScrubbed}
          said={`after ${span(minute)}: ${state}`}
        />
      )}
    </Box>
  );
}
