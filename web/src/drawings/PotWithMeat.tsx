import type { Schemas } from '../api/client';
import { depthOf, litresAt } from '../format/between';
import { format, type Units } from '../format/units';
import { colour } from '../theme/system';
import { arrowSteps, useDragged, useHandle } from './useDragged';
import { useWidth } from './useWidth';

type Pot = Schemas['PotAnswer'];

type Props = {
  pot: Pot;
  /** The liquid under the hand, before the kitchen has answered for it. */
  litres?: number;
  pieces: number;
  sizeMm: readonly number[];
  /** The fat cap, mm. */
  fatMm: number;
  units: Units;
  onLitres: (litres: number) => void;
  height?: number;
};

const LEFT = 190;
const RIGHT = 150;
const TOP = 46;
const BOTTOM = 20;

/** Pieces packed in layers, as they would be seen in the cut. */
function pack(pot: Pot, pieces: number, [thick = 50, middle = 60, long = 80]: readonly number[]) {
  const across = Math.max(1, Math.floor(pot.across_mm / (middle * 1.04)));
  const deep = Math.max(1, Math.round((0.75 * pot.across_mm) / long));
  const layers = Math.max(1, Math.round(pot.meat_mm / thick));
  // What lies in front of each other is seen as one.
  const seen = Math.min(across * layers, Math.max(Math.ceil(pieces / deep), Math.min(pieces, across)));
  const wide = Math.min(middle, pot.across_mm / across - 2);
  const high = pot.meat_mm / layers;
  return Array.from({ length: Math.min(seen, 90) }, (_, i) => {
    const layer = Math.floor(i / across);
    const here = Math.min(across, seen - layer * across);
    const gap = (pot.across_mm - here * wide) / (here + 1);
    const at = i % across;
    return { x: gap + at * (wide + gap), y: layer * high, w: wide, h: high - 2 };
  });
}

/** Names along the stick, kept from lying on each other. */
function spread(
  marks: { mm: number; y: number; name: string; of: 'ink' | 'liquid' | 'caution' }[],
  lowest: number,
) {
  const sorted = [...marks].sort((a, b) => a.y - b.y).map((mark) => ({ ...mark, at: mark.y }));
  let above = -Infinity;
  for (const mark of sorted) above = mark.at = Math.max(mark.at, above + 20);
  const over = Math.max(0, (sorted.at(-1)?.at ?? 0) - lowest);
  return sorted.map((mark) => ({ ...mark, at: mark.at - over }));
}

