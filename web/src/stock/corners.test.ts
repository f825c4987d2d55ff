import { expect, it } from 'vitest';
import { cornersSaid, readCorners } from './corners';

it('reads corners ring by ring as they are written, and writes what it reads', () => {
  const typed = '0,0 200,0 200,150 0,150\n\n20,20 40,20  40,40';
  const { rings, problem } = readCorners(typed);
  expect(problem).toBeUndefined();
  expect(rings?.map((r) => r.points.length)).toEqual([4, 3]);
  expect(readCorners(cornersSaid(rings ?? [])).rings).toEqual(rings);
  expect(readCorners('-1.5,2;3,4;5,6.25').rings?.[0]?.points[2]).toEqual({ x: 5, y: 6.25 });
});

it('says what it cannot read', () => {
  expect(readCorners('').problem).toContain('Type the corners');
  expect(readCorners('0,0 10,0').problem).toContain('fewer than three');
  expect(readCorners('0,0 10,0 10').problem).toContain('lacks a figure');
  expect(readCorners('0,0 ten,0 10,10').problem).toContain('no figure');
});
