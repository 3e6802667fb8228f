import { useId } from 'react';
import type { Schemas } from '../api/client';
import { about, millis } from '../format/time';
import { colour } from '../theme/system';
import { hourTicks, timeScale } from './timeScale';

export type BandTimes = { p10: number | null; p50: number | null; p90: number | null };

/** A band of instants from the kitchen, in ms. */
export const bandTimes = (ready: Pick<Schemas['Ready'], 'p10' | 'p50' | 'p90'>): BandTimes => {
  const at = (instant?: string | null) => (instant ? millis(instant) : null);
  return { p10: at(ready.p10), p50: at(ready.p50), p90: at(ready.p90) };
};

/** The hands' part of it: from the first thing done to the meat meeting the heat, and from lifting to the plates. */
export type Work = { begins: number; lift: number; plates: number };

/** How a way is drawn: what was answered for it, in ms. */
export const workOf = (drawn: Schemas['DrawnHours']): Work => ({
  begins: millis(drawn.begins),
  lift: millis(drawn.lift),
  plates: millis(drawn.plates),
});

type Props = {
  from: number;
  to: number;
  width: number;
  height?: number;
  zone: string;
  /** The meat meets the heat. */
  start: number;
  ready: BandTimes;
  tooFar: BandTimes;
  work?: Work;
  serveAt?: number;
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
/** Half of what the hands' part is high. */
const HANDS = 9;

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

/** What is written under a band, kept apart: of two that would lie on each other the later gives way. */
function spread(words: { x: number; text: string; of: 'ink' | 'hands' }[], width: number) {
  const placed: typeof words = [];
  for (const word of words) {
    const half = word.text.length * 4.1;
    const x = Math.min(width - half, Math.max(half, word.x));
    const last = placed.at(-1);
    if (last && x - half < last.x + last.text.length * 4.1 + 6) continue;
    placed.push({ ...word, x });
  }
  return placed;
}

/**
 * One row of the ready-band. From the left: the room till it has to begin, white; the work before the heat, solid; hatched
 * before it is tender, solid while it is right, dissolving toward too far; lifted, and the work to the plates, solid again.
 */
export function ReadyBand({
  from,
  to,
  width,
  height = 64,
  zone,
  start,
  ready,
  tooFar,
  work,
  serveAt,
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
  const band =
    p10 !== null && p50 !== null && p90 !== null
      ? { p10, p90, x10: clamp(p10), x50: clamp(p50), x90: clamp(p90) }
      : undefined;
  const farFrom = clamp(tooFar.p10 ?? to);
  // Once it is lifted nothing goes too far.
  const farTo = Math.min(clamp(tooFar.p90 ?? to), work ? clamp(work.lift) : width);
  const dotsFrom = Math.max(band?.x90 ?? width, farFrom);
  const tender = band
    ? `tender from ${about(band.p10, zone)} to ${about(band.p90, zone)}`
    : 'not tender within three days';
  const said = work
    ? `${label}: begin ${about(work.begins, zone)}, ${tender}, lift ${about(work.lift, zone)}, plates ${about(work.plates, zone)}`
    : `${label}: ${tender}`;
  const words = [
    ...(work ? [{ x: clamp(work.begins), text: about(work.begins, zone), of: 'hands' as const }] : []),
    ...(band && band.x90 - band.x10 < 96
      ? [
          {
            x: (band.x10 + band.x90) / 2,
            text: `${about(band.p10, zone)}–${about(band.p90, zone)}`,
            of: 'ink' as const,
          },
        ]
      : band
        ? [
            { x: band.x10, text: about(band.p10, zone), of: 'ink' as const },
            { x: band.x90, text: about(band.p90, zone), of: 'ink' as const },
          ]
        : []),
  ];
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
      {work && (
        <g fill={colour('hands')}>
          <path
            d={`M${clamp(work.begins)},${y - HALF} v${2 * HALF}`}
            stroke={colour('hands')}
            strokeWidth="3"
          />
          <rect
            x={clamp(work.begins)}
            y={y - HANDS}
            width={Math.max(2, clamp(start) - clamp(work.begins))}
            height={2 * HANDS}
          />
        </g>
      )}
      <rect
        x={clamp(start)}
        y={y - EDGE}
        width={Math.max(0, (band?.x10 ?? width) - clamp(start))}
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
      {band && (
        <>
          {Math.min(dotsFrom, farTo) > band.x90 && (
            <rect
              x={band.x90 - 1}
              y={y - RIGHT}
              width={Math.min(dotsFrom, farTo) - band.x90 + 1}
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
          <path d={lens(band.x10, band.x50, band.x90, y)} fill={colour('tender')} />
        </>
      )}
      {work && (
        <g fill={colour('hands')}>
          <rect
            x={clamp(work.lift)}
            y={y - HANDS}
            width={Math.max(3, clamp(work.plates) - clamp(work.lift))}
            height={2 * HANDS}
          />
          <path
            d={`M${clamp(work.lift) - 7},${y - HANDS - 1} l7,-9 7,9 z`}
            stroke={colour('ground')}
            strokeWidth="1.5"
          />
        </g>
      )}
      {serveAt !== undefined && (
        <line x1={x(serveAt)} x2={x(serveAt)} y1="0" y2={height} stroke={colour('rim')} strokeWidth="4" />
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
      <g
        style={{ fontVariantNumeric: 'tabular-nums', fontSize: 14, fontWeight: 600 }}
        stroke={colour('ground')}
        strokeWidth="4"
        paintOrder="stroke"
        textAnchor="middle"
      >
        {spread(words, width).map((word) => (
          <text key={`${word.of} ${word.text}`} x={word.x} y={height - 5} fill={colour(word.of)}>
            {word.text}
          </text>
        ))}
      </g>
    </svg>
  );
}

/** The hours over the rows, and the bell's name. */
export function TimeAxis({
  from,
  to,
  width,
  zone,
  serveAt,
  now,
  folded,
}: {
  from: number;
  to: number;
  width: number;
  zone: string;
  serveAt?: number;
  now?: number;
  /** The time between now and the beginning of the axis is folded away. */
  folded?: boolean;
}) {
  const x = timeScale(from, to, width);
  const bellX = serveAt === undefined ? -100 : x(serveAt);
  const clear = (at: number) =>
    Math.abs(x(at) - bellX) > 54 && x(at) > (folded ? 66 : 22) && x(at) < width - 16;
  // Where a day begins close to now its name stands over the next hour instead.
  const besideNow = (at: number) => now !== undefined && !folded && Math.abs(x(at) - x(now)) < 44;
  const ticks = hourTicks(from, to, width, zone).filter((tick) => clear(tick.at));
  const dayOver = (i: number) => {
    const [tick, before] = [ticks[i], ticks[i - 1]];
    if (tick && besideNow(tick.at)) return undefined;
    return tick?.day ?? (before && besideNow(before.at) ? before.day : undefined);
  };
  return (
    <svg width={width} height={44} aria-hidden style={{ display: 'block' }}>
      <g
        fill={colour('soft')}
        textAnchor="middle"
        style={{ fontVariantNumeric: 'tabular-nums', fontSize: 14 }}
      >
        {ticks.map((tick, i) => (
          <g key={tick.at}>
            {dayOver(i) && (
              <text x={x(tick.at)} y="14" style={{ fontWeight: 700 }}>
                {dayOver(i)}
              </text>
            )}
            <text x={x(tick.at)} y="32">
              {tick.label}
            </text>
            <line x1={x(tick.at)} x2={x(tick.at)} y1="38" y2="44" stroke={colour('line')} />
          </g>
        ))}
        {folded && <path d="M38,22 l6,5 -6,5 6,5 -6,5" fill="none" stroke={colour('soft')} strokeWidth="2" />}
        {now !== undefined && (folded || x(now) >= 0) && (
          <text
            x={Math.max(14, folded ? 14 : x(now))}
            y={folded ? 32 : 14}
            fill={colour('ink')}
            style={{ fontWeight: 600 }}
          >
            now
          </text>
        )}
        {serveAt !== undefined && (
          <g fill={colour('rim')} style={{ fontWeight: 700 }}>
            <path
              d={`M${bellX - 7},16 q0,-11 7,-11 q7,0 7,11 z M${bellX - 10},16 h20`}
              stroke={colour('rim')}
              strokeWidth="2"
            />
            <text x={Math.min(width - 24, bellX)} y="34" style={{ fontSize: 16 }}>
              {about(serveAt, zone)}
            </text>
          </g>
        )}
      </g>
    </svg>
  );
}
