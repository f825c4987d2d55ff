import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { testFinding } from '../api/testFinding';
import { renderToStaticMarkup } from 'react-dom/server';
import { MemoryRouter } from 'react-router';
import { describe, expect, it, vi } from 'vitest';
import type { Schemas } from '../api/client';
import { fillOf, FilmPatterns } from '../board/FilmPatterns';
import { Ink } from '../board/Ink';
import { CutFields } from './fields/CutFields';
import { GroupFields } from './fields/GroupFields';
import { LetteringFields } from './fields/LetteringFields';
import { PlaceFields } from './fields/PlaceFields';
import { ShapeFields } from './fields/ShapeFields';
import { PartRow } from './PartRow';
import type { Group, Lettering, Motif, Part, Shape } from './parts';
import { sectionsOf } from './sections';

vi.stubGlobal('localStorage', { getItem: () => null, setItem: () => undefined });
const cache = new QueryClient({ defaultOptions: { queries: { enabled: false } } });
const html = (node: React.ReactNode) =>
  renderToStaticMarkup(
    <QueryClientProvider client={cache}>
      <MemoryRouter>{node}</MemoryRouter>
    </QueryClientProvider>,
  );
const text = (node: React.ReactNode) =>
  html(node)
    .replace(/<option[^>]*>[^<]*<\/option>/g, '')
    .replace(/<[^>]*>/g, ' ')
    .replace(/\s+/g, ' ')
    .trim();
const nothing = () => undefined;
const of = { problem: nothing, onChange: nothing };

const mm = (value: string, scaling: Schemas['Scaling'] = 'proportional'): Schemas['MotifLength'] => ({
  typed: { text: value, unit: 'millimetre' },
  scaling,
});
const common = {
  place: 'below' as const,
  gap: mm('4'),
  label: '',
  anchor: { to: 'stack', across: 'middle' as const, up: 'middle' as const, right: mm('0'), raised: mm('0'), byInk: false },
  nudge: { right: mm('0'), up: mm('0') },
  action: 'adds' as const,
  clearance: mm('1', 'fixed'),
  actsOn: 'own' as const,
  actsOnFilms: [],
  filmId: '',
  ply: 1,
  turn: 0,
  flipped: false,
  onePiece: false,
  tied: false,
  mending: { dots: { text: '' }, counters: { text: '' }, tips: { text: '' } },
  centring: 'inkBox' as const,
};
const line: Lettering = {
  ...common,
  kind: 'lettering',
  id: 'a',
  text: '{name}',
  typefaceId: 'oswald',
  ownFaceOnly: false,
  sizedBy: 'capitalHeight',
  size: mm('20'),
  spacing: 0,
  wordSpacing: 0,
  fromBaseline: false,
  pairs: [{ left: 'A', right: 'v', by: -20 }],
  alternates: [{ scope: 'place', letter: 'g', words: 'Agnes', index: 1, feature: 'ss01', value: 2, glyph: 0, family: '', faceId: '' }],
  joins: 'asDrawn',
  joinBy: mm('1'),
  stretching: 'none',
  stretchTo: mm('0'),
  stretchAs: '',
  shape: 'straight',
  archTop: mm('0'),
  archBottom: mm('0'),
  circle: mm('60'),
  columnGap: mm('2'),
  strengthen: mm('0', 'fixed'),
};
const shape: Shape = {
  ...common,
  kind: 'shape',
  id: 'b',
  shape: 'tag',
  width: mm('60'),
  height: mm('30'),
  span: 'given',
  inset: mm('0'),
  cornerSize: mm('4'),
  band: mm('2'),
  hole: mm('4'),
  holeIn: mm('6'),
  dotGap: mm('3'),
  count: 5,
  inner: 45,
  groundHoles: true,
};
const group: Group = {
  ...common,
  kind: 'group',
  id: 'c',
  parts: [shape],
  alignment: 'centre',
  repeat: {
    kind: 'rows',
    over: 'wrap',
    across: 3,
    up: 2,
    gapAcross: mm('4'),
    gapUp: mm('4'),
    width: mm('80'),
    height: mm('60'),
    circle: mm('60'),
    turning: true,
    seed: 1,
    gapAtSeam: false,
  },
};
const motif: Motif = {
  name: 'm',
  alignment: 'centre',
  parts: [line, group],
  ground: { blankId: '', zoneId: '', size: '', width: { text: '' }, height: { text: '' }, margin: { text: '' } },
  sample: '',
  centring: 'inkBox' as const,
};
const film = {
  id: 'navy',
  revision: 1,
  changedAt: '',
  film: { name: 'Navy vinyl', colour: '#223366', thinnestStroke: { text: '0.8', unit: 'millimetre' } },
  problems: [],
  usedBy: [],
} as unknown as Schemas['FilmView'];
const layers = [
  { filmId: '', ply: 1 },
  { filmId: 'navy', ply: 2 },
];
const faces = [
  {
    id: 'oswald',
    name: 'Oswald',
    kind: 'condensed',
    script: '',
    has: [],
    lacks: [],
    added: false,
    samplePath: '',
    sampleBox: null,
    hasLicence: true,
  },
];

