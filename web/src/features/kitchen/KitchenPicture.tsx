import { colour } from '../../theme/system';
import { useMayChange } from '../../api/role';
import { useWidth } from '../../drawings/useWidth';
import { sizeOf, type Placed } from './things';

const GAP = 26;
const NAME = 66;
/** Where a row begins, so that no stroke is cut off. */
const EDGE = 4;

type Box = { placed: Placed; x: number; y: number; w: number; h: number; room: number };

/** Everything on its shelf, one beside the other, as many in a row as there is room for; all standing on the shelf's edge. */
function shelve(things: Placed[], width: number, scale: number) {
  const boxes: Box[] = [];
  const shelves: number[] = [];
  let [row, x, top]: [Box[], number, number] = [[], EDGE, 8];
  const close = () => {
    const high = Math.max(...row.map((box) => box.h), 24);
    for (const box of row) boxes.push({ ...box, y: top + high - box.h });
    if (row.length > 0) shelves.push(top + high);
    top += high + NAME;
    [row, x] = [[], EDGE];
  };
  let before: Placed | undefined;
  for (const placed of things) {
    const { across, high } = sizeOf(placed);
    const [w, h] = [across * scale, high * scale];
    const room = Math.max(w, 132);
    if (row.length > 0 && (x + room > width || placed.kind.shelf !== before?.kind.shelf)) close();
    row.push({ placed, x: x + (room - w) / 2, y: 0, w, h, room });
    x += room + GAP;
    before = placed;
  }
  close();
  return { boxes, shelves, height: top };
}

/** A name on two lines at most. */
function inLines(name: string): string[] {
  const lines: string[] = [];
  for (const word of name.split(' ')) {
    const last = lines.at(-1);
    if (last !== undefined && (last.length + word.length < 18 || lines.length === 2))
      lines[lines.length - 1] = `${last} ${word}`;
    else lines.push(word);
  }
  return lines;
}

/** The whole kitchen to one scale: each thing is opened to be measured, renamed or lent out. */
export function KitchenPicture({
  things,
  opened,
  onOpen,
}: {
  things: Placed[];
  opened?: string;
  onOpen: (id: string) => void;
}) {
  const may = useMayChange();
  const { ref, width } = useWidth<HTMLDivElement>(900);
  const scale = width > 700 ? 3.4 : 2.4;
  const { boxes, shelves, height } = shelve(things, width, scale);
  return (
    <div ref={ref}>
      <svg
        width={width}
        height={height}
        role="group"
        aria-label="The things of this kitchen, to scale"
        style={{ display: 'block' }}
      >
        {shelves.map((y) => (
          <path key={y} d={`M0,${y + 2} H${width}`} stroke={colour('rim')} strokeWidth="4" />
        ))}
        {boxes.map((box) => {
          const { thing } = box.placed;
          const open = () => onOpen(thing.id);
          return (
            <g
              key={thing.id}
              role={may ? 'button' : 'img'}
              tabIndex={may ? 0 : undefined}
              aria-label={`${thing.name}${thing.lent ? ', lent out' : ''}${may ? ': open' : ''}`}
              onClick={may ? open : undefined}
              onKeyDown={(event) => {
                if (!may) return;
                if (event.key !== 'Enter' && event.key !== ' ') return;
                event.preventDefault();
                open();
              }}
              style={{ cursor: may ? 'pointer' : undefined }}
              opacity={thing.lent ? 0.7 : 1}
            >
              <rect
                x={box.x - (box.room - box.w) / 2}
                y={box.y - 6}
                width={box.room}
                height={box.h + NAME}
                rx="8"
                fill={opened === thing.id ? colour('panel') : 'transparent'}
              />
              <Shape {...box} />
              {inLines(thing.lent ? `${thing.name}, lent out` : thing.name).map((words, i) => (
                <text
                  key={words}
                  x={box.x + box.w / 2}
                  y={box.y + box.h + 22 + 17 * i}
                  textAnchor="middle"
                  fill={colour('ink')}
                  style={{ fontSize: 14, fontWeight: 700 }}
                >
                  {words}
                </text>
              ))}
            </g>
          );
        })}
      </svg>
    </div>
  );
}

