import { useId } from 'react';
import type { Schemas } from '../api/client';
import { format, type Units } from '../format/units';
import { colour } from '../theme/system';
import { arrowSteps, useDragged, useHandle } from './useDragged';
import { useWidth } from './useWidth';

type AtAngle = Schemas['AtAngle'];

const HEIGHT = 300;
const TURNED = 118;
const FINGER = 44;

/** A piece with its grain across the page, and a knife that is turned over it: what is left of the fibres lights up. */
export function GrainOfMeat({
  slicing,
  at,
  units,
  onTurn,
}: {
  slicing: Schemas['Slicing'];
  at: AtAngle;
  units: Units;
  onTurn: (to: AtAngle) => void;
}) {
  const id = useId();
  const { ref, width } = useWidth<HTMLDivElement>(520);
  const [cx, cy] = [width / 2, HEIGHT / 2];
  const [half, tall] = [Math.min(230, width / 2 - 12), 108];
  const radians = (at.angle_deg * Math.PI) / 180;
  const [ux, uy] = [Math.cos(radians), -Math.sin(radians)];
  const nearest = (deg: number) =>
    slicing.angles.reduce((best, one) =>
      Math.abs(one.angle_deg - deg) < Math.abs(best.angle_deg - deg) ? one : best,
    );
  const handle = useHandle();
  const dragged = useDragged<{ x: number; y: number }>({
    take: () => ({ x: TURNED * ux, y: TURNED * uy }),
    move: (taken, { x, y }) => {
      const deg = (Math.atan2(-(taken.y + y), taken.x + x) * 180) / Math.PI;
      onTurn(nearest(Math.abs(deg > 90 ? 180 - deg : deg)));
    },
  });
  // Far thicker than it is, or its fibres could not be seen.
  const thick = slicing.thickness_mm * 6;
  const grain = Array.from({ length: 17 }, (_, i) => cy - tall + 10 + i * 13);
  return (
    <div ref={ref}>
      <svg
        width={width}
        height={HEIGHT}
        role="group"
        aria-label={`The grain runs from left to right; the knife lies at ${at.angle_deg}°: ${at.words}`}
        style={{ display: 'block', maxWidth: '100%', touchAction: 'pan-y' }}
      >
        <defs>
          <clipPath id={`${id}piece`}>
            <path
              d={`M${cx - half},${cy} q4,${-tall} ${half * 0.7},${-tall} q${half * 1.2},-6 ${half * 1.3},${tall} q-6,${tall} ${-half * 0.9},${tall} q${-half},2 ${-half * 1.1},${-tall} Z`}
            />
          </clipPath>
          <clipPath id={`${id}slice`}>
            <rect
              x={-thick / 2}
              y={-600}
              width={thick}
              height={1200}
              transform={`translate(${cx} ${cy}) rotate(${90 - at.angle_deg})`}
            />
          </clipPath>
        </defs>
        <g clipPath={`url(#${id}piece)`}>
          <rect x={0} y={0} width={width} height={HEIGHT} fill={colour('raw')} />
          {grain.map((y) => (
            <line
              key={y}
              x1={0}
              x2={width}
              y1={y}
              y2={y}
              stroke={colour('tender')}
              strokeWidth="2"
              opacity="0.35"
            />
          ))}
          <g clipPath={`url(#${id}slice)`}>
            <rect x={0} y={0} width={width} height={HEIGHT} fill={colour('panel')} />
            {grain.map((y) => (
              <line key={y} x1={0} x2={width} y1={y} y2={y} stroke={colour('tender')} strokeWidth="5" />
            ))}
          </g>
          {[-0.5, 0.5].map((side) => (
            <line
              key={side}
              x1={0}
              x2={0}
              y1={-600}
              y2={600}
              transform={`translate(${cx} ${cy}) rotate(${90 - at.angle_deg}) translate(${side * thick} 0)`}
              stroke={colour('ink')}
              strokeWidth="2"
            />
          ))}
        </g>
        <path
          d={`M${cx - half},${cy} q4,${-tall} ${half * 0.7},${-tall} q${half * 1.2},-6 ${half * 1.3},${tall} q-6,${tall} ${-half * 0.9},${tall} q${-half},2 ${-half * 1.1},${-tall} Z`}
          fill="none"
          stroke={colour('ink')}
          strokeWidth="3"
        />
        <line
          x1={cx - TURNED * ux}
          y1={cy - TURNED * uy}
          x2={cx + TURNED * ux}
          y2={cy + TURNED * uy}
          stroke={colour('rim')}
          strokeWidth="5"
          strokeLinecap="round"
        />
        <g
          {...dragged()}
          {...handle}
          aria-label="The knife to the grain"
          aria-valuemin={slicing.angles[0].angle_deg}
          aria-valuemax={90}
          aria-valuenow={at.angle_deg}
          aria-valuetext={`${at.angle_deg}°: ${at.words}`}
          style={{ cursor: 'grab', touchAction: 'none' }}
          onKeyDown={(event) => {
            const steps = arrowSteps(event, 3);
            if (steps) onTurn(nearest(at.angle_deg + 10 * steps));
          }}
        >
          <rect
            x={cx + TURNED * ux - FINGER / 2}
            y={cy + TURNED * uy - FINGER / 2}
            width={FINGER}
            height={FINGER}
            fill="transparent"
          />
          <circle
            cx={cx + TURNED * ux}
            cy={cy + TURNED * uy}
            r="14"
            fill={colour('panel')}
            stroke={colour('rim')}
            strokeWidth="4"
          />
        </g>
        <text x={8} y={HEIGHT - 8} fill={colour('soft')} style={{ fontSize: 14 }}>
          one slice of {format('small_length', slicing.thickness_mm, units)}, drawn thick; the grain runs
          across
        </text>
      </svg>
    </div>
  );
}
