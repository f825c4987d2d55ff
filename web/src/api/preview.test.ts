import { expect, test } from 'vitest';
import { Preview } from './preview';

/** A server that works one preview out when it is told to. */
function bench() {
  const asked: string[] = [];
  const answers: ((view: string | Error) => void)[] = [];
  const shown: (string | undefined)[] = [];
  const preview = new Preview<string, string>((view) => shown.push(view));
  preview.ask = (document) => {
    asked.push(document);
    return new Promise((resolve, reject) => {
      answers.push((view) => (view instanceof Error ? reject(view) : resolve(view)));
    });
  };
  const next = async (view: string | Error) => {
    answers.shift()?.(view);
    await new Promise((done) => setTimeout(done));
  };
  return { preview, asked, shown, next };
}

test('the newest of what was typed meanwhile is next, and those between are left out', async () => {
  const { preview, asked, shown, next } = bench();
  preview.want('B');
  preview.want('Br');
  preview.want('Bra');
  expect(asked).toEqual(['B']);
  await next('a picture of B');
  expect(asked).toEqual(['B', 'Bra']);
  await next('a picture of Bra');
  expect(shown).toEqual(['a picture of B', 'a picture of Bra']);
});

test('what comes after it was dropped is not shown, and one that fails leaves the next alone', async () => {
  const { preview, asked, shown, next } = bench();
  preview.want('B');
  preview.drop();
  await next('a picture of B');
  expect(shown).toEqual([undefined]);
  preview.want('C');
  preview.want('Ci');
  await next(new Error('not worked out'));
  await next('a picture of Ci');
  expect(asked).toEqual(['B', 'C', 'Ci']);
  expect(shown).toEqual([undefined, 'a picture of Ci']);
});
