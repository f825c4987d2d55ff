import type { Schemas } from '../api/client';

type Face = Schemas['TypefaceView'];

/** What typefaces are looked for by. */
export interface Wanted {
  kind: string;
  script: string;
  has: string;
  /** Only those with all letters that were asked about. */
  complete: boolean;
  favourite: boolean;
}

export const ANY: Wanted = { kind: '', script: '', has: '', complete: false, favourite: false };

/** The faces that are as wanted, favourites first. */
export function found(faces: readonly Face[], wanted: Wanted, favourites: readonly string[]): Face[] {
  const liked = (f: Face) => favourites.includes(f.id);
  return faces
    .filter(
      (f) =>
        (!wanted.kind || f.kind === wanted.kind) &&
        (!wanted.script || (wanted.script === 'Latin' ? f.script === '' : f.script === wanted.script)) &&
        (!wanted.has || f.has.includes(wanted.has)) &&
        (!wanted.complete || f.lacks.length === 0) &&
        (!wanted.favourite || liked(f)),
    )
    .sort((a, b) => Number(liked(b)) - Number(liked(a)));
}

/** What there is of a property among faces, each once, in their order. */
export const among = (faces: readonly Face[], of: (f: Face) => readonly string[]): string[] =>
  [...new Set(faces.flatMap(of))].filter((v) => v !== '');

/** Faces by kind, each kind with its faces, in their order; those for another script under its name. */
export function byKind<F extends Schemas['TypefaceName']>(faces: readonly F[]): [string, F[]][] {
  const groups = new Map<string, F[]>();
  for (const f of faces) {
    const group = f.added ? 'added' : f.script || f.kind;
    groups.set(group, [...(groups.get(group) ?? []), f]);
  }
  return [...groups];
}
