import type { Schemas } from '../../api/client';
import { MotifLengthField } from '../MotifLengthField';
import type { Lettering } from '../parts';
import { Choice, NumberField } from '../../fields/Choice';
import type { FieldsOf } from './context';
import { PairFields } from './PairFields';

const JOINS = [
  ['asDrawn', 'as the face sets them'],
  ['overlap', 'overlap at least'],
  ['keptApart', 'stand apart at least'],
] as const;

interface Props extends FieldsOf<Lettering> {
  drawn?: Schemas['SetPartView'];
  filmLimit?: Schemas['TypedLength'];
  onLetter: (index: number) => void;
}

/** How the letters of a line stand to one another. */
export function SpacingFields({ part, drawn, filmLimit, problem, onChange, onLetter }: Props) {
  const set = (to: Partial<Lettering>) => onChange({ ...part, ...to });
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
}
