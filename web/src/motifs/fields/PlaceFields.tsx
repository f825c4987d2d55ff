import { Check, Choice } from '../../fields/Choice';
import type { Schemas } from '../../api/client';
import type { FieldsOf } from './context';
import { MotifLengthField } from '../MotifLengthField';
import { CentringChoice } from '../CentringChoice';
import { changed, nameOf, type Part } from '../parts';

const ACROSS = [
  ['before', 'left of it'],
  ['start', 'at its left, inside'],
  ['middle', 'middle on middle'],
  ['end', 'at its right, inside'],
  ['after', 'right of it'],
] as const;
const UP = [
  ['after', 'above it'],
  ['end', 'at its top, inside'],
  ['middle', 'middle on middle'],
  ['start', 'at its bottom, inside'],
  ['before', 'below it'],
] as const;

/** Where a part stands: stacked below or beside what comes before, or at the ground, the stack or another part. */
export function PlaceFields({
  part,
  first,
  fellows,
  drawn,
  problem,
  onChange,
}: FieldsOf<Part> & { first: boolean; fellows: readonly Part[]; drawn: readonly Schemas['SetPartView'][] }) {
  const { anchor, nudge } = part;
  const set = (to: Partial<Part['anchor']>) => onChange({ ...part, anchor: { ...anchor, ...to } } as Part);
  const targets: (readonly [string, string])[] = [
    ['ground', 'the ground'],
    ['stack', 'all that is stacked'],
    ...fellows.filter((f) => f.id !== part.id && f.kind !== 'backing').map((f) => [f.id, nameOf(f)] as const),
  ];
  const round = drawn.some((p) => p.isRound && (p.partId === part.id || p.partId === anchor.to));
  return (
    <div className="part-fields">
      <Choice
        label="Stands"
        value={part.place}
        of={[
          ['below', first ? 'stacked, first' : 'stacked, below'],
          ...(first ? [] : [['beside', 'stacked, beside'] as const]),
          ['anchored', 'at something'],
        ]}
        onChange={(place) => onChange({ ...part, place } as Part)}
      />
      {part.place === 'anchored' ? (
        <>
          <Choice
            label="At"
            value={anchor.to}
            of={targets.some(([k]) => k === anchor.to) ? targets : [...targets, [anchor.to, 'what is gone']]}
            wrong={!!problem('anchor')}
            onChange={(to) => set({ to })}
          />
          <Choice label="From side to side" value={anchor.across} of={ACROSS} onChange={(across) => set({ across })} />
          <Choice label="Up and down" value={anchor.up} of={UP} onChange={(up) => set({ up })} />
          {(anchor.across === 'middle' || anchor.up === 'middle') && (round || anchor.byInk) && (
            <Check label="Middle of the ink, not of the circle" value={anchor.byInk} onChange={(byInk) => set({ byInk })} />
          )}
          <MotifLengthField
            label="Moved right"
            range="offset"
            value={anchor.right}
            problem={problem('anchorRight')}
            onChange={(right) => set({ right })}
          />
          <MotifLengthField
            label="Moved up"
            range="offset"
            value={anchor.raised}
            problem={problem('anchorRaised')}
            onChange={(raised) => set({ raised })}
          />
        </>
      ) : (
        !first && (
          <MotifLengthField label="Gap" value={part.gap} problem={problem('gap')} onChange={(gap) => onChange({ ...part, gap } as Part)} />
        )
      )}
      {part.kind === 'lettering' && part.place === 'below' && !first && (
        <Choice
          label="Gap counts from"
          value={part.fromBaseline ? 'baseline' : 'ink'}
          of={[
            ['ink', 'ink to ink'],
            ['baseline', 'line to line'],
          ]}
          onChange={(v) => onChange({ ...part, fromBaseline: v === 'baseline' })}
        />
      )}
      <MotifLengthField
        label="Nudged right"
        range="offset"
        value={nudge.right}
        problem={problem('nudgeRight')}
        onChange={(right) => onChange({ ...part, nudge: { ...nudge, right } } as Part)}
      />
      <MotifLengthField
        label="Nudged up"
        range="offset"
        value={nudge.up}
        problem={problem('nudgeUp')}
        onChange={(up) => onChange({ ...part, nudge: { ...nudge, up } } as Part)}
      />
      {part.place !== 'anchored' && (
        <CentringChoice
          title="Its centre is"
          now={part.centring}
          partId={part.id}
          change={(m, centring) => ({ ...m, parts: changed(m.parts, part.id, (p) => ({ ...p, centring })) })}
          onChoose={(centring) => onChange({ ...part, centring })}
        />
      )}
    </div>
  );
}
