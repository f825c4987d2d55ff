import { describe, expect, it } from 'vitest';
import type { Schemas } from '../api/client';
import { windowOf } from './Strip';
import { sizesOf } from './useGrounds';

const run = (sizes: string[], rows: string[]) => ({ sizes, run: { pieces: rows.map((size) => ({ values: size ? { size } : {} })) } }) as unknown as Schemas['RunView'];
const ground = (width: number, height: number) => ({ zoneBox: { minX: 0, minY: 0, maxX: width, maxY: height, width, height, centreX: width / 2, centreY: height / 2 } });

describe('what pieces stand on', () => {
  it('is of each size that rows name and the blank has, once', () => {
    expect(sizesOf(run(['S', 'M', 'L'], ['l', '', 'S', 'L', 'huge']))).toEqual(['S', 'L']);
    expect(sizesOf(undefined)).toEqual([]);
  });

  it('is seen through one window, so that all pieces share a scale', () => {
    expect(windowOf([ground(100, 38), { zoneBox: null }, ground(80, 60)])).toEqual({ width: 120, height: 60 });
  });
});
