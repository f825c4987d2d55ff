import type { Schemas } from '../api/client';
import { fillOf, FilmPatterns } from '../board/FilmPatterns';

/** How tall a row of the rack draws, in pixels. */
const TALL = 26;
const WIDE = 260;
const GAP = 5;

/** What a roll is drawn as: so long a piece of it hangs down, in millimetres. */
const HANGS = 420;

/** Sheets of one size are drawn one behind another, up to so many. */
const BEHIND = 4;

type Stock = Schemas['FilmStockView'];

const lengthOf = (form: Schemas['StockForm'], length: number) => (form === 'roll' ? Math.min(length, HANGS) : length);

/** Pixels for a millimetre, one for all rows: the longest thing of the rack fills a row. */
export function scaleOf(stock: readonly Stock[]): number {
  const longest = stock.flatMap((s) => s.stock.items.map((i) => lengthOf(i.form, s.shapes.find((x) => x.id === i.id)?.length ?? 0)));
  return TALL / Math.max(300, ...longest);
}

/** What there is of a film, drawn as what it is: rolls, sheets one behind another, off-cuts by their shape. */
export function StockDrawing({ film, stock, scale }: { film: Schemas['Film']; stock?: Stock; scale: number }) {
  let x = 1;
  const drawn = (stock?.stock.items ?? []).flatMap((item) => {
    const shape = stock?.shapes.find((s) => s.id === item.id);
    if (!shape?.path || item.count === 0 || x > WIDE - 20) return [];
    const [width, length] = [scale * (shape.width ?? 0), scale * lengthOf(item.form, shape.length ?? 0)];
    const at = x;
    const behind = item.form === 'sheet' ? Math.min(item.count - 1, BEHIND) : 0;
    x += width + 2 * behind + GAP + (item.form === 'roll' ? 3 : 0);
    return [{ item, path: shape.path, width, length, at, behind }];
  });
  return (
    <svg className="stock-drawing" width={WIDE} height={TALL + 2} aria-hidden="true">
      <FilmPatterns films={[film]} />
      {drawn.map(({ item, path, width, length, at, behind }) =>
        item.form === 'offCut' ? (
          <g key={item.id} transform={`translate(${at} ${TALL}) scale(${scale} ${-scale})`}>
            <path d={path} fill={fillOf(film)} fillRule="evenodd" className="stock-shape" vectorEffect="non-scaling-stroke" />
          </g>
        ) : (
          <g key={item.id}>
            {Array.from({ length: behind + 1 }, (_, i) => behind - i).map((i) => (
              <rect key={i} x={at + 2 * i} y={TALL - length} width={width} height={length} fill={fillOf(film)} className="stock-shape" />
            ))}
            {item.form === 'roll' && (
              <rect x={at - 1.5} y={TALL - length - 1} width={width + 3} height={5} rx={2.5} fill={fillOf(film)} className="stock-shape" />
            )}
          </g>
        ),
      )}
    </svg>
  );
}
