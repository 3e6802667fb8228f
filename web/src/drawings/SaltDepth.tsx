import type { Schemas } from '../api/client';
import { format, type Units } from '../format/units';
import { colour } from '../theme/system';
import { Picture } from './Picture';
import { useWidth } from './useWidth';

/** A piece cut across: how deep the salt has come by the pan, at the least and at the most. */
export function SaltDepth({
  salt,
  sizeMm,
  units,
  height = 300,
}: {
  salt: Schemas['SaltAnswer'];
  sizeMm: readonly number[];
  units: Units;
  height?: number;
}) {
  const { ref, width } = useWidth<HTMLDivElement>(720);
  const [thick = 60, middle = 100] = sizeMm;
  const scale = Math.min((width - 190) / middle, (height - 30) / thick);
  const [w, h] = [middle * scale, thick * scale];
  const [left, top] = [6, (height - h) / 2];
  const [low, high] = [salt.depth_mm[0] * scale, salt.depth_mm[1] * scale];
  const round = Math.min(26, h / 4);
  const inset = (by: number) => ({
    x: left + by,
    y: top + by,
    width: Math.max(0, w - 2 * by),
    height: Math.max(0, h - 2 * by),
    rx: Math.max(2, round - by / 2),
  });
  const [least, most] = salt.depth_mm.map((mm) => format('small_length', mm, units));
  return (
    <div ref={ref}>
      <Picture
        width={width}
        height={height}
        label={`Salt reaches ${least} to ${most} of ${format('small_length', salt.to_middle_mm, units)} to the middle`}
      >
        <defs>
          <pattern id="salted" width="9" height="9" patternUnits="userSpaceOnUse">
            <circle cx="2.5" cy="2.5" r="1.5" fill={colour('rim')} />
            <circle cx="7" cy="7" r="1.1" fill={colour('rim')} />
          </pattern>
        </defs>
        <rect {...inset(0)} fill={colour('raw')} stroke={colour('ink')} strokeWidth="3" />
        <rect {...inset(0)} fill="url(#salted)" />
        <rect {...inset(low)} fill={colour('raw')} opacity="0.55" />
        <rect {...inset(high)} fill={colour('raw')} />
        <rect {...inset(low)} fill="none" stroke={colour('rim')} strokeWidth="2" strokeDasharray="3 5" />
        <rect {...inset(high)} fill="none" stroke={colour('rim')} strokeWidth="2.5" />
        <g fill={colour('ink')} style={{ fontSize: 14, fontWeight: 600 }}>
          <text x={left + w + 18} y={top + 18}>
            salt reaches
          </text>
          <text
            x={left + w + 18}
            y={top + 48}
            style={{ fontSize: 28, fontWeight: 700, fontVariantNumeric: 'tabular-nums' }}
          >
            {least?.replace(/ .*/, '')}–{most}
          </text>
          <text x={left + w + 18} y={top + 72} fill={colour('soft')} style={{ fontWeight: 400 }}>
            of {format('small_length', salt.to_middle_mm, units)} to the middle
          </text>
        </g>
      </Picture>
    </div>
  );
}
