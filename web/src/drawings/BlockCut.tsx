import type { Schemas } from '../api/client';
import { format, type Units } from '../format/units';
import { colour } from '../theme/system';
import { Picture } from './Picture';
import { useWidth } from './useWidth';

const GAP = 8;

/** The meat cut up, at one scale, with what comes off it beside. */
export function BlockCut({
  trimmed,
  units,
  height = 300,
}: {
  trimmed: Schemas['Trimmed'];
  units: Units;
  height?: number;
}) {
  const { ref, width } = useWidth<HTMLDivElement>(720);
  const [thick, middle, long] = trimmed.size_mm;
  const room = width - (width > 560 ? 200 : 120);
  const count = Math.min(trimmed.pieces, 80);
  // The largest scale at which every piece lies in the room, broad side up.
  let scale = Math.min(room / long, (height - 20) / middle, 3);
  const fits = (of: number) =>
    Math.floor((room + GAP) / (long * of + GAP)) * Math.floor((height - 20 + GAP) / (middle * of + GAP)) >=
    count;
  while (scale > 0.05 && !fits(scale)) scale *= 0.95;
  const across = Math.max(1, Math.floor((room + GAP) / (long * scale + GAP)));
  const [w, h] = [long * scale, middle * scale];
  const off = [
    { name: 'fat off', kg: trimmed.fat_kg, of: 'fat' },
    { name: 'sinew', kg: trimmed.sinew_kg, of: 'soft' },
    { name: 'bone in it', kg: trimmed.bone_kg, of: 'line' },
  ].filter((part) => part.kg > 0.005);
  const said = `${trimmed.pieces} ${trimmed.pieces === 1 ? 'piece' : 'pieces'} of ${format('small_mass', trimmed.piece_kg * 1000, units)}, ${format('small_length', thick, units)} thick`;
  return (
    <div ref={ref}>
      <Picture width={width} height={height} label={said}>
        <defs>
          <pattern id="fibres" width="14" height="8" patternUnits="userSpaceOnUse">
            <path
              d="M0,4 q7,-4 14,0"
              stroke={colour('tender')}
              strokeWidth="1.3"
              fill="none"
              opacity="0.45"
            />
          </pattern>
        </defs>
        {Array.from({ length: count }, (_, i) => {
          const x = 4 + (i % across) * (w + GAP);
          const y = 10 + Math.floor(i / across) * (h + GAP);
          return [colour('raw'), 'url(#fibres)'].map((fill) => (
            <rect
              key={`${i} ${fill}`}
              x={x}
              y={y}
              width={w}
              height={h}
              rx={Math.min(18, h / 4)}
              fill={fill}
              stroke={colour('ink')}
              strokeWidth="2"
            />
          ));
        })}
        {off.map((part, i) => (
          <g key={part.name}>
            <rect
              x={width - 34}
              y={16 + i * 58}
              width="30"
              height="30"
              rx="9"
              fill={colour(part.of as 'fat')}
              stroke={colour('ink')}
              strokeWidth="1.5"
            />
            <text
              x={width - 44}
              y={28 + i * 58}
              textAnchor="end"
              fill={colour('soft')}
              style={{ fontSize: 14 }}
            >
              {part.name}
            </text>
            <text
              x={width - 44}
              y={46 + i * 58}
              textAnchor="end"
              fill={colour('ink')}
              style={{ fontSize: 16, fontWeight: 700, fontVariantNumeric: 'tabular-nums' }}
            >
              {format('small_mass', Math.round(part.kg * 200) * 5, units)}
            </text>
          </g>
        ))}
        <text x={width - 4} y={height - 32} textAnchor="end" fill={colour('soft')} style={{ fontSize: 14 }}>
          {trimmed.pieces === 1 ? 'one piece' : `${trimmed.pieces} pieces`},{' '}
          {format('small_length', thick, units)} thick
        </text>
        <text
          x={width - 4}
          y={height - 8}
          textAnchor="end"
          fill={colour('ink')}
          style={{ fontSize: 20, fontWeight: 700, fontVariantNumeric: 'tabular-nums' }}
        >
          {trimmed.pieces === 1
            ? format('mass', trimmed.piece_kg, units)
            : `${format('small_mass', Math.round(trimmed.piece_kg * 1000), units)} each`}
        </text>
      </Picture>
    </div>
  );
}
