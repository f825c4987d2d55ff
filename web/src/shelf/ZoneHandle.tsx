import type { Schemas } from '../api/client';
import { Movable } from '../board/Movable';
import type { Scale } from '../board/scale';
import { figure } from '../units/units';
import { useUnits } from '../units/UnitsContext';

interface Props {
  name: string;
  box: Pick<Schemas['Box'], 'minX' | 'minY' | 'maxX' | 'maxY'>;
  stands: Schemas['ZoneStands'];
  scale: Scale;
  onMove: (dx: number, dy: number) => void;
}

/** A zone that can be moved, with how it then stands. */
export function ZoneHandle({ name, box, stands, scale, onMove }: Props) {
  const { units } = useUnits();
  return (
    <g className="zone-handle">
      <Movable name={name} box={box} scale={scale} steps={[0.5, 5]} onMove={onMove}>
        {(by, at) => (
          <text x={at.x} y={at.y - 8} textAnchor="middle" className="dimension-figure">
            {figure(stands.fromBottom + by.dy, units)} up · {figure(stands.fromTop - by.dy, units)} down · {figure(stands.across + by.dx, units)} across
          </text>
        )}
      </Movable>
    </g>
  );
}
