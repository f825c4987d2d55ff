import type { Schemas } from '../api/client';
import type { Scale } from '../board/scale';
import { figure } from '../units/units';
import { useUnits } from '../units/UnitsContext';
import { within } from './faces';

const RING = 11;
const NAMES: Partial<Record<Schemas['Rule'], string>> = {
  missingCharacters: 'missing',
  outsideZone: 'over',
  thinStrokes: 'stroke',
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

/** Rings at the places of findings; the one pointed at (or the first) has a leader with its figure. */
export function FindingMarks({
  findings,
  scale,
  foot,
  within: box,
  lit,
}: {
  findings: readonly Schemas['Finding'][];
  scale: Scale;
  foot: number;
  within?: Schemas['Box'];
  lit?: number;
}) {
  const { units } = useUnits();
  const placed = findings
    .map((f, i) => ({ f, i, place: f.places[0] }))
    .filter(({ f, place }) => place && f.rule !== 'outsideZone' && (!box || within(place, box)));
  const told = placed.find(({ i }) => i === lit) ?? placed[0];
  return (
    <>
      {placed.map(({ f, i, place }) => {
        const [x, y] = [scale.x(place?.x ?? 0), scale.y(place?.y ?? 0)];
        return (
          <g key={i} className={`finding-mark ${f.severity}${lit === i ? ' lit' : ''}`}>
            <circle cx={x} cy={y} r={RING} />
            {told?.i === i && (
              <Leader
                x={x}
                y={y}
                to={scale.y(foot) - 12}
                text={`${NAMES[f.rule] ?? ''} ${typeof f.figure === 'number' ? figure(f.figure, units, 2) : ''}`}
              />
            )}
          </g>
        );
      })}
    </>
  );
}

/** Down to the free margin above the base. */
function Leader({ x, y, to, text }: { x: number; y: number; to: number; text: string }) {
  const width = text.length * 6.6 + 8;
  const slant = Math.max(10, (to - y) * 0.25);
  return (
    <>
      <polyline points={`${x + RING * 0.3},${y + RING} ${x + slant},${to} ${x + slant + 6},${to}`} />
      <rect x={x + slant + 6} y={to - 9} width={width} height={18} className="gap" />
      <text x={x + slant + 10} y={to} dy="0.35em">
        {text}
      </text>
    </>
  );
}
