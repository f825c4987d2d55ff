import type { Schemas } from '../api/client';
import type { Scale } from '../board/scale';

/** A part that can be pointed at. */
export function PartArea({
  name,
  box,
  path,
  scale,
  onChoose,
}: {
  name: string;
  box: Schemas['Box'];
  path: string;
  scale: Scale;
  onChoose: () => void;
}) {
  return (
    <g className="part-area" onPointerDown={onChoose}>
      <title>{name}</title>
      {path ? (
        <path d={path} transform={scale.transform} />
      ) : (
        <rect
          x={scale.x(box.minX)}
          y={scale.y(box.maxY)}
          width={scale.k * (box.maxX - box.minX)}
          height={scale.k * (box.maxY - box.minY)}
        />
      )}
    </g>
  );
}