describe('ink of several films', () => {
  const ink = (more: Partial<Schemas['InkView']> = {}): Schemas['InkView'] => ({
    filmId: 'navy',
    ply: 1,
    film: 'Navy',
    colour: '#223366',
    pattern: 'none',
    patternColour: '',
    path: 'M0 0Z',
    ...more,
  });

  it('is filled in its colour, in its pattern, or left to the page where no film is chosen', () => {
    expect(fillOf(ink())).toBe('#223366');
    expect(fillOf(ink({ colour: '' }))).toBeUndefined();
    const patterned = ink({ pattern: 'dots', patternColour: '#ffffff' });
    const named = fillOf(patterned)?.slice(5, -1);
    expect(
      html(
        <svg>
          <FilmPatterns films={[patterned]} />
        </svg>,
      ),
    ).toContain(`id="${named}"`);
  });

  it('shows outlines without colour when they are asked for', () => {
    const drawn = html(
      <svg>
        <Ink inks={[ink(), ink({ ply: 2 })]} outline />
      </svg>,
    );
    expect(drawn.match(/class="ink-outline"/g)).toHaveLength(2);
    expect(drawn).not.toContain('#223366');
  });
});

describe('a part in the schedule', () => {
  const row = (part: Part, more: object = {}) => (
    <PartRow
      part={part}
      depth={0}
      motif={motif}
      first
      last={false}
      open={false}
      marked={false}
      typefaces={faces}
      films={[film]}
      set={[]}
      problems={[]}
      notes={[]}
      onOpen={nothing}
      onMark={nothing}
      onChange={nothing}
      onMove={nothing}
      onCopy={nothing}
      onRemove={nothing}
      onTry={nothing}
      onLetter={nothing}
      onMend={nothing}
      section="words"
      onSection={nothing}
      {...more}
    />
  );

  it('says what it is, what it does and that it wants looking at, by words and not by colour alone', () => {
    expect(text(row(shape))).toBe('tag tag ↑ ↓ ✕');
    expect(text(row({ ...shape, label: 'edge', action: 'confines' }))).toBe('edge edge tag, confines ↑ ↓ ✕');
    const look = testFinding({ part: 'a', words: 'widened' });
    expect(text(row(line, { notes: [look] }))).toContain('▲ to look at');
    expect(text(row(line, { notes: [{ ...look, severity: 'stop' }] }))).toContain('■ to mend');
    expect(html(row({ ...shape, filmId: 'navy' }))).toContain('title="Navy vinyl"');
  });

  it('has every deed within reach of the keyboard, those that cannot be done disabled', () => {
    const deeds = html(row(shape));
    for (const deed of ['Move tag up', 'Move tag down', 'Copy tag', 'Remove tag', 'Mark tag'])
      expect(deeds).toContain(`aria-label="${deed}"`);
    expect(deeds).toMatch(/aria-label="Move tag up" disabled=""/);
  });

  it('shows one group of fields at a time', () => {
    expect(sectionsOf(line).map(([, words]) => words)).toEqual(['Words', 'Spacing', 'Line', 'Place', 'Film and cut']);
    expect(sectionsOf({ ...common, kind: 'mat', id: 'm', index: 1 }).map(([key]) => key)).toEqual(['what', 'cut']);
    const open = text(row(line, { open: true, section: 'spacing' }));
    expect(open).toContain('Neighbours');
    expect(open).not.toContain('Sized by');
  });
});

