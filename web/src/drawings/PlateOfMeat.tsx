import { format, type Units } from '../format/units';
import { colour } from '../theme/system';
import { Picture } from './Picture';

const SIZE = 220;

/** A plate from above with what each has, to scale against a usual plate of meat. */
export function PlateOfMeat({
  kg,
  plateKg: [least = 0, most = 0],
  units,
}: {
  kg: number;
  /** What a plate takes: drawn as a ring. */
  plateKg: number[];
  units: Units;
}) {
  const middle = SIZE / 2;
  const usual = (least + most) / 2;
  const radius = (of: number) => Math.min(88, 52 * Math.sqrt(of / usual));
  const r = radius(kg);
  // Two lobes of meat, as they lie beside each other.
  const lobes = [
    { x: -0.3, y: -0.12, rx: 0.72, ry: 0.62, turn: -24 },
    { x: 0.32, y: 0.18, rx: 0.66, ry: 0.56, turn: 32 },
  ];
  return (
    <Picture width={SIZE} height={SIZE} label={`${format('mass', kg, units)} of meat on each plate`}>
      <circle
        cx={middle}
        cy={middle}
        r={SIZE / 2 - 4}
        fill={colour('panel')}
        stroke={colour('rim')}
        strokeWidth="4"
      />
      <circle cx={middle} cy={middle} r={SIZE / 2 - 22} fill="none" stroke={colour('line')} strokeWidth="2" />
      {lobes.map(({ x, y, rx, ry, turn }) => (
        <g key={turn} transform={`translate(${middle + x * r} ${middle + y * r}) rotate(${turn})`}>
          <ellipse rx={rx * r} ry={ry * r} fill={colour('tender')} stroke={colour('ink')} strokeWidth="2.5" />
          {[-0.4, 0, 0.4].map((at) => (
            <line
              key={at}
              x1={-0.6 * rx * r}
              x2={0.6 * rx * r}
              y1={at * ry * r}
              y2={at * ry * r}
              stroke={colour('ground')}
              strokeWidth="2"
              strokeDasharray="9 6"
              opacity="0.6"
            />
          ))}
        </g>
      ))}
      <circle
        cx={middle}
        cy={middle}
        r={radius(usual)}
        fill="none"
        stroke={colour('ink')}
        strokeWidth="2.5"
        strokeDasharray="3 7"
        strokeLinecap="round"
      />
    </Picture>
  );
}
