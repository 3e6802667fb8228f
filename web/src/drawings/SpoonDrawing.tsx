import type { Schemas } from '../api/client';
import { colour } from '../theme/system';

/** The back of a spoon that was dipped and drawn across with a finger, at one of five thicknesses. */
export function SpoonDrawing({ shows, size = 72 }: { shows: Schemas['OnTheSpoon']; size?: number }) {
  const thick = ['runs', 'film', 'coats', 'clings', 'sticks'].indexOf(shows);
  const line = thick < 1 ? 0 : thick === 1 ? 3 : 9;
  return (
    <svg
      width={size}
      height={(size * 124) / 72}
      viewBox="0 -34 72 124"
      aria-hidden
      style={{ display: 'block' }}
    >
      <path d="M36,6 L36,-32" stroke={colour('ink')} strokeWidth="7" strokeLinecap="round" />
      <path d="M36,4 C14,4 8,26 14,40 C20,54 52,54 58,40 C64,26 58,4 36,4 Z" fill={colour('panel')} />
      {thick > 0 && (
        <path
          d="M36,8 C18,8 12,27 17,38 C23,50 49,50 55,38 C60,27 54,8 36,8 Z"
          fill={colour('heat')}
          opacity={0.18 + 0.17 * thick}
        />
      )}
      {line > 0 && (
        <line
          x1="8"
          x2="64"
          y1="27"
          y2="27"
          stroke={colour('panel')}
          strokeWidth={line}
          strokeDasharray={thick === 1 ? '6 7' : undefined}
        />
      )}
      <path
        d="M36,4 C14,4 8,26 14,40 C20,54 52,54 58,40 C64,26 58,4 36,4 Z"
        fill="none"
        stroke={colour('ink')}
        strokeWidth="3"
      />
      {thick === 0 && (
        <g stroke={colour('liquid')} strokeWidth="3" strokeLinecap="round">
          <line x1="28" x2="28" y1="56" y2="80" />
          <line x1="36" x2="36" y1="56" y2="86" />
          <line x1="44" x2="44" y1="56" y2="78" />
        </g>
      )}
      {(thick === 1 || thick === 2) && (
        <path d="M36,56 q5,10 0,14 q-5,-4 0,-14" fill={colour('heat')} opacity={0.3 + 0.25 * thick} />
      )}
      {thick === 3 && <path d="M36,52 q12,18 0,26 q-12,-8 0,-26" fill={colour('heat')} opacity="0.75" />}
      {thick === 4 && (
        <path
          d="M30,51 q6,14 4,36 M42,51 q-4,14 -4,36"
          fill="none"
          stroke={colour('heat')}
          strokeWidth="3"
          opacity="0.85"
        />
      )}
    </svg>
  );
}
