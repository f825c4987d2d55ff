import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { Modal } from 'react-bootstrap';
import { answer, api, type Schemas } from '../api/client';
import { Choice } from '../fields/Choice';
import { SCOPES, withChoice, type Scope } from './forms';
import { GlyphTable } from './GlyphTable';
import { LetterForms } from './LetterForms';
import type { Part } from './parts';

interface Props {
  id: string;
  partId: string;
  index: number;
  onClose: () => void;
  onChange: (to: (part: Part) => Part) => void;
}

/**
 * A letter's other forms, drawn large in their word, and the whole table of its face; one is chosen for a place, a letter, the face, or by
 * rule.
 */
export function FormsDialog({ id, partId, index, onClose, onChange }: Props) {
  const [scope, setScope] = useState<Scope>('place');
  const [table, setTable] = useState(false);
  const { data, error } = useQuery({
    queryKey: ['forms', id, partId, index],
    queryFn: () => answer(api.GET('/api/motifs/{id}/parts/{partId}/letters/{index}', { params: { path: { id, partId, index } } })),
  });
  const choose = (form: Schemas['Alternate']) => {
    if (!data) return;
    onChange((part) => (part.kind === 'lettering' ? { ...part, alternates: withChoice(part.alternates, data, form, scope) } : part));
    onClose();
  };
  return (
    <Modal show onHide={onClose} size="lg" aria-labelledby="forms-title">
      <Modal.Header closeButton>
        <Modal.Title id="forms-title">{data ? `Other forms of ${data.letter} in ${data.face}` : 'Other forms'}</Modal.Title>
      </Modal.Header>
      <Modal.Body>
        {error && <p className="finding stop">{error.message}</p>}
        {data && (
          <>
            <div className="part-fields">
              <Choice label="Choose it" value={scope} of={SCOPES} onChange={setScope} />
              <span className="part-fields-row">
                <button type="button" className="btn btn-sm btn-line" aria-pressed={table} onClick={() => setTable(!table)}>
                  {table ? `Back to the forms of ${data.letter}` : 'All glyphs of the face'}
                </button>
              </span>
            </div>
            {table ? (
              <GlyphTable
                faceId={data.faceId}
                letter={data.letter}
                onChoose={(g) =>
                  choose({ ...data.asDrawn.form, feature: '', value: 0, glyph: g.glyph, family: g.family, faceId: data.faceId })
                }
              />
            ) : (
              <LetterForms forms={data} onChoose={(f) => choose(f.form)} />
            )}
          </>
        )}
      </Modal.Body>
    </Modal>
  );
}
