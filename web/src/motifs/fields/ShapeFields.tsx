import { MotifLengthField } from '../MotifLengthField';
import { SHAPES, type Rule, type Shape } from '../parts';
import { Check, Choice, NumberField } from '../../fields/Choice';
import type { FieldsOf } from './context';

type Lengths = 'cornerSize' | 'band' | 'hole' | 'holeIn' | 'dotGap';

/** The lengths that each kind of shape has beside its width and height. */
const OWN: Partial<Record<Shape['shape'], [Lengths, string][]>> = {
  rounded: [['cornerSize', 'Corner radius']],
  ring: [['band', 'Band']],
  border: [
    ['band', 'Band'],
    ['cornerSize', 'Corner radius'],
  ],
  tag: [
    ['cornerSize', 'Cut corners'],
    ['hole', 'Hole across'],
    ['holeIn', 'Hole from the edge'],
  ],
  corner: [['band', 'Band']],
  groundFrame: [['band', 'Band']],
  dots: [['dotGap', 'Between dots']],
};

/** The outline of a shape and its lengths. */
export function ShapeFields({ part, problem, onChange }: FieldsOf<Shape>) {
  const set = (to: Partial<Shape>) => onChange({ ...part, ...to });
  const ofGround = part.shape === 'groundOutline' || part.shape === 'groundFrame';
  return (
    <div className="part-fields">
      <Choice
        label="Shape"
        value={part.shape}
        of={Object.entries(SHAPES) as [Shape['shape'], string][]}
        onChange={(shape) => set({ shape })}
      />
      {part.shape !== 'dots' && !ofGround && (
        <Choice
          label="As large as"
          value={part.span}
          of={[
            ['given', 'typed'],
            ['ground', 'the ground'],
            ['matOutside', 'the mats’ outside'],
            ['matOpening', 'the top mat’s opening'],
          ]}
          onChange={(span) => set({ span })}
        />
      )}
      {!ofGround && (part.span === 'given' || part.shape === 'dots') ? (
        <>
          <MotifLengthField
            label={part.shape === 'dots' ? 'Dot across' : 'Width'}
            range="artwork"
            value={part.width}
            problem={problem('width')}
            onChange={(width) => set({ width })}
          />
          {part.shape !== 'dots' && (
            <MotifLengthField
              label="Height"
              range="artwork"
              value={part.height}
              problem={problem('height')}
              onChange={(height) => set({ height })}
            />
          )}
        </>
      ) : (
        <MotifLengthField label="Inset" value={part.inset} problem={problem('inset')} onChange={(inset) => set({ inset })} />
      )}
      {(OWN[part.shape] ?? []).map(([key, label]) => (
        <MotifLengthField key={key} label={label} value={part[key]} problem={problem(key)} onChange={(v) => set({ [key]: v })} />
      ))}
      {ofGround && (
        <Check
          label={part.shape === 'groundFrame' ? 'Round its holes, too' : 'Its holes stay open'}
          value={part.groundHoles}
          onChange={(groundHoles) => set({ groundHoles })}
        />
      )}
      {(part.shape === 'polygon' || part.shape === 'star' || part.shape === 'dots') && (
        <NumberField
          label={part.shape === 'polygon' ? 'Sides' : part.shape === 'star' ? 'Points' : 'Dots'}
          min={1}
          value={part.count}
          wrong={!!problem('count')}
          onChange={(count) => set({ count: Math.round(count) })}
        />
      )}
      {part.shape === 'star' && (
        <NumberField
          label="Inner corners, % out"
          value={part.inner}
          step={5}
          min={5}
          max={99}
          wrong={!!problem('inner')}
          onChange={(inner) => set({ inner })}
        />
      )}
    </div>
  );
}

/** A bar: how long and how thick. */
export function RuleFields({ part, problem, onChange }: FieldsOf<Rule>) {
  return (
    <div className="part-fields">
      <Choice
        label="Length"
        value={part.span}
        of={[
          ['fillsRow', 'fills its row'],
          ['given', 'as typed'],
        ]}
        onChange={(span) => onChange({ ...part, span })}
      />
      <MotifLengthField
        label={part.span === 'given' ? 'Long' : 'At least'}
        range="artwork"
        value={part.length}
        problem={problem('length')}
        onChange={(length) => onChange({ ...part, length })}
      />
      <MotifLengthField
        label="Thick"
        range="artwork"
        value={part.thickness}
        problem={problem('thickness')}
        onChange={(thickness) => onChange({ ...part, thickness })}
      />
    </div>
  );
}
