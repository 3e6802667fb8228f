import { useId } from 'react';
import { scaleLinear } from 'd3-scale';
import { useScale } from '../api/queries';
import { colour } from '../theme/system';
import { useWidth } from './useWidth';

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
  const scale = useScale().data ?? [];
  // The words stand evenly, the doses between them do not.
  const bounds = [...scale.map((mark) => mark.from), scale.at(-1)?.to ?? 1];
  const x = scaleLinear()
    .domain(bounds)
    .range(bounds.map((_, i) => (i * width) / Math.max(1, scale.length)))
    .clamp(true);
  const [low, middle, high] = [x(tenderness[0]), x(tenderness[1]), x(tenderness[2])];
  const top = 30;
  const tall = 40;
  const word = (value: number) =>
    scale.findLast((mark) => value >= mark.from)?.words ?? scale[0]?.words ?? '';
  const between =
    word(tenderness[0]) === word(tenderness[2])
      ? word(tenderness[1])
      : `between ${word(tenderness[0])} and ${word(tenderness[2])}`;
  const far = goal ? x(goal[1]) : width;
  if (scale.length === 0) return <div ref={ref} style={{ height: 118 }} />;
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
          {scale.map((mark, i) => (
            <pattern
              key={mark.check}
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
        {scale.map((mark, i) => (
          <g key={mark.check}>
            <rect
              x={(i * width) / scale.length}
              y={top}
              width={width / scale.length}
              height={tall}
              fill={`url(#${id}${i})`}
            />
            <text
              x={((i + 0.5) * width) / scale.length}
              y={top + tall + 22}
              textAnchor="middle"
              fill={colour('ink')}
              style={{
                fontSize: 16,
                fontWeight: goal && Math.abs(goal[0] - mark.from) < 0.01 ? 800 : 500,
              }}
            >
              {mark.words}
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
