import { describe, expect, it, vi } from 'vitest';
import { skinSvg } from './skin';
import { handleOf, wallOf } from './stage';

vi.stubGlobal('localStorage', { getItem: () => null, setItem: () => undefined });
const profile = [
  { radius: 35, up: 0, along: 0 },
  { radius: 40, up: 70, along: 70.2 },
  { radius: 44, up: 149.7, along: 150 },
];

describe('the body of a blank', () => {
  it('has its measured radii, with the middle of its skin at the front', () => {
    const wall = wallOf({ profile, skinHeight: 150 });
    const [at, uv] = [wall.getAttribute('position'), wall.getAttribute('uv')];
    const all = Array.from({ length: at.count }, (_, i) => ({ x: at.getX(i), y: at.getY(i), z: at.getZ(i), u: uv.getX(i), v: uv.getY(i) }));
    for (const p of all) expect(Math.hypot(p.x, p.z)).toBeCloseTo(p.y === 0 ? 35 : p.y < 100 ? 40 : 44, 3);
    const front = all.filter((p) => Math.abs(p.u - 0.5) < 1e-6);
    expect(front.length).toBe(3);
    for (const p of front) expect(p.z).toBeGreaterThan(34);
    // To the right of the front on the skin is to the right of the reader.
    for (const p of all.filter((q) => Math.abs(q.u - 0.75) < 1e-6)) expect(p.x).toBeGreaterThan(34);
    expect(all.find((p) => p.y > 60 && p.y < 80)?.v).toBeCloseTo(0.468, 5);
  });

  it('has a handle at the back only where there is one', () => {
    expect(handleOf({ handle: [], handleThick: 8 })).toBeUndefined();
    const handle = handleOf({
      handle: [
        { radius: 41, up: 80, along: 0 },
        { radius: 70, up: 50, along: 0 },
        { radius: 41, up: 20, along: 0 },
      ],
      handleThick: 8,
    });
    handle?.computeBoundingBox();
    expect(handle?.boundingBox?.max.z).toBeLessThan(0);
    expect(handle?.boundingBox?.min.z).toBeLessThan(-70);
  });

  it('carries the ink as the flat drawing fills it, patterns too', () => {
    const svg = skinSvg(
      { skinWidth: 260, skinHeight: 94 },
      [{ filmId: '', ply: 1, film: 'spots', colour: '#102030', pattern: 'dots', patternColour: '#ffffff', path: 'M0 0H9V9Z' }],
      4096,
      1481,
    );
    expect(svg).toContain('viewBox="-130 -94 260 94"');
    expect(svg).toContain('<pattern');
    expect(svg).toContain('d="M0 0H9V9Z"');
  });
});
