import type { Schemas } from '../../api/client';
import './weeding.css';

/** Weed boxes and their breaks; millimetres, y up. */
export function WeedLines({ boxes }: { boxes: readonly Schemas['WeedBoxView'][] }) {
  return (
    <>
      {boxes.map((b, i) => (
        <g key={i}>
          <rect
            x={b.box.minX}
            y={b.box.minY}
            width={b.box.maxX - b.box.minX}
            height={b.box.maxY - b.box.minY}
            className="weed-box"
            vectorEffect="non-scaling-stroke"
          />
          {b.breaks.map((line, j) => (
            <polyline
              key={j}
              className="weed-break"
              data-break={line.kind}
              points={line.points.map((p) => `${p.x},${p.y}`).join(' ')}
              vectorEffect="non-scaling-stroke"
            />
          ))}
        </g>
      ))}
    </>
  );
}
