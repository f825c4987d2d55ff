import { describe, expect, it } from 'vitest';
import { forSaid, scopeSaid, withChoice } from './forms';

const form = (feature: string, more: object = {}) => ({
  scope: 'place' as const,
  letter: 'a',
  words: 'Lena',
  index: 3,
  feature,
  value: 1,
  glyph: 0,
  family: '',
  faceId: '',
  ...more,
});
const of = { letter: 'a', words: 'Lena', index: 3 };

describe('a form chosen for a letter', () => {
  it('by rule stands beside forms for places, and another rule for the same end takes its place', () => {
    const here = withChoice([], of, form('swsh'), 'place');
    const tail = withChoice(here, of, form('', { glyph: 812, family: 'end', faceId: 'lobster' }), 'last');
    expect(tail.map((a) => [a.scope, a.words])).toEqual([
      ['place', 'Lena'],
      ['last', ''],
    ]);
    const other = withChoice(tail, { ...of, letter: 'm' }, form('fina'), 'last');
    expect(other.map((a) => [a.scope, a.feature])).toEqual([
      ['place', 'swsh'],
      ['last', 'fina'],
    ]);
    expect(withChoice(other, of, form(''), 'last').map((a) => a.scope)).toEqual(['place']);
    expect(tail.map((a) => `${forSaid(a)}, ${scopeSaid(a)}`)).toEqual(['a, in “Lena”', 'last letter, by rule']);
  });

  it('for a letter everywhere takes the place of what was chosen for single ones, and plain clears the letter', () => {
    const all = withChoice(withChoice([], of, form('ss01'), 'place'), of, form('ss02'), 'letter');
    expect(all.map((a) => [a.scope, a.feature])).toEqual([['letter', 'ss02']]);
    const rules = withChoice(all, of, form('fina'), 'last');
    expect(withChoice(rules, of, form(''), 'place').map((a) => a.scope)).toEqual(['last']);
    expect(withChoice(rules, { ...of, letter: 'm' }, form(''), 'place')).toHaveLength(2);
  });
});
