import { afterEach, beforeEach, expect, test, vi } from 'vitest';
import { Problem } from './client';
import { Keeper } from './keeper';

interface View {
  revision: number;
  words: string;
}

/** A server that answers only when it is told to. */
function bench() {
  const heard: string[] = [];
  const waiting: { answer: () => void; refuse: (why: Error) => void }[] = [];
  let held: View = { revision: 1, words: 'Maria' };
  const hear = (said: string, words: string) =>
    new Promise<View>((resolve, reject) => {
      heard.push(said);
      waiting.push({ answer: () => resolve((held = { revision: held.revision + 1, words })), refuse: reject });
    });
  const told: string[] = [];
  const keeper = new Keeper<View, string>(
    {
      save: (words, from) => hear(`${words} from ${from}`, words),
      undo: (from) => hear(`undo ${from}`, 'before'),
      redo: (from) => hear(`redo ${from}`, 'after'),
    },
    {
      draft() {},
      began: () => told.push('unsaved'),
      kept: (v) => told.push(keeper.wanted === undefined ? `kept ${v.words}` : 'part'),
      failed: (why) => told.push(why),
      overtaken: () => told.push('overtaken'),
      givenUp: () => told.push('given up'),
    },
  );
  keeper.revision = 1;
  const next = async (how: 'answer' | Error = 'answer') => {
    const first = waiting.shift();
    if (how === 'answer') first?.answer();
    else first?.refuse(how);
    await vi.advanceTimersByTimeAsync(0);
  };
  return { keeper, heard, told, next };
}

beforeEach(() => {
  vi.useFakeTimers();
});
afterEach(() => {
  vi.useRealTimers();
});

test('from the first stroke on the document counts as not kept, and what is typed fast is one save', async () => {
  const { keeper, heard, told, next } = bench();
  keeper.want('Mar');
  expect(told).toEqual(['unsaved']);
  keeper.want('Marek');
  await vi.advanceTimersByTimeAsync(1000);
  expect(heard).toEqual(['Marek from 1']);
  await next();
  expect(told.at(-1)).toBe('kept Marek');
});

test('what is typed while a save runs is saved after it, from its revision', async () => {
  const { keeper, heard, told, next } = bench();
  keeper.want('Ana');
  void keeper.flush();
  keeper.want('Anna');
  await vi.advanceTimersByTimeAsync(1000);
  expect(heard).toEqual(['Ana from 1']);
  await next();
  expect(told.at(-1)).toBe('part');
  expect(heard).toEqual(['Ana from 1', 'Anna from 2']);
  await next();
  expect(told.at(-1)).toBe('kept Anna');
});

test('undo waits until what was typed is kept', async () => {
  const { keeper, heard, told, next } = bench();
  keeper.want('Bo');
  void keeper.flush();
  void keeper.travel('undo');
  await vi.advanceTimersByTimeAsync(0);
  expect(heard).toEqual(['Bo from 1']);
  await next();
  expect(heard.at(-1)).toBe('undo 2');
  await next();
  expect(told.at(-1)).toBe('kept before');
  expect(keeper.revision).toBe(3);
});

test('a save that fails is tried again; one that was overtaken waits, and nothing is undone meanwhile', async () => {
  const { keeper, heard, told, next } = bench();
  keeper.want('Cleo');
  void keeper.flush();
  await next(new Error('no answer'));
  expect(keeper.wanted).toBe('Cleo');
  await vi.advanceTimersByTimeAsync(5000);
  expect(heard).toEqual(['Cleo from 1', 'Cleo from 1']);
  await next(new Problem(412, 'Overtaken', 'changed elsewhere'));
  await vi.advanceTimersByTimeAsync(60000);
  expect(heard).toHaveLength(2);
  expect(told.slice(-2)).toEqual(['overtaken', 'changed elsewhere']);
  expect(keeper.waits).toBe(true);
  void keeper.travel('undo');
  await vi.advanceTimersByTimeAsync(0);
  await next(new Problem(412, 'Overtaken', 'changed elsewhere'));
  expect(heard.at(-1)).toBe('Cleo from 1');
  expect(keeper.wanted).toBe('Cleo');
  keeper.drop();
  expect(keeper.waits).toBe(false);
});

test('what the server will not take is not sent again as it is, and undo takes it back', async () => {
  const { keeper, heard, told, next } = bench();
  keeper.want('x'.repeat(400));
  await vi.advanceTimersByTimeAsync(1000);
  await next(new Problem(422, 'Cannot be taken', 'name: It is 400 letters long'));
  await vi.advanceTimersByTimeAsync(60_000);
  expect(heard).toHaveLength(1);
  expect(told.at(-1)).toBe('name: It is 400 letters long');
  // Changed, it is sent.
  keeper.want('short');
  await vi.advanceTimersByTimeAsync(1000);
  expect(heard.at(-1)).toBe('short from 1');
  await next(new Problem(422, 'Cannot be taken', 'no'));
  await keeper.travel('undo');
  expect(heard).toHaveLength(2);
  expect(told.at(-1)).toBe('given up');
  expect(keeper.wanted).toBeUndefined();
});
