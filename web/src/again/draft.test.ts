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

const view: Schemas['AgainView'] = {
  job: { name: 'Crew day 2026', customer: 'The museum', due: '2026-12-05', note: '', dueAt: '', orderId: '' },
  name: 'Crew day 2027',
  runs: [run('mugs'), run('shirts', 'name\tsize')],
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
    const shirts = { isTaken: true, names: 'name\tsize\nMaeve\tM\n\nBram\tL\n', asItWas: [] };
    expect(namesIn(view.runs[1]!, shirts)).toBe(2);
    expect(namesIn(view.runs[0]!, { ...shirts, names: 'Maeve\n \n' })).toBe(1);
    expect(namesIn(view.runs[1]!, { ...shirts, names: '' })).toBe(0);
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
