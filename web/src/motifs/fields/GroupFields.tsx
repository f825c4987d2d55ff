import { Form } from 'react-bootstrap';
import { MotifLengthField } from '../MotifLengthField';
import { flat, nameOf, REPEATS, type Backing, type Group, type Part } from '../parts';
import { Check, Choice, NumberField } from '../../fields/Choice';
import type { FieldsOf } from './context';

/** How a group lines its rows up and is repeated. */
export function GroupFields({ part, problem, onChange, onUngroup }: FieldsOf<Group> & { onUngroup: () => void }) {
  const { repeat } = part;
  const set = (to: Partial<Group['repeat']>) => onChange({ ...part, repeat: { ...repeat, ...to } });
  const rows = repeat.kind === 'rows' || repeat.kind === 'halfDrop';
  const area = (rows && repeat.over === 'area') || ((repeat.kind === 'corners' || repeat.kind === 'scatter') && repeat.over !== 'ground');
  return (
    <>
      <div className="part-fields">
        <Choice
          label="Its rows line up"
          value={part.alignment}
          of={[
            ['left', 'left'],
            ['centre', 'in the middle'],
            ['right', 'right'],
          ]}
          onChange={(alignment) => onChange({ ...part, alignment })}
        />
        <Choice
          label="Repeated"
          value={repeat.kind}
          of={Object.entries(REPEATS) as [typeof repeat.kind, string][]}
          onChange={(kind) => set({ kind })}
        />
        {rows && (
          <Choice
            label="How many"
            value={repeat.over}
            of={[
              ['counts', 'as typed'],
              ['area', 'what an area holds'],
              ['ground', 'what the ground holds'],
              ['wrap', 'once round the ground'],
            ]}
            onChange={(over) => set({ over })}
          />
        )}
        {(repeat.kind === 'corners' || repeat.kind === 'scatter') && (
          <Choice
            label="Over"
            value={repeat.over === 'ground' ? 'ground' : 'area'}
            of={[
              ['area', 'an area'],
              ['ground', 'the ground'],
            ]}
            onChange={(over) => set({ over })}
          />
        )}
        <span className="part-fields-row">
          <button type="button" className="btn btn-sm btn-line" onClick={onUngroup}>
            Ungroup
          </button>
        </span>
      </div>
      {repeat.kind !== 'none' && (
        <div className="part-fields">
          {((rows && repeat.over === 'counts') || repeat.kind === 'ring' || repeat.kind === 'scatter') && (
            <NumberField
              label={rows ? 'Across' : 'Copies'}
              min={1}
              value={repeat.across}
              wrong={!!problem('across')}
              onChange={(across) => set({ across: Math.round(across) })}
            />
          )}
          {rows && (repeat.over === 'counts' || repeat.over === 'wrap') && (
            <NumberField label="Rows" min={1} value={repeat.up} onChange={(up) => set({ up: Math.round(up) })} />
          )}
          {(rows || repeat.kind === 'scatter') && (
            <MotifLengthField
              label={rows ? 'Gap across' : 'Least distance'}
              value={repeat.gapAcross}
              problem={problem('gapAcross')}
              onChange={(gapAcross) => set({ gapAcross })}
            />
          )}
          {rows && (
            <MotifLengthField
              label="Gap between rows"
              value={repeat.gapUp}
              problem={problem('gapUp')}
              onChange={(gapUp) => set({ gapUp })}
            />
          )}
          {area && (
            <MotifLengthField
              label="Area wide"
              range="artwork"
              value={repeat.width}
              problem={problem('repeatWidth')}
              onChange={(width) => set({ width })}
            />
          )}
          {area && (
            <MotifLengthField
              label="Area high"
              range="artwork"
              value={repeat.height}
              problem={problem('repeatHeight')}
              onChange={(height) => set({ height })}
            />
          )}
          {repeat.kind === 'ring' && (
            <MotifLengthField
              label="Circle across"
              range="artwork"
              value={repeat.circle}
              problem={problem('repeatCircle')}
              onChange={(circle) => set({ circle })}
            />
          )}
          {repeat.kind === 'scatter' && (
            <NumberField label="Seed" value={repeat.seed} onChange={(seed) => set({ seed: Math.round(seed) })} />
          )}
          {(repeat.kind === 'ring' || repeat.kind === 'scatter') && (
            <Check
              label={repeat.kind === 'ring' ? 'Turned with the ring' : 'Turned at random'}
              value={repeat.turning}
              onChange={(turning) => set({ turning })}
            />
          )}
          {rows && repeat.over === 'wrap' && (
            <Check
              label="Keep the size and leave a gap at the seam"
              value={repeat.gapAtSeam}
              onChange={(gapAtSeam) => set({ gapAtSeam })}
            />
          )}
        </div>
      )}
    </>
  );
}

/** What a backing is grown from, and by how much. */
export function BackingFields({ part, parts, problem, onChange }: FieldsOf<Backing> & { parts: readonly Part[] }) {
  const before = parts
    .slice(
      0,
      parts.findIndex((p) => p.id === part.id),
    )
    .filter((p) => p.kind !== 'backing');
  return (
    <div className="part-fields">
      <MotifLengthField label="Grown by" value={part.by} problem={problem('by')} onChange={(by) => onChange({ ...part, by })} />
      <Check label="Without holes" value={part.solid} onChange={(solid) => onChange({ ...part, solid })} />
      <fieldset className="backing-of">
        <legend>From {part.of.length === 0 ? 'all parts before it' : 'these'}</legend>
        {flat(before)
          .filter((p) => p.depth === 0)
          .map(({ part: p }) => (
            <Form.Check
              key={p.id}
              id={`backing-${part.id}-${p.id}`}
              label={nameOf(p)}
              checked={part.of.length === 0 || part.of.includes(p.id)}
              onChange={(e) => {
                const all = before.map((x) => x.id);
                const now = part.of.length === 0 ? all : part.of;
                const next = e.target.checked ? [...now, p.id] : now.filter((x) => x !== p.id);
                onChange({ ...part, of: next.length === all.length ? [] : next });
              }}
            />
          ))}
        {before.length === 0 && <span className="soft">Put parts above it first.</span>}
      </fieldset>
    </div>
  );
}
