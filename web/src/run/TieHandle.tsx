import { useRef, useState, type PointerEvent } from 'react';
import type { Schemas } from '../api/client';
import type { Scale } from '../board/scale';
import { figure } from '../units/units';
import { useUnits } from '../units/UnitsContext';

const RADIUS = 5;
/** Degrees that an arrow key moves it by, and with Shift. */
const STEPS = [3, 0.5] as const;

interface Props {
  tie: Schemas['TieView'];
  number: number;
  scale: Scale;
  /** Where it was put: seen from the middle of what it holds, degrees to the left of the right. */
  onPut: (angle: number) => void;
}

/** A tie on the board, moved along what it holds by dragging it round or by the arrow keys. */
export function TieHandle({ tie, number, scale, onPut }: Props) {
  const { units } = useUnits();
  const name =
    `Tie ${number}, ${figure(tie.width, units, 2)} wide, at ${Math.round(tie.angle)}°: ` + 'drag it along, or move it with the arrow keys';
  const held = useRef(false);
  const [to, setTo] = useState<number>();
  // On another side of the same wall it is drawn turned.
  const shown = degrees(tie.from.x - tie.middle.x, tie.from.y - tie.middle.y);
  const at = (angle: number) => {
    const far = Math.hypot(tie.from.x - tie.middle.x, tie.from.y - tie.middle.y);
    const turned = ((angle - tie.angle + shown) * Math.PI) / 180;
    return { x: tie.middle.x + far * Math.cos(turned), y: tie.middle.y + far * Math.sin(turned) };
  };
  const pointed = (e: PointerEvent<SVGCircleElement>) => {
    const frame = e.currentTarget.ownerSVGElement?.getBoundingClientRect();
    const [x, y] = [e.clientX - (frame?.left ?? 0), e.clientY - (frame?.top ?? 0)];
    return Math.round(degrees(x - scale.x(tie.middle.x), scale.y(tie.middle.y) - y) - shown + tie.angle);
  };
  const middle = to === undefined ? { x: (tie.from.x + tie.to.x) / 2, y: (tie.from.y + tie.to.y) / 2 } : at(to);
  return (
    <>
      <circle
        className={tie.moved ? 'tie-handle moved' : 'tie-handle'}
        cx={scale.x(middle.x)}
        cy={scale.y(middle.y)}
        r={RADIUS}
        tabIndex={0}
        role="button"
        aria-label={name}
        data-tie={tie.name}
        onPointerDown={(e) => {
          held.current = true;
          e.currentTarget.setPointerCapture(e.pointerId);
        }}
        onPointerMove={(e) => held.current && setTo(pointed(e))}
        onPointerUp={(e) => {
          held.current = false;
          if (to !== undefined) onPut(pointed(e));
          setTo(undefined);
        }}
        onPointerCancel={() => {
          held.current = false;
          setTo(undefined);
        }}
        onKeyDown={(e) => {
          const way = { ArrowLeft: 1, ArrowUp: 1, ArrowRight: -1, ArrowDown: -1 }[e.key];
          if (way === undefined) return;
          e.preventDefault();
          e.stopPropagation();
          onPut(tie.angle + way * STEPS[e.shiftKey ? 1 : 0]);
        }}
      />
      {to !== undefined && (
        <text x={scale.x(middle.x)} y={scale.y(middle.y) - 10} textAnchor="middle" className="dimension-figure">
          {Math.round(to)}°
        </text>
      )}
    </>
  );
}

const degrees = (x: number, y: number) => (Math.atan2(y, x) * 180) / Math.PI;
