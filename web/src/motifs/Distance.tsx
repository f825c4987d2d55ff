import { useRef, useState, type MouseEvent } from 'react';
import type { Schemas } from '../api/client';
import { LengthField } from '../units/LengthField';
import { length } from '../units/units';
import { useUnits } from '../units/UnitsContext';
import { useEcho } from '../units/useEcho';

type Point = { x: number; y: number };

/** Two points on a graphic and how far apart they really are: from that follows its size. Without points its width is meant. */
export function Distance({ graphic, onScale }: { graphic: Schemas['GraphicView']; onScale: (by: number) => void }) {
  const { units } = useUnits();
  const drawing = useRef<SVGSVGElement>(null);
  const [points, setPoints] = useState<readonly Point[]>([]);
  const [typed, setTyped] = useState<Schemas['TypedLength']>({ text: '', unit: units.unit === 'mm' ? 'millimetre' : 'inch' });
  const echo = useEcho(typed, 'artwork');
  const { box } = graphic;
  if (!box) return null;
  const [a, b] = points;
  const now = a && b ? Math.hypot(a.x - b.x, a.y - b.y) : box.maxX - box.minX;
  const room = 0.05 * Math.max(box.width, box.height);
  const mark = (e: MouseEvent) => {
    const matrix = drawing.current?.getScreenCTM()?.inverse();
    if (!matrix) return;
    const p = new DOMPoint(e.clientX, e.clientY).matrixTransform(matrix);
    setPoints(points.length === 2 ? [{ x: p.x, y: -p.y }] : [...points, { x: p.x, y: -p.y }]);
  };
  return (
    <div className="distance">
      <svg
        ref={drawing}
        viewBox={`${box.minX - room} ${-box.maxY - room} ${box.width + 2 * room} ${box.height + 2 * room}`}
        onClick={mark}
        role="img"
        aria-label="Point at two places"
      >
        <g transform="scale(1 -1)">
          {graphic.pieces.map((p) => (
            <path key={p.index} d={p.path + p.lines} className="piece-faint" fillRule="evenodd" />
          ))}
          {points.map((p, i) => (
            <circle key={i} cx={p.x} cy={p.y} r={room / 3} className="distance-mark" />
          ))}
          {a && b && <line x1={a.x} y1={a.y} x2={b.x} y2={b.y} className="distance-line" vectorEffect="non-scaling-stroke" />}
        </g>
      </svg>
      <p className="soft small">
        {a && b
          ? 'Between the two places it is now'
          : a
            ? 'Point at the second place.'
            : 'Point at two places, or say how wide all of it is: now'}{' '}
        {(!a || b) && length(now, units)}
      </p>
      <div className="strip-check">
        <LengthField label={a && b ? 'It really is' : 'It really is wide'} value={typed} echo={echo} onChange={setTyped} />
        <button
          type="button"
          className="btn btn-sm btn-line"
          disabled={typeof echo.millimetres !== 'number' || now <= 0}
          onClick={() => {
            onScale((echo.millimetres ?? now) / now);
            setPoints([]);
          }}
        >
          Make it so
        </button>
      </div>
    </div>
  );
}