/** This pot cut open with the meat in it: a line of liquid to drag, and the marks to read on a skewer. */
export function PotWithMeat({
  pot,
  litres,
  pieces,
  sizeMm,
  fatMm,
  units,
  onLitres,
  height: room = 380,
}: Props) {
  const { ref, width } = useWidth<HTMLDivElement>(760);
  const narrow = width < 560;
  const [left, right] = narrow ? [122, 88] : [LEFT, RIGHT];
  const scale = Math.min((width - left - right) / pot.across_mm, (room - TOP - BOTTOM) / pot.height_mm);
  // A narrow page makes it shallower: no room is kept that is not drawn in.
  const height = Math.max(TOP + BOTTOM + pot.height_mm * scale, 150);
  const w = pot.across_mm * scale;
  const bottom = height - BOTTOM;
  const y = (mm: number) => bottom - mm * scale;
  const poured = litres ?? pot.liquid_l;
  const levelMm = depthOf(pot.depths, poured);
  const level = Math.min(levelMm, pot.height_mm);
  const surface = y(level);
  const fat = fatMm * scale;
  const most = pot.depths.at(-1)?.l ?? pot.holds_l;
  const set = (litres: number) => onLitres(Math.round(Math.min(most, Math.max(0, litres)) * 100) / 100);
  const handle = useHandle();
  const dragged = useDragged<number>({
    take: () => Math.min(levelMm, pot.height_mm),
    move: (mm, by) => set(litresAt(pot.depths, mm - by.y / scale)),
  });
  const mm = (depth: number) => format('small_length', depth, units);
  const marks = spread(
    [
      { mm: pot.marks_mm.now, y: y(pot.marks_mm.now), name: 'now', of: 'liquid' },
      { mm: pot.marks_mm.half, y: y(pot.marks_mm.half), name: 'by half', of: 'ink' },
      { mm: pot.marks_mm.stop, y: y(pot.marks_mm.stop), name: 'stop: salt', of: 'ink' },
      { mm: pot.marks_mm.catch, y: y(pot.marks_mm.catch), name: 'catches', of: 'caution' },
    ],
    height - 12,
  );
  const stick = left + Math.min(34, w * 0.1);
  const steam = Math.min(9, Math.round(pot.loss_l * 5));
  return (
    <div ref={ref}>
      <svg width={width} height={height} style={{ display: 'block', touchAction: 'pan-y' }}>
        <title>{`The pot cut open: meat ${mm(pot.meat_mm)} high, ${format('volume', pot.liquid_l, units)} of liquid ${mm(pot.level_mm)} deep`}</title>
        <defs>
          <pattern id="grain" width="9" height="7" patternUnits="userSpaceOnUse">
            <path d="M0,4 q4,-3 9,0" stroke={colour('tender')} strokeWidth="1.2" fill="none" opacity="0.5" />
          </pattern>
        </defs>
        {Array.from({ length: steam }, (_, i) => {
          const x = left + ((i + 0.5) * w) / steam;
          return (
            <path
              key={i}
              d={`M${x},${y(pot.height_mm) - 8} q-6,-8 0,-15 t0,-15`}
              stroke={colour('soft')}
              strokeWidth="2"
              fill="none"
              opacity="0.7"
            />
          );
        })}
        <rect
          x={left}
          y={surface}
          width={w}
          height={bottom - surface}
          fill={colour('liquid')}
          opacity="0.35"
        />
        {pack(pot, pieces, sizeMm).map((piece, i) => (
          <g key={i}>
            {[colour('raw'), 'url(#grain)'].map((fill) => (
              <rect
                key={fill}
                x={left + piece.x * scale}
                y={bottom - (piece.y + piece.h) * scale}
                width={piece.w * scale}
                height={piece.h * scale}
                rx={Math.min(10, (piece.h * scale) / 3)}
                fill={fill}
                stroke={colour('ink')}
                strokeWidth="1.5"
              />
            ))}
          </g>
        ))}
        <rect
          x={left}
          y={surface}
          width={w}
          height={bottom - surface}
          fill={colour('liquid')}
          opacity="0.28"
        />
        {fat > 0.8 && level > 0 && (
          <rect
            x={left}
            y={surface}
            width={w}
            height={Math.max(3, fat)}
            fill={colour('fat')}
            opacity="0.85"
          />
        )}
        {pot.pressure_mm && (
          <g stroke={colour('caution')} strokeWidth="2" strokeDasharray="8 5">
            {pot.pressure_mm.map((depth, i) => (
              <path key={i} d={`M${left},${y(depth)} h${w}`} />
            ))}
          </g>
        )}
        {pot.pressure_mm?.map((depth, i) => (
          <text
            key={i}
            x={left + w + 10}
            y={y(depth) + 5}
            fill={colour('caution')}
            style={{ fontSize: 14, fontWeight: 600 }}
          >
            {i === 0 ? 'least' : 'most'}
          </text>
        ))}
        <path
          d={`M${left - 14},${y(pot.height_mm)} h12 V${bottom - 10} q0,12 12,12 h${w - 20} q12,0 12,-12 V${y(pot.height_mm)} h12`}
          fill="none"
          stroke={pot.fits ? colour('ink') : colour('caution')}
          strokeWidth="5"
          strokeLinejoin="round"
        />
        <path
          d={`M${stick},${y(pot.height_mm) - 26} V${bottom - 2}`}
          stroke={colour('ground')}
          strokeWidth="9"
        />
        <path
          d={`M${stick},${y(pot.height_mm) - 26} V${bottom - 2}`}
          stroke={colour('ink')}
          strokeWidth="3.5"
        />
        {marks.map((mark) => (
          <g key={mark.name}>
            <path
              d={`M${stick - 9},${mark.y} h18 M${stick - 9},${mark.y} L${left - 26},${mark.at} h-8`}
              stroke={colour(mark.of)}
              strokeWidth="2"
              fill="none"
            />
            <text
              x={left - 38}
              y={mark.at + 5}
              textAnchor="end"
              fill={colour(mark.of)}
              style={{ fontSize: 14, fontWeight: 600, fontVariantNumeric: 'tabular-nums' }}
            >
              {narrow ? `${mark.name} ${mm(mark.mm).replace(' mm', '')}` : `${mark.name} ${mm(mark.mm)}`}
            </text>
          </g>
        ))}
        <g
          {...handle}
          aria-label="Liquid"
          aria-orientation="vertical"
          aria-valuemin={0}
          aria-valuemax={Math.round(most * 100) / 100}
          aria-valuenow={Math.round(poured * 100) / 100}
          aria-valuetext={`${format('volume', poured, units)}, ${mm(levelMm)} deep`}
          style={{ cursor: 'ns-resize', touchAction: 'none' }}
          {...dragged()}
          onKeyDown={(event) => {
            const steps = arrowSteps(event, 5);
            if (steps) set(poured + 0.05 * steps);
          }}
        >
          <rect x={left} y={surface - 22} width={w + right - 6} height="44" fill="transparent" />
          <path
            d={`M${left},${surface} q${w / 16},5 ${w / 8},0 t${w / 8},0 t${w / 8},0 t${w / 8},0 t${w / 8},0 t${w / 8},0 t${w / 8},0 t${w / 8},0`}
            stroke={colour('liquid')}
            strokeWidth="4"
            fill="none"
          />
          <path d={`M${left + w + 6},${surface} l14,-11 v22 z`} fill={colour('liquid')} />
          <text
            x={left + w + 26}
            y={surface + 7}
            fill={colour('liquid')}
            style={{ fontSize: narrow ? 16 : 20, fontWeight: 700, fontVariantNumeric: 'tabular-nums' }}
          >
            {format('volume', poured, units)}
          </text>
        </g>
      </svg>
    </div>
  );
}
