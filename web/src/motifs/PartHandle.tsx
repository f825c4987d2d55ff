import type { Schemas } from '../api/client';
import { Movable } from '../board/Movable';
import type { Scale } from '../board/scale';
import { figure } from '../units/units';
import { useUnits } from '../units/UnitsContext';

interface Props {
  name: string;
  box: Schemas['Box'];
  path: string;
  scale: Scale;
  onMove: (dx: number, dy: number) => void;
}

/** The part at hand: its ink goes along while it is dragged; letting go makes it a nudge. */
export function PartHandle({ name, box, path, scale, onMove }: Props) {
  const { units } = useUnits();
  return (
    <g className="part-handle">
      <Movable name={name} box={box} scale={scale} steps={[0.1, 1]} outside={4} className="part-frame" onMove={onMove}>
        {(by, at) => (
          <>
            <path
              d={path}
              transform={`translate(${scale.k * by.dx} ${-scale.k * by.dy}) ${scale.transform}`}
              className="part-dragged"
              fillRule="evenodd"
            />
            <text x={at.x} y={at.y - 6} textAnchor="middle" className="dimension-figure">
              {figure(by.dx, units)} right · {figure(by.dy, units)} up
            </text>
          </>
        )}
      </Movable>
    </g>
  );
}
