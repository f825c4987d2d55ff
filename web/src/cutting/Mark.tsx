import type { Point, Scale } from '../board/scale';

/** How far the arms of a mark reach from end to end; millimetres. */
const SIZE = 6;

/** A cross by which sections are laid together. */
export function Mark({ at, scale }: { at: Point; scale: Scale }) {
  const half = (SIZE / 2) * scale.k;
  const [x, y] = [scale.x(at.x), scale.y(at.y)];
  return <path className="cut-mark" d={`M${x - half} ${y}H${x + half}M${x} ${y - half}V${y + half}`} />;
}
