import { describe, expect, it } from 'vitest';
import type { Schemas } from '../api/client';
import { among, ANY, byKind, found } from './faces';

const face = (id: string, kind: string, more: object = {}) =>
  ({
    id,
    name: id,
    kind,
    script: '',
    has: [],
    lacks: [],
    added: false,
    samplePath: '',
    sampleBox: null,
    hasLicence: true,
    ...more,
  }) as Schemas['TypefaceView'];
const faces = [
  face('a', 'slab'),
  face('b', 'script', { has: ['tails', 'swashes'] }),
  face('c', 'serif', { script: 'Arabic', lacks: ['Ł'] }),
  face('d', 'slab', { added: true, lacks: ['Ł', 'ő'] }),
];
const ids = (f: readonly Schemas['TypefaceView'][]) => f.map((x) => x.id).join('');

describe('typefaces looked for', () => {
  it('are found by kind, script, what they have, the letters they lack and liking, favourites first', () => {
    expect(ids(found(faces, ANY, []))).toBe('abcd');
    expect(ids(found(faces, ANY, ['d', 'b']))).toBe('bdac');
    expect(ids(found(faces, { ...ANY, kind: 'slab' }, ['d']))).toBe('da');
    expect(ids(found(faces, { ...ANY, script: 'Latin', complete: true }, []))).toBe('ab');
    expect(ids(found(faces, { ...ANY, script: 'Arabic' }, []))).toBe('c');
    expect(ids(found(faces, { ...ANY, has: 'tails' }, []))).toBe('b');
    expect(ids(found(faces, { ...ANY, favourite: true, has: 'tails' }, ['a']))).toBe('');
  });

  it('are gathered by kind, those of another script and those added by themselves', () => {
    expect(byKind(faces).map(([k, f]) => `${k}:${ids(f)}`)).toEqual(['slab:a', 'script:b', 'Arabic:c', 'added:d']);
    expect(among(faces, (f) => f.has)).toEqual(['tails', 'swashes']);
  });
});
