import type { Schemas } from '../api/client';
import { figure } from '../units/units';
import { useUnits } from '../units/UnitsContext';
import type { Scale } from './scale';

const HEIGHT = 24;
const CHARACTER = 6.8;

interface Props {
  callouts: readonly Schemas['Callout'][];
  /** The right end of the free ground; pixels. */
  right: number;
  scale: Scale;
  lit?: string;
  onLight?: (letter?: string) => void;
}

/** Lettered figures at the right of a drawing with leaders to their places; kept from covering one another. */
export function Callouts({ callouts, right, scale, lit, onLight }: Props) {
  const { units } = useUnits();
  let free = -Infinity;
  return (
    <>
      {[...callouts]
        .sort((a, b) => b.at.y - a.at.y)
        .map((c) => {
          const y = Math.max(scale.y(c.at.y), free + HEIGHT + 8);
          free = y;
          const text = `${c.word} ${typeof c.millimetres === 'number' ? figure(c.millimetres, units) : '?'}`;
          const width = text.length * CHARACTER + 36;
          return (
            <g
              key={c.letter}
              className={lit === c.letter ? 'callout lit' : 'callout'}
              onMouseEnter={() => onLight?.(c.letter)}
              onMouseLeave={() => onLight?.(undefined)}
            >
              <polyline
                points={`${scale.x(c.at.x)},${scale.y(c.at.y)} ${right - width - 14},${y} ${right - width},${y}`}
                className="leader"
              />
              <rect x={right - width} y={y - HEIGHT / 2} width={width} height={HEIGHT} className="tag" />
              <text x={right - width + 10} y={y} dy="0.35em" className="letter">
                {c.letter}
              </text>
              <text x={right - width + 28} y={y} dy="0.35em" className="dimension-figure">
                {text}
              </text>
            </g>
          );
        })}
    </>
  );
}
