interface XY {
  x: number;
  y: number;
}

interface Props {
  /** What is measured; thin lines lead from there to the dimension line. */
  extend: [XY, XY];
  line: [XY, XY];
  text: string;
  letter?: string;
  className?: string;
  /** Where along the line its letter stands, as a share; lines beside one another keep theirs apart. */
  along?: number;
  lit?: boolean;
  onLight?: (letter?: string) => void;
}

const TICK = 5;
const LETTER_WIDTH = 17;
const CHARACTER = 6.6;

/** A dimension line after ISO 129: thin, with oblique ticks, its figure in a gap of the line. */
export function DimensionMark({ extend, line: [a, b], text, letter, className = '', along = 0.5, lit = false, onLight }: Props) {
  const length = Math.hypot(b.x - a.x, b.y - a.y);
  const middle = { x: (a.x + b.x) / 2, y: (a.y + b.y) / 2 };
  const upright = Math.abs(b.x - a.x) < Math.abs(b.y - a.y);
  const width = text.length * CHARACTER + 12 + (letter ? LETTER_WIDTH : 0);
  // Too short for its figure: the figure stands beside the line, and outside its end.
  const beside = length < width + 10 && !letter;
  const at =
    letter && upright
      ? { x: a.x > extend[0].x ? middle.x + width / 2 + 10 : middle.x - width / 2 - 10, y: a.y + along * (b.y - a.y) }
      : beside && !upright
        ? { x: Math.max(a.x, b.x) + width / 2 + 4, y: middle.y }
        : middle;
  const turned = upright && !letter ? ` rotate(-90)` : '';
  return (
    <g
      className={`dimension ${className}${onLight ? '' : ' unheard'}${lit ? ' lit' : ''}`}
      onMouseEnter={() => onLight?.(letter)}
      onMouseLeave={() => onLight?.(undefined)}
    >
      {[
        [extend[0], a],
        [extend[1], b],
      ].map(([from, to], i) => (
        <Extension key={i} from={from as XY} to={to as XY} />
      ))}
      <line x1={a.x} y1={a.y} x2={b.x} y2={b.y} className="dimension-line" />
      {[a, b].map((p, i) => (
        <line key={i} x1={p.x - TICK} y1={p.y + TICK} x2={p.x + TICK} y2={p.y - TICK} className="tick" />
      ))}
      <g transform={`translate(${at.x} ${at.y})${turned}`}>
        <rect x={-width / 2} y={-10} width={width} height={20} className={letter ? 'tag' : 'gap'} />
        {letter && (
          <text x={-width / 2 + 8} dy="0.35em" className="letter">
            {letter}
          </text>
        )}
        <text x={letter ? LETTER_WIDTH / 2 : 0} dy="0.35em" textAnchor="middle" className="dimension-figure">
          {text}
        </text>
      </g>
    </g>
  );
}

function Extension({ from, to }: { from: XY; to: XY }) {
  const l = Math.hypot(to.x - from.x, to.y - from.y);
  if (l < 6) return null;
  const [ux, uy] = [(to.x - from.x) / l, (to.y - from.y) / l];
  return <line x1={from.x + 3 * ux} y1={from.y + 3 * uy} x2={to.x + 6 * ux} y2={to.y + 6 * uy} className="extension" />;
}
