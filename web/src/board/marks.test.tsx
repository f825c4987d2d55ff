import { renderToStaticMarkup } from 'react-dom/server';
import { describe, expect, it, vi } from 'vitest';
import type { Schemas } from '../api/client';
import { Callouts } from './Callouts';
import { DimensionMark } from './DimensionMark';
import { Dimensions } from './Dimensions';

vi.stubGlobal('localStorage', { getItem: () => null, setItem: () => undefined });
const scale = { k: 1, x: (mm: number) => mm, y: (mm: number) => 200 - mm, transform: '' };
const box = { minX: 0, minY: 0, maxX: 200, maxY: 100, width: 200, height: 100, centreX: 100, centreY: 50 };
const line = (change: Partial<Schemas['DimensionLine']>): Schemas['DimensionLine'] => ({
  letter: null,
  word: '',
  millimetres: 200,
  uncertainty: null,
  from: { x: 0, y: 100 },
  to: { x: 200, y: 100 },
  place: 'above',
  level: 0,
  ofZone: false,
  ...change,
});
const html = (node: React.ReactNode) => renderToStaticMarkup(<svg>{node}</svg>);
const lineOf = (markup: string) =>
  /<line x1="([^"]*)" y1="([^"]*)" x2="([^"]*)" y2="([^"]*)" class="dimension-line"/.exec(markup)?.slice(1).map(Number);

describe('dimension lines', () => {
  it('stand outside the drawing, each level further out', () => {
    expect(lineOf(html(<Dimensions lines={[line({})]} box={box} scale={scale} />))).toEqual([0, 80, 200, 80]);
    expect(lineOf(html(<Dimensions lines={[line({ level: 1 })]} box={box} scale={scale} />))?.[1]).toBeLessThan(80);
    expect(lineOf(html(<Dimensions lines={[line({ place: 'below' })]} box={box} scale={scale} />))?.[1]).toBeGreaterThan(200);
    expect(lineOf(html(<Dimensions lines={[line({ place: 'left' })]} box={box} scale={scale} />))?.[0]).toBeLessThan(0);
    expect(lineOf(html(<Dimensions lines={[line({ place: 'right' })]} box={box} scale={scale} />))?.[0]).toBeGreaterThan(200);
  });

  it('run beside a slanted wall at the same distance from both its ends', () => {
    const [x1 = 0, y1 = 0, x2 = 0, y2 = 0] =
      lineOf(
        html(<Dimensions lines={[line({ place: 'along', from: { x: 20, y: 0 }, to: { x: 0, y: 100 } })]} box={box} scale={scale} />),
      ) ?? [];
    expect(Math.hypot(x2 - x1, y2 - y1)).toBeCloseTo(Math.hypot(20, 100));
    expect(x1).toBeLessThan(20);
    expect(x2).toBeLessThan(0);
  });

  it('write the word, the figure and what it is uncertain by, and a question where nothing was read', () => {
    expect(
      html(<Dimensions lines={[line({ word: 'girth', millimetres: 257.577, uncertainty: 1.291 })]} box={box} scale={scale} />),
    ).toContain('girth 257.6 ± 1.3');
    expect(html(<Dimensions lines={[line({ letter: 'D', millimetres: null })]} box={box} scale={scale} />)).toContain('>?<');
  });

  it('keep the figure beside a line that is too short for it', () => {
    const short = html(
      <DimensionMark
        extend={[
          { x: 0, y: 50 },
          { x: 12, y: 50 },
        ]}
        line={[
          { x: 0, y: 20 },
          { x: 12, y: 20 },
        ]}
        text="12.0"
      />,
    );
    expect(Number(/translate\(([\d.]+) /.exec(short)?.[1])).toBeGreaterThan(12);
  });
});

describe('callouts', () => {
  it('do not cover one another where their places lie close together', () => {
    const call = (letter: string, y: number): Schemas['Callout'] => ({ letter, word: 'girth', millimetres: 219, at: { x: 50, y } });
    const markup = html(<Callouts callouts={[call('A', 100), call('B', 98), call('C', 10)]} right={400} scale={scale} />);
    const tops = [...markup.matchAll(/<rect x="[^"]*" y="([^"]*)"/g)].map((m) => Number(m[1]));
    expect(tops).toHaveLength(3);
    expect((tops[1] ?? 0) - (tops[0] ?? 0)).toBeGreaterThanOrEqual(24);
    expect((tops[2] ?? 0) - (tops[1] ?? 0)).toBeGreaterThanOrEqual(24);
  });

  it('light up with the row they belong to', () => {
    expect(
      html(
        <Callouts callouts={[{ letter: 'A', word: 'girth', millimetres: null, at: { x: 0, y: 0 } }]} right={400} scale={scale} lit="A" />,
      ),
    ).toContain('callout lit');
  });
});
