import type { Schemas } from '../api/client';
import { colour } from '../theme/system';

/** A way of taking the fat off, with what would stay on the liquid, as a share of what stands on it. */
export function SkimDrawing({ with: way, stays }: { with: Schemas['Skim']; stays: number }) {
  const fat = Math.max(stays > 0 ? 2 : 0, 16 * stays);
  return (
    <svg width="96" height="84" viewBox="0 0 96 84" aria-hidden style={{ display: 'block' }}>
      {way === 'bag' ? (
        <>
          <path
            d="M20,6 L76,6 L52,70 L44,70 Z"
            fill={colour('liquid')}
            fillOpacity="0.45"
            stroke={colour('ink')}
            strokeWidth="3"
            strokeLinejoin="round"
          />
          <path
            d={`M20,7 L76,7 L${76 - fat * 0.4},${7 + fat} L${20 + fat * 0.4},${7 + fat} Z`}
            fill={colour('fat')}
          />
          <path d="M48,72 q4,6 0,9 q-4,-3 0,-9" fill={colour('liquid')} />
        </>
      ) : (
        <>
          <rect x="14" y="34" width="60" height="40" fill={colour('liquid')} fillOpacity="0.45" />
          <rect x="14" y={34 - fat + 6} width="60" height={fat} fill={colour('fat')} />
          <path
            d="M14,20 V74 H74 V20"
            fill="none"
            stroke={colour('ink')}
            strokeWidth="3"
            strokeLinejoin="round"
          />
        </>
      )}
      {way === 'ladle' && (
        <path
          d="M86,4 L62,30 q-16,4 -20,-6 q8,4 16,0"
          fill={colour('panel')}
          stroke={colour('ink')}
          strokeWidth="3"
          strokeLinejoin="round"
        />
      )}
      {way === 'spout' && (
        <path
          d="M74,66 q14,-4 12,-30 l6,-4"
          fill="none"
          stroke={colour('ink')}
          strokeWidth="4"
          strokeLinecap="round"
        />
      )}
      {way === 'chill' && (
        <g stroke={colour('liquid')} strokeWidth="3" strokeLinecap="round">
          <rect
            x="18"
            y="6"
            width="52"
            height="9"
            rx="3"
            fill={colour('fat')}
            stroke={colour('ink')}
            strokeWidth="2"
          />
          <path d="M84,44 v20 M76,49 l16,10 M76,59 l16,-10" />
        </g>
      )}
    </svg>
  );
}
