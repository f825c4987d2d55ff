import type { Schemas } from '../api/client';

export type Blank = Schemas['Blank'];
export type Edit = (change: (b: Blank) => Blank) => void;

export const SURFACES: Record<Schemas['SurfaceKind'], string> = {
  straight: 'Straight',
  tapered: 'Tapered',
  bellied: 'Bellied',
  flat: 'Flat',
  garment: 'Garment',
  framed: 'Framed',
};

/** What a maker picks when a new blank is measured. */
export const KINDS: { key: string; surface: Schemas['SurfaceKind']; outline: Schemas['OutlineKind'] | null; words: string }[] = [
  { key: 'straight', surface: 'straight', outline: null, words: 'straight wall: mug, glass' },
  { key: 'tapered', surface: 'tapered', outline: null, words: 'tapered wall: tumbler, cone' },
  { key: 'bellied', surface: 'bellied', outline: null, words: 'bellied wall: jug, bottle' },
  { key: 'flat', surface: 'flat', outline: 'rectangle', words: 'flat panel: board, sign, plate' },
  { key: 'drawn', surface: 'flat', outline: 'drawn', words: 'odd outline, from paper or a file' },
  { key: 'garment', surface: 'garment', outline: null, words: 'garment or bag, in sizes' },
  { key: 'framed', surface: 'framed', outline: null, words: 'frame with pane and mats' },
];

export const OUTLINES: Record<Schemas['OutlineKind'], string> = {
  rectangle: 'rectangle',
  rounded: 'rounded rectangle',
  circle: 'circle',
  oval: 'oval',
  polygon: 'regular polygon',
  drawn: 'odd outline',
};

export const isWall = (surface: Schemas['SurfaceKind']) => surface === 'straight' || surface === 'tapered' || surface === 'bellied';

/** Faces that things of a kind often have besides their own surface. */
export function usualFaces(blank: Blank): { name: string; outline: Schemas['OutlineKind'] }[] {
  const are = (outline: Schemas['OutlineKind'], ...names: string[]) => names.map((name) => ({ name, outline }));
  if (isWall(blank.surface)) return are('circle', 'Lid', 'Base');
  if (blank.surface === 'framed') return are('rectangle', 'Moulding, top', 'Moulding, foot');
  if (blank.surface !== 'garment') return are('rectangle', 'Edge', 'Stand');
  return blank.garment.kind === 'shirt' ? are('rectangle', 'Left sleeve', 'Right sleeve') : are('rectangle', 'Pocket', 'Base');
}

/** The lines one can measure from on a surface, or on a face of its own, in a maker's words. */
export function datums(blank: Blank, face = ''): [Schemas['Datum'], string][] {
  if (isWall(blank.surface) && !face)
    return [
      ['middle', 'in the middle'],
      ['top', 'down from the rim'],
      ['bottom', 'up from the base'],
    ];
  if (blank.surface !== 'garment' || face) {
    return [
      ['middle', 'in the middle'],
      ['top', 'down from the top edge'],
      ['bottom', 'up from the bottom edge'],
    ];
  }
  return blank.garment.kind === 'shirt'
    ? [
        ['collar', 'down from the collar seam'],
        ['shoulder', 'down from the shoulder'],
        ['pocket', 'down from the pocket'],
        ['hem', 'up from the hem'],
        ['middle', 'in the middle'],
      ]
    : [
        ['collar', 'down from the top edge'],
        ['pocket', 'down from the pocket'],
        ['hem', 'up from the bottom'],
        ['middle', 'in the middle'],
      ];
}

/** What a person calls the four sides of a zone. */
export function sides(blank: Blank, handle: boolean, face = ''): Record<'top' | 'bottom' | 'left' | 'right', string> {
  if (!isWall(blank.surface) || face) return { top: 'Top edge', bottom: 'Bottom edge', left: 'Left edge', right: 'Right edge' };
  const beside = handle ? 'handle' : 'seam';
  return { top: 'Below the rim', bottom: 'Above the base', left: `Left, to ${beside}`, right: `Right, to ${beside}` };
}

/** A few names, and how many more there are. */
export function fewOf(names: readonly string[], most = 3): string {
  return names.length <= most ? names.join(', ') : `${names.slice(0, most - 1).join(', ')} and ${names.length - most + 1} more`;
}

/** A name that no item of a list has yet. */
export function freshId(word: string, taken: readonly { id: string }[]): string {
  let n = taken.length + 1;
  while (taken.some((t) => t.id === `${word}-${n}`)) n += 1;
  return `${word}-${n}`;
}
