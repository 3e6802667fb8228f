import { scaleLinear } from 'd3-scale';
import { curveMonotoneX, line } from 'd3-shape';
import type { Schemas } from '../api/client';
import { span } from '../format/time';
import { format, type Units } from '../format/units';
import { colour, type Colour } from '../theme/system';
import { Picture } from './Picture';
import { useWidth } from './useWidth';

type Forecast = Schemas['Forecast'];
type Point = Schemas['CurvePoint'];

const LEFT = 8;
const RIGHT = 118;
const TOP = 34;
const BOTTOM = 24;

/** The cook that this bench leads to: how warm, how tender, how much liquid; what was before is dashed behind it. */
export function BenchCurve({
  forecast,
  before,
  units,
  height = 180,
}: {
  forecast: Forecast;
  before?: Forecast;
  units: Units;
  height?: number;
}) {
  const { ref, width } = useWidth<HTMLDivElement>(760);
  const lastOf = (of?: Forecast) => of?.curve.at(-1)?.min ?? 60;
  const last = Math.max(lastOf(forecast), lastOf(before));
  const x = scaleLinear([0, last], [LEFT, width - RIGHT]);
  const y = scaleLinear([0, 1], [height - BOTTOM, TOP]);
  const litres = Math.max(0.1, ...[forecast, before].flatMap((of) => of?.curve.map((p) => p.liquid_l) ?? []));
  const lines: { name: string; of: Colour; at: (point: Point, of: Forecast) => number; said: string }[] = [
    {
      name: 'middle',
      of: 'ink',
      at: (point) => Math.max(0, point.core_c) / 110,
      said: format('temperature', forecast.curve.at(-1)?.core_c ?? 0, units),
    },
    {
      name: 'tender',
      of: 'tender',
      at: (point, of) => Math.min(1, (point.softening_h / of.enough_softening_h) * 0.8),
      said: '',
    },
  ];
  if (litres > 0.11)
    lines.push({
      name: 'liquid',
      of: 'liquid',
      at: (point) => (point.liquid_l / litres) * 0.9,
      said: format('volume', Number((forecast.liquid_left_l ?? 0).toFixed(1)), units),
    });
  const path = (of: Forecast, at: (point: Point, of: Forecast) => number) =>
    line<Point>(
      (point) => x(point.min),
      (point) => y(at(point, of)),
    ).curve(curveMonotoneX)(of.curve) ?? '';
  const end = forecast.curve.at(-1);
  const ends = lines
    .map((each) => ({ ...each, y: end ? y(each.at(end, forecast)) : TOP }))
    .sort((a, b) => a.y - b.y);
  let above = -Infinity;
  for (const each of ends) above = each.y = Math.max(each.y, above + 18);
  const { p10, p50, p90 } = forecast.ready_min;
  const step = [15, 30, 60, 120, 180, 240, 360, 720, 1440].find(
    (every) => (last / every) * 64 <= width - LEFT - RIGHT,
  );
  const ticks = Array.from({ length: Math.floor(last / (step ?? 2880)) + 1 }, (_, i) => i * (step ?? 2880));
  return (
    <div ref={ref}>
      <Picture
        width={width}
        height={height}
        label={
          p10 != null && p90 != null
            ? `Tender after ${span(p10)} to ${span(p90)}`
            : 'Not tender within three days'
        }
      >
        <path d={`M${LEFT},${height - BOTTOM} H${width - RIGHT}`} stroke={colour('line')} strokeWidth="2" />
        {ticks.map((minute) => (
          <text
            key={minute}
            x={x(minute)}
            y={height - 6}
            textAnchor={minute === 0 ? 'start' : 'middle'}
            fill={colour('soft')}
            style={{ fontSize: 14 }}
          >
            {minute === 0 ? 'in' : span(minute)}
          </text>
        ))}
        {p10 != null && p90 != null && (
          <rect
            x={x(p10)}
            y={TOP}
            width={Math.max(3, x(Math.min(p90, last)) - x(p10))}
            height={height - BOTTOM - TOP}
            fill={colour('tender')}
            opacity="0.14"
          />
        )}
        {p10 != null && p50 != null && p90 != null && (
          <text
            x={Math.min(width - RIGHT - 50, Math.max(92, x(p50)))}
            y={16}
            textAnchor="middle"
            fill={colour('tender')}
            style={{ fontSize: 14, fontWeight: 700 }}
          >
            tender {span(Math.round(p10 / 5) * 5)} to {span(Math.round(p90 / 5) * 5)}
          </text>
        )}
        {before &&
          lines.map((each) => (
            <path
              key={each.name}
              d={path(before, each.at)}
              fill="none"
              stroke={colour(each.of)}
              strokeWidth="1.8"
              strokeDasharray="3 5"
              opacity="0.8"
            />
          ))}
        {lines.map((each) => (
          <path
            key={each.name}
            d={path(forecast, each.at)}
            fill="none"
            stroke={colour(each.of)}
            strokeWidth="3"
          />
        ))}
        {ends.map((end) => (
          <text
            key={end.name}
            x={width - RIGHT + 8}
            y={end.y + 5}
            fill={colour(end.of)}
            style={{ fontSize: 14, fontWeight: 700 }}
          >
            {end.name} {end.said}
          </text>
        ))}
      </Picture>
    </div>
  );
}
