import type { Schemas } from '../../api/client';
import type { Scale } from '../../board/scale';
import { figure } from '../../units/units';
import { useUnits } from '../../units/UnitsContext';
import { within } from '../faces';

/** A ring at a place of a finding that is pointed at, and at the worst of them: so small that letters stay readable. */
const DOT = 3;
const WORST = 5;
/** More places than this are a pattern, which a tick for each says no better. */
const MOST_TICKS = 40;

const NAMES: Partial<Record<Schemas['Rule'], string>> = {
  missingCharacters: 'missing',
  outsideZone: 'over',
  thinStrokes: 'stroke',
  narrowGaps: 'gap',
  specks: 'dot',
  counters: 'counter',
  looseParts: 'loose',
  doubledCuts: 'cut twice',
  crossedCuts: 'meet',
  wideTies: 'tie',
  beyondReach: 'too large',
  filmStrain: 'strain',
  overrideLost: 'by hand',
  standsOnClear: 'no place',
  notWorkedOut: 'not worked out',
  sidesOverlap: 'overlap',
  heatOfGoods: 'heat',
  crowdedRound: 'crowded',
  formLacking: 'no form',
  otherFace: 'other face',
};

/** The findings that a card shows at once; the rest stand behind a count. */
export const SHOWN = 3;

/**
 * Where findings are. Until one is pointed at, nothing covers the letters: a tick for each place of the heaviest stands in the free margin
 * below them, with its figure. Pointed at, a hairline goes up from each tick to its place.
 */
export function FindingMarks({
  findings,
  scale,
  face,
  alone,
  lit,
}: {
  findings: readonly Schemas['Finding'][];
  scale: Scale;
  /** The box of what they lie on. */
  face: Schemas['Box'];
  /** Whether there is no other face that they could lie on. */
  alone: boolean;
  lit?: number;
}) {
  const { units } = useUnits();
  const base = scale.y(face.minY) - 12;
  const said = (f: Schemas['Finding']) => `${NAMES[f.rule] ?? ''} ${typeof f.figure === 'number' ? figure(f.figure, units, 2) : ''}`.trim();
  const placed = findings
    .map((f, i) => ({ f, i, places: f.places.filter((p) => alone || within(p, face)) }))
    .filter(({ f, places }) => places.length > 0 && f.rule !== 'outsideZone');
  const pointed = placed.find(({ i }) => i === lit);
  const told = pointed ?? placed[0];
  if (!told) return null;
  const places = told.places.slice(0, MOST_TICKS).map((p) => [scale.x(p.x), scale.y(p.y)] as const);
  const text = said(told.f);
  const [first, last] = [Math.min(...places.map(([x]) => x)), Math.max(...places.map(([x]) => x))];
  // Beside the ticks where there is room on the goods, otherwise over them.
  const beside = [last, first - widthOf(text) - 14].find((x) => x > scale.x(face.minX) && x + widthOf(text) + 7 < scale.x(face.maxX));
  return (
    <g className={`finding-mark ${told.f.severity}${pointed ? ' lit' : ''}`}>
      {pointed &&
        places.map(([x, y], k) => (
          <g key={k}>
            <path className="leader" d={`M${x},${base - 5} V${y + DOT}`} />
            <circle cx={x} cy={y} r={k === 0 ? WORST : DOT} />
          </g>
        ))}
      {places.map(([x], k) => (
        <path key={k} className="foot-tick" d={`M${x},${base - 5} l-3.5,7 h7 z`} />
      ))}
      <Said x={beside ?? (first + last - widthOf(text)) / 2 - 7} y={beside === undefined ? base - 16 : base} text={text} />
    </g>
  );
}

const widthOf = (text: string) => text.length * 6.6 + 6;

/** A figure beside its tick. */
function Said({ x, y, text }: { x: number; y: number; text: string }) {
  return (
    <>
      <rect x={x + 7} y={y - 9} width={widthOf(text)} height={18} className="gap" />
      <text x={x + 10} y={y} dy="0.35em">
        {text}
      </text>
    </>
  );
}
