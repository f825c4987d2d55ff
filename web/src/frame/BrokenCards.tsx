import { useMutation, useQueryClient } from '@tanstack/react-query';
import { answer, api, made, type Schemas } from '../api/client';
import { Words } from '../units/Words';

type Kind = 'blanks' | 'motifs' | 'films' | 'cutters' | 'presses' | 'jobs' | 'offers' | 'orders';
type Broken = Schemas['BrokenCard'];

/** Things of a place that cannot be worked out: which, why, and a way back. */
export function BrokenCards({ kind, of }: { kind: Kind; of: readonly Broken[] }) {
  if (of.length === 0) return null;
  return (
    <div className="broken-cards">
      {of.map((b) => (
        <BrokenCard key={b.id} kind={kind} broken={b} />
      ))}
    </div>
  );
}

function BrokenCard({ kind, broken }: { kind: Kind; broken: Broken }) {
  const cache = useQueryClient();
  const undo = useMutation({
    mutationFn: () => answer(api.POST(`/api/${kind}/{id}/undo`, { params: { path: { id: broken.id }, ...made(broken.revision) } })),
    onSettled: () => void cache.invalidateQueries(),
  });
  return (
    <section className="slip broken" aria-label={broken.name || 'Without a name'}>
      <strong>{broken.name || 'Without a name'}</strong>
      <span className="look">▲ cannot be worked out</span>
      <span>
        <Words of={broken.reason} />
      </span>
      <button type="button" className="btn btn-sm btn-line" disabled={undo.isPending} onClick={() => undo.mutate()}>
        Undo the last change
      </button>
      {undo.error && <p className="echo problem">{undo.error.message}</p>}
    </section>
  );
}
