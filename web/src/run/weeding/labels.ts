import type { Scale } from '../../board/scale';
import type { Schemas } from '../../api/client';

/** Where the number of a bit stands: on it, or above all ink with a line to it. */
export interface BitLabel {
  number: number;
  x: number;
  y: number;
  /** Where the line to it ends; none where the number stands on the bit. */
  to?: { x: number; y: number };
}

/** A number takes so much room, in pixels. */
const WIDE = 17;
const HIGH = 15;

/**
 * Numbers for the bits from the smallest, as many as there is room for. One that has room on its bit stands there; the others stand in a
 * row above, in the order of their bits, and never on one another.
 */
export function bitLabels(bits: readonly Schemas['BitView'][], scale: Scale, row: { left: number; right: number; y: number }): BitLabel[] {
  const fit = Math.max(0, Math.floor((row.right - row.left) / WIDE));
  const placed = bits.map((b) => ({ bit: b, x: scale.x(b.at.x), y: scale.y(b.at.y) }));
  const roomy = ({ bit }: { bit: Schemas['BitView'] }) => Math.sqrt(bit.area) * scale.k > 2.2 * HIGH;
  const above = placed
    .filter((p) => !roomy(p))
    .slice(0, fit)
    .sort((a, b) => a.x - b.x);
  const xs = spread(
    above.map((p) => p.x),
    row.left,
    row.right,
  );
  return [
    ...placed.filter(roomy).map((p) => ({ number: p.bit.number, x: p.x, y: p.y })),
    ...above.map((p, i) => ({ number: p.bit.number, x: xs[i] ?? p.x, y: row.y, to: { x: p.x, y: p.y } })),
  ].sort((a, b) => a.number - b.number);
}

/** Places in order, each as near to where it was as they stand apart between two ends. */
export function spread(wanted: readonly number[], left: number, right: number, apart = WIDE): number[] {
  const places: number[] = [];
  for (const x of wanted) places.push(Math.max(x, (places.at(-1) ?? left - apart) + apart, left));
  for (let i = places.length - 1; i >= 0; i--) {
    const most = i === places.length - 1 ? right : (places[i + 1] ?? right) - apart;
    places[i] = Math.min(places[i] ?? most, most);
  }
  return places;
}
