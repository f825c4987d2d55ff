import { Form } from 'react-bootstrap';
import type { Schemas } from '../../api/client';
import { useTypefaceNames } from '../../typefaces/useTypefaceNames';
import { NumberField } from '../../fields/Choice';
import { LengthField } from '../../units/LengthField';
import type { RunDocument } from '../useRun';

type Concession = Schemas['Concession'];

const KINDS: readonly (readonly [Schemas['ConcessionKind'], string])[] = [
  ['closeUp', 'close up the letters'],
  ['margin', 'let the margin shrink'],
  ['twoLines', 'break into two lines'],
  ['face', 'take a narrower typeface'],
  ['smaller', 'make it smaller than the set'],
];

/** What is done for names that do not fit at the size of the set, in the maker's order. */
export function ConcessionsCard({ run }: { run: RunDocument }) {
  const faces = useTypefaceNames();
  const { view, editSetUp: edit } = run;
  if (!run.document || !view) return null;
  const { setUp } = run.document;
  const list = setUp.concessions;
  const set = (concessions: Concession[]) => edit((r) => ({ ...r, concessions }));
  const change = (i: number, to: Partial<Concession>) => set(list.map((c, j) => (j === i ? { ...c, ...to } : c)));
  const move = (i: number, by: number) => {
    const moved = [...list];
    const [one] = moved.splice(i, 1);
    if (one) moved.splice(i + by, 0, one);
    set(moved);
  };
  const left = KINDS.filter(([k]) => k === 'face' || !list.some((c) => c.kind === k));
  const narrow = (faces.find((f) => f.kind === 'condensed') ?? faces[0])?.id ?? '';
  return (
    <section className="card" aria-label="Names that resist">
      <h2>Names that resist</h2>
      {setUp.sizing === 'eachLargest' ? (
        <p className="soft small">Each name is as large as fits, so nothing has to be conceded. Give the set one size first.</p>
      ) : (
        <p className="soft small">
          {list.length === 0
            ? 'What may be done for a name that does not fit at the size of the set? It is tried in this order, only as far as it must.'
            : 'Tried in this order for names that do not fit, each only as far as it must.'}
        </p>
      )}
      <ol className="concessions">
        {list.map((c, i) => (
          <li key={i}>
            <span className="concession-name">{KINDS.find(([k]) => k === c.kind)?.[1]}</span>
            <Limit concession={c} echo={view.leastMargins[i]} faces={faces} onChange={(to) => change(i, to)} />
            <span className="part-deeds">
              <button type="button" className="quiet" aria-label={`Earlier: ${c.kind}`} disabled={i === 0} onClick={() => move(i, -1)}>
                ↑
              </button>
              <button
                type="button"
                className="quiet"
                aria-label={`Later: ${c.kind}`}
                disabled={i === list.length - 1}
                onClick={() => move(i, 1)}
              >
                ↓
              </button>
              <button
                type="button"
                className="quiet"
                aria-label={`Take away: ${c.kind}`}
                onClick={() => set(list.filter((_, j) => j !== i))}
              >
                ✕
              </button>
            </span>
          </li>
        ))}
      </ol>
      {left.length > 0 && (
        <Form.Select
          size="sm"
          aria-label="Add a concession"
          value=""
          onChange={(e) =>
            set([
              ...list,
              {
                kind: e.target.value as Concession['kind'],
                percent: e.target.value === 'smaller' ? 20 : 5,
                leastMargin: { text: '4', unit: 'millimetre' },
                typefaceId: e.target.value === 'face' ? narrow : '',
              },
            ])
          }
        >
          <option value="" disabled>
            add what may be done …
          </option>
          {left.map(([k, words]) => (
            <option key={k} value={k}>
              {words}
            </option>
          ))}
        </Form.Select>
      )}
    </section>
  );
}

interface LimitProps {
  concession: Concession;
  echo?: Schemas['LengthEcho'];
  faces: readonly Schemas['TypefaceName'][];
  onChange: (to: Partial<Concession>) => void;
}

function Limit({ concession: c, echo, faces, onChange }: LimitProps) {
  switch (c.kind) {
    case 'closeUp':
      return (
        <NumberField
          label="by at most, % of an em"
          value={c.percent}
          step={0.5}
          min={0}
          max={30}
          onChange={(percent) => onChange({ percent })}
        />
      );
    case 'smaller':
      return (
        <NumberField label="by at most, %" value={c.percent} step={1} min={0} max={90} onChange={(percent) => onChange({ percent })} />
      );
    case 'margin':
      return (
        <LengthField label="to no less than" value={c.leastMargin} echo={echo} onChange={(leastMargin) => onChange({ leastMargin })} />
      );
    case 'face':
      return (
        <label>
          in
          <Form.Select size="sm" value={c.typefaceId} onChange={(e) => onChange({ typefaceId: e.target.value })}>
            {faces.map((f) => (
              <option key={f.id} value={f.id}>
                {f.name} ({f.kind})
              </option>
            ))}
          </Form.Select>
        </label>
      );
    default:
      return <span className="soft small">at the best space or hyphen</span>;
  }
}
