import type { Schemas } from '../api/client';
import type { Scale } from '../board/scale';

/** Where the platen is laid, numbered in the order in which it is. */
export function Platens({ of, scale }: { of: readonly Schemas['Box'][]; scale: Scale }) {
  return (
    <g className="platens">
      {of.map((b, i) => (
        <g key={i}>
          <rect x={scale.x(b.minX)} y={scale.y(b.maxY)} width={scale.k * (b.maxX - b.minX)} height={scale.k * (b.maxY - b.minY)} />
          {of.length > 1 && (
            <text x={scale.x(b.minX) + 4} y={scale.y(b.maxY) + 11}>
              {i + 1}
            </text>
          )}
        </g>
      ))}
    </g>
  );
}
