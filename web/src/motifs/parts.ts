import type { Schemas } from '../api/client';

export type Motif = Schemas['Motif'];
export type Part = Schemas['Part'];
export type Lettering = Extract<Part, { kind: 'lettering' }>;
export type Shape = Extract<Part, { kind: 'shape' }>;
export type Graphic = Extract<Part, { kind: 'graphic' }>;
export type Group = Extract<Part, { kind: 'group' }>;
export type Backing = Extract<Part, { kind: 'backing' }>;
export type Rule = Extract<Part, { kind: 'rule' }>;
export type Length = Schemas['MotifLength'];

type Parts = readonly Part[];

/** All parts with how deep they stand in groups, in order. */
export function flat(parts: Parts, depth = 0): { part: Part; depth: number }[] {
  return parts.flatMap((part) => [{ part, depth }, ...(part.kind === 'group' ? flat(part.parts, depth + 1) : [])]);
}

/** The parts with the one of an id changed, wherever it stands; null takes it away. */
export function changed(parts: Parts, id: string, to: (part: Part) => Part | readonly Part[] | null): Part[] {
  return parts.flatMap((p) => {
    if (p.id === id) {
      const next = to(p);
      return next === null ? [] : Array.isArray(next) ? (next as Part[]) : [next as Part];
    }
    return p.kind === 'group' ? [{ ...p, parts: changed(p.parts, id, to) }] : [p];
  });
}

/** The parts with the one of an id moved up or down among its fellows. */
export function moved(parts: Parts, id: string, by: number): Part[] {
  const at = parts.findIndex((p) => p.id === id);
  if (at < 0) return parts.map((p) => (p.kind === 'group' ? { ...p, parts: moved(p.parts, id, by) } : p));
  const next = [...parts];
  const [part] = next.splice(at, 1);
  if (part) next.splice(Math.max(0, at + by), 0, part);
  return next;
}

/** Whether a part is the first, or the last, among its fellows. */
export function ends(parts: Parts, id: string): { first: boolean; last: boolean } {
  const at = parts.findIndex((p) => p.id === id);
  if (at >= 0) return { first: at === 0, last: at === parts.length - 1 };
  for (const p of parts) {
    if (p.kind === 'group' && flat(p.parts).some((x) => x.part.id === id)) return ends(p.parts, id);
  }
  return { first: true, last: true };
}

/** An id that no part of the motif has. */
export function freshId(parts: Parts): string {
  const taken = new Set(flat(parts).map((p) => p.part.id));
  let n = taken.size + 1;
  while (taken.has(`part-${n}`)) n++;
  return `part-${n}`;
}

/** A part, and what is in it, with ids of their own. */
export function copied(parts: Parts, part: Part): Part {
  const taken = new Set(flat(parts).map((p) => p.part.id));
  const fresh = (p: Part): Part => {
    let n = taken.size + 1;
    while (taken.has(`part-${n}`)) n++;
    taken.add(`part-${n}`);
    const next = { ...p, id: `part-${n}` };
    return next.kind === 'group' ? { ...next, parts: next.parts.map(fresh) } : next;
  };
  return fresh(part);
}

/** Fellows put into a group, which stands where the first of them stood. Parts that are not among the same fellows stay out. */
export function grouped(parts: Parts, ids: readonly string[], group: Group): Part[] {
  const inside = parts.filter((p) => ids.includes(p.id));
  if (inside.length === 0) return parts.map((p) => (p.kind === 'group' ? { ...p, parts: grouped(p.parts, ids, group) } : p));
  const first = inside[0] as Part;
  const made: Group = {
    ...group,
    id: freshId(parts),
    place: first.place,
    gap: first.gap,
    anchor: first.anchor,
    parts: inside.map((p, i) => (i === 0 ? { ...p, place: 'below' as const } : p)),
  };
  return parts.flatMap((p) => (p.id === first.id ? [made] : ids.includes(p.id) ? [] : [p]));
}

/** The films and plies that parts of a motif are of, each once. */
export function layersOf(motif: Motif): { filmId: string; ply: number }[] {
  const all = new Map(
    flat(motif.parts)
      .filter(({ part }) => part.kind !== 'group')
      .map(({ part }) => [`${part.filmId} ${part.ply}`, { filmId: part.filmId, ply: part.ply }]),
  );
  return [...all.values()];
}

/** What a part is, in a word or its own words. */
export function nameOf(part: Part): string {
  if (part.label) return part.label;
  switch (part.kind) {
    case 'lettering':
      return part.text || 'a line without words';
    case 'rule':
      return 'bar';
    case 'shape':
      return SHAPES[part.shape];
    case 'graphic':
      return 'graphic';
    case 'backing':
      return 'backing';
    case 'group':
      return part.repeat.kind === 'none' ? 'group' : REPEATS[part.repeat.kind];
    case 'mat':
      return `mat ${part.index}`;
  }
}

export const SHAPES: Record<Schemas['ShapeKind'], string> = {
  rectangle: 'rectangle',
  rounded: 'rounded rectangle',
  oval: 'oval',
  ring: 'ring',
  border: 'border',
  polygon: 'polygon',
  star: 'star',
  heart: 'heart',
  tag: 'tag',
  corner: 'corner piece',
  dots: 'dots',
  groundOutline: 'outline of the ground',
  groundFrame: 'frame along the ground’s edge',
};

export const REPEATS: Record<Schemas['RepeatKind'], string> = {
  none: 'not repeated',
  rows: 'in rows',
  halfDrop: 'in rows, half-drop',
  ring: 'round a ring',
  corners: 'at four corners, mirrored',
  scatter: 'scattered',
};

export const ACTIONS: Record<Schemas['PartAction'], string> = {
  adds: 'adds',
  cutsThrough: 'cuts through',
  clearsAround: 'clears around',
  confines: 'confines',
};
