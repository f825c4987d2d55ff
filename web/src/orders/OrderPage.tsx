import { useQuery, useQueryClient } from '@tanstack/react-query';
import { Form } from 'react-bootstrap';
import { Link, useNavigate, useParams } from 'react-router';
import { answer, api, made, type Schemas } from '../api/client';
import { documentSource, removalOf } from '../api/documents';
import { useDocument } from '../api/useDocument';
import { useRemoval } from '../api/useRemoval';
import { Conflict, TitleRow, Waiting } from '../frame/TitleRow';
import { due } from '../jobs/due';
import { Words } from '../units/Words';
import { Corrections } from './Corrections';
import { OrderLines } from './OrderLines';

/** An order: what it says line by line, what stops a line, what changed since it was taken. */
export function OrderPage() {
  const { id = '' } = useParams();
  return <Ordered key={id} id={id} />;
}

function Ordered({ id }: { id: string }) {
  const go = useNavigate();
  const cache = useQueryClient();
  const order = useDocument(
    documentSource('orders', id, { key: ['order', id], of: (v) => v.order, touches: [['orders']], previews: true }),
  );
  const offers = useQuery({ queryKey: ['offers'], queryFn: () => answer(api.GET('/api/offers')), select: (l) => l.cards });
  const remove = useRemoval({
    name: `order ${order.document?.number ?? ''}`,
    settled: order.settled,
    ...removalOf('orders', id),
    onGone: () => void go('/jobs/orders'),
  });
  const { view, document, edit } = order;
  if (!view || !document) return <Waiting error={order.error} undo={order.undo} />;
  const set = (change: Partial<Schemas['OrderSheet']>) => edit((o) => ({ ...o, sheet: { ...o.sheet, ...change } }));
  const take = async () => {
    const taken = await order.order((madeFrom) =>
      answer(api.POST('/api/orders/{id}/take', { params: { path: { id }, ...made(madeFrom) } })),
    );
    if (taken) void cache.invalidateQueries();
  };
  const dueNote = view.notes.find((n) => n.fields.includes('due'));
  return (
    <div className="page">
      <TitleRow
        title={`Order ${document.number}`}
        about={
          <>
            {document.from ? `from ${document.from}` : 'typed'}
            {document.on && `, ${document.on}`}
            {view.jobId && (
              <>
                {' '}
                · <Link to={`/jobs/${view.jobId}`}>its job</Link>
              </>
            )}
          </>
        }
        undo={order.undo}
        redo={order.redo}
        past={`/past/order/${id}`}
      >
        <button type="button" className="btn btn-sm btn-line" onClick={() => edit((o) => ({ ...o, isAside: !o.isAside }))}>
          {document.isAside ? 'Bring it back' : 'Put it aside'}
        </button>
        <button type="button" className="btn btn-sm btn-line" onClick={() => remove.mutate()}>
          Remove the order
        </button>
        {view.state !== 'taken' && (
          <button
            type="button"
            className="btn btn-sm btn-main"
            disabled={view.state === 'waiting' ? view.takeable === 0 : view.corrections.every((c) => c.problem) && view.heads.length === 0}
            onClick={() => void take()}
          >
            {view.state === 'corrected' ? 'Take the corrections' : view.state === 'takenInPart' ? 'Take what is mended' : takeSaid(view)}
          </button>
        )}
      </TitleRow>
      <Conflict words={order.conflict} takeTheirs={order.takeTheirs} keepMine={order.keepMine} />
      {(view.state === 'corrected' || view.state === 'takenInPart') && <Corrections view={view} />}
      <div className="job-fields">
        <label>
          For
          <Form.Control size="sm" maxLength={300} value={document.sheet.customer} onChange={(e) => set({ customer: e.target.value })} />
        </label>
        <label>
          Due
          <Form.Control
            size="sm"
            maxLength={40}
            placeholder="2026-12-05"
            value={document.sheet.due}
            isInvalid={!!dueNote}
            onChange={(e) => set({ due: e.target.value })}
          />
          {view.due && <span className="echo">{due(view.due)}</span>}
          {dueNote && (
            <span className="echo problem">
              <Words of={dueNote.message} />
            </span>
          )}
        </label>
        <label className="wide">
          Note
          <Form.Control size="sm" value={document.sheet.note} onChange={(e) => set({ note: e.target.value })} />
        </label>
      </div>
      {view.notes
        .filter((n) => n !== dueNote)
        .map((n, i) => (
          <p key={i} className={n.severity === 'stop' ? 'finding stop' : 'soft'}>
            <Words of={n.message} />
          </p>
        ))}
      <OrderLines view={view} sheet={document.sheet} offers={offers.data ?? []} onLines={(lines) => set({ lines })} />
    </div>
  );
}

function takeSaid(view: Schemas['OrderView']): string {
  const all = view.lines.length;
  if (view.takeable === all) return view.pieces === 1 ? 'Take it: one piece' : `Take it: ${view.pieces} pieces`;
  return `Take ${view.takeable} of ${all} lines`;
}
