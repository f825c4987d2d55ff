import type { Schemas } from '../api/client';
import { MM_PER_INCH, type Units } from '../units/units';

/** Minutes: under ten with a decimal, and under one in seconds. */
export function minutesSaid(minutes: number): string {
  const seconds = Math.round(60 * minutes);
  if (seconds < 60) return `${Math.max(1, seconds)} s`;
  return `${minutes < 10 ? minutes.toFixed(1) : Math.round(minutes)} min`;
}

/** Where an estimate comes from. */
export function spreadSaid({ entries, fitted, spread }: Schemas['WeedingTime']): string {
  if (fitted && typeof spread === 'number') return `Fitted to ${entries} of your own times, ± ${minutesSaid(spread)}.`;
  return entries === 0
    ? 'By the product’s own pace, until you have typed five times what it took.'
    : `By the product’s own pace; ${entries} of five times of your own are typed.`;
}

/** An area, small ones finely. */
export function areaSaid(mm2: number, { unit }: Units): string {
  if (unit !== 'mm') return `${(mm2 / (MM_PER_INCH * MM_PER_INCH)).toPrecision(2)} in²`;
  return `${mm2 < 10 ? mm2.toFixed(2) : mm2 < 100 ? mm2.toFixed(1) : Math.round(mm2)} mm²`;
}

/** What counts as small, in the unit in force. */
export const smallSaid = ({ unit }: Units) => (unit === 'mm' ? 'under 4 mm²' : 'under 0.0062 in²');

export const bitsSaid = (bits: number) => `${bits} ${bits === 1 ? 'bit' : 'bits'}`;

export const SIDES: Record<Schemas['PeelSide'], string> = {
  left: 'the left',
  right: 'the right',
  above: 'above',
  below: 'below',
};
