import { renderToStaticMarkup } from 'react-dom/server';
import { describe, expect, it, vi } from 'vitest';
import type { Schemas } from '../../api/client';
import { movedTo, ownOn, withChosen, withOwn } from '../piece/ByHandCard';
import { withForm } from '../piece/PieceLetters';
import { withoutSide } from '../SidesCard';
import { ghostSaid } from '../../mending/ghostSaid';
import { accepted } from './SetCard';
import { SetPlot } from './SetPlot';

vi.stubGlobal('localStorage', { getItem: () => null, setItem: () => undefined });
const ghost = (change: Partial<Schemas['GhostView']>): Schemas['GhostView'] => ({
  path: '',
  inkBox: null,
  rooms: [],
  letterHeight: 20,
  taller: 0,
  right: 0,
  up: 0,
  state: 'fits',
  ...change,
});
const mm = (v: number) => `${v.toFixed(1)} mm`;

describe('a ghost', () => {
  it('says what would change and nothing else', () => {
    expect(ghostSaid(ghost({}), mm)).toBe('It would stand as it does.');
    expect(ghostSaid(ghost({ right: -1.25, up: 3 }), mm)).toBe('It moves 1.3 mm to the left and 3.0 mm up.');
    expect(ghostSaid(ghost({ taller: 2 }), mm)).toBe('It would be lettered 2.0 mm larger.');
    expect(ghostSaid(ghost({ up: -0.5, taller: -1, state: 'over' }), mm)).toBe(
      'It moves 0.5 mm down, its letters 1.0 mm smaller; it would stand out of the zone.',
    );
  });
});

describe('a height that is accepted', () => {
  const run = {
    groupBy: '',
    groupHeights: [{ group: 'M', letterHeight: { text: '20', unit: 'millimetre' } }],
    sizing: 'eachLargest',
    letterHeight: { text: '', unit: 'millimetre' },
  } as unknown as Schemas['RunSetUp'];

  it('is that of all, or of its group alone', () => {
    expect(accepted(run, '', 27.4)).toMatchObject({
      sizing: 'oneLetterHeight',
      letterHeight: { text: '27.4' },
      groupHeights: run.groupHeights,
    });
    expect(accepted({ ...run, groupBy: 'size' }, 'L', 31)).toMatchObject({
      sizing: 'oneLetterHeight',
      groupHeights: [{ group: 'M' }, { group: 'L', letterHeight: { text: '31' } }],
    });
  });
});

describe('the plot of the set', () => {
  it('tells its figures in words as well', () => {
    const gains = [
      { leftOut: '', pieceId: '', count: 0, height: 27.4 },
      { leftOut: 'Bartholomew', pieceId: 'b', count: 1, height: 28.1 },
    ];
    const html = renderToStaticMarkup(<SetPlot gains={gains} height={34} onChoose={() => undefined} onAccept={() => undefined} />);
    expect(html).toContain('aria-label="With all names 27.4 mm, without 1 28.1 mm"');
    expect(html).toContain('class="given"');
    expect(html).toContain('With all names <b>27.4 mm</b>');
  });
});

describe('what is set by hand for a piece', () => {
  const own = (spacing: number) => ({ spacing }) as Schemas['Overrides'];
  const piece = { id: '1', own: own(1), ownOnSides: { back: own(2) } } as unknown as Schemas['Piece'];

  it('belongs to one of its sides', () => {
    expect(ownOn(piece, '').spacing).toBe(1);
    expect(ownOn(piece, 'back').spacing).toBe(2);
    expect(ownOn(piece, 'lid')).toMatchObject({ spacing: 0, typefaceId: '' });
    expect(withOwn(piece, 'back', own(7))).toMatchObject({ own: own(1), ownOnSides: { back: own(7) } });
    const run = { setUp: { sides: [{ id: 'back' }, { id: 'lid' }] }, list: { pieces: [piece] } } as unknown as Schemas['Run'];
    expect(withoutSide(run, 'back')).toMatchObject({
      setUp: { sides: [{ id: 'lid' }] },
      list: { pieces: [{ own: own(1), ownOnSides: {} }] },
    });
    // The list is left alone where nothing was set by hand on the side.
    expect(withoutSide(run, 'lid').list).toBe(run.list);
    expect(withOwn(piece, '', own(7))).toMatchObject({ own: own(7), ownOnSides: { back: own(2) } });
    // A drag writes what it changed, and leaves what was typed for the other way.
    expect(movedTo({ ...own(1), up: { text: '1/8', unit: 'inch' } }, { x: -2.25 }, 'millimetre')).toMatchObject({
      right: { text: '-2.3', unit: 'millimetre' },
      up: { text: '1/8', unit: 'inch' },
    });
    expect(movedTo(own(1), { y: 12.7 }, 'inch').up).toEqual({ text: '0.500', unit: 'inch' });
  });
});

describe('line breaks of a name', () => {
  it('still show the one that is chosen when it no longer applies', () => {
    expect(withChosen(['Anna\nMaria'], '')).toEqual(['Anna\nMaria']);
    expect(withChosen(['Anna\nMaria'], 'Anna\nMaria')).toEqual(['Anna\nMaria']);
    expect(withChosen([], 'An\nna')).toEqual(['An\nna']);
  });
});

describe('a letter set by hand', () => {
  const of = { letter: 'k', words: 'Agnieszka', index: 7 };

  it('is kept by its place and what is expected there, and taken back by the form the face draws', () => {
    const as = (feature: string, value: number) => ({
      scope: 'place' as const,
      letter: '',
      words: '',
      index: 0,
      feature,
      value,
      glyph: 0,
      family: '',
      faceId: '',
    });
    const one = withForm([], 'name', of, as('ss01', 1));
    expect(one).toEqual([
      {
        partId: 'name',
        form: { scope: 'place', letter: 'k', words: 'Agnieszka', index: 7, feature: 'ss01', value: 1, glyph: 0, family: '', faceId: '' },
      },
    ]);
    const two = withForm(one, 'name', { ...of, letter: 'A', index: 0 }, as('swsh', 1));
    expect(withForm(two, 'name', of, as('ss02', 1)).map((l) => l.form.feature)).toEqual(['swsh', 'ss02']);
    expect(withForm(two, 'name', of, as('', 0)).map((l) => l.form.letter)).toEqual(['A']);
  });
});
