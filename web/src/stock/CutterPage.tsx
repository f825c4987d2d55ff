import { Form } from 'react-bootstrap';
import { useNavigate, useParams } from 'react-router';
import type { Schemas } from '../api/client';
import { documentSource, removalOf } from '../api/documents';
import { useDocument } from '../api/useDocument';
import { useRemoval } from '../api/useRemoval';
import { Check, NumberField } from '../fields/Choice';
import { Conflict, TitleRow, Waiting } from '../frame/TitleRow';
import { UsualLength } from '../units/UsualLength';
import { CarriersCard } from './CarriersCard';
import { MachineChoice } from './MachineChoice';
import { ProvingCard } from './ProvingCard';
import { TestSquareCard } from './TestSquareCard';

export type Cutter = Schemas['Cutter'];

/** A cutter found out: what it reaches, what its program takes numbers for, what it makes of a square, how it moves. */
export function CutterPage() {
  const { id = '' } = useParams();
  return <Found key={id} id={id} />;
}

function Found({ id }: { id: string }) {
  const go = useNavigate();
  const {
    view,
    document: cutter,
    edit,
    conflict,
    takeTheirs,
    keepMine,
    undo,
    redo,
    settled,
    error,
  } = useDocument(
    documentSource('cutters', id, {
      key: ['cutter', id],
      of: (v) => v.cutter,
      touches: [['cutters'], ['plan'], ['load-files']],
      previews: true,
    }),
  );
  const remove = useRemoval({ name: cutter?.name ?? '', settled, ...removalOf('cutters', id), onGone: () => void go('/stock') });
  if (!view || !cutter) return <Waiting error={error} undo={undo} />;
  const set = (change: Partial<Cutter>) => edit((c) => ({ ...c, ...change }));
  const problem = (field: string) => view.problems.find((p) => p.fields.includes(field))?.message;
  const { blade, pace } = cutter;
  return (
    <div className="page">
      <TitleRow
        title={
          <Form.Control
            className="title-field"
            aria-label="Name of the cutter"
            value={cutter.name}
            isInvalid={!cutter.name.trim()}
            onChange={(e) => set({ name: e.target.value })}
          />
        }
        about="What it really reaches, and what comes out of it"
        undo={undo}
        redo={redo}
        past={`/past/cutter/${id}`}
      >
        <button
          type="button"
          className="btn btn-sm btn-line"
          disabled={view.usedBy.length > 0}
          title={view.usedBy.length ? `Used by ${view.usedBy.join(', ')}` : undefined}
          onClick={() => remove.mutate()}
        >
          Remove the cutter
        </button>
      </TitleRow>
      <Conflict words={conflict} takeTheirs={takeTheirs} keepMine={keepMine} />
      <div className="cutter-cards">
        <CarriersCard cutter={cutter} set={set} problem={problem} />
        <div className="column">
          <MachineChoice cutter={cutter} set={set} />
          <TestSquareCard id={id} cutter={cutter} set={set} />
          <section className="card" aria-label="Blade and pace">
            <h2>Blade and pace</h2>
            <Check
              label="The cutter itself sees to the blade’s offset"
              value={blade.cutterSeesToIt}
              onChange={(cutterSeesToIt) => set({ blade: { ...blade, cutterSeesToIt } })}
            />
            <div className="stock-fields">
              {!blade.cutterSeesToIt && (
                <>
                  <UsualLength
                    label="The tip trails by"
                    value={blade.offset}
                    usual="0"
                    problem={problem('blade.offset')}
                    onChange={(offset) => set({ blade: { ...blade, offset } })}
                  />
                  <UsualLength
                    label="Cut on past the end"
                    value={blade.overcut}
                    usual="0.5 mm"
                    problem={problem('blade.overcut')}
                    onChange={(overcut) => set({ blade: { ...blade, overcut } })}
                  />
                </>
              )}
              <UsualLength
                label="Is off by up to ±"
                value={cutter.cutsWithin}
                usual="0.3 mm"
                problem={problem('cutsWithin')}
                onChange={(cutsWithin) => set({ cutsWithin })}
              />
              <NumberField
                label="Cuts, mm a second"
                value={pace.cutting}
                min={1}
                max={5000}
                onChange={(cutting) => set({ pace: { ...pace, cutting } })}
              />
              <NumberField
                label="Lifted, mm a second"
                value={pace.up}
                min={1}
                max={5000}
                onChange={(up) => set({ pace: { ...pace, up } })}
              />
              <NumberField
                label="Gains, mm a second²"
                value={pace.acceleration}
                min={10}
                max={100000}
                onChange={(acceleration) => set({ pace: { ...pace, acceleration } })}
              />
            </div>
            <Form.Control
              as="textarea"
              rows={2}
              size="sm"
              aria-label={`Note on ${cutter.name}`}
              placeholder="A note to yourself"
              value={cutter.note}
              onChange={(e) => set({ note: e.target.value })}
            />
          </section>
        </div>
        <ProvingCard id={id} view={view} cutter={cutter} set={set} problem={problem} />
      </div>
    </div>
  );
}
