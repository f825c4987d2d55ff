import type { Schemas } from '../api/client';

/** What the shelf is sifted by. */
export interface Sieve {
  words: string;
  surface: Schemas['SurfaceKind'] | '';
  tag: string;
  /** The least workable width, as typed in the unit shown. */
  least: string;
  retired: boolean;
}

export const NONE: Sieve = { words: '', surface: '', tag: '', least: '', retired: false };

/** A width typed into the sieve in millimetres; undefined while it cannot be read. */
export function inReach(typed: string, unit: 'mm' | 'in'): number | undefined {
  const match = /^\s*(\d+(?:[.,]\d+)?)\s*(mm|cm|in)?\s*$/.exec(typed);
  if (!match) return undefined;
  return Number(match[1]?.replace(',', '.')) * { mm: 1, cm: 10, in: 25.4 }[(match[2] ?? unit) as 'mm' | 'cm' | 'in'];
}

/** Whether a blank passes: every word must be found in its name, material or words. */
export function found(
  blank: Pick<Schemas['BlankCard'], 'name' | 'material' | 'tags' | 'surface' | 'width' | 'retired'>,
  sieve: Sieve,
  unit: 'mm' | 'in',
): boolean {
  const text = [blank.name, blank.material, ...blank.tags].join(' ').toLowerCase();
  const least = inReach(sieve.least, unit);
  return (
    (sieve.retired || !blank.retired) &&
    (sieve.surface === '' || blank.surface === sieve.surface) &&
    (sieve.tag === '' || blank.tags.includes(sieve.tag)) &&
    (least === undefined || blank.width >= least) &&
    sieve.words
      .toLowerCase()
      .split(/\s+/)
      .every((w) => text.includes(w))
  );
}
