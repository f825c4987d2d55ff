import { renderToStaticMarkup } from 'react-dom/server';
import { testFinding } from '../api/testFinding';
import { describe, expect, it, vi } from 'vitest';
import type { Schemas } from '../api/client';
import { FoundCard } from '../outline/FoundCard';
import { FindingsCard } from './FindingsCard';
import { KeptClearCard } from './KeptClearCard';
import { MaterialCard } from './MaterialCard';
import { datums, sides, type Blank } from './names';
import { PlaceFields } from './PlaceFields';
import { ShapeCard } from './ShapeCard';
import { ZonesCard } from './ZonesCard';

vi.stubGlobal('localStorage', { getItem: () => null, setItem: () => undefined });

const mm = (text: string) => ({ text, unit: 'millimetre' as const });
const place = { from: 'middle' as const, away: mm(''), side: 'centred' as const, across: mm('') };
const zone = (id: string, name: string, change: Partial<Schemas['ZoneSpec']> = {}): Schemas['ZoneSpec'] => ({
  id,
  name,
  part: 'whole',
  facing: 'front',
  face: '',
  margins: { top: mm('10'), bottom: mm('12'), left: mm('8'), right: mm('8') },
  width: mm(''),
  height: mm(''),
  place,
  turning: 'upright',
  turnRange: 15,
  ...change,
});
const blank = (change: Partial<Blank> = {}): Blank => ({
  name: 'Mug',
  surface: 'straight',
  measured: [],
  zones: [zone('a', 'Wrap')],
  keptClear: [],
  faces: [],
  girths: 3,
  tags: [],
  pictureId: null,
  retired: false,
  jobId: null,
  note: '',
  price: '',
  stripCheck: mm(''),
  outline: { kind: 'rectangle', sides: 6, rim: mm(''), drawn: null },
  garment: { kind: 'shirt', sizes: ['S', 'M'], platenWidth: mm(''), platenHeight: mm('') },
  frame: { pane: 'glass', mats: 1, play: mm('1.5'), top: mm('25'), sides: mm('25'), foot: mm('35'), step: mm('5'), hold: mm('3') },
  material: { name: '', finish: 'unknown', colour: '', opacity: 'opaque', behind: '', behindColour: '', standsHeat: '' },
  ...change,
});
const drawing: Schemas['DrawingView'] = {
  box: { minX: 0, minY: 0, maxX: 1, maxY: 1, width: 1, height: 1, centreX: 0.5, centreY: 0.5 },
  strokes: [],
  dimensions: [],
  callouts: [],
  guessed: false,
  isWindow: false,
};
const size = (zones: Schemas['ZoneView'][] = []): Schemas['SizeView'] => ({
  size: '',
  standing: drawing,
  behind: null,
  flat: null,
  faces: [],
  zones,
  worksOut: [],
});
const laid = (id: string, change: Partial<Schemas['ZoneView']> = {}): Schemas['ZoneView'] => ({
  id,
  echoes: [],
  box: null,
  width: 198.04,
  height: 71.17,
  problem: null,
  sums: [],
  stands: null,
  ...change,
});
const view = (b: Blank): Schemas['BlankView'] => ({
  id: 'mug',
  revision: 1,
  changedAt: '',
  blank: b,
  rows: [],
  keptClear: b.keptClear.map(() => []),
  clearReadings: b.keptClear.map(() => []),
  stripProblem: null,
  findings: [],
  sizes: [size()],
  usedBy: [],
  jobs: [],
});
const html = renderToStaticMarkup;
const props = (b: Blank, s = size()) => ({ id: 'mug', view: view(b), blank: b, edit: () => undefined, size: s });
const labels = (markup: string) => [...markup.matchAll(/<label[^>]*>([^<]+)</g)].map((m) => m[1]);

