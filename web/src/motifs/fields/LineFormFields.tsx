import { MotifLengthField } from '../MotifLengthField';
import { flat, nameOf, type Lettering, type Motif, type Part } from '../parts';
import { Choice } from '../../fields/Choice';
import type { FieldsOf } from './context';

const SHAPES = [
  ['straight', 'straight'],
  ['arched', 'arched'],
  ['roundOutside', 'round a circle, outside'],
  ['roundInside', 'round a circle, inside'],
  ['column', 'in a column'],
] as const;
const STRETCHES = [
  ['none', 'as it is'],
  ['toWidth', 'widened to'],
  ['toHeight', 'heightened to'],
  ['toPart', 'made as wide as'],
] as const;

interface Props extends FieldsOf<Lettering> {
  motif: Motif;
}

/** Along what a line is set, and its proportions. */
export function LineFormFields({ part, motif, problem, onChange }: Props) {
  const set = (to: Partial<Lettering>) => onChange({ ...part, ...to });
  const others: Part[] = flat(motif.parts)
    .map((p) => p.part)
    .filter((p) => p.id !== part.id && p.kind !== 'backing' && p.kind !== 'mat');
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
