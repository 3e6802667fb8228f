import { format, type Units } from '../format/units';
import { colour } from '../theme/system';

type Props = {
  diameterCm: number;
  heightCm: number;
  liquidL: number;
  fatMm: number;
  finalL: number;
  /** What is dissolved in it: salt, g a kilo, and gelatin, %. */
  salt: number;
  gelatin: number;
  units: Units;
  width?: number;
};

/** The pot cut open: liquid with its fat cap, and the level it is brought down to. */
export function PotSection({
  diameterCm,
  heightCm,
  liquidL,
  fatMm,
  finalL,
  salt,
  gelatin,
  units,
  width = 360,
}: Props) {
  const scale = Math.min((width - 110) / diameterCm, 14);
  const [w, h] = [diameterCm * scale, Math.max(heightCm, 8) * scale];
  const floor = Math.PI * (diameterCm / 20) ** 2;
  // Decimetres of depth for litres, in centimetres of drawing; the fat is drawn no thinner than can be seen.
  const depth = (litres: number) => Math.min(h - 8, (litres / floor) * 10 * scale);
  const [left, bottom] = [22, h + 14];
  const liquid = depth(liquidL);
  const fat = fatMm > 0 ? Math.max(4, (fatMm / 10) * scale) : 0;
  const final = depth(finalL);
  return (
    <svg
      width={width}
      height={h + 48}
      role="img"
      aria-label={`The pot: ${format('volume', liquidL, units)} of liquid under ${format('small_length', fatMm, units)} of fat, with ${format('strength', salt, units)} of salt and ${gelatin.toFixed(1)} % of gelatin, to become ${format('volume', finalL, units)}`}
      style={{ display: 'block', maxWidth: '100%' }}
    >
      <rect x={left} y={bottom - liquid} width={w} height={liquid} fill={colour('liquid')} opacity="0.55" />
      <path
        d={`M${left},${bottom - liquid} q${w / 8},5 ${w / 4},0 t${w / 4},0 t${w / 4},0 t${w / 4},0`}
        stroke={colour('liquid')}
        strokeWidth="2.5"
        fill="none"
      />
      {scattered(Math.round(salt * 4), w, liquid).map(([x, y]) => (
        <rect
          key={`${x} ${y}`}
          x={left + x}
          y={bottom - y}
          width="3"
          height="3"
          fill={colour('ground')}
          transform={`rotate(45 ${left + x + 1.5} ${bottom - y + 1.5})`}
        />
      ))}
      {scattered(Math.round(gelatin * 5), w - 14, liquid, 0.37).map(([x, y]) => (
        <path
          key={`${x} ${y}`}
          d={`M${left + x},${bottom - y} q3,-4 6,0 t6,0`}
          fill="none"
          stroke={colour('tender')}
          strokeWidth="1.5"
        />
      ))}
      {fat > 0 && (
        <rect x={left} y={bottom - liquid - fat} width={w} height={fat} fill={colour('fat')} rx="3" />
      )}
      {fat > 0 &&
        Array.from({ length: 7 }, (_, i) => (
          <ellipse
            key={i}
            cx={left + ((i + 0.5) * w) / 7}
            cy={bottom - liquid - fat}
            rx="7"
            ry="3.5"
            fill={colour('fat')}
          />
        ))}
      {Math.abs(final - liquid) > 2 && (
        <path
          d={`M${left},${bottom - final} h${w + 10}`}
          stroke={colour('ink')}
          strokeWidth="2.5"
          strokeDasharray="7 5"
        />
      )}
      <path
        d={`M${left - 12},14 h10 v${h - 8} q0,8 8,8 h${w - 12} q8,0 8,-8 v${-(h - 8)} h10`}
        fill="none"
        stroke={colour('ink')}
        strokeWidth="5"
        strokeLinejoin="round"
      />
      <g fill={colour('ink')} style={{ fontSize: 14, fontWeight: 600 }}>
        <text x={left + w + 16} y={Math.min(bottom, bottom - final + 5)}>
          {format('volume', finalL, units)}
        </text>
        {fat > 0 && (
          <text x={left + w / 2} y={bottom - liquid - fat - 8} textAnchor="middle">
            {fatMm < 1 ? 'a film of fat' : `fat ${format('small_length', fatMm, units)}`}
          </text>
        )}
        <text
          x={left + w / 2}
          y={bottom - Math.max(12, liquid / 2) + 5}
          textAnchor="middle"
          stroke={colour('ground')}
          strokeWidth="4"
          paintOrder="stroke"
        >
          {format('volume', liquidL, units)}
        </text>
        <text x={left} y={bottom + 24} style={{ fontWeight: 400 }}>
          salt {format('strength', salt, units)}, gelatin {gelatin.toFixed(1)} %
        </text>
      </g>
    </svg>
  );
}

/** So many places in a layer, evenly strewn and the same each time it is drawn. */
function scattered(count: number, wide: number, high: number, from = 0.11): [number, number][] {
  const inside = Math.max(0, high - 8);
  return Array.from({ length: Math.min(count, 90) }, (_, i) => [
    4 + ((from + i * 0.618_034) % 1) * (wide - 10),
    5 + ((from * 3 + i * 0.754_878) % 1) * inside,
  ]);
}
