import { Link } from 'react-router';
import type { Schemas } from '../api/client';
import { dayWords } from '../jobs/times';
import { Words } from '../units/Words';

type Card = Schemas['OrderCard'];

/** Orders as rows: for whom, for when, what, and what stops or changed. */
export function OrderTable({ orders }: { orders: readonly Card[] }) {
  return (
    <table className="order-table">
      <thead>
        <tr>
          <th scope="col">Order</th>
          <th scope="col">For</th>
          <th scope="col">Due</th>
          <th scope="col">What</th>
          <th scope="col" className="end">
            Pieces
          </th>
          <th scope="col">State</th>
        </tr>
      </thead>
      <tbody>
        {orders.map((o) => (
          <tr key={o.id}>
            <th scope="row">
              <Link to={`/jobs/orders/${o.id}`}>{o.number}</Link>
            </th>
            <td className="cut" title={o.customer}>
              {o.customer || '–'}
            </td>
            <td className="when">{o.due ? dayWords(o.due) : '–'}</td>
            <td className="cut" title={o.offers.join(', ')}>
              {o.offers.join(', ') || '–'}
            </td>
            <td className="end">{o.pieces}</td>
            <td>
              <State order={o} />
            </td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}

function State({ order: o }: { order: Card }) {
  if (o.state === 'taken' && o.jobId) return <Link to={`/jobs/${o.jobId}`}>its job</Link>;
  if (o.state === 'takenInPart' && !o.trouble) return <span className="look">▲ what was left can be taken</span>;
  if (o.state === 'aside') return <span className="soft">put aside</span>;
  const stopped = o.lines - o.takeable;
  return (
    <>
      {o.state === 'corrected' && (
        <span className="look">
          ▲{' '}
          {o.changes > 0
            ? `${o.changes} ${o.changes === 1 ? 'line differs' : 'lines differ'} since it was taken`
            : 'changed since it was taken'}
        </span>
      )}
      {o.trouble && (
        <span className="trouble" title={stopped > 1 ? `and ${stopped - 1} more` : undefined}>
          {o.state === 'corrected' && '; '}
          {o.state === 'takenInPart' && o.changes > 0 && `${o.changes} more can be taken; `}
          <Words of={o.trouble} />
          {stopped > 1 && <span className="soft"> and {stopped - 1} more</span>}
        </span>
      )}
      {o.state === 'waiting' && !o.trouble && <span className="soft">can be taken</span>}
    </>
  );
}
