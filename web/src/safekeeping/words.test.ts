import { expect, test } from 'vitest';
import { agoSaid, sizeSaid } from './words';

test('sizes are said in the unit that leaves at most three figures', () => {
  expect([0, 999, 1000, 999_499, 999_500, 4_240_000, 9_960_000, 999_400_000, 999_500_000, 1_600_000_000].map(sizeSaid)).toEqual([
    '0 bytes',
    '999 bytes',
    '1 kB',
    '999 kB',
    '1.0 MB',
    '4.2 MB',
    '10.0 MB',
    '999 MB',
    '1.0 GB',
    '1.6 GB',
  ]);
});

test('the time since is said, also where the clock was set back', () => {
  const now = new Date('2026-12-01T12:00:00Z');
  const ago = (at: string) => agoSaid(at, now);
  expect(ago('2026-12-01T11:59:30Z')).toBe('just now');
  expect(ago('2026-12-01T11:15:00Z')).toBe('45 min ago');
  expect(ago('2026-11-30T18:00:00Z')).toBe('18 h ago');
  expect(ago('2026-11-20T12:00:00Z')).toBe('11 days ago');
  expect(ago('2026-05-01T12:00:00Z')).toBe('7 months ago');
  expect(ago('2027-01-01T00:00:00Z')).toBe('by a clock that was ahead');
});
