import type { Schemas } from '../api/client';

/** How lengths are shown: millimetres, or inches as decimals or to the nearest part. */
export interface Units {
  unit: 'mm' | 'in';
  /** 0 for decimals, else the part of an inch. */
  fraction: 0 | 8 | 16 | 32;
}

export const MM_PER_INCH = 25.4;

/** How lengths are shown until somebody chooses. */
export const USUAL: Units = { unit: 'mm', fraction: 16 };

/** What was chosen, as it was kept; the usual where that cannot be read. */
export function keptUnits(kept: string | null): Units {
  try {
    const { unit, fraction } = JSON.parse(kept ?? '') as Partial<Units>;
    const part = ([0, 8, 16, 32] as const).find((f) => f === fraction);
    return (unit === 'mm' || unit === 'in') && part !== undefined ? { unit, fraction: part } : USUAL;
  } catch {
    return USUAL;
  }
}

/** Less than this is told to hundredths of a millimetre or thousandths of an inch: 1/16 of 1/16 tells nothing. */
const SMALL = 5;

/** Whether a length is so small that hundredths of a millimetre count where it stands for itself. */
export const isSmall = (mm: number) => Math.abs(mm) < SMALL;

/** The figure alone, without its unit. */
export function figure(mm: number, units: Units, digits = 1): string {
  if (units.unit === 'mm') return fixed(mm, digits);
  const inches = mm / MM_PER_INCH;
  // What is asked for finely stands for itself; beside another figure, as an uncertainty, a small one is shown as that is.
  if (digits > 1 && isSmall(mm)) return fixed(inches, 3);
  return units.fraction === 0 ? fixed(inches, digits + 2) : inFractions(inches, units.fraction);
}

/** The figure with its unit. */
export function length(mm: number, units: Units, digits = 1): string {
  return `${figure(mm, units, digits)} ${units.unit}`;
}

export function degrees(value: number): string {
  return `${fixed(value, 1)}°`;
}

/** A bare number typed now takes this unit. */
export function unitInForce(units: Units): Schemas['LengthUnit'] {
  return units.unit === 'mm' ? 'millimetre' : 'inch';
}

/** A length as a maker would have typed it, to a tenth of a millimetre. */
export function typedAs(mm: number, unit: Schemas['LengthUnit']): Schemas['TypedLength'] {
  return { text: unit === 'inch' ? (mm / MM_PER_INCH).toFixed(3) : mm.toFixed(1), unit };
}

/** A length that nobody typed yet. */
export const untyped = (units: Units): Schemas['TypedLength'] => ({ text: '', unit: unitInForce(units) });

/** Rounding never leaves a minus before nothing. */
function fixed(value: number, digits: number): string {
  const text = value.toFixed(digits);
  return Number(text) === 0 ? text.replace('-', '') : text.replace('-', '−');
}

function inFractions(inches: number, parts: number): string {
  const all = Math.round(Math.abs(inches) * parts);
  const whole = Math.floor(all / parts);
  let top = all % parts;
  let bottom = parts;
  while (top > 0 && top % 2 === 0) [top, bottom] = [top / 2, bottom / 2];
  const sign = inches < 0 && all > 0 ? '−' : '';
  if (top === 0) return `${sign}${whole}`;
  return `${sign}${whole > 0 ? `${whole} ` : ''}${top}/${bottom}`;
}
