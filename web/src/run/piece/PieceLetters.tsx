import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { Modal } from 'react-bootstrap';
import { answer, api, type Schemas } from '../../api/client';
import { isPlain } from '../../motifs/forms';
import { LetterForms } from '../../motifs/LetterForms';

interface Props {
  id: string;
  pieceId: string;
  /** Which side; the first has no id. */
  side: string;
  /** The line that holds the name on that side. */
  name?: Schemas['NameLine'];
  own: Schemas['Overrides'];
  onChange: (letters: Schemas['PieceLetter'][]) => void;
}

/** The letters of a name, each of which may take another form in this piece alone. */
export function PieceLetters({ id, pieceId, side, name, own, onChange }: Props) {
  const [at, setAt] = useState<number>();
  if (!name) return null;
  return (
    <div className="piece-letters" role="group" aria-label="Letters of the name">
      <span>Other forms of</span>
      {name.letters.map(
        (letter, i) =>
          letter.trim() !== '' && (
            <button
              key={i}
              type="button"
              className={own.letters.some((l) => l.form.index === i && l.form.words === name.words) ? 'choice here' : 'choice'}
              aria-label={`Other forms of ${letter}, letter ${i + 1}, in this piece`}
              onClick={() => setAt(i)}
            >
              {letter}
            </button>
          ),
      )}
      {at !== undefined && (
        <Forms
          id={id}
          pieceId={pieceId}
          side={side}
          index={at}
          onClose={() => setAt(undefined)}
          onChoose={(form, of) => {
            onChange(withForm(own.letters, name.partId, of, form.form));
            setAt(undefined);
          }}
        />
      )}
    </div>
  );
}

/** The letters set by hand with one of them in another form, or as the face draws it again. */
export function withForm(
  letters: readonly Schemas['PieceLetter'][],
  partId: string,
  of: Pick<Schemas['LetterForms'], 'letter' | 'words' | 'index'>,
  form: Schemas['Alternate'],
): Schemas['PieceLetter'][] {
  const others = letters.filter((l) => !(l.partId === partId && l.form.index === of.index));
  return isPlain(form)
    ? others
    : [...others, { partId, form: { ...form, scope: 'place', letter: of.letter, words: of.words, index: of.index } }];
}

function Forms({
  id,
  pieceId,
  side,
  index,
  onClose,
  onChoose,
}: {
  id: string;
  pieceId: string;
  side: string;
  index: number;
  onClose: () => void;
  onChoose: (form: Schemas['LetterForm'], of: Schemas['LetterForms']) => void;
}) {
  const { data, error } = useQuery({
    queryKey: ['pieces', id, 'letter', pieceId, side, index],
    queryFn: () =>
      answer(api.GET('/api/runs/{id}/pieces/{pieceId}/letters/{index}', { params: { path: { id, pieceId, index }, query: { side } } })),
  });
  return (
    <Modal show onHide={onClose} size="lg" aria-labelledby="piece-letter-title">
      <Modal.Header closeButton>
        <Modal.Title id="piece-letter-title">{data ? `Other forms of ${data.letter} in ${data.words}` : 'Other forms'}</Modal.Title>
      </Modal.Header>
      <Modal.Body>
        {error && <p className="finding stop">{error.message}</p>}
        {data && <LetterForms forms={data} onChoose={(form) => onChoose(form, data)} />}
      </Modal.Body>
    </Modal>
  );
}
