import type { Schemas } from '../api/client';
import { Words } from '../units/Words';

const MOST_NAMED = 6;

/** What became of the orders of a file. */
export function CameIn({ orders }: { orders: Schemas['OrdersIn'] }) {
  const said = (
    [
      [orders.new, 'new'],
      [orders.corrected, 'corrected'],
      [orders.same, 'here already, saying the same'],
      [orders.older, 'older than what is here; nothing was changed'],
    ] as const
  ).filter(([of]) => of.length > 0);
  return (
    <div role="status">
      {said.length === 0 && <p>No order in it could be taken in.</p>}
      {said.map(([of, words]) => (
        <p key={words}>
          <b>{of.length}</b> {words}
          {of.length <= MOST_NAMED && <span className="soft">: {of.join(', ')}</span>}
        </p>
      ))}
      {orders.notes.map((n, i) => (
        <p key={i} className="finding">
          <Words of={n} />
        </p>
      ))}
    </div>
  );
}
