import type { Schemas } from '../api/client';
import { colour } from '../theme/system';

const order: Schemas['Check'][] = ['firm', 'slice', 'fork', 'probe', 'pull', 'spoon'];

type Props = { by: Schemas['By']; found: Schemas['Check'] };

const W = 76;
const H = 46;
const BASE = 42;

/** The piece as it answers: fibres that lie close while it is firm, draw apart, and at last fall out of its shape. */
function Meat({ soft }: { soft: number }) {
  const slump = soft * 1.8;
  const left = 14 - slump;
  const right = 62 + slump;
  const top = 18 + slump * 0.9;
  const gap = 5 + soft * 1.5;
  const fibres = Array.from({ length: Math.floor((right - left - 4) / gap) }, (_, i) => left + 4 + i * gap);
  return (
    <g stroke={colour('ink')} strokeLinejoin="round">
      <path
        d={`M${left},${BASE} C${left - 1},${top + 6} ${left + 4},${top} ${left + 12},${top} H${right - 12} C${right - 4},${top} ${right + 1},${top + 6} ${right},${BASE} Z`}
        fill={colour('raw')}
        strokeWidth="2"
        strokeDasharray={soft >= 4 ? '5 3' : undefined}
      />
      {fibres.map((x, i) => (
        <path
          key={x}
          d={`M${x},${top + 4} L${x + (i % 2 ? 1 : -1) * soft * 0.8},${BASE - 3}`}
          strokeWidth="1.2"
          opacity={0.75 - soft * 0.09}
        />
      ))}
    </g>
  );
}

/** A check in a little drawing: what it is made with, and how far that goes in. */
export function CheckDrawing({ by, found }: Props) {
  const soft = order.indexOf(found);
  const deep = 16 + soft * 4.2;
  const iron = { stroke: colour('rim'), strokeWidth: 2.4, fill: 'none', strokeLinecap: 'round' as const };
  return (
    <svg width={W} height={H} viewBox={`0 0 ${W} ${H}`} aria-hidden style={{ flexShrink: 0 }}>
      <Meat soft={soft} />
      {by === 'fork' && (
        <path {...iron} d={`M38,0 V6 M33,6 H43 M33,6 V${deep} M38,6 V${deep} M43,6 V${deep}`} />
      )}
      {by === 'twist' && (
        <>
          <path
            {...iron}
            d={`M38,0 V6 M33,6 H43 M33,6 V${Math.min(deep, 32)} M43,6 V${Math.min(deep, 32)}`}
          />
          <path
            {...iron}
            d={`M${30 - soft},14 a${9 + soft},5 0 1 0 ${14 + soft},-3`}
            strokeDasharray={soft === 0 ? '2 4' : undefined}
          />
        </>
      )}
      {by === 'probe' && <path {...iron} d={`M38,0 V${deep + 4}`} strokeWidth={3} />}
      {by === 'bone' && (
        <g transform={`rotate(${soft * 5} 38 30) translate(0 ${-soft * 1.8})`}>
          <rect
            x="33"
            y="8"
            width="10"
            height="28"
            rx="5"
            fill={colour('panel')}
            stroke={colour('rim')}
            strokeWidth="2.2"
          />
        </g>
      )}
      {by === 'bite' && (
        <path
          d="M24,16 a6,6 0 0 1 9,-2 a6,6 0 0 1 10,0 a6,6 0 0 1 9,2 V6 H24 Z"
          fill={colour('ground')}
          stroke={colour('rim')}
          strokeWidth="2.2"
          strokeDasharray={soft === 0 ? '3 3' : undefined}
        />
      )}
    </svg>
  );
}
