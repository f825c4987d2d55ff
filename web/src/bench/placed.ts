import type { Schemas } from '../api/client';

type Surface = Schemas['BenchSurface'];

/** Sizes of the goods on which pieces are placed in the same words: one of them is drawn for all. */
export interface Placed extends Surface {
  /** The size that is drawn. */
  sizeDrawn: string;
  /** The size of each piece. */
  sizes: string[];
}

/** Sizes that are placed alike as one, so that a card says what it says once. */
export function placedAlike(surfaces: readonly Surface[]): Placed[] {
  const alike = new Map<string, Placed>();
  for (const s of surfaces) {
    const words = JSON.stringify(s.places.map((p) => [p.zone, p.place, p.stages]));
    const known = alike.get(words);
    const sizes = s.pieces.map(() => s.size);
    if (!known) alike.set(words, { ...s, sizeDrawn: s.size, sizes });
    else
      alike.set(words, {
        ...known,
        size: `${known.size}, ${s.size}`,
        first: known.first ?? s.first,
        faces: known.first ? known.faces : s.faces,
        sizeDrawn: known.first ? known.sizeDrawn : s.size,
        pieces: [...known.pieces, ...s.pieces],
        sizes: [...known.sizes, ...sizes],
      });
  }
  return [...alike.values()];
}
