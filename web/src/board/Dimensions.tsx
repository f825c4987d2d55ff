import type { Schemas } from '../api/client';
import { figure } from '../units/units';
import { useUnits } from '../units/UnitsContext';
import { DimensionMark } from './DimensionMark';
import type { Scale } from './scale';

/** The first dimension line stands this far from the drawing, the next ones this far from one another; pixels. */
const FIRST = 20;
const NEXT = 28;

interface Props {
  lines: readonly Schemas['DimensionLine'][];
  box: Schemas['Box'];
  scale: Scale;
  lit?: string;
  onLight?: (letter?: string) => void;
}

/** Dimension lines around a drawing. */
export function Dimensions({ lines, box, scale, lit, onLight }: Props) {
  const { units } = useUnits();
  return (
    <>
      {lines.map((line, i) => {
        const [a, b] = [line.from, line.to].map((p) => ({ x: scale.x(p.x), y: scale.y(p.y) })) as [XY, XY];
        const [c, d] = laid(line, a, b, box, scale);
        const value = typeof line.millimetres === 'number' ? figure(line.millimetres, units) : '?';
        const uncertain = typeof line.uncertainty === 'number' ? ` ± ${figure(line.uncertainty, units)}` : '';
        return (
          <DimensionMark
            key={i}
            extend={[a, b]}
            line={[c, d]}
            text={`${line.word ? `${line.word} ` : ''}${value}${uncertain}`}
            letter={line.letter ?? undefined}
            className={line.ofZone ? 'of-zone' : ''}
            along={0.5 + 0.17 * line.level}
            lit={lit !== undefined && lit === line.letter}
            onLight={onLight}
          />
        );
      })}
    </>
  );
}

interface XY {
  x: number;
  y: number;
}

/** Where the line itself is laid. */
function laid(line: Schemas['DimensionLine'], a: XY, b: XY, box: Schemas['Box'], scale: Scale): [XY, XY] {
  const out = FIRST + line.level * NEXT;
  switch (line.place) {
    case 'above': {
      const y = scale.y(box.maxY) - out;
      return [
        { x: a.x, y },
        { x: b.x, y },
      ];
    }
    case 'below': {
      const y = scale.y(box.minY) + out;
      return [
        { x: a.x, y },
        { x: b.x, y },
      ];
    }
    case 'left': {
      const x = scale.x(box.minX) - out;
      return [
        { x, y: a.y },
        { x, y: b.y },
      ];
    }
    case 'right': {
      const x = scale.x(box.maxX) + out;
      return [
        { x, y: a.y },
        { x, y: b.y },
      ];
    }
    case 'along': {
      const l = Math.hypot(b.x - a.x, b.y - a.y) || 1;
      // Clear of the edge it measures.
      const off = 1.6 * out;
      const [nx, ny] = [((b.y - a.y) / l) * off, (-(b.x - a.x) / l) * off];
      return [
        { x: a.x + nx, y: a.y + ny },
        { x: b.x + nx, y: b.y + ny },
      ];
    }
  }
}
