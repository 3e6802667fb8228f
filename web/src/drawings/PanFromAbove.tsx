import { useState } from 'react';
import type { Schemas } from '../api/client';
import { format, type Units } from '../format/units';
import { colour } from '../theme/system';
import { Slider } from '../ui/Slider';
import { Picture } from './Picture';
import { useWidth } from './useWidth';

type Sear = Schemas['SearPlan'];
type Place = { x: number; y: number };

const BROWNS_C = 150;

/** Places for so many pieces in a round floor: rows across it, squeezed together where they would not go in. */
export function lay(radius: number, [high, wide]: readonly [number, number], count: number) {
  for (let squeeze = 1; squeeze > 0.2; squeeze *= 0.94) {
    const [w, h] = [wide * squeeze, high * squeeze];
    for (let rows = 1; rows <= Math.max(1, Math.floor((2 * radius) / h)); rows++) {
      const pitch = Math.min(h * 1.25, (2 * radius) / rows);
      const room = Array.from({ length: rows }, (_, row) => {
        const y = (row - (rows - 1) / 2) * pitch;
        const half = Math.sqrt(Math.max(0, radius ** 2 - (Math.abs(y) + h / 2) ** 2));
        return { y, fit: Math.floor((2 * half) / (w * 1.04)) };
      });
      if (room.reduce((sum, row) => sum + row.fit, 0) < count) continue;
      const places: Place[] = [];
      let left = count;
      room.forEach((row, i) => {
        const here = Math.min(row.fit, Math.ceil(left / (rows - i)));
        for (let at = 0; at < here; at++) places.push({ x: (at - (here - 1) / 2) * w * 1.1, y: row.y });
        left -= here;
      });
      if (left <= 0) return { places, w, h };
    }
  }
  return { places: [{ x: 0, y: 0 }], w: radius, h: radius };
}

/** The pan at some minute of the batch, °C. */
const panAt = (trace: Sear['trace'], min: number) =>
  trace.reduce((found, point) => (point.min <= min ? point : found), trace[0] ?? { min: 0, celsius: 20 })
    .celsius;

/** The pan's heat over the batch, with the line below which nothing browns. */
function PanHeat({
  trace,
  at,
  box,
}: {
  trace: Sear['trace'];
  at: number;
  box: { x: number; y: number; width: number; to: number };
}) {
  if (box.to - box.y < 40 || box.width < 120) return null;
  const last = trace.at(-1)?.min ?? 1;
  const x = (min: number) => box.x + (min / last) * (box.width - 20);
  const y = (celsius: number) => box.to - ((celsius - 100) / 150) * (box.to - box.y);
  const line = trace.map((point) => `${x(point.min).toFixed(1)},${y(point.celsius).toFixed(1)}`).join(' ');
  return (
    <g>
      <path
        d={`M${box.x},${y(BROWNS_C)} H${box.x + box.width - 20}`}
        stroke={colour('soft')}
        strokeDasharray="3 5"
      />
      <text x={box.x} y={y(BROWNS_C) + 18} fill={colour('soft')} style={{ fontSize: 14 }}>
        browns above
      </text>
      <polyline points={line} fill="none" stroke={colour('heat')} strokeWidth="3" strokeLinejoin="round" />
      <circle cx={x(at)} cy={y(panAt(trace, at))} r="6" fill={colour('heat')} />
    </g>
  );
}

