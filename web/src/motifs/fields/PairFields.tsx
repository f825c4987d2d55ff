import { useState } from 'react';
import { Form } from 'react-bootstrap';
import type { Schemas } from '../../api/client';
import { forSaid, scopeSaid } from '../forms';
import type { Lettering } from '../parts';
import { NumberField } from '../../fields/Choice';
import type { FieldsOf } from './context';

/** Pairs of letters that are opened or closed, and other forms that were chosen. */
export function PairFields({
  part,
  letters: drawn,
  forms,
  problem,
  onChange,
  onLetter,
}: FieldsOf<Lettering> & { letters: readonly Schemas['LetterView'][]; forms: readonly string[]; onLetter: (index: number) => void }) {
  const [pair, setPair] = useState('');
  const letters = [...pair.trim()];
  const add = () => {
    if (letters.length !== 2) return;
    onChange({ ...part, pairs: [...part.pairs, { left: letters[0] ?? '', right: letters[1] ?? '', by: -20 }] });
    setPair('');
  };
  return (
    <div className="part-fields pairs">
      {part.pairs.map((p, i) => (
        <span key={`${p.left}${p.right}${i}`} className="pair">
          <NumberField
            label={`${p.left}${p.right} moved, ‰ em`}
            step={5}
            value={p.by}
            wrong={!!problem('pairs')}
            onChange={(by) => onChange({ ...part, pairs: part.pairs.map((x, j) => (j === i ? { ...x, by } : x)) })}
          />
          <button
            type="button"
            className="quiet"
            aria-label={`Let ${p.left}${p.right} stand as drawn`}
            onClick={() => onChange({ ...part, pairs: part.pairs.filter((_, j) => j !== i) })}
          >
            ✕
          </button>
        </span>
      ))}
      <label>
        One pair
        <span className="pair">
          <Form.Control
            size="sm"
            className="narrow"
            aria-label="Two letters to open or close"
            placeholder="Av"
            value={pair}
            onChange={(e) => setPair(e.target.value)}
            onKeyDown={(e) => {
              if (e.key === 'Enter') add();
            }}
          />
          <button type="button" className="btn btn-sm btn-line" disabled={letters.length !== 2} onClick={add}>
            Move it
          </button>
        </span>
      </label>
      {drawn.length > 0 && (
        <div className="line-letters" role="group" aria-label="Letters; each opens its other forms">
          <span className="soft small">Other forms of</span>
          {drawn.map((l) => (
            <button
              key={l.index}
              type="button"
              aria-label={`Forms of ${l.letter}, letter ${l.index + 1}`}
              onClick={() => onLetter(l.index)}
            >
              {l.letter}
            </button>
          ))}
        </div>
      )}
      {part.alternates.map((a, i) => (
        <span key={i} className="chosen-form">
          {forSaid(a)}: {forms[i] ?? 'another form'}, {scopeSaid(a)}
          <button
            type="button"
            className="quiet"
            aria-label={`Draw ${forSaid(a)} as the face does`}
            onClick={() => onChange({ ...part, alternates: part.alternates.filter((_, j) => j !== i) })}
          >
            ✕
          </button>
        </span>
      ))}
    </div>
  );
}
