import type { Schemas } from '../api/client';
import { BoxRect } from '../board/BoxRect';
import './weeding.css';

/** Weed boxes and their breaks; millimetres, y up. */
export function WasteCuts({ boxes }: { boxes: readonly Schemas['WeedBoxView'][] }) {
  return (
    <>
      {boxes.map((b, i) => (
        <g key={i}>
          <BoxRect box={b.box} className="weed-box" />
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
