import { expect, test } from 'vitest';
import { aloneIn, sittingsOf, type State } from './sittings';

const state = (revision: number, at: string, words = 'Change Mug', isGone = false): State => ({
  revision,
  at: `2026-12-01T${at}:00Z`,
  words,
  isGone,
  also: 0,
});

test('what was typed in one go is one sitting, held against what stood before it', () => {
  const all = sittingsOf([
    state(6, '15:00'),
    state(5, '10:20', 'Undo Mug'),
    state(4, '10:10'),
    state(3, '10:00'),
    state(2, '09:00'),
    state(1, '08:59', 'Add Mug'),
  ]);
  expect(all.map((s) => [s.last.revision, s.before, s.states.length])).toEqual([
    [6, 5, 1],
    [5, 2, 3],
    [2, 1, 1],
    [1, 0, 1],
  ]);
  expect(all[1]?.words).toEqual(['Change Mug', 'Undo Mug']);
  expect(all[1]?.from).toBe('2026-12-01T10:00:00Z');
  // Each state of it is to be had by itself, held against the one before it.
  const [, typed] = all;
  expect(typed?.states.map((s) => aloneIn(typed, s)).map((s) => [s.last.revision, s.before])).toEqual([
    [5, 4],
    [4, 3],
    [3, 2],
  ]);
});

test('a removal stands by itself, and a clock that was set back parts nothing that belongs together', () => {
  const all = sittingsOf([state(4, '10:03'), state(3, '10:02', 'Remove Mug', true), state(2, '10:01'), state(1, '10:04', 'Add Mug')]);
  expect(all.map((s) => s.last.revision)).toEqual([4, 3, 2, 1]);
  expect(sittingsOf([])).toEqual([]);
});
