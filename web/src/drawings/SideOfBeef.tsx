import { useId } from 'react';
import type { Schemas } from '../api/client';
import { colour } from '../theme/system';
import { useWidth } from './useWidth';

type Cut = Schemas['Cut'];
type Zone = { cut: Cut; at: string; label?: [number, number]; word?: string };

/** The outline of the animal, head to the left; hollow where nothing for the pot sits. */
const BODY =
  'M108,94 C124,98 142,90 168,76 C214,54 268,56 320,62 C392,70 470,66 540,64 C596,62 640,66 668,84 ' +
  'C684,94 700,92 712,104 C724,116 722,170 728,214 C730,232 718,236 714,222 C708,186 706,150 694,132 ' +
  'C700,176 690,214 676,238 C664,262 660,290 658,322 L656,372 L628,372 L628,320 C624,292 612,276 596,268 ' +
  'C560,286 520,290 470,288 C430,288 380,292 330,290 C310,290 296,292 288,300 L284,372 L256,372 L254,304 ' +
  'C238,298 220,290 206,272 C188,250 170,232 150,222 C136,216 126,212 116,206 C96,210 78,214 62,214 ' +
  'C44,216 30,208 30,194 C29,184 36,176 44,168 C54,148 70,112 86,98 C92,92 100,92 108,94 Z';

/** Where each muscle sits, in the order of a walk from head to tail. */
const ZONES: Zone[] = [
  {
    cut: 'cheek',
    at: 'M78,156 C92,146 110,152 114,168 C116,186 102,200 86,198 C68,194 66,166 78,156 Z',
    label: [91, 178],
  },
  {
    cut: 'neck',
    at: 'M118,102 C136,98 152,92 172,82 L188,128 L176,196 L156,212 C136,196 124,156 118,102 Z',
    label: [150, 150],
  },
  { cut: 'chuck', at: 'M178,78 C214,62 256,60 300,64 L302,126 L236,132 L194,128 Z', label: [246, 98] },
  {
    cut: 'blade',
    at: 'M196,134 L238,138 L302,132 L300,196 C272,206 236,206 206,196 L186,190 Z',
    label: [248, 170],
  },
  {
    cut: 'brisket_point',
    at: 'M180,200 L206,204 C220,208 236,210 246,210 L246,282 C222,270 206,246 180,222 Z',
    label: [216, 234],
    word: 'point',
  },
  {
    cut: 'brisket_flat',
    at: 'M250,210 C270,210 288,206 304,202 L306,284 C290,288 270,288 250,284 Z',
    label: [278, 250],
    word: 'flat',
  },
  { cut: 'shin', at: 'M258,292 L290,292 L286,334 L256,334 Z', label: [272, 317], word: 'shin' },
  { cut: 'tendon', at: 'M256,338 L286,338 L284,366 L258,366 Z', label: [271, 357], word: '' },
  {
    cut: 'rib_eye',
    at: 'M306,66 C340,66 376,70 404,70 L404,128 L306,128 Z',
    label: [355, 102],
    word: 'rib eye',
  },
  { cut: 'short_rib', at: 'M308,134 L404,134 L404,184 L306,190 Z', label: [355, 165], word: 'short rib' },
  { cut: 'rib_finger', at: 'M408,134 L432,134 L432,182 L408,184 Z', label: [420, 164], word: '' },
  { cut: 'plate_rib', at: 'M308,196 L410,190 L410,232 L310,236 Z', label: [358, 218], word: 'plate rib' },
  { cut: 'skirt', at: 'M312,242 L410,238 L412,284 C380,288 340,286 312,286 Z', label: [360, 268] },
  { cut: 'strip', at: 'M408,70 C440,70 470,68 496,68 L496,128 L408,128 Z', label: [452, 102] },
  { cut: 'fillet', at: 'M438,134 L540,134 C548,144 546,154 538,160 L438,164 Z', label: [488, 152] },
  { cut: 'flank', at: 'M414,188 L440,170 L536,166 L544,236 C516,268 470,284 418,284 Z', label: [478, 228] },
  {
    cut: 'sirloin',
    at: 'M500,68 C530,66 552,66 572,64 L574,128 L544,130 L500,128 Z',
    label: [537, 102],
    word: 'sirloin',
  },
  {
    cut: 'round',
    at: 'M548,136 L584,132 L594,196 L590,262 C574,258 558,248 550,236 L542,166 Z',
    label: [569, 200],
  },
  {
    cut: 'topside',
    at: 'M578,66 C602,66 624,70 640,76 L640,130 L590,130 Z',
    label: [610, 104],
    word: 'topside',
  },
  { cut: 'eye_round', at: 'M590,136 L622,136 L622,200 L600,200 Z', label: [608, 172], word: 'eye' },
  {
    cut: 'silverside',
    at: 'M626,134 L644,132 L644,80 C664,88 682,96 688,112 C690,146 686,180 680,202 L626,204 Z',
    label: [660, 160],
    word: 'silver',
  },
  {
    cut: 'heel',
    at: 'M600,206 L678,208 C670,232 660,246 656,262 L608,262 C602,244 600,226 600,206 Z',
    label: [636, 238],
  },
  {
    cut: 'shin_bone_in',
    at: 'M606,268 L656,268 C654,292 654,318 654,334 L630,334 C630,306 622,286 606,268 Z',
    label: [640, 306],
    word: 'shin',
  },
  {
    cut: 'oxtail',
    at: 'M692,100 C706,102 716,112 716,140 L724,212 L716,214 C710,184 706,150 694,126 Z',
    label: [706, 160],
    word: '',
  },
];

