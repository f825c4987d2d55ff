import { renderToStaticMarkup } from 'react-dom/server';
import { describe, expect, it, vi } from 'vitest';
import { CentringChoice, movesIn } from './CentringChoice';
import { GhostContext } from './ghost';

vi.stubGlobal('localStorage', { getItem: () => null, setItem: () => undefined });
const mm = (v: number) => `${v.toFixed(1)} mm`;
const ghost = {
  path: 'M0 0Z',
  moves: [
    { partId: 'bar', right: -0.9, up: 0 },
    { partId: 'name', right: 0.94, up: 0.01 },
  ],
};

describe('a way of centring', () => {
  it('says how far the part that is asked for would move', () => {
    expect(movesIn(ghost, 'name', mm)).toBe('It moves 0.9 mm to the right.');
    expect(movesIn(ghost, undefined, mm)).toBe('It moves 0.9 mm to the left.');
    expect(movesIn(ghost, 'other', mm)).toBe('It would stand as it does.');
  });

  it('tells only of what is pointed at in its own field', () => {
    const html = renderToStaticMarkup(
      <GhostContext value={{ seen: ghost, by: 'another field', point: () => undefined }}>
        <CentringChoice title="Its centre is" now="weight" partId="name" change={(m) => m} onChoose={() => undefined} />
      </GhostContext>,
    );
    expect(html).toContain('Point at a way');
    expect(html).toMatch(/aria-pressed="true"[^>]*>its weight/);
  });
});
