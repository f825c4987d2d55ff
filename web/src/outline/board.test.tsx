import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { renderToStaticMarkup } from 'react-dom/server';
import { describe, expect, it, vi } from 'vitest';
import type { Schemas } from '../api/client';
import { ZoneHandle } from '../shelf/ZoneHandle';
import { PictureBoard } from './PictureBoard';
import { unsaid, type Request } from './trace';
import { TraceFields } from './TraceFields';

vi.stubGlobal('localStorage', { getItem: () => null, setItem: () => undefined });
const picture = { id: 'abc', width: 2480, height: 3508, dotsPerInch: 300, proven: true };
const outline = (change: Partial<Schemas['FoundOutlineView']> = {}): Schemas['FoundOutlineView'] => ({
  path: 'M0 0L10 0L10 10Z',
  rings: [],
  width: 1,
  height: 1,
  holes: 0,
  isLine: false,
  lineWidth: null,
  problem: null,
  notes: [],
  ...change,
});
const board = (request: Request, outlines: Schemas['FoundOutlineView'][] = [], erasing = false) =>
  renderToStaticMarkup(
    <PictureBoard
      picture={picture}
      request={request}
      outlines={outlines}
      chosen={0}
      erasing={erasing}
      onChoose={() => undefined}
      onChange={() => undefined}
    />,
  );

describe('the picture', () => {
  it('is drawn in its own pixels, whatever the size of its preview', () => {
    const markup = board(unsaid(picture));
    expect(markup).toContain('viewBox="0 0 2480 3508"');
    expect(markup).toContain('/api/pictures/abc?width=');
  });

  it('shows which outline is chosen and which cannot be used', () => {
    const markup = board(unsaid(picture), [outline(), outline(), outline({ problem: { parts: [] } })]);
    expect(markup.match(/class="found chosen"/g)).toHaveLength(1);
    expect(markup.match(/class="found unusable"/g)).toHaveLength(1);
  });

  it('shows marks that can be moved by keyboard once a sheet is marked', () => {
    const points = [
      { x: 10, y: 10 },
      { x: 100, y: 10 },
      { x: 100, y: 200 },
      { x: 10, y: 200 },
    ];
    const markup = board({ ...unsaid({ ...picture, dotsPerInch: null }), points });
    expect(markup.match(/class="mark"/g)).toHaveLength(4);
    expect(markup.match(/tabindex="0"/g)).toHaveLength(4);
    expect(markup).toContain('sheet-corners');
    expect(board({ ...unsaid(picture), points })).not.toContain('class="mark"');
  });

  it('shows what was cut away', () => {
    const box = { minX: 5, minY: 6, maxX: 25, maxY: 36, width: 20, height: 30, centreX: 15, centreY: 21 };
    expect(board({ ...unsaid(picture), erased: [box] }, [], true)).toMatch(/class="erased" x="5" y="6" width="20" height="30"/);
  });
});

describe('what is known of a picture', () => {
  const fields = (request: Request) =>
    renderToStaticMarkup(<TraceFields request={request} used={0.23} found={request.by === 'sheet'} onChange={() => undefined} />);

  it('asks for what its way of scaling needs and for nothing else', () => {
    expect(fields(unsaid(picture))).toContain('Dots an inch');
    expect(fields({ ...unsaid(picture), by: 'twoPoints' })).toContain('They are apart');
    const sheet = fields({ ...unsaid(picture), by: 'sheet' });
    expect(sheet).toContain('>A4</option>');
    expect(sheet).not.toContain('Sheet wide');
    expect(sheet).toContain('The corners were found by themselves');
    expect(sheet).toContain('How the sheet lies');
    expect(fields({ ...unsaid(picture), by: 'sheet', sheetWidth: { text: '300', unit: 'millimetre' } })).toContain('Sheet wide');
  });
});

describe('the contrast', () => {
  const fields = (request: Request) =>
    renderToStaticMarkup(<TraceFields request={request} used={0.23} found={false} onChange={() => undefined} />);

  it('is told where the picture tells it, and set where the maker does', () => {
    expect(fields(unsaid(picture))).toContain('23 % darker than the paper');
    expect(fields(unsaid(picture))).not.toContain('type="range"');
    expect(fields({ ...unsaid(picture), contrast: 0.4 })).toMatch(/type="range"[^>]*value="40"/);
  });
});

describe('a zone that can be moved', () => {
  it('lies over the zone at the scale of the board and can have the focus', () => {
    const scale = { k: 2, x: (mm: number) => 100 + 2 * mm, y: (mm: number) => 500 - 2 * mm, transform: '' };
    const markup = renderToStaticMarkup(
      <QueryClientProvider client={new QueryClient()}>
        <svg>
          <ZoneHandle
            name="Front"
            box={{ minX: -30, minY: 20, maxX: 30, maxY: 60 }}
            stands={{ fromTop: 34, fromBottom: 20, across: 0 }}
            scale={scale}
            onMove={() => undefined}
          />
        </svg>
      </QueryClientProvider>,
    );
    expect(markup).toMatch(/<rect x="40" y="380" width="120" height="80" tabindex="0" role="button" aria-label="Front: drag it/);
    expect(markup).not.toContain('<text');
  });
});
