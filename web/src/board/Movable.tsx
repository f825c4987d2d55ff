import { useRef, useState, type PointerEvent, type ReactNode } from 'react';
import type { Schemas } from '../api/client';
import type { Scale } from './scale';

export interface By {
  dx: number;
  dy: number;
}

interface Props {
  name: string;
  box: Pick<Schemas['Box'], 'minX' | 'minY' | 'maxX' | 'maxY'>;
  scale: Scale;
  /** Millimetres that a drag snaps to and an arrow key moves by, and what it moves by with Shift. */
  steps: readonly [number, number];
  /** Pixels that the frame stands outside the box. */
  outside?: number;
  className?: string;
  /** Told while it is dragged, and of nothing when it was let go where it was. */
  onBy?: (by?: By) => void;
  onMove: (dx: number, dy: number) => void;
  /** What is shown while it is dragged, given how far, and where the frame's middle, top and foot are. */
  children: (by: By, at: { x: number; y: number; foot: number }) => ReactNode;
}

/** Something on a board that is moved: by dragging, or by the arrow keys once it has the focus. The figures that change are shown. */
export function Movable({ name, box, scale, steps: [step, longStep], outside = 0, className, onBy, onMove, children }: Props) {
  const from = useRef<{ x: number; y: number }>(undefined);
  const [by, setBy] = useState<By>({ dx: 0, dy: 0 });
  const snap = (px: number) => Math.round(px / scale.k / step) * step;
  const moved = (e: PointerEvent): By =>
    from.current ? { dx: snap(e.clientX - from.current.x), dy: -snap(e.clientY - from.current.y) } : by;
  const [x, y] = [scale.x(box.minX + by.dx) - outside, scale.y(box.maxY + by.dy) - outside];
  const width = scale.k * (box.maxX - box.minX) + 2 * outside;
  const height = scale.k * (box.maxY - box.minY) + 2 * outside;
  return (
    <>
      <rect
        x={x}
        y={y}
        width={width}
        height={height}
        className={className}
        tabIndex={0}
        role="button"
        aria-label={`${name}: drag it, or move it with the arrow keys`}
        onPointerDown={(e) => {
          from.current = { x: e.clientX, y: e.clientY };
          e.currentTarget.setPointerCapture(e.pointerId);
        }}
        onPointerMove={(e) => {
          if (!from.current) return;
          const now = moved(e);
          if (now.dx === by.dx && now.dy === by.dy) return;
          setBy(now);
          onBy?.(now);
        }}
        onPointerUp={(e) => {
          const { dx, dy } = moved(e);
          from.current = undefined;
          setBy({ dx: 0, dy: 0 });
          if (dx !== 0 || dy !== 0) onMove(dx, dy);
          else onBy?.();
        }}
        onPointerCancel={() => {
          from.current = undefined;
          setBy({ dx: 0, dy: 0 });
          onBy?.();
        }}
        onKeyDown={(e) => {
          const far = e.shiftKey ? longStep : step;
          const way = { ArrowLeft: [-far, 0], ArrowRight: [far, 0], ArrowUp: [0, far], ArrowDown: [0, -far] }[e.key];
          if (!way) return;
          e.preventDefault();
          e.stopPropagation();
          onMove(way[0] ?? 0, way[1] ?? 0);
        }}
      />
      {(by.dx !== 0 || by.dy !== 0) && children(by, { x: x + width / 2, y, foot: y + height })}
    </>
  );
}
