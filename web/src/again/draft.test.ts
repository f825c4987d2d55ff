import { describe, expect, it } from 'vitest';
import type { Schemas } from '../api/client';
import { fresh, namesIn, sent } from './draft';

const run = (id: string, heading = ''): Schemas['AgainRun'] => ({
  id,
  name: id,
  about: '',
  typed: 'Maeve\nBram',
  heading,
  columns: [],
  made: 2,
  setByHand: 0,
  agreed: '',
  changed: [],
  lacks: [],
});

const [mugs, shirts] = [run('mugs'), run('shirts', 'name\tsize')];

const view: Schemas['AgainView'] = {
  job: { name: 'Crew day 2026', customer: 'The museum', due: '2026-12-05', note: '', dueAt: '', orderId: '', isPutAway: false },
  name: 'Crew day 2027',
  runs: [mugs, shirts],
};

describe('a job taken up again', () => {
  it('begins with all runs and no names, a heading kept, no day', () => {
    const draft = fresh(view, null);
    expect(draft.name).toBe('Crew day 2027');
    expect(draft.due).toBe('');
    expect(draft.runs['mugs']).toEqual({ isTaken: true, names: '', asItWas: [] });
    expect(draft.runs['shirts']?.names).toBe('name\tsize\n');
  });

  it('begins with the one run it was asked for', () => {
    const draft = fresh(view, 'shirts');
    expect(
      Object.entries(draft.runs)
        .filter(([, r]) => r.isTaken)
        .map(([id]) => id),
    ).toEqual(['shirts']);
  });

  it('counts names and no heading', () => {
    const typed = { isTaken: true, names: 'name\tsize\nMaeve\tM\n\nBram\tL\n', asItWas: [] };
    expect(namesIn(shirts, typed)).toBe(2);
    expect(namesIn(mugs, { ...typed, names: 'Maeve\n \n' })).toBe(1);
    expect(namesIn(shirts, { ...typed, names: '' })).toBe(0);
  });

  it('sends only what is taken, with what stays as it was', () => {
    const draft = fresh(view, 'mugs');
    const with2 = { ...draft, name: ' Crew day ', runs: { ...draft.runs, mugs: { isTaken: true, names: 'Odo', asItWas: ['navy'] } } };
    expect(sent(with2, view)).toEqual({
      name: 'Crew day',
      customer: 'The museum',
      due: '',
      runs: [{ runId: 'mugs', names: 'Odo', asItWas: ['navy'] }],
    });
    // A run that came since the draft was kept is not taken unasked.
    expect(sent(with2, { ...view, runs: [...view.runs, run('new')] }).runs.length).toBe(1);
  });
});
