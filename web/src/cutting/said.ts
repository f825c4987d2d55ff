import type { Schemas } from '../api/client';
import { MM_PER_INCH, type Units } from '../units/units';

/** An area of film, in whole square centimetres or tenths of a square inch. */
export const areaWhole = (mm2: number, { unit }: Units) =>
  unit === 'mm' ? `${Math.round(mm2 / 100)} cm²` : `${(mm2 / (MM_PER_INCH * MM_PER_INCH)).toFixed(1)} in²`;

/** What a piece on a load is called, apart from its sections, copies and spares. */
export function calledOf({ name, section, isSpare, id }: Schemas['PlacedView']): string {
  const copy = isSpare ? ', a spare' : id.copy > 1 ? `, copy ${id.copy}` : '';
  return `${name}${section > 0 ? `, section ${section}` : ''}${copy}`;
}
