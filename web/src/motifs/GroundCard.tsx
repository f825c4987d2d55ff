import { useQuery } from '@tanstack/react-query';
import { Form } from 'react-bootstrap';
import { answer, api, type Schemas } from '../api/client';
import { LengthField } from '../units/LengthField';
import { useEcho } from '../units/useEcho';
import { CentringChoice } from './CentringChoice';
import { Choice } from '../fields/Choice';
import type { Motif } from './parts';

type Ground = Motif['ground'];

interface Props {
  view: Schemas['MotifView'];
  motif: Motif;
  edit: (change: (motif: Motif) => Motif) => void;
}

const NOTHING: Ground = {
  blankId: '',
  zoneId: '',
  size: '',
  width: { text: '', unit: 'millimetre' },
  height: { text: '', unit: 'millimetre' },
  margin: { text: '', unit: 'millimetre' },
};
const PLAIN: Ground = {
  ...NOTHING,
  width: { text: '100', unit: 'millimetre' },
  height: { text: '60', unit: 'millimetre' },
  margin: { text: '5', unit: 'millimetre' },
};

/** What stands behind the motif while it is composed, and the name it is seen with. */
export function GroundCard({ view, motif, edit }: Props) {
  const blanks = useQuery({ queryKey: ['blanks'], queryFn: () => answer(api.GET('/api/blanks')), select: (l) => l.cards });
  const { ground } = motif;
  const set = (to: Partial<Ground>) => edit((m) => ({ ...m, ground: { ...m.ground, ...to } }));
  const kind = ground.blankId ? ground.blankId : ground.width.text || ground.height.text ? 'plain' : 'none';
  const choose = (to: string) =>
    edit((m) => ({ ...m, ground: to === 'none' ? NOTHING : to === 'plain' ? PLAIN : { ...NOTHING, blankId: to } }));
  const problem = (field: string) => view.problems.find((p) => p.part === '' && p.fields.includes(field))?.message;
  return (
    <section className="card" aria-label="Ground">
      <h2>
        Ground<span className="hint">stands behind it and is never cut</span>
      </h2>
      <div className="part-fields">
        <Choice
          label="On"
          value={kind}
          of={[
            ['none', 'nothing'],
            ['plain', 'a reference size'],
            ...(blanks.data ?? [])
              .filter((b) => !b.retired || b.id === ground.blankId)
              .map((b) => [b.id, b.name || 'without a name'] as const),
            ...(ground.blankId && blanks.data && !blanks.data.some((b) => b.id === ground.blankId)
              ? [[ground.blankId, 'a blank that is gone'] as const]
              : []),
          ]}
          onChange={choose}
        />
        {view.ground.zones.length > 1 && (
          <Choice
            label="Zone"
            value={ground.zoneId || (view.ground.zones[0]?.id ?? '')}
            of={view.ground.zones.map((z) => [z.id, z.name] as const)}
            onChange={(zoneId) => set({ zoneId })}
          />
        )}
        {view.ground.sizes.length > 0 && (
          <Choice
            label="Size"
            value={ground.size || (view.ground.sizes[0] ?? '')}
            of={view.ground.sizes.map((s) => [s, s] as const)}
            onChange={(size) => set({ size })}
          />
        )}
        {kind === 'plain' && (
          <>
            <GroundLength
              label="Wide"
              value={ground.width}
              range="object"
              problem={problem('groundWidth')}
              onChange={(width) => set({ width })}
            />
            <GroundLength
              label="High"
              value={ground.height}
              range="object"
              problem={problem('groundHeight')}
              onChange={(height) => set({ height })}
            />
            <GroundLength
              label="Margin"
              value={ground.margin}
              range="margin"
              problem={problem('groundMargin')}
              onChange={(margin) => set({ margin })}
            />
          </>
        )}
        <label>
          Seen with the name
          <Form.Control
            size="sm"
            className="sample-field"
            placeholder={view.sample}
            value={motif.sample}
            onChange={(e) => edit((m) => ({ ...m, sample: e.target.value }))}
          />
        </label>
        <Choice
          label="Rows line up"
          value={motif.alignment}
          of={[
            ['left', 'left'],
            ['centre', 'in the middle'],
            ['right', 'right'],
          ]}
          onChange={(alignment) => edit((m) => ({ ...m, alignment }))}
        />
        {motif.parts.length > 0 && (
          <CentringChoice
            title="It stands on its ground by"
            now={motif.centring}
            change={(m, centring) => ({ ...m, centring })}
            onChoose={(centring) => edit((m) => ({ ...m, centring }))}
          />
        )}
      </div>
    </section>
  );
}

function GroundLength({
  label,
  value,
  range,
  problem,
  onChange,
}: {
  label: string;
  value: Schemas['TypedLength'];
  range: Schemas['RangeName'];
  problem?: Schemas['Phrase'];
  onChange: (v: Schemas['TypedLength']) => void;
}) {
  return (
    <div className="motif-length">
      <LengthField label={label} value={value} echo={useEcho(value, range, problem)} onChange={onChange} />
    </div>
  );
}
