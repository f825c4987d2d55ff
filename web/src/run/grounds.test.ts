import { describe, expect, it } from 'vitest';
import type { Schemas } from '../api/client';
import { nextView, sidesOn, viewShown, type BoardView } from './faces';
import { windowOf } from './Strip';
import { sizesOf } from './useGrounds';

const run = (sizes: string[], rows: string[]) =>
  ({ sizes, run: { list: { pieces: rows.map((size) => ({ values: size ? { size } : {} })) } } }) as unknown as Schemas['RunView'];
const ground = (width: number, height: number) => ({
  faces: [{ zoneBox: { minX: 0, minY: 0, maxX: width, maxY: height, width, height, centreX: width / 2, centreY: height / 2 } }],
});

describe('what pieces stand on', () => {
  it('is of each size that rows name and the blank has, once', () => {
    expect(sizesOf(run(['S', 'M', 'L'], ['l', '', 'S', 'L', 'huge']))).toEqual(['S', 'L']);
    expect(sizesOf(undefined)).toEqual([]);
  });

  it('is seen through one window, so that all pieces share a scale', () => {
    expect(windowOf([ground(100, 38), { faces: [] }, ground(80, 60)])).toEqual({ width: 120, height: 60 });
  });
});

describe('a thing with two faces', () => {
  const flat = (minX: number, maxX: number) => ({
    flat: {
      box: { minX, minY: 0, maxX, maxY: 10, width: maxX - minX, height: 10, centreX: (minX + maxX) / 2, centreY: 5 },
    } as Schemas['DrawingView'],
  });
  const faces = [flat(0, 10), flat(20, 30)];

  it('is shown face after face, and then as it is seen', () => {
    expect([0, 1, 'seen'].map((v) => nextView(v as BoardView, 2))).toEqual([1, 'seen', 0]);
    expect(nextView(0, 1)).toBe('seen');
  });

  it('turns to the face that a finding lies on, and back to the one chosen', () => {
    expect(viewShown(faces, 0, { x: 25, y: 5 })).toBe(1);
    expect(viewShown(faces, 0, { x: 15, y: 5 })).toBe(0);
    expect(viewShown(faces, 'seen', { x: 25, y: 5 })).toBe('seen');
    expect(viewShown(faces.slice(0, 1), 1)).toBe(0);
  });

  it('has the sides that are on the face, each with its room', () => {
    const piece = {
      rooms: ['front'],
      sides: [
        { id: 'side-2', zone: 'Back', rooms: ['back'], state: 'snug' },
        { id: 'side-3', zone: 'Sleeve', rooms: ['sleeve'] },
      ],
      mayBeCut: true,
    } as unknown as Schemas['PieceView'];
    expect(sidesOn(piece, { sides: ['side-2'] })).toMatchObject([{ side: 'side-2', rooms: ['back'], state: 'snug', mayBeCut: true }]);
    expect(sidesOn(piece, { sides: ['', 'side-3'] }).map((s) => [s.side, s.zone, s.rooms])).toEqual([
      ['', '', ['front']],
      ['side-3', 'Sleeve', ['sleeve']],
    ]);
    expect(sidesOn(piece, undefined)).toHaveLength(1);
  });

  it('shares the strip’s window among its faces', () => {
    const [a, b] = [ground(100, 38), ground(280, 110)];
    expect(windowOf([{ faces: [...a.faces, ...b.faces] }, a])).toEqual({ width: 1.2 * 380, height: 110 });
  });
});
