import { describe, expect, it, vi } from 'vitest';
import { frameFor, scaleFor } from './scale';
import { keepScreenScale, scaleFrom, screenScale } from './screen';

const box = (minX: number, minY: number, maxX: number, maxY: number) => ({
  minX,
  minY,
  maxX,
  maxY,
  width: maxX - minX,
  height: maxY - minY,
  centreX: (minX + maxX) / 2,
  centreY: (minY + maxY) / 2,
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
    const [a, b, c, d, e, f] = (/matrix\((.*)\)/.exec(scale.transform)?.[1] ?? '').split(' ').map(Number) as [
      number,
      number,
      number,
      number,
      number,
      number,
    ];
    expect(a * 12 + c * 34 + e).toBeCloseTo(scale.x(12));
    expect(b * 12 + d * 34 + f).toBeCloseTo(scale.y(34));
  });

  it('does not break on a frame that is not there yet', () => {
    expect(Number.isFinite(scaleFor(box(0, 0, 0, 0), 0, 0, pad).k)).toBe(true);
  });
});

describe('true size', () => {
  it('keeps its scale and grows the frame where the drawing is larger', () => {
    const drawn = box(0, 0, 200, 50);
    const frame = frameFor(drawn, { width: 460, height: 400 }, pad, 4);
    expect(frame).toEqual({ width: pad.left + pad.right + 800, height: 400 });
    const scale = scaleFor(drawn, frame.width, frame.height, pad, 4);
    expect(scale.x(200) - scale.x(0)).toBe(800);
    expect(scale.x(0)).toBe(pad.left);
  });

  it('follows from what a bar measures, and never from what cannot be', () => {
    // A bar drawn as 100 mm at 4 pixels to the millimetre that measures 80 mm: 5 pixels to the millimetre.
    expect(scaleFrom(4, 100, 80)).toBe(5);
    expect(scaleFrom(4, 100, 0)).toBeUndefined();
    expect(scaleFrom(4, 100, 1000)).toBeUndefined();
  });

  it('is what the screen says until it is measured, and kept from then on', () => {
    const kept = new Map<string, string>();
    vi.stubGlobal('localStorage', {
      getItem: (key: string) => kept.get(key) ?? null,
      setItem: (key: string, value: string) => kept.set(key, value),
    });
    expect(screenScale()).toEqual({ k: 96 / 25.4, measured: false });
    keepScreenScale(4.2);
    expect(screenScale()).toEqual({ k: 4.2, measured: true });
    kept.set('cabida.screen', 'nonsense');
    expect(screenScale().measured).toBe(false);
    vi.unstubAllGlobals();
  });
});
