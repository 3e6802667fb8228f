import { useId } from 'react';
import { scaleLinear } from 'd3-scale';
import { colour } from '../theme/system';
import { useWidth } from './useWidth';

const words = ['firm', 'slice', 'fork', 'probe', 'pull', 'spoon'] as const;
/** Where each word begins, in tender-hours of a cut of resistance 1; the words stand evenly, the doses do not. */
const bounds = [0, 1.1, 1.6, 2.2, 2.6, 4, 6];

type Props = {
  /** P10, P50, P90 on the scale of slice to spoon. */
  tenderness: [number, number, number];
  /** What is enough, and what is too far. */
  goal?: [number, number];
  /** The moment it shows. */
  when?: string;
};

/** slice · fork · probe · pull · spoon, with a pointer as soft as the doubt, frayed past too far. */
export function TendernessBar({ tenderness, goal, when = 'now' }: Props) {
  const id = useId();
  const { ref, width } = useWidth<HTMLDivElement>();
  const x = scaleLinear()
    .domain(bounds)
    .range(bounds.map((_, i) => (i * width) / (bounds.length - 1)))
    .clamp(true);
  const [low, middle, high] = tenderness.map((value) => x(value)) as [number, number, number];
  const top = 30;
  const tall = 40;
  const word = (value: number) =>
    words[
      Math.max(
        0,
        bounds.findLastIndex((bound) => value >= bound),
      )
    ] ?? 'spoon';
  const between =
    word(tenderness[0]) === word(tenderness[2])
      ? word(tenderness[1])
      : `between ${word(tenderness[0])} and ${word(tenderness[2])}`;
  const far = goal ? x(goal[1]) : width;
  return (
    <div ref={ref}>
      <svg
        width={width}
        height={118}
        role="img"
        aria-label={`Tenderness ${when}: ${between}`}
        style={{ display: 'block' }}
      >
        <defs>
          {words.map((name, i) => (
            <pattern
              key={name}
              id={`${id}${i}`}
              width={4 + i * 3}
              height="8"
              patternUnits="userSpaceOnUse"
              patternTransform={`rotate(${12 + i * 9})`}
            >
              <line
                x1="1"
                y1="0"
                x2="1"
                y2="8"
                stroke={colour('tender')}
                strokeWidth={i < 3 ? 1.8 : 1.4}
                opacity={0.9 - i * 0.12}
              />
            </pattern>
          ))}
        </defs>
        {words.map((name, i) => (
          <g key={name}>
            <rect x={(i * width) / 6} y={top} width={width / 6} height={tall} fill={`url(#${id}${i})`} />
            <text
              x={((i + 0.5) * width) / 6}
              y={top + tall + 22}
              textAnchor="middle"
              fill={colour('ink')}
              style={{
                fontSize: 16,
                fontWeight: goal && Math.abs(goal[0] - (bounds[i] ?? -1)) < 0.01 ? 800 : 500,
              }}
            >
              {name}
            </text>
          </g>
        ))}
        {goal && far < width && (
          <path
            d={`M${far},${top} ${Array.from({ length: 8 }, (_, i) => `l${i % 2 ? -6 : 6},${tall / 8}`).join(' ')} H${width} V${top} Z`}
            fill={colour('ground')}
            opacity="0.7"
          />
        )}
        <rect
          x="1"
          y={top}
          width={width - 2}
          height={tall}
          fill="none"
          stroke={colour('rim')}
          strokeWidth="2"
          rx="4"
        />
        {goal && (
          <g fill={colour('rim')}>
            <rect x={x(goal[0]) - 2} y={top - 4} width="4" height={tall + 8} />
            <text
              x={Math.min(width - 30, x(goal[0]))}
              y={top + tall + 42}
              textAnchor="middle"
              style={{ fontSize: 14, fontWeight: 700 }}
            >
              enough
            </text>
          </g>
        )}
        <rect
          x={low}
          y={top}
          width={Math.max(4, high - low)}
          height={tall}
          fill={colour('tender')}
          opacity="0.35"
          rx="8"
        />
        <path d={`M${middle},${top - 2} l-11,-18 h22 z`} fill={colour('tender')} />
        <rect x={middle - 2} y={top} width="4" height={tall} fill={colour('tender')} />
      </svg>
    </div>
  );
}
