import { renderToStaticMarkup } from 'react-dom/server';
import { testFinding } from '../api/testFinding';
import { describe, expect, it, vi } from 'vitest';
import type { Schemas } from '../api/client';
import { due } from '../jobs/due';
import { InkCard } from './InkCard';
import { RoomCard } from './RoomCard';
import { RoomChains } from './RoomChains';
import { StateMark } from '../fit/StateMark';

vi.stubGlobal('localStorage', { getItem: () => null, setItem: () => undefined });
const box = { minX: -50, minY: 10, maxX: 50, maxY: 40, width: 100, height: 30, centreX: 0, centreY: 25 };
const room = (side: string, distance: number, touches: boolean, limit: Schemas['LimitKind'] = 'rim'): Schemas['RoomView'] => ({
  side,
  distance,
  touches,
  beyond: distance < 0,
  limit,
  used: 100,
  of: 120,
  forAll: null,
});
const piece = (change: Partial<Schemas['PieceView']> = {}): Schemas['PieceView'] => ({
  id: '1',
  name: 'Bram',
  copies: 1,
  values: {},
  zoneBox: box,
  scale: 1,
  turn: 0,
  sides: [],
  ties: [],
  partNames: {},
  concessions: [],
  byHand: false,
  moved: null,
  nameLine: null,
  inkHash: 'a',
  taper: null,
  state: 'fits',
  mayBeCut: true,
  inks: [{ filmId: '', ply: 1, film: 'navy', colour: '#000000', pattern: 'none', patternColour: '', path: '' }],
  inkBox: box,
  rooms: [room('above', 0, true), room('below', 3.24, false), room('left', -4.06, true, 'leftSide'), room('right', 10, false, 'rightSide')],
  letterHeight: 34,
  largestLetterHeight: 45.82,
  round: {
    goes: 125.77,
    appearsWide: 72.99,
    edgeSeenAt: 0.456,
    handleLeft: 21.1,
    handleRight: 21.1,
    seamLeft: 42.1,
    seamRight: 42.1,
    overlap: -167,
    drinkerSees: 0.5,
  },
  thinnest: { width: 0.62, at: { x: 0, y: 0 } },
  thinnestAllowed: 0.8,
  narrowestGap: null,
  gapAllowed: 0.48,
  findings: [],
  ...change,
});
const html = (node: React.ReactNode) => renderToStaticMarkup(node);
const text = (node: React.ReactNode) =>
  html(node)
    .replace(/<[^>]*>/g, ' ')
    .replace(/\s+/g, ' ')
    .trim();

describe('the state of a piece', () => {
  it('is told by a word and a shape, never by colour alone', () => {
    expect(text(<StateMark piece={{ state: 'fits' }} />)).toBe('✓ fits');
    expect(text(<StateMark piece={{ state: 'snug' }} />)).toBe('◐ snug');
    expect(text(<StateMark piece={{ state: 'over', mayBeCut: false }} />)).toBe('✕ over');
  });

  it('does not say that a piece fits when letters of it are missing', () => {
    expect(text(<StateMark piece={{ state: 'fits', mayBeCut: false }} />)).toBe('▲ held back');
    const stopped = (rule: Schemas['Rule']) => ({
      state: 'fits' as const,
      mayBeCut: false,
      findings: [testFinding({ rule, severity: 'stop' })],
    });
    expect(text(<StateMark piece={stopped('missingCharacters')} />)).toBe('▲ lacks letters');
    expect(text(<StateMark piece={stopped('looseParts')} />)).toBe('▲ falls apart');
  });
});

describe('the room table', () => {
  it('marks what limits, and what stands out', () => {
    const rows = html(<RoomCard piece={piece()} handle round />)
      .split('<tr')
      .slice(1);
    expect(rows[0]).toContain('limits');
    expect(rows[0]).toContain('0.0 mm');
    expect(rows[1]).not.toContain('limits');
    expect(rows[2]).toContain('beyond');
    expect(rows[2]).toContain('−4.1 mm');
    expect(rows[2]).toContain('To handle, left');
  });

  it('does not speak of the handle where a size that was typed ends the zone', () => {
    expect(
      text(<RoomCard piece={piece({ rooms: [room('left', 9.8, false, 'size'), room('right', 9.8, false, 'size')] })} handle round />),
    ).toMatch(/Left 9.8 mm .*Right 9.8 mm/);
  });

  it('speaks of the seam where there is no handle, and of nothing where there is no ink', () => {
    expect(text(<RoomCard piece={piece()} handle={false} round />)).toContain('To seam, right');
    expect(text(<RoomCard piece={piece({ rooms: [], state: 'notSet' })} handle round />)).toContain('no ink to measure');
  });
});

describe('the ink table', () => {
  it('shows the figures with their limits and warns of a stroke below the limit of the film', () => {
    const finding = testFinding({ rule: 'thinStrokes', figure: 0.62, limit: 0.8 });
    const card = html(<InkCard piece={piece({ findings: [finding] })} wall />);
    expect(card).toContain('100.0 × 30.0 mm');
    expect(card).toContain('at most 45.8');
    expect(card).toContain('125.8°');
    expect(card).toContain('seen 73.0 wide');
    expect(card).toMatch(/class="warn".*0\.62 mm/);
    expect(html(<InkCard piece={piece()} wall />)).not.toContain('warn');
  });

  it('states the bow of a straight line on a taper only', () => {
    expect(text(<InkCard piece={piece()} wall />)).not.toContain('bows');
    expect(
      text(
        <InkCard
          piece={piece({ taper: { bow: 1.518, gathers: 2.7, widestWithin: 73.04, arc: [], widerAtTop: null, widerAtBottom: null } })}
          wall
        />,
      ),
    ).toContain('Straight line bows 1.5 mm gathers 2.7');
  });
});

describe('the chains of dimensions around a piece', () => {
  it('write the room of each side, filled where it limits and apart where the ink stands out', () => {
    const scale = { k: 2, x: (mm: number) => mm * 2, y: (mm: number) => -mm * 2, transform: '' };
    const chains = html(
      <svg>
        <RoomChains scale={scale} box={box} ink={box} rooms={piece().rooms} />
      </svg>,
    );
    expect(chains).toMatch(/room-tag touches" data-side="above"/);
    expect(chains).toMatch(/room-tag beyond" data-side="left"/);
    expect(chains).toMatch(/room-tag " data-side="right"/);
    expect(chains).toContain('>100.0<');
    expect(chains).toContain('>30.0<');
  });
});

describe('a due day', () => {
  it('is said in words', () => {
    expect(due('2026-12-05')).toBe('due Sat 5 Dec');
    expect(due('')).toBe('no day set');
  });
});
