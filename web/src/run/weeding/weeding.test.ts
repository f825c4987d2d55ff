import { describe, expect, it } from 'vitest';
import { bitLabels, spread } from './labels';
import { areaSaid, minutesSaid, spreadSaid } from '../../weeding/said';

describe('numbers of bits', () => {
  it('stand apart, in order, between their ends, and where they belong when there is room', () => {
    expect(spread([50, 100], 0, 300)).toEqual([50, 100]);
    const places = spread([10, 11, 12, 290, 295, 299], 0, 300);
    expect(places[0]).toBeGreaterThanOrEqual(0);
    expect(places.at(-1)).toBeLessThanOrEqual(300);
    places.slice(1).forEach((x, i) => expect(x - (places[i] ?? 0)).toBeGreaterThanOrEqual(17 - 1e-9));
  });

  it('stand on bits that have room for them and above those that have none, never more than the row holds', () => {
    const scale = { k: 2, x: (mm: number) => 2 * mm, y: (mm: number) => -2 * mm, transform: '' };
    const bit = (number: number, area: number, x: number) => ({ number, kind: 'counter' as const, area, at: { x, y: 0 }, path: '' });
    const bits = [...Array.from({ length: 40 }, (_, i) => bit(i + 1, 4, i)), bit(41, 900, 50)];
    const labels = bitLabels(bits, scale as never, { left: 0, right: 170, y: 10 });
    expect(labels.filter((l) => l.to)).toHaveLength(10);
    // The smallest are those that must not be forgotten.
    expect(labels.filter((l) => l.to).map((l) => l.number)).toEqual([1, 2, 3, 4, 5, 6, 7, 8, 9, 10]);
    expect(labels.at(-1)).toMatchObject({ number: 41, x: 100, y: -0 });
  });
});

describe('weeding in words', () => {
  it('says short times in seconds and long ones in minutes, with where the estimate comes from', () => {
    expect([0.004, 0.75, 0.997, 1, 9.96, 61.2].map(minutesSaid)).toEqual(['1 s', '45 s', '1.0 min', '1.0 min', '10.0 min', '61 min']);
    const time = { minutes: 2, entries: 3, fitted: false, spread: null, took: null };
    expect(spreadSaid({ ...time, entries: 0 })).toContain('until you have typed five times');
    expect(spreadSaid(time)).toContain('3 of five times');
    expect(spreadSaid({ ...time, entries: 7, fitted: true, spread: 0.5 })).toBe('Fitted to 7 of your own times, ± 30 s.');
  });

  it('says small areas finely in either unit', () => {
    expect(areaSaid(0.555, { unit: 'mm', fraction: 0 })).toBe('0.56 mm²');
    expect(areaSaid(1234.5, { unit: 'mm', fraction: 0 })).toBe('1235 mm²');
    expect(areaSaid(4, { unit: 'in', fraction: 16 })).toBe('0.0062 in²');
  });
});
