import { renderToStaticMarkup } from 'react-dom/server';
import { describe, expect, it, vi } from 'vitest';
import type { Schemas } from '../../api/client';
import { ProofPiece } from './ProofPiece';
import { cellOf } from './ProofView';

vi.stubGlobal('localStorage', { getItem: () => null, setItem: () => undefined });
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
const piece = (change: Partial<Schemas['ProofPieceView']> = {}): Schemas['ProofPieceView'] => ({
  id: '1',
  name: 'Bram',
  copies: 1,
  inks: [],
  sizes: [box(-40, 10, 40, 30)],
  inkBox: box(-40, 10, 40, 30),
  zoneBox: box(-50, 0, 50, 40),
  zonePath: '',
  letterHeight: 20,
  concessions: [],
  state: 'open',
  words: '',
  since: 'same',
  seen: 'abc',
  mayBeCut: true,
  ...change,
});
describe('a piece of a proof', () => {
  const html = (p: Schemas['ProofPieceView']) =>
    renderToStaticMarkup(
      <ProofPiece
        piece={p}
        cell={{ width: 100, height: 40 }}
        goods={{ colour: '', isDark: false }}
        words={p.words}
        onApprove={() => undefined}
        onWords={() => undefined}
      />,
    );

  it('tells its state by a word and a shape, and what became of it', () => {
    expect(html(piece({ state: 'voided', since: 'changed' }))).toMatch(/✕.*changed since approval/);
    expect(html(piece({ since: 'new' }))).toContain('<span class="limits">new</span>');
    expect(html(piece({ state: 'corrected', words: 'with an h' }))).toContain('<q>with an h</q>');
  });

  it('cannot be approved when it cannot be cut', () => {
    expect(html(piece({ mayBeCut: false }))).toMatch(/disabled=""[^>]*>Approve/);
  });

  it('shares its scale with the others, so that ink outside its zone is seen whole', () => {
    expect(cellOf([piece(), piece({ inkBox: box(-70, 10, 60, 30) })])).toEqual({ width: 140, height: 40 });
    expect(cellOf([])).toEqual({ width: 1, height: 1 });
  });
});
