import { MM_PER_INCH, type Units } from '../units/units';

/** An area of film, in whole square centimetres or tenths of a square inch. */
export const areaWhole = (mm2: number, { unit }: Units) =>
  unit === 'mm' ? `${Math.round(mm2 / 100)} cm²` : `${(mm2 / (MM_PER_INCH * MM_PER_INCH)).toFixed(1)} in²`;
