import { useId } from 'react';
import type { Schemas } from '../api/client';
import { about, millis } from '../format/time';
import { colour } from '../theme/system';
import { hourTicks, timeScale } from './timeScale';

export type BandTimes = { p10: number | null; p50: number | null; p90: number | null };

/** A band of instants from the kitchen, in ms. */
export const bandTimes = (ready: Schemas['Ready']): BandTimes => {
  const at = (instant?: string | null) => (instant ? millis(instant) : null);
  return { p10: at(ready.p10), p50: at(ready.p50), p90: at(ready.p90) };
};

/** A band of minutes counted from an instant, in ms. */
export const bandFrom = (quantiles: Schemas['Quantiles'], start: number): BandTimes => {
  const at = (minutes?: number | null) => (minutes == null ? null : start + minutes * 60_000);
  return { p10: at(quantiles.p10), p50: at(quantiles.p50), p90: at(quantiles.p90) };
};

type Props = {
  from: number;
  to: number;
  width: number;
  height?: number;
  zone: string;
  start: number;
  ready: BandTimes;
  tooFar: BandTimes;
  bell?: number;
  now?: number;
  /** What really was: a mark on the band, with its word. */
  marks?: { at: number; word: string }[];
  /** An earlier band behind this one. */
  ghost?: BandTimes;
  label: string;
};

const HALF = 17;
const EDGE = 5;
const RIGHT = 9;

/** The lens from P10 to P90, widest at the likeliest moment. */
function lens(x10: number, x50: number, x90: number, y: number): string {
  const [a, b] = [(x50 - x10) * 0.55, (x90 - x50) * 0.55];
  return [
    `M${x10},${y - EDGE}`,
    `C${x10 + a},${y - EDGE} ${x50 - a},${y - HALF} ${x50},${y - HALF}`,
    `C${x50 + b},${y - HALF} ${x90 - b},${y - RIGHT} ${x90},${y - RIGHT}`,
    `L${x90},${y + RIGHT}`,
    `C${x90 - b},${y + RIGHT} ${x50 + b},${y + HALF} ${x50},${y + HALF}`,
    `C${x50 - a},${y + HALF} ${x10 + a},${y + EDGE} ${x10},${y + EDGE}`,
    'Z',
  ].join(' ');
}

/** Dots that thin out from where it begins to go too far. */
function dots(fromX: number, toX: number, y: number) {
  const found: { x: number; y: number; r: number }[] = [];
  const span = Math.max(1, toX - fromX);
  for (let x = fromX; x < toX; x += 6) {
    const part = (x - fromX) / span;
    const rows = part < 0.4 ? [-6, 0, 6] : part < 0.75 ? [-4, 4] : [0];
    rows.forEach((dy) => found.push({ x: x + (dy === 0 ? 3 : 0), y: y + dy, r: 2.4 * (1 - 0.6 * part) }));
  }
  return found;
}

