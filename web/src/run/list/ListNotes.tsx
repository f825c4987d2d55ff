import type { Schemas } from '../../api/client';
import { Words } from '../../units/Words';
import { mended } from './mending';

interface Props {
  list: Schemas['ListView'];
  typed: string;
  onMend: (typed: string) => void;
}

const KINDS: Record<Schemas['NoteKind'], string> = { wrong: 'makes no piece', suspicious: 'perhaps a mistake', cleaned: 'cleaned' };
const SHAPES: Record<Schemas['NoteKind'], string> = { wrong: '✕', suspicious: '▲', cleaned: '✓' };

/** What was noticed in a list, each with its line and what may be done about it by one click. */
export function ListNotes({ list, typed, onMend }: Props) {
  const cleanable = list.notes.filter((n) => n.kind === 'cleaned' && n.remedy);
  return (
    <div className="list-notes" aria-live="polite" aria-label="About the list">
      {list.missing.map((m, i) => (
        <p key={`m${i}`} className="finding stop">
          <Words of={m} />
        </p>
      ))}
      {list.notes.map((n) => (
        <p
          key={`${n.line} ${n.kind} ${n.message.parts.map((p) => p.text).join()}`}
          className={n.kind === 'wrong' ? 'finding stop' : n.kind === 'cleaned' ? 'finding quiet-note' : 'finding'}
          data-line={n.line}
        >
          <span className="visually-hidden">{KINDS[n.kind]}: </span>
          <span aria-hidden="true">{SHAPES[n.kind]} </span>
          <Words of={n.message} />
          {n.remedy && (
            <button type="button" className="btn btn-sm btn-line" onClick={() => onMend(mended(typed, [n]))}>
              {n.remedy.label}
            </button>
          )}
        </p>
      ))}
      {list.beyond > 0 && <p className="soft small">And {list.beyond} more like these.</p>}
      {cleanable.length > 1 && (
        <button type="button" className="btn btn-sm btn-line" onClick={() => onMend(mended(typed, cleanable))}>
          Write all {cleanable.length} cleaned lines so
        </button>
      )}
    </div>
  );
}
