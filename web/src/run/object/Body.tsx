import { useEffect, useRef } from 'react';
import type { Schemas } from '../../api/client';
import { Stage } from './stage';

interface Props {
  view: Schemas['ObjectView'];
  turn: number;
  tilt: number;
  onDrag: (dx: number, dy: number) => void;
}

/** The body on its stage; what is dragged over it turns it. */
export function Body({ view, turn, tilt, onDrag }: Props) {
  const place = useRef<HTMLDivElement>(null);
  const stage = useRef<Stage>(undefined);
  const held = useRef<{ x: number; y: number }>(undefined);
  useEffect(() => {
    if (!place.current) return;
    const made = new Stage(place.current);
    stage.current = made;
    return () => {
      stage.current = undefined;
      made.dispose();
    };
  }, []);
  useEffect(() => stage.current?.show(view), [view]);
  useEffect(() => stage.current?.turn(turn, tilt), [turn, tilt, view]);
  return (
    <div
      ref={place}
      className="stage"
      onPointerDown={(e) => {
        held.current = { x: e.clientX, y: e.clientY };
        e.currentTarget.setPointerCapture(e.pointerId);
      }}
      onPointerUp={() => {
        held.current = undefined;
      }}
      onPointerMove={(e) => {
        if (!held.current) return;
        onDrag((held.current.x - e.clientX) * 0.5, (e.clientY - held.current.y) * 0.3);
        held.current = { x: e.clientX, y: e.clientY };
      }}
    />
  );
}
