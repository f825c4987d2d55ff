import type { Point, Scale } from '../board/scale';

/** How far the arms of a mark reach from end to end; millimetres. */
const SIZE = 6;

/** A cross by which sections or films are laid together, turned with what it lies by; degrees to the left. */
export function Mark({ at, scale, turned = 0 }: { at: Point; scale: Scale; turned?: number }) {
  const half = (SIZE / 2) * scale.k;
  const [x, y] = [scale.x(at.x), scale.y(at.y)];
  const turn = turned % 90 === 0 ? undefined : `rotate(${-turned} ${x} ${y})`;
  return <path className="cut-mark" transform={turn} d={`M${x - half} ${y}H${x + half}M${x} ${y - half}V${y + half}`} />;
}
