import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { renderToStaticMarkup } from 'react-dom/server';
import { describe, expect, it, vi } from 'vitest';
import type { Schemas } from '../api/client';
import { scaleFor } from '../board/scale';
import { ActionSign } from './ActionSign';
import { Distance } from './Distance';
import { GroundCard } from './GroundCard';
import { LetterMarks } from './LetterMarks';
import { PartHandle } from './PartHandle';
import type { Motif, Part } from './parts';

vi.stubGlobal('localStorage', { getItem: () => null, setItem: () => undefined });
const cache = new QueryClient({ defaultOptions: { queries: { enabled: false } } });
const html = (node: React.ReactNode) => renderToStaticMarkup(<QueryClientProvider client={cache}>{node}</QueryClientProvider>);
const text = (node: React.ReactNode) =>
  html(node)
    .replace(/<option[^>]*>[^<]*<\/option>/g, '')
    .replace(/<[^>]*>/g, ' ')
    .replace(/\s+/g, ' ')
    .trim();
const nothing = () => undefined;

const box = (minX: number, minY: number, maxX: number, maxY: number): Schemas['Box'] => ({
  minX,
  minY,
  maxX,
  maxY,
  width: maxX - minX,
  height: maxY - minY,
  centreX: (minX + maxX) / 2,
  centreY: (minY + maxY) / 2,
});
const scale = scaleFor(box(-50, 0, 50, 40), 400, 300, { top: 20, right: 20, bottom: 20, left: 20 });
const typed = (value: string): Schemas['TypedLength'] => ({ text: value, unit: 'millimetre' });

describe('the part at hand on the board', () => {
  it('is framed where it stands and can be reached and moved by keyboard', () => {
    const handle = html(
      <svg>
        <PartHandle name="tram" box={box(-10, 5, 10, 15)} path="M0 0Z" scale={scale} onMove={nothing} />
      </svg>,
    );
    expect(handle).toContain('aria-label="tram: drag it, or move it with the arrow keys"');
    expect(handle).toContain('tabindex="0"');
    expect(handle).toContain(`x="${scale.x(-10) - 4}"`);
    expect(handle).toContain(`width="${scale.k * 20 + 8}"`);
    expect(handle).not.toContain('part-dragged');
  });

  it('lets each letter be opened, named by its place in its word', () => {
    const part = {
      partId: 'a',
      box: box(0, 0, 9, 9),
      capitalHeight: 9,
      path: '',
      weight: 1,
      words: 'Zoë',
      letters: [
        { index: 0, letter: 'Z', box: box(0, 0, 3, 9) },
        { index: 2, letter: 'ë', box: box(6, 0, 9, 9) },
      ],
      isRound: false,
      forms: [],
      nudged: { x: 0, y: 0 },
    };
    const marks = html(
      <svg>
        <LetterMarks parts={[part]} scale={scale} onLetter={nothing} />
      </svg>,
    );
    expect(marks.match(/role="button"/g)).toHaveLength(2);
    expect(marks).toContain('Other forms of ë, letter 3 of Zoë');
  });
});

describe('the sign of an action', () => {
  it('is named for those who do not see it', () => {
    const sign = (more: object) => html(<ActionSign part={{ kind: 'shape', action: 'adds', ...more } as unknown as Part} />);
    expect(sign({})).toContain('aria-label="adds"');
    expect(sign({ action: 'clearsAround' })).toContain('aria-label="clears around"');
    expect(sign({ kind: 'mat' })).toContain('aria-label="mat"');
    expect(
      new Set(['adds', 'cutsThrough', 'clearsAround', 'confines'].map((action) => sign({ action }).replace(/aria-label="[^"]*"/, ''))).size,
    ).toBe(4);
  });
});

describe('the ground', () => {
  const motif = (ground: Partial<Motif['ground']>): Motif => ({
    name: 'm',
    alignment: 'centre',
    parts: [],
    sample: '',
    centring: 'inkBox',
    ground: { blankId: '', zoneId: '', size: '', width: typed(''), height: typed(''), margin: typed(''), ...ground },
  });
  const view = (ground: Partial<Schemas['GroundView']>) =>
    ({
      sample: 'Agnieszka',
      problems: [],
      ground: {
        name: '',
        drawing: null,
        goods: { colour: '', isDark: false },
        box: null,
        zones: [],
        sizes: [],
        mats: 0,
        problem: null,
        ...ground,
      },
    }) as unknown as Schemas['MotifView'];

  it('asks for a size only where it is a reference size, and for a zone only where there are several', () => {
    expect(text(<GroundCard view={view({})} motif={motif({})} edit={nothing} />)).not.toMatch(/Wide|Zone/);
    expect(text(<GroundCard view={view({})} motif={motif({ width: typed('100'), height: typed('60') })} edit={nothing} />)).toMatch(
      /Wide.*High.*Margin/,
    );
    const zones = [
      { id: 'a', name: 'Wrap' },
      { id: 'b', name: 'Left of the handle' },
    ];
    const onMug = (
      <GroundCard view={view({ zones, sizes: ['S', 'L'] })} motif={motif({ blankId: 'mug', zoneId: 'b', size: 'L' })} edit={nothing} />
    );
    expect(text(onMug)).toMatch(/Zone.*Size/);
    expect(html(onMug)).toContain('<option value="b" selected="">Left of the handle</option>');
    expect(html(onMug)).toContain('<option value="L" selected="">L</option>');
  });

  it('says with which name the motif is seen', () => {
    expect(html(<GroundCard view={view({})} motif={motif({})} edit={nothing} />)).toContain('placeholder="Agnieszka"');
  });
});

describe('making a distance so long', () => {
  it('speaks of the width until two places are pointed at', () => {
    const graphic = {
      box: box(0, 0, 25.4, 10),
      pieces: [{ index: 0, colour: '#000000', path: 'M0 0Z', lines: '' }],
    } as unknown as Schemas['GraphicView'];
    expect(text(<Distance graphic={graphic} onScale={nothing} />)).toContain('say how wide all of it is: now 25.4 mm');
    expect(html(<Distance graphic={graphic} onScale={nothing} />)).toMatch(/<button[^>]*disabled=""[^>]*>Make it so/);
    expect(html(<Distance graphic={{ ...graphic, box: null }} onScale={nothing} />)).toBe('');
  });
});
