import type { Schemas } from '../api/client';
import { DimensionMark } from '../board/DimensionMark';
import { scaleFor } from '../board/scale';
import { useSize } from '../board/useSize';
import { figure } from '../units/units';
import { useUnits } from '../units/UnitsContext';

const PAD = { top: 50, right: 90, bottom: 60, left: 50 };

/** The ink of a motif at the size typed, with its dimensions; the part at hand is framed. */
export function MotifSheet({ view, lit }: { view: Schemas['MotifView']; lit?: string }) {
  const { units } = useUnits();
  const [ref, { width, height }] = useSize<HTMLDivElement>();
  const box = view.inkBox;
  const part = view.parts.find((p) => p.partId === lit);
  return (
    <section className="card sheet" aria-label="Ink">
      <p className="views soft">With {view.sample} for the name. A run sizes it to its zone.</p>
      <div className="board" ref={ref}>
        {box && width > 0 ? (() => {
          const scale = scaleFor(box, width, height, PAD);
          const [l, r, t, b] = [scale.x(box.minX), scale.x(box.maxX), scale.y(box.maxY), scale.y(box.minY)];
          return (
            <svg width={width} height={height} role="img" aria-label={`Ink of ${view.motif.name}`}>
              <g transform={scale.transform}>
                <path d={`M${box.minX - 3} 0L${box.maxX + 3} 0M0 ${box.minY - 3}L0 ${box.maxY + 3}`} className="stroke-centre" vectorEffect="non-scaling-stroke" />
                <path d={view.inkPath} className="ink" fillRule="evenodd" />
              </g>
              {part && <rect x={scale.x(part.box.minX) - 4} y={scale.y(part.box.maxY) - 4} width={scale.k * (part.box.maxX - part.box.minX) + 8} height={scale.k * (part.box.maxY - part.box.minY) + 8} className="part-frame" />}
              <DimensionMark extend={[{ x: l, y: b }, { x: r, y: b }]} line={[{ x: l, y: b + 30 }, { x: r, y: b + 30 }]} text={figure(box.maxX - box.minX, units)} />
              <DimensionMark extend={[{ x: r, y: t }, { x: r, y: b }]} line={[{ x: r + 34, y: t }, { x: r + 34, y: b }]} text={figure(box.maxY - box.minY, units)} />
            </svg>
          );
        })() : <p className="empty">No ink yet: give a line some words.</p>}
      </div>
      <p className="sums">
        {view.parts.filter((p) => p.capitalHeight > 0).map((p, i) => <span key={i}>{textOf(view, p.partId)}: capitals {figure(p.capitalHeight, units)}</span>)}
      </p>
    </section>
  );
}

function textOf(view: Schemas['MotifView'], id: string): string {
  const part = view.motif.parts.find((p) => p.id === id);
  return part && 'text' in part ? part.text : '';
}
