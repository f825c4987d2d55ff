import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { Form } from 'react-bootstrap';
import { useNavigate, useParams } from 'react-router';
import { answer, api, type Schemas } from '../api/client';
import { useDocument } from '../api/useDocument';
import { useRemoval } from '../api/useRemoval';
import { Board } from '../board/Board';
import { Conflict, TitleRow, Waiting } from '../frame/TitleRow';
import { Words } from '../units/Words';
import { MarginsCard } from './MarginsCard';
import { ReadingsCard } from './ReadingsCard';
import { SURFACES } from './ShelfPage';

/** A blank: its drawing and its readings side by side. */
export function BlankPage() {
  const { id = '' } = useParams();
  return <Measuring key={id} id={id} />;
}

function useBlank(id: string) {
  const params = { path: { id } };
  return useDocument<Schemas['BlankView'], Schemas['Blank']>({
    key: ['blank', id],
    load: () => answer(api.GET('/api/blanks/{id}', { params })),
    save: (body, madeFrom) => answer(api.PUT('/api/blanks/{id}', { params: { ...params, header: { 'If-Match': madeFrom } }, body })),
    undo: () => answer(api.POST('/api/blanks/{id}/undo', { params })),
    redo: () => answer(api.POST('/api/blanks/{id}/redo', { params })),
    of: (view) => view.blank,
    touches: [['blanks']],
  });
}

function Measuring({ id }: { id: string }) {
  const blank = useBlank(id);
  const [side, setSide] = useState<'standing' | 'flat'>('standing');
  const [lit, setLit] = useState<string>();
  const { view, document, edit } = blank;
  if (!view || !document) return <Waiting error={blank.error} />;
  const drawing = side === 'flat' && view.flat ? view.flat : view.standing;
  const stops = view.findings.filter((f) => f.stops).length;
  return (
    <div className="page fill">
      <TitleRow
        title={<Form.Control className="title-field" aria-label="Name of the blank" value={document.name} onChange={(e) => edit((b) => ({ ...b, name: e.target.value }))} />}
        about={`${SURFACES[document.surface].toLowerCase()} wall · ${view.usedBy.length ? `used by ${view.usedBy.join(', ')}` : 'not used yet'}`}
        undo={blank.undo}
        redo={blank.redo}
      >
        <BlankDeeds id={id} name={document.name} inUse={view.usedBy.length > 0} />
      </TitleRow>
      <Conflict words={blank.conflict} takeTheirs={blank.takeTheirs} keepMine={blank.keepMine} />
      <div className="measure-layout">
        <section className="card sheet" aria-label="Drawing">
          <div className="views" role="group" aria-label="Drawing shown">
            <button type="button" className={side === 'standing' ? 'view here' : 'view'} aria-pressed={side === 'standing'} onClick={() => setSide('standing')}>As it stands</button>
            <button type="button" className={side === 'flat' ? 'view here' : 'view'} aria-pressed={side === 'flat'} disabled={!view.flat} onClick={() => setSide('flat')}>Laid flat</button>
          </div>
          <Board
            label={`${document.name}, ${side === 'flat' ? 'laid flat' : 'as it stands'}, with its dimensions`}
            drawing={drawing}
            pad={side === 'flat' ? { top: 66, right: 56, bottom: 30, left: 30 } : { top: 54, right: 150, bottom: 26, left: 120 }}
            lit={lit}
            onLight={setLit}
          />
          <p className="sums">
            {drawing.guessed ? 'An example of the shape, until there is enough to draw yours.' : view.sums.map((s, i) => <span key={i}><Words of={s} bare /></span>)}
          </p>
        </section>
        <div className="column">
          <ReadingsCard view={view} blank={document} edit={edit} lit={lit} onLight={setLit} />
          <section className="card" aria-label="To look at" aria-live="polite">
            <h2>To look at<span className={stops ? 'count over' : 'count'}>{view.findings.length || 'nothing'}</span></h2>
            {view.findings.map((f, i) => <p key={i} className={f.stops ? 'finding stop' : 'finding'}><Words of={f.message} /></p>)}
          </section>
          <MarginsCard view={view} blank={document} edit={edit} />
          <section className="card" aria-label="Works out to">
            <h2>Works out to</h2>
            <table className="figures">
              <tbody>
                {view.worksOut.map((w) => <tr key={w.name}><th scope="row">{w.name}</th><td><Words of={w.value} /></td><td className="soft"><Words of={w.from} bare /></td></tr>)}
              </tbody>
            </table>
            {view.worksOut.length === 0 && <p className="soft">Not enough is read yet.</p>}
          </section>
        </div>
      </div>
    </div>
  );
}

function BlankDeeds({ id, name, inUse }: { id: string; name: string; inUse: boolean }) {
  const go = useNavigate();
  const cache = useQueryClient();
  const done = () => void cache.invalidateQueries({ queryKey: ['blanks'] });
  const copy = useMutation({
    mutationFn: () => answer(api.POST('/api/blanks/{id}/copy', { params: { path: { id } } })),
    onSuccess: (b) => { done(); void go(`/shelf/${b.id}`); },
  });
  const remove = useRemoval({
    name,
    remove: () => answer(api.DELETE('/api/blanks/{id}', { params: { path: { id } } })),
    undo: () => answer(api.POST('/api/blanks/{id}/undo', { params: { path: { id } } })),
    onGone: () => void go('/shelf'),
  });
  return (
    <div className="deeds">
      <button type="button" className="btn btn-sm btn-line" onClick={() => copy.mutate()}>Duplicate and alter</button>
      <button type="button" className="btn btn-sm btn-line" disabled={inUse} title={inUse ? 'Runs use it' : undefined} onClick={() => remove.mutate()}>Take off the shelf</button>
    </div>
  );
}
