import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useRef } from 'react';
import { Link, useNavigate } from 'react-router';
import { answer, api, sendFile, type Schemas } from '../api/client';
import { BrokenCards } from '../frame/BrokenCards';
import { TitleRow, Waiting } from '../frame/TitleRow';
import { CameIn } from './CameIn';
import { OrderTable } from './OrderTable';
import { ShopCard } from './ShopCard';
import { TakeAll } from './TakeAll';

/** Orders that came in: those that wait, those that were corrected, and what became of the others. */
export function OrdersPage() {
  const { data, error } = useQuery({ queryKey: ['orders'], queryFn: () => answer(api.GET('/api/orders')) });
  if (!data) return <Waiting error={error} />;
  const of = (...states: Schemas['OrderState'][]) => data.cards.filter((o) => states.includes(o.state));
  const open = of('waiting', 'corrected');
  const left = of('takenInPart');
  return (
    <div className="page">
      <TitleRow title="Orders" about="What came in, until it is taken and becomes a job">
        <Link to="/jobs/offers" className="btn btn-sm btn-line">
          Offers
        </Link>
        <Link to="/jobs" className="btn btn-sm btn-line">
          To the jobs
        </Link>
      </TitleRow>
      <BrokenCards kind="orders" of={data.broken} />
      <div className="orders-layout">
        <div className="column">
          {data.cards.length === 0 && (
            <div className="empty">
              <p>No order yet. Bring in a file of a shop or a club (CSV, spreadsheet or JSON), fetch what the shop left, or type one.</p>
              <p>
                Its lines name <Link to="/jobs/offers">offers</Link>: what is sold, and how it is made.
              </p>
            </div>
          )}
          {open.length > 0 && (
            <section className="card" aria-label="To be taken">
              <h2>
                To be taken
                <TakeAll orders={open} />
              </h2>
              <OrderTable orders={open} />
            </section>
          )}
          {left.length > 0 && (
            <section className="card" aria-label="Taken in part">
              <h2>
                Taken in part<span className="hint">some lines could not be</span>
              </h2>
              <OrderTable orders={left} />
            </section>
          )}
          {data.cards.length > 0 && open.length + left.length === 0 && <p className="soft">All that came in is taken.</p>}
          <Folded name="Taken" orders={of('taken')} />
          <Folded name="Put aside" orders={of('aside')} />
        </div>
        <div className="column">
          <BringIn />
          <ShopCard />
          <TypeOne />
        </div>
      </div>
    </div>
  );
}

const MOST_SHOWN = 200;

function Folded({ name, orders }: { name: string; orders: readonly Schemas['OrderCard'][] }) {
  if (orders.length === 0) return null;
  return (
    <details className="card">
      <summary>
        {name} <span className="count">{orders.length}</span>
      </summary>
      {orders.length > MOST_SHOWN && <p className="soft small">The latest {MOST_SHOWN}. Find any by its number.</p>}
      <OrderTable orders={[...orders].reverse().slice(0, MOST_SHOWN)} />
    </details>
  );
}

function BringIn() {
  const file = useRef<HTMLInputElement>(null);
  const cache = useQueryClient();
  const bring = useMutation({
    mutationFn: (chosen: File) => sendFile<Schemas['OrdersIn']>(`/api/orders/file?name=${encodeURIComponent(chosen.name)}`, chosen),
    onSuccess: () => void cache.invalidateQueries({ queryKey: ['orders'] }),
  });
  return (
    <section className="card" aria-label="From a file">
      <h2>From a file</h2>
      <button type="button" className="btn btn-sm btn-main" disabled={bring.isPending} onClick={() => file.current?.click()}>
        Bring in orders
      </button>
      <input
        ref={file}
        type="file"
        accept=".csv,.tsv,.txt,.xlsx,.xls,.json"
        aria-label="File of orders"
        className="visually-hidden"
        tabIndex={-1}
        onChange={(e) => {
          const f = e.target.files?.[0];
          if (f) bring.mutate(f);
          e.target.value = '';
        }}
      />
      <p className="soft small">
        A row for each line, with columns such as order, customer, due, article, name, quantity. Without order numbers the whole list is one
        order.
      </p>
      {bring.isPending && <p role="status">Reading …</p>}
      {bring.data && <CameIn orders={bring.data} />}
      {bring.error && <p className="finding stop">{bring.error.message}</p>}
    </section>
  );
}

function TypeOne() {
  const go = useNavigate();
  const cache = useQueryClient();
  const add = useMutation({
    mutationFn: () => answer(api.POST('/api/orders', { body: { number: '', customer: '' } })),
    onSuccess: (o) => {
      void cache.invalidateQueries({ queryKey: ['orders'] });
      void go(`/jobs/orders/${o.id}`);
    },
  });
  return (
    <section className="card" aria-label="By hand">
      <h2>By hand</h2>
      <button type="button" className="btn btn-sm btn-line" disabled={add.isPending} onClick={() => add.mutate()}>
        Type an order
      </button>
      {add.error && <p className="echo problem">{add.error.message}</p>}
      <p className="soft small">
        How far every ordered piece is:{' '}
        <a href="/api/orders/pieces.csv" download>
          as a table
        </a>
      </p>
    </section>
  );
}
