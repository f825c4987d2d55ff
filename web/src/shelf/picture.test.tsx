import { renderToStaticMarkup } from 'react-dom/server';
import { describe, expect, it, vi } from 'vitest';
import type { Schemas } from '../api/client';
import { DimensionMark } from '../board/DimensionMark';
import { InkPicture } from '../board/InkPicture';
import { ShelfPicture } from './ShelfPicture';

vi.stubGlobal('localStorage', { getItem: () => null, setItem: () => undefined });

const drawing: Schemas['DrawingView'] = {
  box: { minX: -40, minY: 0, maxX: 60, maxY: 90, width: 100, height: 90, centreX: 10, centreY: 45 },
  strokes: [
    { kind: 'edge', path: 'M0 0', label: null, labelAt: null },
    { kind: 'centre', path: 'M1 1', label: null, labelAt: null },
  ],
  dimensions: [],
  callouts: [],
  guessed: false,
  isWindow: false,
};

describe('a picture on the shelf', () => {
  it('is as large as its goods at the scale of the shelf, without construction lines', () => {
    const markup = renderToStaticMarkup(<ShelfPicture drawing={drawing} k={0.5} />);
    expect(markup).toContain('width="58" height="53"');
    expect(markup).toContain('stroke-edge');
    expect(markup).not.toContain('stroke-centre');
    expect(renderToStaticMarkup(<ShelfPicture drawing={{ ...drawing, guessed: true }} k={0.5} />)).toContain('guessed');
  });
});

describe('ink on goods', () => {
  it('is seen against their colour where it is known', () => {
    const ink = (goods?: string) => renderToStaticMarkup(<InkPicture label="Bram" box={drawing.box} paths={[]} goods={goods} />);
    expect(ink('#24433a')).toContain('--goods:#24433a');
    expect(ink('')).not.toContain('--goods');
  });
});

describe('letters of upright lines beside one another', () => {
  it('stand at different heights', () => {
    const height = (along?: number) =>
      Number(
        /translate\([-\d.]+ ([\d.]+)\)/.exec(
          renderToStaticMarkup(
            <svg>
              <DimensionMark
                extend={[
                  { x: 50, y: 200 },
                  { x: 50, y: 0 },
                ]}
                line={[
                  { x: 20, y: 200 },
                  { x: 20, y: 0 },
                ]}
                text="264.0"
                letter="B"
                along={along}
              />
            </svg>,
          ),
        )?.[1],
      );
    expect(height()).toBe(100);
    expect(height(0.67)).toBeCloseTo(66);
  });
});
