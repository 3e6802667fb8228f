import type { Schemas } from '../api/client';
import { colour } from '../theme/system';

/** Coals around the pot seen from above: a ring beneath at its rim, the others on the lid. */
export function CoalRing({ ring, size = 260 }: { ring: Schemas['CoalRing']; size?: number }) {
  const middle = size / 2;
  const pot = size * 0.34;
  const around = (count: number, radius: number) =>
    Array.from({ length: Math.min(count, 60) }, (_, i) => {
      const angle = (2 * Math.PI * i) / Math.min(count, 60) - Math.PI / 2;
      return { x: middle + radius * Math.cos(angle), y: middle + radius * Math.sin(angle) };
    });
  return (
    <svg
      width={size}
      height={size}
      role="img"
      aria-label={`${ring.under} coals in a ring under the rim, ${ring.over} on the lid`}
      style={{ display: 'block' }}
    >
      {around(ring.under, pot + 24).map((at, i) => (
        <rect
          key={i}
          x={at.x - 8}
          y={at.y - 8}
          width="16"
          height="16"
          rx="5"
          fill={colour('heat')}
          stroke={colour('ink')}
          strokeWidth="1.5"
        />
      ))}
      <circle cx={middle} cy={middle} r={pot} fill={colour('panel')} stroke={colour('ink')} strokeWidth="5" />
      {around(ring.over, pot - 20).map((at, i) => (
        <rect
          key={i}
          x={at.x - 7}
          y={at.y - 7}
          width="14"
          height="14"
          rx="5"
          fill="none"
          stroke={colour('heat')}
          strokeWidth="3"
        />
      ))}
      <text
        x={middle}
        y={middle + 5}
        textAnchor="middle"
        fill={colour('ink')}
        style={{ fontSize: 14, fontWeight: 700 }}
      >
        {ring.over} on the lid
      </text>
    </svg>
  );
}
