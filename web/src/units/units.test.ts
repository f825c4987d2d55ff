import { describe, expect, it } from 'vitest';
import { figure, keptUnits, length, USUAL } from './units';

describe('lengths as they are shown', () => {
  it('shows millimetres to a tenth, and never minus nothing', () => {
    expect(length(197.349, { unit: 'mm', fraction: 0 })).toBe('197.3 mm');
    expect(figure(-0.04, { unit: 'mm', fraction: 0 })).toBe('0.0');
    expect(figure(-4.08, { unit: 'mm', fraction: 0 })).toBe('−4.1');
  });

  it('shows inches as decimals or to the nearest part in lowest terms', () => {
    expect(length(219.075, { unit: 'in', fraction: 0 })).toBe('8.625 in');
    expect(length(219.075, { unit: 'in', fraction: 16 })).toBe('8 5/8 in');
    expect(figure(25.4 * 0.999, { unit: 'in', fraction: 8 })).toBe('1');
    expect(figure((25.4 * 7) / 32, { unit: 'in', fraction: 32 })).toBe('7/32');
    expect(figure(-25.4 / 2, { unit: 'in', fraction: 8 })).toBe('−1/2');
  });

  it('shows what is small in thousandths of an inch whatever part is chosen: 1/16 of 1/16 tells nothing', () => {
    expect(figure(25.4 / 32, { unit: 'in', fraction: 8 }, 2)).toBe('0.031');
    expect(figure(-0.1, { unit: 'in', fraction: 8 }, 2)).toBe('−0.004');
    expect(figure(0, { unit: 'in', fraction: 16 }, 2)).toBe('0.000');
    expect(figure(25.4 / 16, { unit: 'in', fraction: 16 })).toBe('1/16');
  });
});

describe('the choice that was kept', () => {
  it('is taken as it was kept, or is the usual where it cannot be read', () => {
    expect(keptUnits('{"unit":"in","fraction":0}')).toEqual({ unit: 'in', fraction: 0 });
    for (const odd of [null, '', '{', 'null', '7', '{"unit":"inch","fraction":8}', '{"unit":"in","fraction":7}', '{"unit":"in"}']) {
      expect(keptUnits(odd)).toEqual(USUAL);
    }
  });
});
