import { Form } from 'react-bootstrap';
import type { Schemas } from '../../api/client';
import { Words } from '../../units/Words';
import { MotifLengthField } from '../MotifLengthField';
import { flat, nameOf, type Lettering, type Motif, type Part } from '../parts';
import { Check, Choice, NumberField } from './Choice';
import type { FieldsOf } from './context';
import type { Section } from '../sections';
import { PairFields } from './PairFields';
import { TypefaceChoice } from './TypefaceChoice';

const SIZES = [
  ['capitalHeight', 'capital height'],
  ['inkHeight', 'height of ink'],
  ['inkWidth', 'width of ink'],
  ['matOpening', 'the mat’s opening, and more at each end'],
] as const;
const SHAPES = [
  ['straight', 'straight'],
  ['arched', 'arched'],
  ['roundOutside', 'round a circle, outside'],
  ['roundInside', 'round a circle, inside'],
  ['column', 'in a column'],
] as const;
const JOINS = [
  ['asDrawn', 'as the face sets them'],
  ['overlap', 'overlap at least'],
  ['keptApart', 'stand apart at least'],
] as const;
const STRETCHES = [
  ['none', 'as it is'],
  ['toWidth', 'widened to'],
  ['toHeight', 'heightened to'],
  ['toPart', 'made as wide as'],
] as const;

interface Props extends FieldsOf<Lettering> {
  motif: Motif;
  typefaces: readonly Schemas['TypefaceName'][];
  section: Section;
  /** The line as it is drawn. */
  drawn?: Schemas['SetPartView'];
  /** The thinnest stroke of the film it is cut from, where one is known. */
  filmLimit?: Schemas['TypedLength'];
  onTry: () => void;
  onLetter: (index: number) => void;
}

/** What a line says, in which face, how large, how spaced and along what. */
export function LetteringFields({ part, motif, typefaces, section, drawn, filmLimit, problem, onChange, onTry, onLetter }: Props) {
  const set = (to: Partial<Lettering>) => onChange({ ...part, ...to });
  const others: Part[] = flat(motif.parts)
    .map((p) => p.part)
    .filter((p) => p.id !== part.id && p.kind !== 'backing' && p.kind !== 'mat');
  if (section === 'words')
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
  if (section === 'spacing')
    return (
      <>
        <div className="part-fields">
          <NumberField
            label="Letters, ‰ em"
            step={10}
            value={part.spacing}
            wrong={!!problem('spacing')}
            onChange={(spacing) => set({ spacing })}
          />
          <NumberField
            label="Words, ‰ em"
            step={10}
            value={part.wordSpacing}
            wrong={!!problem('wordSpacing')}
            onChange={(wordSpacing) => set({ wordSpacing })}
          />
          <Choice label="Neighbours" value={part.joins} of={JOINS} onChange={(joins) => set({ joins })} />
          {part.joins !== 'asDrawn' && (
            <MotifLengthField label="By" value={part.joinBy} problem={problem('joinBy')} onChange={(joinBy) => set({ joinBy })} />
          )}
          {part.joins !== 'asDrawn' && filmLimit && (
            <span className="part-fields-row">
              <button type="button" className="btn btn-sm btn-line" onClick={() => set({ joinBy: { typed: filmLimit, scaling: 'fixed' } })}>
                As the film needs
              </button>
            </span>
          )}
          <MotifLengthField
            label="Strengthened, a side"
            value={part.strengthen}
            problem={problem('strengthen')}
            onChange={(strengthen) => set({ strengthen })}
          />
        </div>
        <PairFields
          part={part}
          letters={drawn?.letters ?? []}
          forms={drawn?.forms ?? []}
          onChange={onChange}
          onLetter={onLetter}
          problem={problem}
        />
      </>
    );
  return (
    <div className="part-fields">
      <Choice label="Set" value={part.shape} of={SHAPES} onChange={(shape) => set({ shape })} />
      {part.shape === 'arched' && (
        <>
          <MotifLengthField
            label="Top raised"
            range="offset"
            value={part.archTop}
            problem={problem('archTop')}
            onChange={(archTop) => set({ archTop })}
          />
          <MotifLengthField
            label="Bottom raised"
            range="offset"
            value={part.archBottom}
            problem={problem('archBottom')}
            onChange={(archBottom) => set({ archBottom })}
          />
        </>
      )}
      {(part.shape === 'roundInside' || part.shape === 'roundOutside') && (
        <MotifLengthField
          label="Circle across"
          range="artwork"
          value={part.circle}
          problem={problem('circle')}
          onChange={(circle) => set({ circle })}
        />
      )}
      {part.shape === 'column' && (
        <MotifLengthField
          label="Between letters"
          value={part.columnGap}
          problem={problem('columnGap')}
          onChange={(columnGap) => set({ columnGap })}
        />
      )}
      <Choice
        label="Proportions"
        value={part.stretching}
        of={STRETCHES}
        wrong={!!problem('stretching')}
        onChange={(stretching) => set({ stretching })}
      />
      {(part.stretching === 'toWidth' || part.stretching === 'toHeight') && (
        <MotifLengthField
          label={part.stretching === 'toWidth' ? 'Width' : 'Height'}
          range="artwork"
          value={part.stretchTo}
          problem={problem('stretchTo')}
          onChange={(stretchTo) => set({ stretchTo })}
        />
      )}
      {part.stretching === 'toPart' && (
        <Choice
          label="Part"
          value={part.stretchAs}
          wrong={!!problem('stretchAs')}
          of={[['', 'choose …'], ...others.map((o) => [o.id, nameOf(o)] as const)]}
          onChange={(stretchAs) => set({ stretchAs })}
        />
      )}
    </div>
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