describe('zones', () => {
  it('are listed with what is safe in them; only the open one shows its fields', () => {
    const b = blank({ zones: [zone('a', 'Wrap'), zone('b', 'Left')] });
    const markup = html(
      <ZonesCard {...props(b, size([laid('a'), laid('b', { width: null, height: null })]))} chosen="a" onChoose={() => undefined} />,
    );
    expect(markup).toContain('198.0 × 71.2 safe');
    expect(markup).toContain('nothing left');
    expect(markup.match(/Stays clear/g)).toHaveLength(1);
    expect(markup).not.toContain('measured from');
  });

  it('with a size of their own say where they are measured in from', () => {
    const markup = html(
      <ZonesCard
        {...props(blank({ zones: [zone('a', 'Front', { width: mm('60') })] }), size([laid('a')]))}
        chosen="a"
        onChoose={() => undefined}
      />,
    );
    expect(markup).toContain('Zone measured from');
    expect(markup).toContain('down from the rim');
  });

  it('of a frame name the part they lie on', () => {
    expect(html(<ZonesCard {...props(blank({ surface: 'framed' }))} onChoose={() => undefined} />)).toContain(
      'the top mat, round its opening',
    );
    expect(html(<ZonesCard {...props(blank())} onChoose={() => undefined} />)).not.toContain('top mat');
  });

  it('say what a zone is where there is none', () => {
    expect(html(<ZonesCard {...props(blank({ zones: [] }))} onChoose={() => undefined} />)).toContain('where artwork may go');
  });
});

describe('the words of a surface', () => {
  it('name the sides of a wall by what stands there', () => {
    expect(sides(blank(), true).left).toContain('handle');
    expect(sides(blank(), false).right).toContain('seam');
    expect(sides(blank({ surface: 'flat' }), false).top).toBe('Top edge');
  });

  it('offer the reference points of a shirt and of a bag', () => {
    const names = (kind: 'shirt' | 'bag') => datums(blank({ surface: 'garment', garment: { ...blank().garment, kind } })).map(([d]) => d);
    expect(names('shirt')).toEqual(['collar', 'shoulder', 'pocket', 'hem', 'middle']);
    expect(names('bag')).not.toContain('shoulder');
  });
});

describe('a place', () => {
  it('has nothing to measure where it stands in the middle', () => {
    const middle = html(<PlaceFields place={place} from={datums(blank())} what="Zone" echo={() => undefined} onChange={() => undefined} />);
    expect(middle.match(/disabled=""/g)).toHaveLength(2);
    const away = html(
      <PlaceFields
        place={{ ...place, from: 'top', side: 'left' }}
        from={datums(blank())}
        what="Zone"
        echo={() => undefined}
        onChange={() => undefined}
      />,
    );
    expect(away).not.toContain('disabled');
  });
});

describe('places kept clear', () => {
  it('ask for the sizes that their shape has', () => {
    const kept = (shape: Schemas['ClearShape']): Schemas['KeptClear'] => ({
      id: 'k',
      name: 'thing',
      shape,
      facing: 'front',
      face: '',
      place,
      again: [],
      width: mm('5'),
      height: mm('5'),
      clearance: mm('2'),
      isHole: false,
    });
    const fields = (shape: Schemas['ClearShape']) =>
      labels(html(<KeptClearCard {...props(blank({ surface: 'flat', keptClear: [kept(shape)] }))} />));
    expect(fields('round')).toEqual(expect.arrayContaining(['Diameter', 'Clearance']));
    expect(fields('round')).not.toContain('Height');
    const again = {
      ...kept('round'),
      again: [{ field: 'width' as const, tool: 'calliper' as const, lines: [{ tool: 'steelRule' as const, readings: [mm('5.2')] }] }],
    };
    expect(html(<KeptClearCard {...props(blank({ surface: 'flat', keptClear: [kept('round')] }))} />)).toContain('Read thing again');
    expect(labels(html(<KeptClearCard {...props(blank({ surface: 'flat', keptClear: [again] }))} />))).toEqual(
      expect.arrayContaining(['Diameter', 'Clearance']),
    );
    expect(html(<KeptClearCard {...props(blank({ surface: 'flat', keptClear: [again] }))} />)).toMatch(/value="5.2"/);
    expect(fields('band')).not.toContain('Width');
    expect(fields('slot')).toEqual(expect.arrayContaining(['Width', 'Height']));
  });

  it('say what goes there while there is nothing', () => {
    expect(html(<KeptClearCard {...props(blank())} />)).toContain('Nothing but the handle');
    expect(html(<KeptClearCard {...props(blank({ surface: 'flat' }))} />)).toContain('Holes, slots');
  });
});

