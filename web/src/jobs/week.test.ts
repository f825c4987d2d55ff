import { expect, test } from 'vitest';
import { daysFrom, groupsOf, nextOf, type Row } from './week';

const job = (id: string, due: string, stage: Row['stage'] = 'taken'): Row => ({
  id,
  name: id,
  customer: '',
  due,
  dueAt: '',
  runs: [],
  stages: [{ stage, copies: 1 }],
  stage,
  handsLeft: 0,
  awaits: 0,
  orderId: '',
  order: 'taken',
});
const run = (name: string, next: string, isComplete = true): Row['runs'][number] => ({
  id: name,
  name,
  pieces: 1,
  stages: [],
  handsLeft: 0,
  next,
  isComplete,
  isPending: false,
});

test('jobs stand by the day they are due: late, the days of the week, later, without a day, packed', () => {
  const groups = groupsOf(
    [
      job('packed', '2026-11-20', 'packed'),
      job('late', '2026-11-30'),
      job('today', '2026-12-01'),
      job('sixth', '2026-12-07'),
      job('eighth', '2026-12-08'),
      job('second', '2026-12-02'),
      job('none', ''),
    ],
    '2026-12-01',
  );
  expect(groups.map((g) => `${g.name}: ${g.jobs.map((j) => j.id).join(' ')}`)).toEqual([
    'Late: late',
    'Today: today',
    'Tomorrow, Wed 2 Dec: second',
    'Mon 7 Dec: sixth',
    'Later: eighth',
    'Without a day: none',
    'Packed: packed',
  ]);
  expect(groups.filter((g) => g.near).length).toBe(4);
});

test('days are counted over the turn of summer time', () => {
  expect(daysFrom('2026-03-28', '2026-03-30')).toBe(2);
  expect(daysFrom('2026-10-26', '2026-10-24')).toBe(-2);
});

test('what is next is what a set-up lacks before any step', () => {
  const of = (...runs: Row['runs']) => nextOf({ ...job('j', ''), runs })?.words;
  expect(of()).toBe('Add a run');
  expect(of(run('mugs', ''), run('shirts', 'weed'))).toBe('Weed, shirts');
  expect(of(run('mugs', 'cut'), run('shirts', '', false))).toBe('Complete shirts');
  expect(of(run('mugs', ''))).toBeUndefined();
});
