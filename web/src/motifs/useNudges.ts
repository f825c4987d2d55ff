import { useRef } from 'react';
import type { Schemas } from '../api/client';
import { typedAs, unitInForce } from '../units/units';
import { useUnits } from '../units/UnitsContext';
import type { Part } from './parts';

type Point = Schemas['PlanePoint'];
type Nudge = Schemas['Nudge'];

/** What was written of a part's nudge last, and how far that is. */
export interface Written {
  partId: string;
  nudge: Nudge;
  to: Point;
}

/**
 * A part nudged on by so much. How far it was nudged before is what the server read of it, in whatever unit it was typed; while its answer
 * to the last nudge is on the way, what was written is what counts.
 */
export function nudged(
  part: Pick<Part, 'id' | 'nudge'>,
  read: Point,
  written: Written | undefined,
  by: Point,
  unit: Schemas['LengthUnit'],
): Written {
  const own = written?.partId === part.id && same(written.nudge, part.nudge) ? written.to : read;
  const to = { x: own.x + by.x, y: own.y + by.y };
  const length = (was: Schemas['MotifLength'], mm: number) => ({
    ...was,
    // Keys go by tenths and finer: a hundredth is kept.
    typed: unit === 'inch' ? typedAs(mm, unit) : { text: String(Math.round(mm * 100) / 100), unit },
  });
  return { partId: part.id, to, nudge: { right: length(part.nudge.right, to.x), up: length(part.nudge.up, to.y) } };
}

/** Nudges parts one after another, by dragging or keys. */
export function useNudges() {
  const { units } = useUnits();
  const written = useRef<Written>(undefined);
  return (part: Part, read: Point, by: Point): Part => {
    written.current = nudged(part, read, written.current, by, unitInForce(units));
    return { ...part, nudge: written.current.nudge };
  };
}

function same(a: Nudge, b: Nudge): boolean {
  return (['right', 'up'] as const).every((way) => a[way].typed.text === b[way].typed.text && a[way].typed.unit === b[way].typed.unit);
}
