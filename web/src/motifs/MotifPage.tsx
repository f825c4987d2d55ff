import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { Form } from 'react-bootstrap';
import { useNavigate, useParams } from 'react-router';
import { answer, api, type Schemas } from '../api/client';
import { useDocument } from '../api/useDocument';
import { useRemoval } from '../api/useRemoval';
import { Conflict, TitleRow, Waiting } from '../frame/TitleRow';
import { Words } from '../units/Words';
import { MotifSheet } from './MotifSheet';
import { PartRow } from './PartRow';

type Motif = Schemas['Motif'];
type Part = Schemas['Part'];

/** A motif: its ink and its parts side by side. */
export function MotifPage() {
  const { id = '' } = useParams();
  return <Composing key={id} id={id} />;
}

function useMotif(id: string) {
  const params = { path: { id } };
  return useDocument<Schemas['MotifView'], Motif>({
    key: ['motif', id],
    load: () => answer(api.GET('/api/motifs/{id}', { params })),
    save: (body, madeFrom) => answer(api.PUT('/api/motifs/{id}', { params: { ...params, header: { 'If-Match': madeFrom } }, body })),
    undo: () => answer(api.POST('/api/motifs/{id}/undo', { params })),
    redo: () => answer(api.POST('/api/motifs/{id}/redo', { params })),
    of: (view) => view.motif,
    touches: [['motifs']],
  });
}

function Composing({ id }: { id: string }) {
  const motif = useMotif(id);
  const typefaces = useQuery({ queryKey: ['typefaces'], queryFn: () => answer(api.GET('/api/typefaces')), staleTime: Infinity });
  const [lit, setLit] = useState<string>();
  const { view, document, edit } = motif;
  if (!view || !document) return <Waiting error={motif.error} />;
  const parts = (change: (p: readonly Part[]) => Part[]) => edit((m) => ({ ...m, parts: change(m.parts) }));
  const move = (i: number, by: number) => parts((all) => {
    const next = [...all];
    const [part] = next.splice(i, 1);
    if (part) next.splice(i + by, 0, part);
    return next;
  });
  return (
    <div className="page fill">
      <TitleRow
        title={<Form.Control className="title-field" aria-label="Name of the motif" value={document.name} isInvalid={view.problems.some((p) => p.field === 'name')} onChange={(e) => edit((m) => ({ ...m, name: e.target.value }))} />}
        about={view.usedBy.length ? `used by ${view.usedBy.join(', ')}` : 'not used yet'}
        undo={motif.undo}
        redo={motif.redo}
      >
        <Remove id={id} name={document.name} inUse={view.usedBy.length > 0} />
      </TitleRow>
      <Conflict words={motif.conflict} takeTheirs={motif.takeTheirs} keepMine={motif.keepMine} />
      <div className="measure-layout">
        <MotifSheet view={view} lit={lit} />
        <div className="column">
          <section className="card" aria-label="Parts">
            <h2>Parts<span className="hint">from the top; ↔ lengths follow the fit, ■ ones stay</span></h2>
            {document.parts.map((part, i) => (
              <PartRow
                key={part.id}
                part={part}
                first={i === 0}
                last={i === document.parts.length - 1}
                set={view.parts.find((p) => p.partId === part.id)}
                typefaces={typefaces.data ?? []}
                problems={view.problems.filter((p) => p.partId === part.id)}
                onLight={setLit}
                onChange={(next) => parts((all) => all.map((p) => (p.id === part.id ? next : p)))}
                onMove={(by) => move(i, by)}
                onRemove={() => parts((all) => all.filter((p) => p.id !== part.id))}
              />
            ))}
            <div className="add-part">
              <button type="button" className="btn btn-sm btn-line" onClick={() => parts((all) => [...all, line(all, typefaces.data?.[3]?.id ?? 'archivo')])}>Add a line</button>
              <button type="button" className="btn btn-sm btn-line" onClick={() => parts((all) => [...all, rule(all)])}>Add a rule</button>
            </div>
          </section>
          <section className="card" aria-label="Arrangement">
            <h2>Rows line up</h2>
            <div className="filter" role="group" aria-label="Rows line up">
              {(['left', 'centre', 'right'] as const).map((a) => (
                <button key={a} type="button" className={document.alignment === a ? 'quiet here' : 'quiet'} aria-pressed={document.alignment === a} onClick={() => edit((m) => ({ ...m, alignment: a }))}>{a === 'centre' ? 'in the middle' : a}</button>
              ))}
            </div>
            <p className="soft small">By their ink: blank sides of letters play no part.</p>
          </section>
          {view.notes.length > 0 && (
            <section className="card" aria-label="To look at" aria-live="polite">
              <h2>To look at</h2>
              {view.notes.map((n, i) => <p key={i} className="finding stop"><Words of={n} /></p>)}
            </section>
          )}
        </div>
      </div>
    </div>
  );
}

const scales = (mm: string): Schemas['MotifLength'] => ({ typed: { text: mm, unit: 'millimetre' }, scaling: 'proportional' });

function freshId(all: readonly Part[]): string {
  let n = all.length + 1;
  while (all.some((p) => p.id === `part-${n}`)) n++;
  return `part-${n}`;
}

function line(all: readonly Part[], typefaceId: string): Part {
  return { kind: 'lettering', id: freshId(all), place: 'below', gap: scales('4'), text: 'New line', typefaceId, sizedBy: 'capitalHeight', size: scales('6'), spacing: 0 };
}

function rule(all: readonly Part[]): Part {
  return { kind: 'rule', id: freshId(all), place: 'below', gap: scales('4'), span: 'fillsRow', length: scales('10'), thickness: scales('1') };
}

function Remove({ id, name, inUse }: { id: string; name: string; inUse: boolean }) {
  const go = useNavigate();
  const remove = useRemoval({
    name,
    remove: () => answer(api.DELETE('/api/motifs/{id}', { params: { path: { id } } })),
    undo: () => answer(api.POST('/api/motifs/{id}/undo', { params: { path: { id } } })),
    onGone: () => void go('/motifs'),
  });
  return <button type="button" className="btn btn-sm btn-line" disabled={inUse} title={inUse ? 'Runs use it' : undefined} onClick={() => remove.mutate()}>Remove</button>;
}
