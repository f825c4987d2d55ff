import { describe, expect, it } from 'vitest';
import { keyOf, letGo, moved, pinned, sparesOf, tookOff, turned, withSpares, type ItemId, type Plan } from './edits';

const id = (piece: string, copy = 1): ItemId => ({ run: 'r', piece, film: '', side: 0, ply: 0, copy, section: 0 });
const plan = { byHand: [], spares: [] } as unknown as Plan;
const at = { degrees: 0, x: 10, y: 20 };

describe('what is set by hand', () => {
  it('is of one thing alone, and the last that was set', () => {
    const a = pinned(plan, id('a'), 2, 'sheet', at);
    const both = tookOff(a, [id('b')]);
    expect(both.byHand.map((h) => [h.item.piece, h.takenOff, h.pinned?.load])).toEqual([
      ['a', false, 1],
      ['b', true, undefined],
    ]);
    const off = tookOff(both, [id('a')]);
    expect(off.byHand.find((h) => h.item.piece === 'a')).toEqual({ item: id('a'), pinned: null, takenOff: true });
    expect(letGo(off, [id('a'), id('b')]).byHand).toEqual([]);
    // A copy is another thing.
    expect(pinned(a, id('a', 2), 1, 'sheet', at).byHand).toHaveLength(2);
    expect(keyOf(id('a', 2))).not.toBe(keyOf(id('a')));
  });

  it('counts spares of one piece, and forgets none of another', () => {
    const some = withSpares(withSpares(plan, 'r', 'a', 3), 'r', 'b', 1);
    expect(sparesOf(withSpares(some, 'r', 'a', 5), 'r', 'a')).toBe(5);
    expect(withSpares(some, 'r', 'a', 0).spares).toEqual([{ run: 'r', piece: 'b', count: 1 }]);
  });
});

describe('a quarter turn', () => {
  // The outline is the box from the origin; where its corners come to lie is worked out from the motion alone.
  const corners = ({ degrees, x, y }: typeof at, w: number, h: number) => {
    const [c, s] = [Math.round(Math.cos((degrees * Math.PI) / 180)), Math.round(Math.sin((degrees * Math.PI) / 180))];
    const all = [
      [0, 0],
      [w, 0],
      [w, h],
      [0, h],
    ].map(([px = 0, py = 0]) => [c * px - s * py + x, s * px + c * py + y]);
    const xs = all.map(([px = 0]) => px);
    const ys = all.map(([, py = 0]) => py);
    return { minX: Math.min(...xs), minY: Math.min(...ys), maxX: Math.max(...xs), maxY: Math.max(...ys) };
  };

  it('keeps the middle of its box, and four of them bring it back', () => {
    let now = moved(at, 5, -3);
    const first = corners(now, 40, 12);
    for (let i = 0; i < 4; i++) {
      const box = corners(now, 40, 12);
      now = turned(now, box);
      const next = corners(now, 40, 12);
      expect((next.minX + next.maxX) / 2).toBeCloseTo((box.minX + box.maxX) / 2, 9);
      expect((next.minY + next.maxY) / 2).toBeCloseTo((box.minY + box.maxY) / 2, 9);
      expect(next.maxX - next.minX).toBeCloseTo(box.maxY - box.minY, 9);
    }
    expect(corners(now, 40, 12)).toEqual(first);
  });
});
