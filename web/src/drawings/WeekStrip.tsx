import type { Schemas } from '../api/client';
import { clock, date, day, millis } from '../format/time';
import { colour } from '../theme/system';
import { timeScale } from './timeScale';
import { useWidth } from './useWidth';

const HOUR = 3_600_000;
const DAY = 24 * HOUR;
const ROW = 44;
const TOP = 34;
/** So many days are drawn at the least and the most. */
const DAYS = [3, 10] as const;

type Props = { meals: Schemas['MealEntry'][]; zone: string; now: number };

/** The days to come with their bells: each meal hangs from its hour. */
export function WeekStrip({ meals, zone, now }: Props) {
  const { ref, width } = useWidth<HTMLDivElement>(900);
  const ahead = meals.filter((meal) => millis(meal.serve_at) > now - 6 * HOUR);
  const last = Math.max(...ahead.map((meal) => millis(meal.serve_at)), now + DAYS[0] * DAY);
  const from = now - 2 * HOUR;
  const to = Math.min(last + 8 * HOUR, now + DAYS[1] * DAY);
  const x = timeScale(from, to, width);
  const drawn = ahead.filter((meal) => millis(meal.serve_at) <= to);
  // Names that would run into each other hang one below the other.
  const ends: number[] = [];
  const placed = drawn.map((meal) => {
    const at = x(millis(meal.serve_at));
    const label = `${clock(meal.serve_at, zone)} ${meal.name}`;
    const wide = 8.2 * label.length + 18;
    // At the edge the name stands before its bell.
    const left = at + 8 + wide <= width ? at + 8 : Math.max(0, at - 8 - wide);
    // Nor is a bell drawn through the name of the one before it.
    let row = ends.findIndex((end) => end <= Math.min(left, at - 4));
    if (row < 0) row = ends.length;
    ends[row] = left + wide;
    return { meal, at, label, left, row };
  });
  const height = TOP + ROW * Math.max(1, ends.length) + 4;
  const days: { at: number; name: string }[] = [];
  for (let at = from; at <= to; at += HOUR) {
    const before = days.at(-1);
    if (!before || day(at, zone) !== day(before.at, zone)) days.push({ at, name: date(at, zone) });
  }
  return (
    <div ref={ref}>
      <svg
        width={width}
        height={height}
        role="img"
        aria-label={drawn
          .map(({ name, serve_at: serveAt }) => `${name}, ${date(serveAt, zone)} ${clock(serveAt, zone)}`)
          .join('; ')}
        style={{ display: 'block' }}
      >
        {days.map(({ at, name }, i) => {
          // A day that is cut off by the edge has no room for its name.
          const room = x(days[i + 1]?.at ?? to) - x(at);
          return (
            <g key={at}>
              <line x1={x(at)} x2={x(at)} y1="0" y2={height} stroke={colour('line')} strokeWidth="1.5" />
              {room > 90 && (
                <text x={x(at) + 8} y="18" fill={colour('soft')} style={{ fontSize: 14, fontWeight: 600 }}>
                  {name}
                </text>
              )}
            </g>
          );
        })}
        <line
          x1={x(now)}
          x2={x(now)}
          y1="26"
          y2={height}
          stroke={colour('ink')}
          strokeWidth="2"
          strokeDasharray="2 4"
        />
        {placed.map(({ meal, at, row }) => (
          <line
            key={meal.id}
            x1={at}
            x2={at}
            y1="26"
            y2={TOP + ROW * row + 34}
            stroke={colour('rim')}
            strokeWidth="4"
          />
        ))}
        {placed.map(({ meal, label, left, row }) => (
          <text
            key={meal.id}
            x={left + 4}
            y={TOP + ROW * row + 22}
            fill={colour('ink')}
            stroke={colour('ground')}
            strokeWidth="6"
            paintOrder="stroke"
            style={{ fontSize: 16, fontWeight: 600, fontVariantNumeric: 'tabular-nums' }}
          >
            {label}
          </text>
        ))}
      </svg>
    </div>
  );
}
