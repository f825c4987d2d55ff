import { Form } from 'react-bootstrap';
import type { Schemas } from '../../api/client';
import { Words } from '../../units/Words';
import { MotifLengthField } from '../MotifLengthField';
import type { Lettering } from '../parts';
import { Check, Choice } from '../../fields/Choice';
import type { FieldsOf } from './context';
import { TypefaceChoice } from './TypefaceChoice';

const SIZES = [
  ['capitalHeight', 'capital height'],
  ['inkHeight', 'height of ink'],
  ['inkWidth', 'width of ink'],
  ['matOpening', 'the mat’s opening, and more at each end'],
] as const;

interface Props extends FieldsOf<Lettering> {
  typefaces: readonly Schemas['TypefaceName'][];
  onTry: () => void;
}

/** What a line says, in which face and how large. */
export function WordsFields({ part, typefaces, problem, onChange, onTry }: Props) {
  const set = (to: Partial<Lettering>) => onChange({ ...part, ...to });
  return (
    <>
      <div className="part-fields">
        <span className="part-text">
          <Form.Control
            size="sm"
            aria-label="Words; {name} is filled from the list"
            value={part.text}
            isInvalid={!!problem('text')}
            onChange={(e) => set({ text: e.target.value })}
          />
          {problem('text') && (
            <span className="echo problem">
              <Words of={problem('text') as Schemas['Phrase']} />
            </span>
          )}
        </span>
        <FieldInserter onInsert={(field) => set({ text: part.text + field })} />
      </div>
      <div className="part-fields">
        <TypefaceChoice
          value={part.typefaceId}
          wrong={!!problem('typeface')}
          typefaces={typefaces}
          onChange={(typefaceId) => set({ typefaceId })}
        />
        <span className="part-fields-row">
          <button type="button" className="btn btn-sm btn-line" onClick={onTry}>
            Try typefaces
          </button>
        </span>
        <Choice label="Sized by" value={part.sizedBy} of={SIZES} onChange={(sizedBy) => set({ sizedBy })} />
        <MotifLengthField
          label={part.sizedBy === 'matOpening' ? 'More at each end' : 'Size'}
          range={part.sizedBy === 'matOpening' ? 'margin' : 'artwork'}
          value={part.size}
          problem={problem('size')}
          onChange={(size) => set({ size })}
        />
        <Check label="A stand-in for letters it lacks" value={!part.ownFaceOnly} onChange={(stands) => set({ ownFaceOnly: !stands })} />
      </div>
    </>
  );
}

const FIELDS = [
  ['{name}', 'the name as typed'],
  ['{name:capitals}', 'the name in capitals'],
  ['{name:first letter}', 'its first letter'],
  ['{name:initials}', 'its initials'],
  ['{name|Friend}', 'the name, or a word when empty'],
] as const;

/** Puts a field at the end of the words. */
function FieldInserter({ onInsert }: { onInsert: (field: string) => void }) {
  return (
    <Form.Select
      size="sm"
      className="field-inserter"
      aria-label="Put a field in"
      value=""
      onChange={(e) => {
        if (e.target.value) onInsert(e.target.value);
      }}
    >
      <option value="">put a field in …</option>
      {FIELDS.map(([field, words]) => (
        <option key={field} value={field}>
          {words}
        </option>
      ))}
    </Form.Select>
  );
}
