import type { Schemas } from '../../api/client';
import { Words } from '../../units/Words';

interface Props {
  list: Schemas['ListView'];
  /** Typefaces that have every letter, where some lack some. */
  able?: readonly Schemas['Phrase'][];
  onMend: (remedies: readonly string[]) => void;
}

const KINDS: Record<Schemas['Severity'], string> = { stop: 'makes no piece', look: 'perhaps a mistake', told: 'cleaned' };
const SHAPES: Record<Schemas['Severity'], string> = { stop: '✕', look: '▲', told: '✓' };

/** What was noticed in a list, each with its line and what may be done about it by one click. */
export function ListNotes({ list, able = [], onMend }: Props) {
  const cleanable = list.notes.filter((n) => n.severity === 'told').flatMap((n) => n.remedies.map((r) => r.id));
  return (
    <div className="list-notes" aria-live="polite" aria-label="About the list">
      {list.missing.map((m, i) => (
        <p key={`m${i}`} className="finding stop">
          <Words of={m} />
        </p>
      ))}
      {list.missing.length > 0 &&
        able.map((a, i) => (
          <p key={`a${i}`} className="soft small">
            <Words of={a} />
          </p>
        ))}
      {list.notes.map((n) => (
        <p
          key={`${n.line} ${n.severity} ${n.message.parts.map((p) => p.text).join()}`}
          className={n.severity === 'stop' ? 'finding stop' : n.severity === 'told' ? 'finding quiet-note' : 'finding'}
          data-line={n.line}
        >
          <span className="visually-hidden">{KINDS[n.severity]}: </span>
          <span aria-hidden="true">{SHAPES[n.severity]} </span>
          <Words of={n.message} />
          {n.remedies.map((r) => (
            <button key={r.id} type="button" className="btn btn-sm btn-line" onClick={() => onMend([r.id])}>
              <Words of={r.words} />
            </button>
          ))}
        </p>
      ))}
      {list.beyond > 0 && <p className="soft small">And {list.beyond} more like these.</p>}
      {cleanable.length > 1 && (
        <button type="button" className="btn btn-sm btn-line" onClick={() => onMend(cleanable)}>
          Write all {cleanable.length} cleaned lines so
        </button>
      )}
    </div>
  );
}