/** The pan from above with one batch in it and the rest waiting: its heat falls as they go in. */
export function PanFromAbove({
  sear,
  pieces,
  units,
  height = 340,
}: {
  sear: Sear;
  pieces: number;
  units: Units;
  height?: number;
}) {
  const { ref, width } = useWidth<HTMLDivElement>(720);
  const last = sear.trace.at(-1)?.min ?? 1;
  const coolest = sear.trace.reduce((low, point) => (point.celsius < low.celsius ? point : low));
  const [min, setMin] = useState<number>();
  const at = Math.min(last, min ?? coolest.min);
  const celsius = panAt(sear.trace, at);
  const pans = sear.pans;
  const each = Math.ceil(sear.per_batch / pans);
  const across = Math.min(height - 24, (width * (pans > 1 ? 0.8 : 0.52)) / pans);
  // The rim needs its room on every side.
  const scale = (across - 28) / sear.floor_mm;
  const radius = (sear.floor_mm / 2) * scale;
  const waiting = pieces - sear.per_batch;
  const batches = Array.from({ length: sear.batches }, (_, i) =>
    Math.min(sear.per_batch, pieces - i * sear.per_batch),
  );
  const laid = lay(radius * 0.98, [sear.lies_mm[0] * scale, sear.lies_mm[1] * scale], each);
  const heat = Math.min(1, Math.max(0.08, (celsius - 90) / 150));
  const board = pans * across + 28;
  const small = Math.min(1, 34 / (sear.lies_mm[1] * scale));
  const temperature = format('temperature', Math.round(celsius / 5) * 5, units);
  return (
    <div ref={ref}>
      <Picture
        width={width}
        height={height}
        label={`The pan from above: ${sear.per_batch} of ${pieces} pieces in it, ${temperature} after ${at.toFixed(1)} minutes`}
      >
        {Array.from({ length: pans }, (_, pan) => {
          const [cx, cy] = [across / 2 + pan * across, height / 2];
          return (
            <g key={pan}>
              <circle cx={cx} cy={cy} r={radius + 9} fill="none" stroke={colour('ink')} strokeWidth="6" />
              <circle cx={cx} cy={cy} r={radius} fill={colour('heat')} opacity={heat} />
              {laid.places.slice(0, Math.min(each, sear.per_batch - pan * each)).map((place, i) => (
                <rect
                  key={i}
                  x={cx + place.x - laid.w / 2}
                  y={cy + place.y - laid.h / 2}
                  width={laid.w}
                  height={laid.h}
                  rx={Math.min(10, laid.h / 4)}
                  fill={colour('raw')}
                  stroke={colour('ink')}
                  strokeWidth="1.8"
                />
              ))}
            </g>
          );
        })}
        {waiting > 0 && width - board > 90 && (
          <g>
            <text x={board} y={26} fill={colour('soft')} style={{ fontSize: 14 }}>
              {waiting === 1 ? 'one waits' : `${waiting} wait`}
            </text>
            {batches.slice(1, 7).map((count, row) => (
              <g key={row}>
                {Array.from({ length: Math.min(count, 8) }, (_, i) => (
                  <rect
                    key={i}
                    x={board + i * 38}
                    y={40 + row * 40}
                    width={sear.lies_mm[1] * scale * small}
                    height={Math.min(30, sear.lies_mm[0] * scale * small)}
                    rx="5"
                    fill="none"
                    stroke={colour('soft')}
                    strokeWidth="1.6"
                  />
                ))}
                {count > 8 && (
                  <text x={board + 8 * 38} y={60 + row * 40} fill={colour('soft')} style={{ fontSize: 14 }}>
                    and {count - 8}
                  </text>
                )}
              </g>
            ))}
          </g>
        )}
        <PanHeat
          trace={sear.trace}
          at={at}
          box={{
            x: board,
            y: 16 + (waiting > 0 ? 44 + 40 * Math.min(6, sear.batches - 1) : 0),
            width: width - board - 8,
            to: height - 104,
          }}
        />
        <text
          x={board}
          y={height - 52}
          fill={colour(celsius < BROWNS_C ? 'caution' : 'heat')}
          style={{ fontSize: 44, fontWeight: 700, fontVariantNumeric: 'tabular-nums' }}
        >
          {temperature}
        </text>
        <text x={board} y={height - 26} fill={colour('soft')} style={{ fontSize: 14 }}>
          {celsius < BROWNS_C ? 'too cool: it boils grey' : 'it browns'}
        </text>
      </Picture>
      <Slider
        label="Minutes in the pan"
        value={Math.round(at * 10) / 10}
        min={0}
        max={Math.max(0.5, Math.round(last * 10) / 10)}
        step={0.1}
        onChange={setMin}
        said={`${at.toFixed(1)} min`}
      />
    </div>
  );
}
