import { useRef, useState, type PointerEvent } from 'react';
import type { Schemas } from '../api/client';
import type { Scale } from '../board/scale';
import { figure } from '../units/units';
import { useUnits } from '../units/UnitsContext';

interface Props {
  name: string;
  box: Pick<Schemas['Box'], 'minX' | 'minY' | 'maxX' | 'maxY'>;
  stands: Schemas['ZoneStands'];
  scale: Scale;
  onMove: (dx: number, dy: number) => void;
}

const STEP = 0.5;
const LONG_STEP = 5;

/** A zone that can be moved: by dragging, or by the arrow keys once it has the focus. The figures that change are shown. */
export function ZoneHandle({ name, box, stands, scale, onMove }: Props) {
  const { units } = useUnits();
  const from = useRef<{ x: number; y: number }>(undefined);
  const [by, setBy] = useState({ dx: 0, dy: 0 });
  const [x, y] = [scale.x(box.minX + by.dx), scale.y(box.maxY + by.dy)];
  const [w, h] = [scale.k * (box.maxX - box.minX), scale.k * (box.maxY - box.minY)];
  const moved = (e: PointerEvent) => (from.current ? { dx: Math.round((e.clientX - from.current.x) / scale.k / STEP) * STEP, dy: -Math.round((e.clientY - from.current.y) / scale.k / STEP) * STEP } : by);
  return (
    <g className="zone-handle">
      <rect
        x={x} y={y} width={w} height={h} tabIndex={0} role="button"
        aria-label={`${name}: drag it, or move it with the arrow keys`}
        onPointerDown={(e) => { from.current = { x: e.clientX, y: e.clientY }; e.currentTarget.setPointerCapture(e.pointerId); }}
        onPointerMove={(e) => { if (from.current) setBy(moved(e)); }}
        onPointerUp={(e) => {
          const { dx, dy } = moved(e);
          from.current = undefined;
          setBy({ dx: 0, dy: 0 });
          if (dx !== 0 || dy !== 0) onMove(dx, dy);
        }}
        onKeyDown={(e) => {
          const step = e.shiftKey ? LONG_STEP : STEP;
          const way = { ArrowLeft: [-step, 0], ArrowRight: [step, 0], ArrowUp: [0, step], ArrowDown: [0, -step] }[e.key];
          if (!way) return;
          e.preventDefault();
          onMove(way[0] ?? 0, way[1] ?? 0);
        }}
      />
      {(by.dx !== 0 || by.dy !== 0) && (
        <text x={x + w / 2} y={y - 8} textAnchor="middle" className="dimension-figure">
          {figure(stands.fromBottom + by.dy, units)} up · {figure(stands.fromTop - by.dy, units)} down · {figure(stands.across + by.dx, units)} across
        </text>
      )}
    </g>
  );
}