/** One row of the ready-band: hatched before tender, solid while right, dissolving toward too far; the bell a line through it. */
export function ReadyBand({
  from,
  to,
  width,
  height = 64,
  zone,
  start,
  ready,
  tooFar,
  bell,
  now,
  marks,
  ghost,
  label,
}: Props) {
  const id = useId();
  const x = timeScale(from, to, width);
  const clamp = (at: number) => Math.min(width, Math.max(0, x(at)));
  const y = 24;
  const { p10, p50, p90 } = ready;
  const known = p10 !== null && p50 !== null && p90 !== null;
  const [x10, x50, x90] = known ? [clamp(p10), clamp(p50), clamp(p90)] : [width, width, width];
  const farFrom = clamp(tooFar.p10 ?? to);
  const farTo = clamp(tooFar.p90 ?? to);
  const dotsFrom = Math.max(x90, farFrom);
  const said = known
    ? `${label}: tender from ${about(p10, zone)} to ${about(p90, zone)}`
    : `${label}: not tender within three days`;
  const crowded = x90 - x10 < 96;
  return (
    <svg width={width} height={height} role="img" aria-label={said} style={{ display: 'block' }}>
      <defs>
        <pattern
          id={`${id}h`}
          width="7"
          height="7"
          patternUnits="userSpaceOnUse"
          patternTransform="rotate(45)"
        >
          <line x1="0" y1="0" x2="0" y2="7" stroke={colour('tender')} strokeWidth="2.6" />
        </pattern>
      </defs>
      {hourTicks(from, to, width, zone).map((tick) => (
        <line key={tick.at} x1={x(tick.at)} x2={x(tick.at)} y1="0" y2={height} stroke={colour('line')} />
      ))}
      {now !== undefined && now > from && (
        <line x1={x(now)} x2={x(now)} y1="0" y2={height} stroke={colour('ink')} strokeDasharray="2 4" />
      )}
      <rect
        x={clamp(start)}
        y={y - EDGE}
        width={Math.max(0, x10 - clamp(start))}
        height={2 * EDGE}
        fill={`url(#${id}h)`}
        opacity="0.75"
      />
      {ghost?.p10 != null && ghost.p50 != null && ghost.p90 != null && (
        <path
          d={lens(clamp(ghost.p10), clamp(ghost.p50), clamp(ghost.p90), y)}
          fill="none"
          stroke={colour('soft')}
          strokeDasharray="4 4"
        />
      )}
      {known && (
        <>
          {dotsFrom > x90 && (
            <rect
              x={x90 - 1}
              y={y - RIGHT}
              width={dotsFrom - x90 + 1}
              height={2 * RIGHT}
              fill={colour('tender')}
              opacity="0.55"
            />
          )}
          {dots(dotsFrom, Math.max(dotsFrom, farTo), y).map((dot) => (
            <circle
              key={`${dot.x} ${dot.y}`}
              cx={dot.x}
              cy={dot.y}
              r={dot.r}
              fill={colour('tender')}
              opacity="0.7"
            />
          ))}
          <path d={lens(x10, x50, x90, y)} fill={colour('tender')} />
        </>
      )}
      {bell !== undefined && (
        <line x1={x(bell)} x2={x(bell)} y1="0" y2={height} stroke={colour('rim')} strokeWidth="4" />
      )}
      {marks?.map((mark) => (
        <g key={`${mark.at} ${mark.word}`}>
          <path
            d={`M${clamp(mark.at)},${y - HALF - 5} v${2 * HALF + 10}`}
            stroke={colour('ground')}
            strokeWidth="6"
          />
          <path
            d={`M${clamp(mark.at)},${y - HALF - 5} v${2 * HALF + 10}`}
            stroke={colour('ink')}
            strokeWidth="3"
          />
        </g>
      ))}
      {known && (
        <g
          fill={colour('ink')}
          style={{ fontVariantNumeric: 'tabular-nums', fontSize: 14, fontWeight: 600 }}
          stroke={colour('ground')}
          strokeWidth="4"
          paintOrder="stroke"
        >
          {crowded ? (
            <text x={Math.min(width - 44, Math.max(44, (x10 + x90) / 2))} y={height - 5} textAnchor="middle">
              {`${about(p10, zone)}–${about(p90, zone)}`}
            </text>
          ) : (
            <>
              <text x={Math.max(20, x10)} y={height - 5} textAnchor="middle">
                {about(p10, zone)}
              </text>
              <text x={Math.min(width - 20, x90)} y={height - 5} textAnchor="middle">
                {about(p90, zone)}
              </text>
            </>
          )}
        </g>
      )}
    </svg>
  );
}

/** The hours over the rows, and the bell's name. */
export function TimeAxis({
  from,
  to,
  width,
  zone,
  bell,
  now,
}: {
  from: number;
  to: number;
  width: number;
  zone: string;
  bell?: number;
  now?: number;
}) {
  const x = timeScale(from, to, width);
  const bellX = bell === undefined ? -100 : x(bell);
  const clear = (at: number) => Math.abs(x(at) - bellX) > 54 && x(at) > 22 && x(at) < width - 16;
  return (
    <svg width={width} height={44} aria-hidden style={{ display: 'block' }}>
      <g
        fill={colour('soft')}
        textAnchor="middle"
        style={{ fontVariantNumeric: 'tabular-nums', fontSize: 14 }}
      >
        {hourTicks(from, to, width, zone)
          .filter((tick) => clear(tick.at))
          .map((tick) => (
            <g key={tick.at}>
              {tick.day && (
                <text x={x(tick.at)} y="14" style={{ fontWeight: 700 }}>
                  {tick.day}
                </text>
              )}
              <text x={x(tick.at)} y="32">
                {tick.label}
              </text>
              <line x1={x(tick.at)} x2={x(tick.at)} y1="38" y2="44" stroke={colour('line')} />
            </g>
          ))}
        {now !== undefined && x(now) >= 0 && (
          <text x={Math.max(14, x(now))} y="14" fill={colour('ink')} style={{ fontWeight: 600 }}>
            now
          </text>
        )}
        {bell !== undefined && (
          <g fill={colour('rim')} style={{ fontWeight: 700 }}>
            <path
              d={`M${bellX - 7},16 q0,-11 7,-11 q7,0 7,11 z M${bellX - 10},16 h20`}
              stroke={colour('rim')}
              strokeWidth="2"
            />
            <text x={Math.min(width - 22, bellX)} y="34" style={{ fontSize: 16 }}>
              {about(bell, zone)}
            </text>
          </g>
        )}
      </g>
    </svg>
  );
}
