import { describe, expect, it } from 'vitest';
import type { Schemas } from '../api/client';
import { changed, copied, ends, flat, freshId, grouped, moved, type Group, type Part } from './parts';
import { nudged } from './useNudges';
import { sorted } from './trial';

const part = (id: string, more: object = {}) =>
  ({ kind: 'rule', id, place: 'below', gap: { typed: { text: '4' }, scaling: 'proportional' }, label: '', ...more }) as unknown as Part;
const group = (id: string, parts: Part[]) => part(id, { kind: 'group', parts, repeat: { kind: 'none' } }) as Group;
const ids = (parts: readonly Part[]) =>
  flat(parts)
    .map((p) => `${'·'.repeat(p.depth)}${p.part.id}`)
    .join(' ');

describe('the tree of parts', () => {
  const tree = [part('part-1'), group('part-2', [part('part-3'), part('part-4')]), part('part-5')];

  it('is changed, moved and taken from at any depth', () => {
    expect(ids(changed(tree, 'part-4', () => null))).toBe('part-1 part-2 ·part-3 part-5');
    expect(ids(moved(tree, 'part-4', -1))).toBe('part-1 part-2 ·part-4 ·part-3 part-5');
    expect(ids(moved(tree, 'part-5', -2))).toBe('part-5 part-1 part-2 ·part-3 ·part-4');
    expect(ends(tree, 'part-3')).toEqual({ first: true, last: false });
    expect(ids(changed(tree, 'part-2', (p) => (p as Group).parts))).toBe('part-1 part-3 part-4 part-5');
  });

  it('gives copies ids that nothing else has', () => {
    expect(freshId(tree)).toBe('part-6');
    const twice = changed(tree, 'part-2', (p) => [p, copied(tree, p)]);
    expect(new Set(flat(twice).map((p) => p.part.id)).size).toBe(8);
  });

  it('groups fellows where the first of them stood', () => {
    expect(ids(grouped(tree, ['part-1', 'part-5'], group('new', [])))).toBe('part-6 ·part-1 ·part-5 part-2 ·part-3 ·part-4');
    expect(ids(grouped(tree, ['part-3', 'part-4'], group('new', [])))).toMatch(
      /^part-1 part-2 ·part-5|^part-1 part-2 ·part-\d+ ··part-3 ··part-4 part-5$/,
    );
  });
});

describe('a nudge', () => {
  const at = (text: string, unit: Schemas['LengthUnit'] = 'millimetre') => ({ typed: { text, unit }, scaling: 'fixed' as const });
  const part = (right: string, up: string, unit?: Schemas['LengthUnit']) => ({
    id: 'a',
    nudge: { right: at(right, unit), up: at(up, unit) },
  });

  it('goes on from what the server read, in whatever unit or words it was typed', () => {
    const one = nudged(part('2 mm', '1/8', 'inch'), { x: 2, y: 3.175 }, undefined, { x: 0.5, y: -1 }, 'millimetre');
    expect(one.nudge).toEqual({ right: at('2.5'), up: at('2.17') });
    expect(nudged(part('2 mm', ''), { x: 2, y: 0 }, undefined, { x: 10.7, y: 0 }, 'inch').nudge.right).toEqual(at('0.500', 'inch'));
  });

  it('does not lose a key that comes before the answer to the one before', () => {
    const one = nudged(part('1.5', ''), { x: 1.5, y: 0 }, undefined, { x: 0.1, y: 0 }, 'millimetre');
    const two = nudged({ id: 'a', nudge: one.nudge }, { x: 1.5, y: 0 }, one, { x: 0.1, y: 0 }, 'millimetre');
    expect(two.nudge.right).toEqual(at('1.7'));
    // Another part, or something typed meanwhile, is not what was written.
    expect(nudged({ id: 'b', nudge: one.nudge }, { x: 4, y: 0 }, one, { x: 0.1, y: 0 }, 'millimetre').to.x).toBeCloseTo(4.1);
    expect(nudged(part('7', ''), { x: 7, y: 0 }, two, { x: 0.1, y: 0 }, 'millimetre').to.x).toBeCloseTo(7.1);
  });
});

describe('typefaces that were tried', () => {
  const face = (name: string) => ({
    id: name,
    name,
    kind: '',
    script: '',
    has: [],
    lacks: [],
    added: false,
    samplePath: '',
    sampleBox: null,
    hasLicence: true,
  });
  const result = (typefaceId: string, letterHeight: number, thinnestStroke: number | null, stops = 0) => ({
    typefaceId,
    names: [],
    letterHeight,
    thinnestStroke,
    smallestCounter: null,
    minutes: 100 - letterHeight,
    findings: stops,
    stops,
    goods: { colour: '', isDark: false },
  });
  const rows = [
    { face: face('a'), result: result('a', 20, 0.5) },
    { face: face('b'), result: result('b', 30, 0.4) },
    { face: face('c') },
    { face: face('d'), result: result('d', 40, 2, 1) },
  ];
  const order = (by: Parameters<typeof sorted>[1]) =>
    sorted(rows, by)
      .map((r) => r.face.name)
      .join('');

  it('stand with the best first, those that stop a piece behind, those not tried yet last', () => {
    expect(order('letterHeight')).toBe('badc');
    expect(order('thinnestStroke')).toBe('abdc');
    expect(order('minutes')).toBe('badc');
    expect(order('name')).toBe('abcd');
  });
});
