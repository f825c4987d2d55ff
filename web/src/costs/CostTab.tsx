import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { Link } from 'react-router';
import { answer, api, type Schemas } from '../api/client';
import { NumberField } from '../fields/Choice';
import { Words } from '../units/Words';
import { money } from './money';
import { PriceFields } from './PriceFields';

/** What a run costs, sum by sum, what it is sold for, and what more of it would cost. */
export function CostTab({ id, jobId, price, onPrice }: Props) {
  const [more, setMore] = useState(1);
  const { data, error } = useQuery({
    queryKey: ['cost', id, more],
    queryFn: () => answer(api.GET('/api/runs/{id}/cost', { params: { path: { id }, query: { more } } })),
    placeholderData: keepPreviousData,
  });
  if (!data)
    return (
      <p className="page soft" role="status">
        {error ? 'It can be reckoned once the set-up is complete.' : 'Reckoning …'}
      </p>
    );
  const { cost, currency } = data;
  return (
    <div className="cost-tab">
      <section className="card" aria-label="Cost">
        <h2>
          What it costs
          {!cost.isWhole && <span className="look small">▲ prices are lacking: it costs more than this</span>}
        </h2>
        <table className="figures">
          <tbody>
            {cost.lines.map((l, i) => (
              <tr key={i} className={l.amount === null ? 'lacking' : ''}>
                <th scope="row">{l.what || 'Without a name'}</th>
                <td className="soft sum">
                  <Words of={l.sum} />
                </td>
                <td className="end">{l.amount === null ? '–' : money(l.amount, currency)}</td>
              </tr>
            ))}
            <Sum name="It costs" amount={cost.cost} currency={currency} />
            <Sum name="Overheads" sum={cost.overheadsSum} amount={cost.overheads} currency={currency} />
            <Sum name="Margin" sum={cost.marginSum} amount={cost.margin} currency={currency} />
            <Sum name="Together" amount={cost.price} currency={currency} />
          </tbody>
        </table>
        {data.offLoads > 0 && (
          <p className="finding">
            <b>
              {data.offLoads} {data.offLoads === 1 ? 'piece lies' : 'pieces lie'} on no load
            </b>
            : {data.offLoads === 1 ? 'its' : 'their'} film is not in it, and nothing is quoted for the run until a price is agreed.
          </p>
        )}
        <p className="soft small">
          Hours, tape, overheads and margin are noted in <Link to="/stock">the stock</Link>; films there, blanks on the shelf.
        </p>
      </section>
      <div className="column">
        <section className="card" aria-label="Price">
          <h2>Price</h2>
          <p className="price">
            <strong>{money(cost.each, currency)}</strong> a piece{cost.agreed ? ', as agreed' : ''}
          </p>
          {cost.earned !== null && (
            <p className={cost.earned < 0 ? 'finding' : 'soft'}>
              {cost.earned < 0 ? 'That loses ' : 'That leaves '}
              <b>{money(Math.abs(cost.earned), currency)}</b> {cost.earned < 0 ? 'on all of them.' : 'beyond cost and overheads.'}
            </p>
          )}
          <PriceFields price={price} problems={cost.problems} onPrice={onPrice} />
          <Link to={`/jobs/${jobId}/quotation`} className="btn btn-sm btn-line">
            Quotation for the job
          </Link>
        </section>
        <section className="card" aria-label="More of it">
          <h2>If more were ordered</h2>
          <NumberField label="How many more" value={more} min={0} max={10_000} onChange={(n) => setMore(Math.max(0, Math.round(n)))} />
          {cost.more.count > 0 && (
            <p role="status">
              {cost.more.count === 1 ? 'One more costs ' : `${cost.more.count} more cost `}
              <b>{money(cost.more.cost, currency)}</b> with overheads, and would be sold for <b>{money(cost.more.each, currency)}</b>
              {cost.more.count > 1 && ' each'}. All of them then come to {money(cost.more.eachOfAll, currency)} a piece. What is done once
              stays as it is.
            </p>
          )}
        </section>
      </div>
    </div>
  );
}

interface Props {
  id: string;
  jobId: string;
  price: Schemas['RunPrice'];
  onPrice: (price: Schemas['RunPrice']) => void;
}

function Sum({ name, sum, amount, currency }: { name: string; sum?: Schemas['Phrase']; amount: number; currency: string }) {
  return (
    <tr className="total">
      <th scope="row">{name}</th>
      <td className="soft sum">{sum && <Words of={sum} />}</td>
      <td className="end">{money(amount, currency)}</td>
    </tr>
  );
}
