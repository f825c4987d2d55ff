import type { Schemas } from '../api/client';
import { Movable, type By } from '../board/Movable';
import type { Scale } from '../board/scale';
import { figure } from '../units/units';
import { useUnits } from '../units/UnitsContext';

type Point = Schemas['PlanePoint'];

interface Props {
  name: string;
  /** The box of the ink, where it was before it is dragged. */
  box: Schemas['Box'];
  /** How far it is moved by hand there. */
  moved: Point;
  /** The letters it would have where it is dragged to; they may be smaller where less room is. */
  letters?: number;
  scale: Scale;
  /** Where it is held while it is dragged; nothing when it was let go where it was. */
  onHold: (to?: Point) => void;
  /** Where it was put, and what of that changed. */
  onPut: (to: Point, changed: Partial<Point>) => void;
}

/** The ink of a piece, moved by dragging or the arrow keys; letting go makes it a figure set by hand. */
export function PieceHandle({ name, box, moved, letters, scale, onHold, onPut }: Props) {
  const { units } = useUnits();
  const to = ({ dx, dy }: By) => ({ x: moved.x + dx, y: moved.y + dy });
  return (
    <g className="part-handle">
      <Movable
        name={name}
        box={box}
        scale={scale}
        steps={[0.1, 1]}
        outside={4}
        className="piece-frame"
        onBy={(by) => onHold(by && to(by))}
        onMove={(dx, dy) => {
          const { x, y } = to({ dx, dy });
          onPut({ x, y }, { ...(dx !== 0 && { x }), ...(dy !== 0 && { y }) });
        }}
      >
        {(by, at) => (
          <text x={at.x} y={at.foot + 15} textAnchor="middle" className="dimension-figure">
            {figure(to(by).x, units)} right · {figure(to(by).y, units)} up{letters !== undefined && ` · letters ${figure(letters, units)}`}
          </text>
        )}
      </Movable>
    </g>
  );
}
