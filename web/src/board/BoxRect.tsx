import type { Schemas } from '../api/client';

/** A box drawn with a line of the same thickness at every scale; millimetres, y up. */
export function BoxRect({ box, ...more }: { box: Schemas['Box']; className: string; fill?: string }) {
  return (
    <rect x={box.minX} y={box.minY} width={box.maxX - box.minX} height={box.maxY - box.minY} vectorEffect="non-scaling-stroke" {...more} />
  );
}
