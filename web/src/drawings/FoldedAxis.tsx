import { clock, span, weekday } from '../format/time';
import { colour } from '../theme/system';
import type { Folded } from './fold';
import { hourTicks } from './timeScale';

/** Days and hours over the stretches in which something is done, with a crease where nothing is. */
export function FoldedAxis({
  folded,
  left,
  zone,
  height,
  width,
}: {
  folded: Folded;
  /** Where time begins, px. */
  left: number;
  zone: string;
  height: number;
  width: number;
}) {
  return (
    <g fill={colour('soft')} style={{ fontVariantNumeric: 'tabular-nums', fontSize: 14 }}>
      {folded.stretches.map((stretch) => (
        <g key={stretch.from}>
          {stretch.width > 60 && (
            <text x={left + stretch.x} y="14" fill={colour('ink')} style={{ fontWeight: 700 }}>
              {weekday(stretch.from, zone)}
            </text>
          )}
          {stretch.width > 90 ? (
            hourTicks(stretch.from, stretch.to, stretch.width, zone).map((tick) => {
              const at = left + folded.x(tick.at);
              return (
                <g key={tick.at}>
                  <line x1={at} x2={at} y1="34" y2={height} stroke={colour('line')} />
                  <text x={Math.min(width - 20, at)} y="30" textAnchor="middle">
                    {tick.label}
                  </text>
                </g>
              );
            })
          ) : (
            <text x={left + stretch.x + stretch.width / 2} y="30" textAnchor="middle">
              {clock(stretch.from + 600_000, zone)}
            </text>
          )}
        </g>
      ))}
      {folded.creases.map((crease) => (
        <path
          key={crease.x}
          d={`M${left + crease.x - 4},34 l8,${(height - 40) / 4} l-8,${(height - 40) / 4} l8,${(height - 40) / 4} l-8,${(height - 40) / 4}`}
          fill="none"
          stroke={colour('soft')}
          strokeWidth="1.5"
        >
          <title>{`${span((crease.to - crease.from) / 60_000)} with nothing to do`}</title>
        </path>
      ))}
    </g>
  );
}

/** Now, and the bell through every lane. */
export function Marks({
  folded,
  now,
  serveAt,
  x,
  height,
  width,
}: {
  folded: Folded;
  now: number;
  serveAt: number;
  x: (at: number) => number;
  height: number;
  width: number;
}) {
  const [first, last] = [folded.stretches[0], folded.stretches.at(-1)];
  const inView = !!first && !!last && now >= first.from && now <= last.to;
  const at = Math.min(width - 2, x(serveAt));
  return (
    <g>
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
      <line x1={at} x2={at} y1="34" y2={height} stroke={colour('rim')} strokeWidth="4" />
    </g>
  );
}
