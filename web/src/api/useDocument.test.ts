import { expect, test } from 'vitest';
import { newer } from './useDocument';

test('an answer that was overtaken by a save does not bring the older state back', () => {
  const saved = { revision: 4, face: 'oswald' };
  expect(newer({ revision: 3, face: 'garamond' }, saved)).toBe(saved);
  // The same revision loaded anew may show what else has changed.
  const again = { revision: 4, face: 'oswald' };
  expect(newer(again, saved)).toBe(again);
  expect(newer(again, undefined)).toBe(again);
});
