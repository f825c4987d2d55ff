import { Form } from 'react-bootstrap';
import { Link, useNavigate, useParams } from 'react-router';
import type { Schemas } from '../api/client';
import { documentSource, removalOf } from '../api/documents';
import { useDocument } from '../api/useDocument';
import { useRemoval } from '../api/useRemoval';
import { PriceFields } from '../costs/PriceFields';
import { Check } from '../fields/Choice';
import { Conflict, TitleRow, Waiting } from '../frame/TitleRow';
import { SetUpCards } from '../run/SetUpCards';
import { Words } from '../units/Words';
import { NamesCard } from './NamesCard';

/** What is sold: its names, its price, and how it is made. */
export function OfferPage() {
  const { id = '' } = useParams();
  return <Offering key={id} id={id} />;
}

const NO_LIST: Schemas['RunList'] = { namesTyped: '', pieces: [], columns: [], hasHeading: false, away: [] };

function Offering({ id }: { id: string }) {
  const go = useNavigate();
  const offer = useDocument(
    documentSource('offers', id, { key: ['offer', id], of: (v) => v.offer, touches: [['offers'], ['orders']], previews: true }),
  );
  const remove = useRemoval({
    name: offer.document?.name ?? '',
    settled: offer.settled,
    ...removalOf('offers', id),
    onGone: () => void go('/jobs/offers'),
  });
  const { view, document, edit } = offer;
  if (!view || !document) return <Waiting error={offer.error} undo={offer.undo} />;
  const { setUp } = document;
  const editSetUp = (change: (s: Schemas['RunSetUp']) => Schemas['RunSetUp']) => edit((o) => ({ ...o, setUp: change(o.setUp) }));
  const steps = setUp.steps.length;
  return (
    <div className="page">
      <TitleRow
        title={
          <Form.Control
            className="title-field"
            aria-label="Name of the offer"
            value={document.name}
            onChange={(e) => edit((o) => ({ ...o, name: e.target.value }))}
          />
        }
        about={<Link to="/jobs/offers">All offers</Link>}
        undo={offer.undo}
        redo={offer.redo}
        past={`/past/offer/${id}`}
      >
        <button type="button" className="btn btn-sm btn-line" onClick={() => remove.mutate()}>
          Remove the offer
        </button>
      </TitleRow>
      <Conflict words={offer.conflict} takeTheirs={offer.takeTheirs} keepMine={offer.keepMine} />
      <div className="set-up offer-page">
        <SetUpCards
          view={view.run}
          setUp={setUp}
          columns={view.fields}
          edit={editSetUp}
          editRun={(change) => editSetUp((s) => change({ setUp: s, list: NO_LIST, verdicts: { said: {}, shown: null } }).setUp)}
        />
        <div className="column">
          <NamesCard offer={document} notes={view.notes} edit={edit} />
          <section className="card" aria-label="What an order says">
            <h2>What an order says</h2>
            <p>
              {view.fields.length === 0 ? (
                'Nothing: every piece is the same.'
              ) : (
                <>
                  {view.fields.length === 1 ? 'A column for ' : 'A column each for '}
                  <b>{view.fields.join(', ')}</b>, and how many.
                </>
              )}
            </p>
            <p className="soft small">
              Runs of it are made {steps > 0 ? `by its own ${steps} steps` : 'by the steps that its film and goods ask for'}. Everything is
              taken as it is on the day: a newer blank, motif or film is used from the next order on.
            </p>
          </section>
          <section className="card" aria-label="Price">
            <h2>Price</h2>
            <PriceFields
              price={setUp.price}
              problems={view.notes.filter((n) => n.fields.length > 0)}
              onPrice={(price) => editSetUp((s) => ({ ...s, price }))}
            />
          </section>
          <section className="card" aria-label="Care note">
            <h2>Care note</h2>
            <Form.Control
              as="textarea"
              rows={4}
              maxLength={600}
              aria-label="What the care note says"
              placeholder="Empty for the words that film and goods ask for"
              value={setUp.care}
              onChange={(e) => editSetUp((s) => ({ ...s, care: e.target.value }))}
            />
          </section>
          {view.run.lacks.length > 0 && (
            <section className="card" aria-label="What it lacks">
              <h2>
                Before it can be made<span className="look small">▲</span>
              </h2>
              {view.run.lacks.map((l, i) => (
                <p key={i} className="finding">
                  <Words of={l.message} />
                </p>
              ))}
            </section>
          )}
          <Check label="It is sold no more" value={document.isRetired} onChange={(isRetired) => edit((o) => ({ ...o, isRetired }))} />
        </div>
      </div>
    </div>
  );
}
