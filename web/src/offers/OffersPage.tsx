import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { Button, Form } from 'react-bootstrap';
import { Link, useNavigate } from 'react-router';
import { answer, api, type Schemas } from '../api/client';
import { BrokenCards } from '../frame/BrokenCards';
import { TitleRow, Waiting } from '../frame/TitleRow';

/** What the workshop sells, and what orders call it. */
export function OffersPage() {
  const { data, error } = useQuery({ queryKey: ['offers'], queryFn: () => answer(api.GET('/api/offers')) });
  if (!data) return <Waiting error={error} />;
  return (
    <div className="page">
      <TitleRow title="Offers" about="What is sold: orders name it, and each becomes a run that is made so">
        <Link to="/jobs/orders" className="btn btn-sm btn-line">
          Orders
        </Link>
      </TitleRow>
      <BrokenCards kind="offers" of={data.broken} />
      {data.cards.length + data.broken.length === 0 && (
        <div className="empty">
          <p>Nothing is offered yet. An offer says how a thing is made: blank, zone, motif, film, cutter, how large, its price.</p>
          <p>Begin one here, or open a run that is made the right way and make an offer of it there.</p>
        </div>
      )}
      <div className="offers">
        {data.cards.length > 0 && (
          <table className="offer-table">
            <thead>
              <tr>
                <th scope="col">Offer</th>
                <th scope="col">Article</th>
                <th scope="col">On</th>
                <th scope="col">Motif</th>
                <th scope="col">Film</th>
                <th scope="col" className="end">
                  Agreed price
                </th>
                <th scope="col">State</th>
              </tr>
            </thead>
            <tbody>
              {data.cards.map((o) => (
                <OfferRow key={o.id} view={o} />
              ))}
            </tbody>
          </table>
        )}
        <NewOffer />
      </div>
    </div>
  );
}

function OfferRow({ view }: { view: Schemas['OfferView'] }) {
  const { offer, run } = view;
  const state = offer.isRetired ? 'sold no more' : run.lacks.length > 0 ? '▲ not complete' : 'can be ordered';
  return (
    <tr>
      <th scope="row">
        <Link to={`/jobs/offers/${view.id}`}>{offer.name || 'Without a name'}</Link>
      </th>
      <td>{offer.code || '–'}</td>
      <td>{run.blank?.name ?? '–'}</td>
      <td>{run.motif?.name ?? '–'}</td>
      <td>{run.film?.name ?? '–'}</td>
      <td className="end">{offer.setUp.price.agreed || 'as it comes to'}</td>
      <td className={run.lacks.length > 0 ? 'look' : 'soft'}>{state}</td>
    </tr>
  );
}

function NewOffer() {
  const [name, setName] = useState('');
  const go = useNavigate();
  const cache = useQueryClient();
  const add = useMutation({
    mutationFn: () => answer(api.POST('/api/offers', { body: { name: name.trim(), runId: null } })),
    onSuccess: (o) => {
      void cache.invalidateQueries({ queryKey: ['offers'] });
      void go(`/jobs/offers/${o.id}`);
    },
  });
  return (
    <Form
      className="new-run"
      onSubmit={(e) => {
        e.preventDefault();
        if (name.trim()) add.mutate();
      }}
    >
      <Form.Control
        size="sm"
        aria-label="Name of the offer"
        placeholder="What is sold?"
        value={name}
        onChange={(e) => setName(e.target.value)}
      />
      <Button type="submit" size="sm" variant="main" disabled={!name.trim() || add.isPending}>
        Add an offer
      </Button>
      {add.error && <p className="echo problem">{add.error.message}</p>}
    </Form>
  );
}