function Shape({ placed, x, y, w, h }: Box) {
  const dashed = placed.thing.lent ? '7 5' : undefined;
  const ink = {
    stroke: colour('ink'),
    strokeWidth: 3.5,
    strokeDasharray: dashed,
    fill: colour('panel'),
    strokeLinejoin: 'round',
  } as const;
  const middle = x + w / 2;
  switch (placed.kind.picture) {
    case 'oven':
      return (
        <>
          <rect x={x} y={y} width={w} height={h} rx="6" {...ink} />
          <rect
            x={x + 0.1 * w}
            y={y + 0.3 * h}
            width={0.8 * w}
            height={0.56 * h}
            rx="4"
            {...ink}
            strokeWidth={2.5}
          />
          <path d={`M${x + 0.1 * w},${y + 0.16 * h} h${0.8 * w}`} stroke={colour('ink')} strokeWidth="3" />
          {placed.thing.measures.fan && (
            <path
              d={`M${middle},${y + 0.58 * h} m-12,0 a12,12 0 1 1 24,0 a12,12 0 1 1 -24,0 M${middle - 9},${y + 0.58 * h} h18 M${middle},${y + 0.58 * h - 9} v18`}
              stroke={colour('soft')}
              strokeWidth="2"
              fill="none"
            />
          )}
        </>
      );
    case 'burner': {
      // A ring with its flames, and the four fingers a pot stands on.
      const [cy, r] = [y + h / 2, w / 2];
      const fingers = [45, 135, 225, 315].map((degrees) => {
        const [dx, dy] = [Math.cos((degrees * Math.PI) / 180), Math.sin((degrees * Math.PI) / 180)];
        return `M${middle + 0.62 * r * dx},${cy + 0.62 * r * dy} L${middle + r * dx},${cy + r * dy}`;
      });
      return (
        <>
          <rect x={x} y={y} width={w} height={h} rx="6" {...ink} />
          <circle
            cx={middle}
            cy={cy}
            r={0.5 * r}
            fill="none"
            stroke={colour('heat')}
            strokeWidth="6"
            strokeDasharray="5 3"
          />
          <path d={fingers.join(' ')} stroke={colour('ink')} strokeWidth="4" />
        </>
      );
    }
    case 'pit':
      return (
        <>
          <path
            d={`M${x},${y + 0.5 * h} a${w / 2},${0.5 * h} 0 0 1 ${w},0 v${0.12 * h} a${w / 2},${0.3 * h} 0 0 1 ${-w},0 z`}
            {...ink}
          />
          <path d={`M${x},${y + 0.5 * h} h${w}`} stroke={colour('ink')} strokeWidth="3" />
          <path
            d={`M${x + 0.2 * w},${y + 0.84 * h} L${x + 0.12 * w},${y + h} M${x + 0.8 * w},${y + 0.84 * h} L${x + 0.88 * w},${y + h}`}
            stroke={colour('ink')}
            strokeWidth="4"
          />
        </>
      );
    case 'coals':
      return (
        <>
          <path d={`M${x},${y + h} q${w / 2},${-0.5 * h} ${w},0 z`} {...ink} />
          {[0.2, 0.4, 0.6, 0.8].map((at) => (
            <circle key={at} cx={x + at * w} cy={y + 0.72 * h} r={0.09 * w} fill={colour('heat')} />
          ))}
        </>
      );
    case 'pot': {
      const { width_cm, length_cm } = placed.thing.measures;
      const tin = width_cm != null || length_cm != null;
      return (
        <>
          <path
            d={`M${x - 7},${y} h7 V${y + h - 8} q0,8 8,8 h${w - 16} q8,0 8,-8 V${y} h7`}
            {...ink}
            strokeWidth={5}
          />
          {!tin && (
            <path
              d={`M${x - 2},${y - 3} q${w / 2},-12 ${w + 4},0 M${middle - 8},${y - 11} h16`}
              fill="none"
              stroke={colour('ink')}
              strokeWidth="3.5"
              strokeDasharray={dashed}
            />
          )}
        </>
      );
    }
    case 'pressure_pot':
      return (
        <>
          <rect x={x - 5} y={y} width={w + 10} height={h} rx="10" {...ink} strokeWidth={5} />
          <path d={`M${x - 5},${y + 0.26 * h} h${w + 10}`} stroke={colour('ink')} strokeWidth="4" />
          <path d={`M${middle - 10},${y - 7} h20 v7 h-20 z`} fill={colour('caution')} />
        </>
      );
    case 'slow_cooker':
      return (
        <>
          <path d={`M${x},${y + 4} h${w} l-5,${h - 4} h${10 - w} z`} {...ink} strokeWidth={5} />
          <path
            d={`M${x},${y + 2} q${w / 2},-14 ${w},0`}
            fill="none"
            stroke={colour('soft')}
            strokeWidth="3"
          />
        </>
      );
    case 'bath':
      return (
        <>
          <path d={`M${x},${y} V${y + h} h${w} V${y}`} {...ink} fill="none" />
          <rect
            x={x + 2}
            y={y + 0.22 * h}
            width={w - 4}
            height={0.76 * h}
            fill={colour('liquid')}
            opacity="0.4"
          />
        </>
      );
    case 'pan':
      return (
        <>
          <path
            d={`M${x},${y} l${0.06 * w},${h - 3} h${0.52 * w} l${0.06 * w},${3 - h} z`}
            {...ink}
            strokeWidth={4.5}
          />
          <path
            d={`M${x + 0.63 * w},${y + 3} L${x + w},${y - 7}`}
            stroke={colour('ink')}
            strokeWidth="7"
            strokeLinecap="round"
          />
        </>
      );
    case 'probe':
      return (
        <>
          <path d={`M${middle},${y + 0.3 * h} V${y + h}`} stroke={colour('ink')} strokeWidth="4" />
          <rect x={x + 2} y={y} width={w - 4} height={0.34 * h} rx="5" {...ink} />
        </>
      );
    case 'hands':
      // A cook's cap.
      return (
        <path
          d={`M${x + 0.16 * w},${y + h} v${-0.3 * h} q${-0.24 * w},${-0.06 * h} ${-0.14 * w},${-0.36 * h} q${0.1 * w},${-0.22 * h} ${0.3 * w},${-0.14 * h} q${0.18 * w},${-0.3 * h} ${0.36 * w},0 q${0.22 * w},${-0.06 * h} ${0.3 * w},${0.16 * h} q${0.06 * w},${0.28 * h} ${-0.14 * w},${0.34 * h} v${0.3 * h} z M${x + 0.16 * w},${y + 0.86 * h} h${0.68 * w}`}
          {...ink}
        />
      );
  }
}
