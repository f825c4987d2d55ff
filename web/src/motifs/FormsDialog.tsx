import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { Modal } from 'react-bootstrap';
import { answer, api, type Schemas } from '../api/client';
import { Choice } from './fields/Choice';
import { LetterForms } from './LetterForms';
import type { Part } from './parts';

type Scope = Schemas['AlternateScope'];

interface Props {
  id: string;
  partId: string;
  index: number;
  onClose: () => void;
  onChange: (to: (part: Part) => Part) => void;
}

const SCOPES: readonly (readonly [Scope, string])[] = [['place', 'for this place in this name'], ['letter', 'for this letter everywhere'], ['face', 'for the face as a whole']];

/** A letter's other forms, drawn large in their word; one is chosen for a place, a letter or the face. */
export function FormsDialog({ id, partId, index, onClose, onChange }: Props) {
  const [scope, setScope] = useState<Scope>('place');
  const { data, error } = useQuery({
    queryKey: ['forms', id, partId, index],
    queryFn: () => answer(api.GET('/api/motifs/{id}/parts/{partId}/letters/{index}', { params: { path: { id, partId, index } } })),
  });
  const choose = (form: Schemas['LetterForm']) => {
    if (!data) return;
    onChange((part) => {
      if (part.kind !== 'lettering') return part;
      const kept = part.alternates.filter((a) => !(scope === 'place' ? a.scope === 'place' && a.words === data.words && a.index === data.index : scope === 'letter' ? a.scope !== 'face' && a.letter === data.letter : a.feature === form.feature || form.feature === ''));
      return { ...part, alternates: form.feature === '' ? part.alternates.filter((a) => !(a.scope === 'face' || a.letter === data.letter)) : [...kept, { scope, letter: data.letter, words: scope === 'place' ? data.words : '', index: scope === 'place' ? data.index : 0, feature: form.feature, value: form.value }] };
    });
    onClose();
  };
  return (
    <Modal show onHide={onClose} size="lg" aria-labelledby="forms-title">
      <Modal.Header closeButton><Modal.Title id="forms-title">{data ? `Other forms of ${data.letter} in ${data.face}` : 'Other forms'}</Modal.Title></Modal.Header>
      <Modal.Body>
        {error && <p className="finding stop">{error.message}</p>}
        {data && (
          <>
            <div className="part-fields"><Choice label="Choose it" value={scope} of={SCOPES} onChange={setScope} /></div>
            <LetterForms forms={data} onChoose={choose} />
          </>
        )}
      </Modal.Body>
    </Modal>
  );
}
