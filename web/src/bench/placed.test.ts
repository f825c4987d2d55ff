import { expect, test } from 'vitest';
import type { Schemas } from '../api/client';
import { placedAlike } from './placed';

const surface = (size: string, place: string, names: string[], drawn = true) =>
  ({
    size,
    faces: [{ key: size }],
    first: drawn ? { name: names[0] } : null,
    places: [{ zone: '', place: { parts: [{ text: place, strong: false, fine: false }] }, longest: '', stages: [] }],
    pieces: names.map((name) => ({ name })),
  }) as unknown as Schemas['BenchSurface'];

test('sizes that are placed in the same words are one, drawn on one that can be', () => {
  const all = placedAlike([
    surface('S', 'below the collar', ['Ana'], false),
    surface('M', 'below the collar', ['Bo', 'Cy']),
    surface('L', 'lower', ['Di']),
  ]);
  expect(all.map((p) => [p.size, p.sizeDrawn, p.pieces.map((x) => x.name).join(), p.sizes.join()])).toEqual([
    ['S, M', 'M', 'Ana,Bo,Cy', 'S,M,M'],
    ['L', 'L', 'Di', 'L'],
  ]);
  expect(all[0]?.faces.map((f) => f.key)).toEqual(['M']);
});