describe('what has to be known before the readings', () => {
  it('is nothing for a straight wall, and the number of girths for a belly', () => {
    expect(html(<ShapeCard {...props(blank())} />)).toBe('');
    expect(html(<ShapeCard {...props(blank({ surface: 'bellied' }))} />)).toContain('9 heights');
  });

  it('is the mats of a frame and the sizes of a garment', () => {
    expect(labels(html(<ShapeCard {...props(blank({ surface: 'framed' }))} />))).toEqual(
      expect.arrayContaining(['Mats', 'Foot', 'Step from mat to mat']),
    );
    expect(html(<ShapeCard {...props(blank({ surface: 'garment' }))} />)).toContain('value="S, M"');
  });
});

describe('the material', () => {
  it('asks what is seen through goods that are clear', () => {
    expect(html(<MaterialCard {...props(blank())} />)).not.toContain('What is seen through it');
    const clear = blank({ material: { ...blank().material, opacity: 'clear', behind: 'milk' } });
    expect(html(<MaterialCard {...props(clear)} />)).toContain('value="milk"');
  });

  it('shows a colour that is not known as not noted', () => {
    expect(html(<MaterialCard {...props(blank())} />)).toContain('not noted</span>');
    expect(html(<MaterialCard {...props(blank({ material: { ...blank().material, colour: '#24433a' } }))} />)).toContain('forget it');
  });
});

describe('what wants looking at', () => {
  it('is counted, and what stops stands out', () => {
    const markup = html(
      <FindingsCard findings={[testFinding({ severity: 'stop', words: 'Read the girth.' }), testFinding({ words: 'Look.' })]} />,
    );
    expect(markup).toContain('finding stop');
    expect(markup).toContain('count over');
    expect(html(<FindingsCard findings={[]} />)).toContain('nothing');
  });
});

describe('outlines found', () => {
  const found = (change: Partial<Schemas['FoundOutlineView']> = {}): Schemas['FoundOutlineView'] => ({
    path: '',
    rings: [],
    width: 89.4,
    height: 159.4,
    holes: 0,
    isLine: true,
    lineWidth: 0.6,
    problem: null,
    notes: [],
    ...change,
  });
  const card = (outlines: Schemas['FoundOutlineView'][]) =>
    html(
      <FoundCard
        found={{ outlines, notes: [], uncertainty: 0.129, contrast: 0.2, source: '' }}
        looking={false}
        error={null}
        next=""
        chosen={0}
        onChoose={() => undefined}
      />,
    );

  it('tell size, certainty and how they were drawn', () => {
    expect(card([found()])).toContain('89.4 × 159.4');
    expect(card([found()])).toContain('± 0.13');
    expect(card([found()])).toContain('a line 0.60 mm wide');
    expect(card([found({ isLine: false, holes: 2 })])).toContain('filled, 2 holes');
  });

  it('that cannot be used say why and cannot be chosen', () => {
    const markup = card([found({ problem: { parts: [{ text: 'It runs off.', strong: false, fine: false }] } })]);
    expect(markup).toContain('It runs off.');
    expect(markup).toContain('disabled=""');
  });

  it('wait for what is still to be said', () => {
    expect(
      html(
        <FoundCard looking={false} error={new Error('not shown yet')} next="Type the resolution." chosen={-1} onChoose={() => undefined} />,
      ),
    ).toBe(html(<FoundCard looking={false} error={null} next="Type the resolution." chosen={-1} onChoose={() => undefined} />));
  });
});
