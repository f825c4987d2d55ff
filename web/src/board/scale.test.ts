import { describe, expect, it } from 'vitest';
import { scaleFor } from './scale';

const box = (minX: number, minY: number, maxX: number, maxY: number) => ({
  minX, minY, maxX, maxY, width: maxX - minX, height: maxY - minY, centreX: (minX + maxX) / 2, centreY: (minY + maxY) / 2,
});
const pad = { top: 10, right: 20, bottom: 30, left: 40 };

describe('the scale of a drawing', () => {
  it('keeps true proportion and stands in the middle of what the padding leaves', () => {
    const scale = scaleFor(box(-100, 0, 100, 50), 460, 240, pad);
    expect(scale.k).toBe(2);
    expect(scale.x(-100)).toBeCloseTo(40);
    expect(scale.x(100)).toBeCloseTo(440);
    expect(scale.y(50) - 10).toBeCloseTo(240 - 30 - scale.y(0));
  });

  it('turns y down: what is higher on the goods is higher on screen', () => {
    const scale = scaleFor(box(0, 0, 10, 10), 200, 200, pad);
    expect(scale.y(10)).toBeLessThan(scale.y(0));
  });

  it('gives paths and figures the same places', () => {
    const scale = scaleFor(box(-7, 3, 90, 61), 500, 300, pad);
    const [a, b, c, d, e, f] = (/matrix\((.*)\)/.exec(scale.transform)?.[1] ?? '').split(' ').map(Number) as [number, number, number, number, number, number];
    expect(a * 12 + c * 34 + e).toBeCloseTo(scale.x(12));
    expect(b * 12 + d * 34 + f).toBeCloseTo(scale.y(34));
  });

  it('does not break on a frame that is not there yet', () => {
    expect(Number.isFinite(scaleFor(box(0, 0, 0, 0), 0, 0, pad).k)).toBe(true);
  });
});