/** Cuts that are a joint of several places, or of none: chosen by their word beneath the drawing. */
const BESIDE: Cut[] = ['brisket', 'corned_brisket', 'stewing_mix'];

/** Lines closer together the more collagen there is. */
const gap = (collagen: number) => Math.min(22, Math.max(2.4, 15 / collagen ** 0.85));

/** The side of beef with its working muscles: the closer the hatching, the more collagen. Arrow keys walk from muscle to muscle. */
export function SideOfBeef({
  cuts,
  chosen,
  onChoose,
}: {
  cuts: Schemas['AtTheCounter'][];
  chosen: Cut;
  onChoose: (cut: Cut) => void;
}) {
  const id = useId();
  const { ref, width } = useWidth<HTMLDivElement>();
  // On a small screen only the chosen muscle carries its name, large enough to read.
  const small = width < 560;
  const of = (cut: Cut) => cuts.find((facts) => facts.cut === cut);
  const order = [...ZONES.map((zone) => zone.cut), ...BESIDE];
  // A joint of several muscles lights them all.
  const lit = (cut: Cut) =>
    cut === chosen ||
    ((chosen === 'brisket' || chosen === 'corned_brisket') &&
      (cut === 'brisket_point' || cut === 'brisket_flat'));
  const walk = (from: Cut, step: number) => {
    const next = order[(order.indexOf(from) + step + order.length) % order.length];
    if (!next) return;
    onChoose(next);
    document.getElementById(`${id}-${next}`)?.focus();
  };
  const keys = (cut: Cut) => (event: React.KeyboardEvent) => {
    const step = { ArrowRight: 1, ArrowDown: 1, ArrowLeft: -1, ArrowUp: -1 }[event.key];
    if (step) {
      event.preventDefault();
      walk(cut, step * (event.shiftKey ? 5 : 1));
    } else if (event.key === 'Enter' || event.key === ' ') {
      event.preventDefault();
      onChoose(cut);
    }
  };
  // Buttons on one bar: the arrows go along them, and the one chosen is where the tab key stops.
  const muscle = (cut: Cut) =>
    ({
      id: `${id}-${cut}`,
      role: 'button',
      'aria-pressed': cut === chosen,
      tabIndex: cut === chosen ? 0 : -1,
      onClick: () => onChoose(cut),
      onKeyDown: keys(cut),
      style: { cursor: 'pointer' },
    }) as const;
  return (
    <div ref={ref} role="toolbar" aria-label="Side of beef: choose a muscle">
      <svg viewBox="20 44 720 338" width="100%" style={{ display: 'block' }}>
        <defs>
          {ZONES.map(({ cut }) => {
            const facts = of(cut);
            const every = gap(facts?.collagen_pct ?? 1);
            return (
              <pattern
                key={cut}
                id={`${id}p-${cut}`}
                width={every}
                height={every}
                patternUnits="userSpaceOnUse"
                patternTransform="rotate(28)"
              >
                <line x1="0" y1="0" x2="0" y2={every} stroke={colour('tender')} strokeWidth="1.5" />
              </pattern>
            );
          })}
        </defs>
        <path
          d={BODY}
          fill={colour('panel')}
          stroke={colour('ink')}
          strokeWidth="2.5"
          strokeLinejoin="round"
        />
        <g
          fill={colour('panel')}
          stroke={colour('ink')}
          strokeWidth="2.5"
          strokeLinejoin="round"
          strokeLinecap="round"
        >
          <path d="M104,95 C110,82 126,80 134,90 C128,100 116,104 106,100" />
          <path d="M92,93 C90,80 96,70 108,68 C102,76 102,84 104,92" />
          <path d="M32,186 C42,184 50,190 54,200" fill="none" />
          <path d="M256,366 h28 M629,366 h28" fill="none" />
        </g>
        <circle cx="78" cy="134" r="3.6" fill={colour('ink')} />
        <circle cx="42" cy="178" r="2.4" fill={colour('ink')} />
        {ZONES.map(({ cut, at }) => {
          const facts = of(cut);
          if (!facts) return null;
          const on = lit(cut);
          return (
            <g
              key={cut}
              {...muscle(cut)}
              aria-label={`${facts.name}, ${facts.suitable ? `${facts.collagen_pct} % collagen` : 'tender, not for long cooking'}`}
            >
              <path d={at} fill={on ? colour('raw') : colour('ground')} />
              {facts.suitable && <path d={at} fill={`url(#${id}p-${cut})`} opacity={on ? 1 : 0.75} />}
              <path
                d={at}
                fill="none"
                stroke={on ? colour('rim') : colour('ink')}
                strokeWidth={on ? 4.5 : 1.6}
                strokeDasharray={facts.suitable ? undefined : '3 4'}
                strokeLinejoin="round"
              />
            </g>
          );
        })}
        {ZONES.map(({ cut, label, word }) => {
          const facts = of(cut);
          const text = word ?? facts?.name.split(',')[0]?.toLowerCase();
          if (!facts || !label || !text || (small && !lit(cut))) return null;
          return (
            <text
              key={cut}
              x={label[0]}
              y={label[1]}
              textAnchor="middle"
              aria-hidden
              pointerEvents="none"
              fill={colour('ink')}
              stroke={colour('ground')}
              strokeWidth="4"
              paintOrder="stroke"
              style={{ fontSize: small ? 24 : 12, fontWeight: lit(cut) ? 800 : 600 }}
            >
              {text}
            </text>
          );
        })}
      </svg>
      <div style={{ display: 'flex', gap: 8, flexWrap: 'wrap', marginTop: 8 }}>
        {BESIDE.map((cut) => {
          const facts = of(cut);
          if (!facts) return null;
          const on = cut === chosen;
          return (
            <div
              key={cut}
              {...muscle(cut)}
              style={{
                cursor: 'pointer',
                minHeight: 44,
                display: 'flex',
                alignItems: 'center',
                padding: '0 14px',
                borderRadius: 10,
                border: `2px solid ${on ? colour('rim') : colour('edge')}`,
                background: on ? colour('rim') : colour('panel'),
                color: on ? colour('ground') : colour('ink'),
                fontWeight: 600,
              }}
            >
              {facts.name}
            </div>
          );
        })}
      </div>
    </div>
  );
}
