import { expect, test } from 'vitest';
import { allNew, byKind, taking, toggled, wantedOf, type Archived } from './choosing';

const of = (kind: string, id: string, standing: Archived['standing'], problem: Archived['problem'] = null): Archived => ({
  kind,
  id,
  name: id,
  standing,
  changedAt: '2026-12-01T00:00:00Z',
  hereChangedAt: null,
  problem,
});

test('what is new or was removed is chosen at once; what cannot be taken, is the same or differs is not', () => {
  const all = [
    of('job', 'a', 'new'),
    of('job', 'b', 'same'),
    of('film', 'c', 'differs'),
    of('film', 'd', 'removed'),
    of('film', 'e', 'new', { parts: [] }),
  ];
  expect(wantedOf(allNew(all))).toEqual([
    { kind: 'job', id: 'a', takes: false },
    { kind: 'film', id: 'd', takes: false },
  ]);
  expect(byKind(all).map(([kind, some]) => [kind, some.length])).toEqual([
    ['job', 2],
    ['film', 3],
  ]);
});

test('what differs and is chosen takes the place of what is here unless said otherwise, and an id may hold a space', () => {
  const film = of('film', 'deep navy', 'differs');
  let chosen = toggled(new Map(), film);
  expect(wantedOf(chosen)).toEqual([{ kind: 'film', id: 'deep navy', takes: true }]);
  chosen = taking(chosen, film, false);
  expect(wantedOf(chosen)).toEqual([{ kind: 'film', id: 'deep navy', takes: false }]);
  expect(toggled(chosen, film).size).toBe(0);
});
