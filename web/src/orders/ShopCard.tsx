import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { answer, api, type Schemas } from '../api/client';
import { NumberField } from '../fields/Choice';
import { Words } from '../units/Words';
import { CameIn } from './CameIn';

/** The shop that leaves orders: what lies ready is fetched, and the shop is told how far its pieces are. */
export function ShopCard() {
  const [lines, setLines] = useState(30);
  const cache = useQueryClient();
  const shop = useQuery({ queryKey: ['shop'], queryFn: () => answer(api.GET('/api/shop')) });
  const again = () => {
    void cache.invalidateQueries({ queryKey: ['shop'] });
    void cache.invalidateQueries({ queryKey: ['orders'] });
  };
  const fetched = useMutation({ mutationFn: fetchAll, onSettled: again });
  const drop = useMutation({ mutationFn: () => answer(api.POST('/api/shop/stand-in', { body: { lines } })), onSettled: again });
  const tell = useMutation({ mutationFn: () => answer(api.POST('/api/shop/tell')) });
  const away = useMutation({
    mutationFn: (name: string) => answer(api.POST('/api/shop/files/{name}/away', { params: { path: { name } } })),
    onSettled: again,
  });
  if (!shop.data) return null;
  const { ready, isStandIn, name, problem } = shop.data;
  const unread = fetched.data?.filter((f) => f.problem && ready.some((r) => r.name === f.name)) ?? [];
  return (
    <section className="card" aria-label="From the shop">
      <h2>
        From the shop<span className="hint">{name}</span>
      </h2>
      {problem && (
        <p className="finding stop">
          <Words of={problem} />
        </p>
      )}
      <p>{ready.length === 0 ? 'Nothing lies ready.' : `${ready.length} ${ready.length === 1 ? 'file lies' : 'files lie'} ready.`}</p>
      <div className="deeds">
        <button
          type="button"
          className="btn btn-sm btn-main"
          disabled={ready.length === 0 || fetched.isPending}
          onClick={() => fetched.mutate()}
        >
          {fetched.isPending ? 'Fetching …' : 'Fetch them'}
        </button>
        <button type="button" className="btn btn-sm btn-line" disabled={tell.isPending} onClick={() => tell.mutate()}>
          Tell it how far all is
        </button>
      </div>
      {tell.data && <p role="status">It was told of {tell.data.pieces} pieces.</p>}
      {fetched.data && <CameIn orders={together(fetched.data)} />}
      {unread.map((f) => (
        <div key={f.name} className="finding stop">
          <b>{f.name}</b> stays where it is. {f.problem && <Words of={f.problem} />}{' '}
          <button type="button" className="quiet" disabled={away.isPending} onClick={() => away.mutate(f.name)}>
            Put it away
          </button>
        </div>
      ))}
      {[fetched.error, drop.error, tell.error, away.error].map(
        (e, i) =>
          e && (
            <p key={i} className="finding stop">
              {e.message}
            </p>
          ),
      )}
      {isStandIn && (
        <div className="stand-in">
          <p className="soft small">
            It is a stand-in: a folder into which a made-up shop drops orders as shops do, some twice, some corrected, some damaged.
          </p>
          <div className="deeds">
            <NumberField
              label="Lines"
              value={lines}
              min={1}
              max={2000}
              onChange={(n) => setLines(Math.min(2000, Math.max(1, Math.round(n))))}
            />
            <button type="button" className="btn btn-sm btn-line" disabled={drop.isPending} onClick={() => drop.mutate()}>
              Let it order
            </button>
          </div>
        </div>
      )}
    </section>
  );
}

/** Fetches until nothing is left that was not looked at. */
async function fetchAll(): Promise<Schemas['FetchedFile'][]> {
  const files: Schemas['FetchedFile'][] = [];
  for (let left = 1; left > 0;) {
    const fetched = await answer(api.POST('/api/shop/fetch'));
    files.push(...fetched.files.filter((f) => !files.some((known) => known.name === f.name && known.problem)));
    // What cannot be read stays and would be looked at for ever.
    left = fetched.files.some((f) => f.orders) ? fetched.left : 0;
  }
  return files;
}

/** What became of the orders of several files. */
function together(files: readonly Schemas['FetchedFile'][]): Schemas['OrdersIn'] {
  const all = files.flatMap((f) => (f.orders ? [f.orders] : []));
  return {
    new: all.flatMap((o) => o.new),
    corrected: all.flatMap((o) => o.corrected),
    same: all.flatMap((o) => o.same),
    older: all.flatMap((o) => o.older),
    notes: all.flatMap((o) => o.notes),
  };
}
