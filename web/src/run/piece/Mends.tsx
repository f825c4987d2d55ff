import type { Schemas } from '../../api/client';
import { length } from '../../units/units';
import { useUnits } from '../../units/UnitsContext';

interface Props {
  own: Schemas['Overrides'];
  /** What a part is called. */
  nameOf: (part: string) => string;
  /** What a typeface is called. */
  faceOf: (id: string) => string;
  onChange: (own: Partial<Schemas['Overrides']>) => void;
}

/** What was changed of parts for one piece so that it can be cut, and ties that were moved: each can be taken back. */
export function Mends({ own, nameOf, faceOf, onChange }: Props) {
  const { units } = useUnits();
  if (own.mends.length === 0 && own.ties.length === 0) return null;
  // The server writes them in plain millimetres.
  const mm = ({ text, unit }: Schemas['TypedLength']) => {
    const read = Number(text);
    return unit === 'millimetre' && Number.isFinite(read) ? length(read, units, 2) : `${text} ${unit}`;
  };
  return (
    <ul className="mends">
      {own.mends.map((m) => (
        <li key={m.partId}>
          <strong>{nameOf(m.partId)}</strong> {saidOf(m, mm, faceOf).join(', ')}
          <button
            type="button"
            className="quiet"
            aria-label={`As the motif has ${nameOf(m.partId)} again`}
            onClick={() => onChange({ mends: own.mends.filter((o) => o.partId !== m.partId) })}
          >
            take back
          </button>
        </li>
      ))}
      {own.ties.length > 0 && (
        <li>
          {own.ties.length === 1 ? 'One tie moved' : `${own.ties.length} ties moved`}
          <button type="button" className="quiet" onClick={() => onChange({ ties: [] })}>
            take back
          </button>
        </li>
      )}
    </ul>
  );
}

const OPEN: Record<Schemas['OpenOutlines'], string> = {
  leftOut: 'open outlines left out',
  closed: 'open outlines closed',
  strokes: 'open outlines cut as strokes',
};

/** What was changed of a part, in a few words each. */
export function saidOf(m: Schemas['PartMend'], mm: (typed: Schemas['TypedLength']) => string, faceOf: (id: string) => string): string[] {
  const of = (typed: Schemas['TypedLength'], words: string) => (typed.text.trim() === '' ? [] : [`${words} ${mm(typed)}`]);
  return [
    ...of(m.strengthen, 'strengthened by'),
    ...of(m.thick, 'thick'),
    ...of(m.apart, 'letters apart by'),
    ...(m.typefaceId ? [`set in ${faceOf(m.typefaceId)}`] : []),
    ...(m.open ? [OPEN[m.open]] : []),
    ...of(m.ink.dots, 'without dots under'),
    ...of(m.ink.counters, 'counters filled under'),
    ...of(m.ink.tips, 'tips rounded under'),
    ...(m.tied ? ['held by ties'] : []),
    ...(m.single ? ['cut once'] : []),
  ];
}
