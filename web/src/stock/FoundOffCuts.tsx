import type { Schemas } from '../api/client';
import { scaleFor } from '../board/scale';
import { useSize } from '../board/useSize';

const PAD = { top: 24, right: 24, bottom: 30, left: 24 };

interface Props {
  found?: Schemas['OffCutsView'];
  chosen: number;
  onChoose: (index: number) => void;
}

/** Off-cuts as they lie from the loading corner, or beside one another where that is not known. */
export function FoundOffCuts({ found, chosen, onChoose }: Props) {
  const [ref, { width, height }] = useSize<HTMLDivElement>();
  const placed = placesOf(found?.offCuts ?? []);
  const box = boxOf(placed);
  const scale = scaleFor(box, width, height, PAD);
  const hasCorner = placed.some((p) => p.of.liesAt);
  return (
    <section className="card sheet" aria-label="What was found">
      <div className="board off-cut-board" ref={ref}>
        {width > 0 && placed.length > 0 && (
          <svg width={width} height={height} role="group" className="drawing" aria-label="Off-cuts on the scan">
            {hasCorner && (
              <g className="loading-corner">
                <path d={`M${scale.x(0)} ${scale.y(40)}V${scale.y(0)}H${scale.x(40)}`} />
                <text x={scale.x(0)} y={scale.y(0) + 16}>
                  loading corner
                </text>
              </g>
            )}
            <g transform={scale.transform}>
              {placed.map((p, i) => (
                <path
                  key={i}
                  d={p.of.path}
                  transform={`translate(${p.x} ${p.y})`}
                  fillRule="evenodd"
                  vectorEffect="non-scaling-stroke"
                  className={i === chosen ? 'found-off-cut here' : 'found-off-cut'}
                  onClick={() => onChoose(i)}
                >
                  <title>{`Off-cut ${i + 1}`}</title>
                </path>
              ))}
            </g>
          </svg>
        )}
        {placed.length === 0 && <p className="empty">Nothing is scanned yet.</p>}
      </div>
    </section>
  );
}

/** The box of the loading corner and all off-cuts. */
function boxOf(placed: ReturnType<typeof placesOf>): Schemas['Box'] {
  const [minX, minY] = [Math.min(0, ...placed.map((p) => p.x)), Math.min(0, ...placed.map((p) => p.y))];
  const maxX = Math.max(100, ...placed.map((p) => p.x + p.of.width));
  const maxY = Math.max(100, ...placed.map((p) => p.y + p.of.height));
  return { minX, minY, maxX, maxY, width: maxX - minX, height: maxY - minY, centreX: (minX + maxX) / 2, centreY: (minY + maxY) / 2 };
}

/** Where each is drawn. */
export function placesOf(offCuts: readonly Schemas['OffCutView'][]): { of: Schemas['OffCutView']; x: number; y: number }[] {
  const gap = 15;
  let next = 0;
  return offCuts.map((of) => {
    if (of.liesAt) return { of, x: of.liesAt.x, y: of.liesAt.y };
    const x = next;
    next += of.width + gap;
    return { of, x, y: 0 };
  });
}
