import { describe, expect, it } from 'vitest';
import { marked, nextStep, ready, unsaid } from './trace';

const scan = { id: 'a', width: 2480, height: 3508, dotsPerInch: 300, proven: true };
const photo = { ...scan, dotsPerInch: null, proven: false };

describe('following a picture', () => {
  it('is ready at once when the scan states its resolution', () => {
    expect(ready(unsaid(scan))).toBe(true);
    expect(ready({ ...unsaid(scan), dotsPerInch: ' ' })).toBe(false);
  });

  it('asks for the corners of a photograph in turn', () => {
    const request = unsaid(photo);
    expect(request.by).toBe('sheet');
    expect(nextStep(request)).toContain('first corner of the sheet, in any order');
    const two = {
      ...request,
      points: [
        { x: 1, y: 1 },
        { x: 9, y: 1 },
      ],
    };
    expect(nextStep(two)).toContain('third corner');
    expect(ready({ ...two, points: [...two.points, { x: 9, y: 9 }, { x: 1, y: 9 }] })).toBe(true);
  });

  it.each([
    [72, false, 'sheet'],
    [96, false, 'sheet'],
    [96, true, 'resolution'],
    [300, false, 'resolution'],
  ])('takes %i dots an inch, proven %s, as a reason to scale by %s', (dotsPerInch, proven, by) => {
    expect(unsaid({ ...scan, dotsPerInch, proven }).by).toBe(by);
  });

  it('moves the nearest mark once all are set', () => {
    const two = [
      { x: 0, y: 0 },
      { x: 100, y: 0 },
    ];
    expect(marked(two, 'twoPoints', { x: 90, y: 5 })).toEqual([
      { x: 0, y: 0 },
      { x: 90, y: 5 },
    ]);
    expect(marked([], 'twoPoints', { x: 3, y: 4 })).toEqual([{ x: 3, y: 4 }]);
  });

  it('asks how far two points are apart', () => {
    const request = {
      ...unsaid(photo),
      by: 'twoPoints' as const,
      points: [
        { x: 0, y: 0 },
        { x: 100, y: 0 },
      ],
    };
    expect(nextStep(request)).toContain('how far');
    expect(ready(request)).toBe(false);
    expect(ready({ ...request, distance: { text: '100', unit: 'millimetre' } })).toBe(true);
  });
});
