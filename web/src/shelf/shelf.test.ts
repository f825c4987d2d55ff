import { describe, expect, it } from 'vitest';
import type { Schemas } from '../api/client';
import { found, inReach, NONE } from './find';
import { fewOf, freshId } from './names';
import { nudged } from './nudge';
import { shelves } from './shelves';

const mm = (text: string) => ({ text, unit: 'millimetre' as const });
const zone = (place: Partial<Schemas['Place']>): Schemas['ZoneSpec'] => ({
  id: 'z',
  name: 'Front',
  part: 'whole',
  facing: 'front',
  face: '',
  width: mm('60'),
  height: mm('30'),
  turning: 'upright',
  turnRange: 15,
  margins: { top: mm('5'), bottom: mm('5'), left: mm('5'), right: mm('5') },
  place: { from: 'middle', away: mm(''), side: 'centred', across: mm(''), ...place },
});
const stands = { fromTop: 30, fromBottom: 40, across: 0 };

describe('nudging a zone', () => {
  it('moves it across to either side and back onto the middle line', () => {
    expect(nudged(zone({}), stands, 0, 2.5, 0, 'millimetre').place).toMatchObject({ side: 'right', across: mm('2.5'), from: 'middle' });
    expect(nudged(zone({}), { ...stands, across: -3 }, 0, -1, 0, 'millimetre').place).toMatchObject({ side: 'left', across: mm('4.0') });
    expect(nudged(zone({ side: 'left', across: mm('3') }), { ...stands, across: -3 }, 0, 3, 0, 'millimetre').place.side).toBe('centred');
  });

  it('measures from the bottom once it leaves the middle', () => {
    expect(nudged(zone({}), stands, 0, 0, 1, 'millimetre').place).toMatchObject({ from: 'bottom', away: mm('41.0') });
  });

  it('keeps the datum it was measured from, whichever way that counts', () => {
    expect(nudged(zone({ from: 'collar', away: mm('90') }), stands, 90, 0, 5, 'millimetre').place.away.text).toBe('85.0');
    expect(nudged(zone({ from: 'hem', away: mm('90') }), stands, 90, 0, 5, 'millimetre').place.away.text).toBe('95.0');
    expect(nudged(zone({ from: 'top', away: mm('2') }), stands, 2, 0, 5, 'millimetre').place.away.text).toBe('0.0');
  });

  it('writes what it changes in the unit in force', () => {
    expect(nudged(zone({ from: 'top', away: mm('25.4') }), stands, 25.4, 0, -25.4, 'inch').place.away).toEqual({
      text: '2.000',
      unit: 'inch',
    });
  });
});

describe('finding on the shelf', () => {
  const mug = { name: 'Enamel mug', material: 'steel', tags: ['crew'], surface: 'straight' as const, width: 198, retired: false };

  it('needs every word, wherever it stands', () => {
    expect(found(mug, { ...NONE, words: 'crew ENAMEL' }, 'mm')).toBe(true);
    expect(found(mug, { ...NONE, words: 'crew glass' }, 'mm')).toBe(false);
  });

  it('sifts by surface, word, width and whether it is still bought', () => {
    expect(found(mug, { ...NONE, surface: 'flat' }, 'mm')).toBe(false);
    expect(found(mug, { ...NONE, tag: 'crew' }, 'mm')).toBe(true);
    expect(found(mug, { ...NONE, least: '8' }, 'in')).toBe(false);
    expect(found(mug, { ...NONE, least: '19,8 cm' }, 'in')).toBe(true);
    expect(found({ ...mug, retired: true }, NONE, 'mm')).toBe(false);
    expect(found({ ...mug, retired: true }, { ...NONE, retired: true }, 'mm')).toBe(true);
  });

  it('takes what cannot be read as a width for none', () => {
    expect(inReach('wide', 'mm')).toBeUndefined();
    expect(found(mug, { ...NONE, least: 'wide' }, 'mm')).toBe(true);
  });
});

describe('shelves', () => {
  const blank = (w: number, h: number) =>
    ({ standing: { box: { minX: 0, minY: 0, maxX: w, maxY: h } } }) as Pick<Schemas['BlankCard'], 'standing'>;

  it('draw small goods at one scale and large ones at their own, which they name', () => {
    const [small, large] = shelves([blank(80, 94), blank(110, 180), blank(300, 900)]);
    expect(small?.blanks).toHaveLength(2);
    expect(small?.scale).toBeCloseTo(142 / 180);
    expect(large?.scale).toBeCloseTo(142 / 900);
    expect(large?.name).toContain('at 0.20 of that scale');
  });

  it('need no name when there is one', () => {
    expect(shelves([blank(80, 94)])).toMatchObject([{ name: '' }]);
    expect(shelves([])).toEqual([]);
  });
});

describe('a fresh id', () => {
  it('is none that is there', () => {
    expect(freshId('zone', [{ id: 'zone-2' }])).toBe('zone-3');
    expect(freshId('zone', [])).toBe('zone-1');
  });
});

it('what uses a blank is named, and counted where it is much', () => {
  expect(fewOf(['Crew mugs'])).toBe('Crew mugs');
  expect(fewOf(['Crew mugs', 'Tea mugs', 'Tram mug'])).toBe('Crew mugs, Tea mugs, Tram mug');
  expect(fewOf(['Crew mugs', 'Tea mugs', 'Tram mug', 'Open day'])).toBe('Crew mugs, Tea mugs and 2 more');
});