describe('the fields of a part', () => {
  it('name the lengths that its kind has', () => {
    expect(text(<ShapeFields part={shape} {...of} />)).toMatch(/Width.*Height.*Cut corners.*Hole across.*Hole from the edge/);
    expect(text(<ShapeFields part={{ ...shape, shape: 'dots' }} {...of} />)).toMatch(/Dot across.*Between dots.*Dots/);
    const spanned = text(<ShapeFields part={{ ...shape, shape: 'rectangle', span: 'ground' }} {...of} />);
    expect(spanned).toContain('Inset');
    expect(spanned).not.toContain('Width');
    const framed = text(<ShapeFields part={{ ...shape, shape: 'groundFrame' }} {...of} />);
    expect(framed).toMatch(/Inset.*Band.*Round its holes, too/);
    expect(framed).not.toContain('As large as');
  });

  it('keep pairs and chosen forms where they can be taken back', () => {
    const spacing = html(
      <LetteringFields
        part={line}
        motif={motif}
        typefaces={faces}
        section="spacing"
        drawn={{
          partId: 'a',
          box: { minX: 0, minY: 0, maxX: 1, maxY: 1, width: 1, height: 1, centreX: 0, centreY: 0 },
          capitalHeight: 20,
          path: '',
          weight: 2,
          words: 'Av',
          letters: [{ index: 0, letter: 'A', box: { minX: 0, minY: 0, maxX: 1, maxY: 1, width: 1, height: 1, centreX: 0, centreY: 0 } }],
          isRound: false,
          forms: ['style set 1, 2'],
          nudged: { x: 0, y: 0 },
        }}
        onLetter={nothing}
        onTry={nothing}
        {...of}
      />,
    );
    expect(spacing).toContain('aria-label="Forms of A, letter 1"');
    expect(spacing).toContain('aria-label="Let Av stand as drawn"');
    expect(spacing).toContain('g: style set 1, 2, in “Agnes”');
    expect(
      text(
        <LetteringFields
          part={{ ...line, shape: 'roundInside' }}
          motif={motif}
          typefaces={faces}
          section="line"
          onLetter={nothing}
          onTry={nothing}
          {...of}
        />,
      ),
    ).toContain('Circle across');
    expect(
      html(
        <LetteringFields
          part={{ ...line, typefaceId: 'gone' }}
          motif={motif}
          typefaces={faces}
          section="words"
          onLetter={nothing}
          onTry={nothing}
          {...of}
        />,
      ),
    ).toContain('one that is gone');
  });

  it('ask of a repeat only what decides it', () => {
    const wrap = text(<GroupFields part={group} {...of} onUngroup={nothing} />);
    expect(wrap).toMatch(/Rows.*Gap across.*Gap between rows.*Keep the size and leave a gap at the seam/);
    expect(wrap).not.toContain('Area wide');
    expect(
      text(<GroupFields part={{ ...group, repeat: { ...group.repeat, kind: 'scatter', over: 'area' } }} {...of} onUngroup={nothing} />),
    ).toMatch(/Copies.*Least distance.*Area wide.*Seed.*Turned at random/);
    expect(text(<GroupFields part={{ ...group, repeat: { ...group.repeat, kind: 'none' } }} {...of} onUngroup={nothing} />)).not.toContain(
      'Gap',
    );
  });

  it('offer the ground, the stack and the other parts to stand at', () => {
    const anchored = html(
      <PlaceFields
        drawn={[]}
        part={{ ...shape, place: 'anchored', anchor: { ...common.anchor, to: 'nowhere' } }}
        first={false}
        fellows={[line, shape]}
        {...of}
      />,
    );
    for (const target of ['the ground', 'all that is stacked', '{name}', 'what is gone']) expect(anchored).toContain(`>${target}</option>`);
    expect(anchored).not.toContain('>tag</option>');
    expect(text(<PlaceFields drawn={[]} part={line} first={false} fellows={[]} {...of} />)).toMatch(
      /Gap.*Gap counts from.*Nudged right.*Nudged up/,
    );
  });

  it('ask whether round things stand by their ink only where something is round', () => {
    const anchored = { ...shape, place: 'anchored' as const };
    const drawn = [
      {
        partId: 'b',
        box: { minX: 0, minY: 0, maxX: 1, maxY: 1, width: 1, height: 1, centreX: 0, centreY: 0 },
        capitalHeight: 0,
        path: '',
        weight: 1,
        words: '',
        letters: [],
        isRound: true,
        forms: [],
        nudged: { x: 0, y: 0 },
      },
    ];
    expect(text(<PlaceFields drawn={drawn} part={anchored} first={false} fellows={[]} {...of} />)).toContain(
      'Middle of the ink, not of the circle',
    );
    expect(text(<PlaceFields drawn={[]} part={anchored} first={false} fellows={[]} {...of} />)).not.toContain('Middle of the ink');
  });

  it('name the films that are cut through, by their plies where there are several', () => {
    const through = {
      ...shape,
      action: 'cutsThrough' as const,
      actsOn: 'chosen' as const,
      actsOnFilms: [
        { filmId: 'navy', ply: 2 },
        { filmId: 'sold-out', ply: 1 },
      ],
    };
    const shown = html(<CutFields layers={layers} part={through} films={[film]} {...of} />);
    for (const words of ['the run’s film', 'Navy vinyl, ply 2', 'one that is gone']) expect(shown).toContain(words);
    expect(shown.match(/checked=""/g)).toHaveLength(2);
    expect(text(<CutFields layers={layers} part={shape} films={[film]} {...of} />)).not.toContain('It takes from');
  });

  it('ask for a clearance only where something is cleared around', () => {
    expect(text(<CutFields layers={layers} part={shape} films={[film]} {...of} />)).not.toContain('Clearance');
    expect(text(<CutFields layers={layers} part={{ ...shape, action: 'clearsAround' }} films={[film]} {...of} />)).toContain('Clearance');
    expect(
      text(
        <CutFields
          layers={layers}
          part={{ ...common, kind: 'backing', id: 'u', of: [], by: mm('2'), solid: true }}
          films={[film]}
          {...of}
        />,
      ),
    ).not.toContain('Turned');
    expect(html(<CutFields layers={layers} part={{ ...shape, filmId: 'sold-out' }} films={[film]} {...of} />)).toContain(
      'one that is gone',
    );
  });
});
