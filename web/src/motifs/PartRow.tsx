import type { Schemas } from '../api/client';
import { Words } from '../units/Words';
import { ActionSign } from './ActionSign';
import { ACTIONS, nameOf, REPEATS, SHAPES, type Part } from './parts';
import { PartFields, type PartFieldsProps } from './PartFields';

interface Props extends PartFieldsProps {
  depth: number;
  last: boolean;
  open: boolean;
  marked: boolean;
  notes: readonly Schemas['Finding'][];
  onOpen: () => void;
  onMark: (marked: boolean) => void;
  onMove: (by: number) => void;
  onCopy: () => void;
  onRemove: () => void;
  onMend: (remedyId: string) => void;
}

/** A part as a row of the schedule; the open one shows its fields. */
export function PartRow(props: Props) {
  const { part, depth, first, last, open, marked, films, problems, notes, onOpen, onMark, onMove, onCopy, onRemove, onMend } = props;
  const name = nameOf(part);
  const film = films.find((f) => f.id === part.filmId)?.film;
  const wrong = problems.length > 0 || notes.some((n) => n.severity === 'stop');
  const look = notes.some((n) => n.severity === 'look');
  return (
    <fieldset className={`part motif-part${open ? ' open' : ''}`} style={{ marginLeft: `${depth * 1.1}rem` }}>
      <legend className="visually-hidden">{name}</legend>
      <div className="part-line">
        <input
          type="checkbox"
          className="form-check-input"
          aria-label={`Mark ${name}`}
          checked={marked}
          onChange={(e) => onMark(e.target.checked)}
        />
        <button type="button" className="part-name" aria-expanded={open} onClick={onOpen}>
          <ActionSign part={part} />
          <strong>{name}</strong>
          <span className="soft">
            {[kindOf(part), part.action !== 'adds' && part.kind !== 'backing' && part.kind !== 'mat' ? ACTIONS[part.action] : '']
              .filter(Boolean)
              .join(', ')}
          </span>
          {(wrong || look) && <span className={wrong ? 'part-state over' : 'part-state snug'}>{wrong ? '■ to mend' : '▲ to look at'}</span>}
        </button>
        {film && <i className="swatch" style={{ background: film.colour }} title={film.name} />}
        <span className="part-deeds">
          <button type="button" className="quiet" aria-label={`Move ${name} up`} disabled={first} onClick={() => onMove(-1)}>
            ↑
          </button>
          <button type="button" className="quiet" aria-label={`Move ${name} down`} disabled={last} onClick={() => onMove(1)}>
            ↓
          </button>
          <button type="button" className="quiet" aria-label={`Copy ${name}`} title="Copy" onClick={onCopy}>
            <svg className="deed-sign" viewBox="0 0 16 16" aria-hidden="true">
              <path d="M2 2h8v8H2zM6 12v2h8V6h-2" />
            </svg>
          </button>
          <button type="button" className="quiet" aria-label={`Remove ${name}`} onClick={onRemove}>
            ✕
          </button>
        </span>
      </div>
      {open && <PartFields {...props} />}
      {open &&
        problems
          .filter((p) => !p.fields.includes('text'))
          .map((p, i) => (
            <p key={i} className="echo problem">
              <Words of={p.message} />
            </p>
          ))}
      {open &&
        notes.map((n, i) => (
          <div key={i}>
            <p className={n.severity === 'told' ? 'soft small' : `finding ${n.severity}`}>
              <Words of={n.message} />
            </p>
            {n.remedies.length > 0 && (
              <div className="note-offers">
                {n.remedies.map((r) => (
                  <button key={r.id} type="button" className="btn btn-sm btn-line" onClick={() => onMend(r.id)}>
                    <Words of={r.words} />
                  </button>
                ))}
              </div>
            )}
          </div>
        ))}
    </fieldset>
  );
}

function kindOf(part: Part): string {
  switch (part.kind) {
    case 'lettering':
      return 'lettering';
    case 'rule':
      return part.label ? 'bar' : '';
    case 'shape':
      return part.label ? SHAPES[part.shape] : '';
    case 'graphic':
      return part.label ? 'graphic' : '';
    case 'backing':
      return part.label ? 'backing' : '';
    case 'group':
      return part.repeat.kind === 'none' ? `${part.parts.length} parts` : part.label ? REPEATS[part.repeat.kind] : 'a group';
    case 'mat':
      return '';
  }
}
