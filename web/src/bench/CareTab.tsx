import { useQuery } from '@tanstack/react-query';
import { useId, useState } from 'react';
import { Form } from 'react-bootstrap';
import { Link } from 'react-router';
import { answer, api } from '../api/client';
import { Check, Choice, NumberField } from '../fields/Choice';
import { Words } from '../units/Words';

type Paper = 'a4' | 'letter';

interface Props {
  id: string;
  /** The maker's own words; empty for those that are offered. */
  care: string;
  /** Tells that the run was saved, so that the words are asked for again. */
  revision: number;
  first: string;
  onCare: (care: string) => void;
}

const MOST_LETTERS = 600;

/** The care note of a run: what it says to the customer, and cards of it to be packed. */
export function CareTab({ id, care, revision, first, onCare }: Props) {
  const field = useId();
  const [paper, setPaper] = useState<Paper>('a4');
  const [named, setNamed] = useState(false);
  const [wanted, setWanted] = useState<number>();
  const { data, error } = useQuery({
    queryKey: ['bench', id, 'care', revision],
    queryFn: () => answer(api.GET('/api/runs/{id}/care', { params: { path: { id } } })),
    placeholderData: (d) => d,
  });
  if (!data)
    return (
      <p className="page soft" role="status">
        {error ? error.message : 'One moment …'}
      </p>
    );
  const own = care
    .split('\n')
    .map((l) => l.trim())
    .filter(Boolean);
  const lines = own.length > 0 ? own : data.offered;
  const cards = named ? data.cards : (wanted ?? data.cards);
  const pages = Math.ceil(cards / data.onPage[paper]);
  const address = new URLSearchParams({ paper, named: String(named), ...(named ? {} : { cards: String(cards) }) });
  return (
    <div className="cost-tab">
      <section className="card" aria-label="Care note">
        <h2>
          Care note<span className="hint">packed with each piece</span>
        </h2>
        <article className="care-card" aria-label="The card">
          {(data.workshop || data.contact) && (
            <header>
              <b>{data.workshop}</b>
              <span>{data.contact}</span>
            </header>
          )}
          {named && <h3>{first || 'A name'}</h3>}
          {lines.map((l, i) => (
            <p key={i}>{l}</p>
          ))}
        </article>
        {!data.workshop && (
          <p className="soft small">
            It stands under the name of the workshop once <Link to="/stock">the stock</Link> has it.
          </p>
        )}
        {data.problem && (
          <p className="finding">
            <Words of={data.problem} />
          </p>
        )}
      </section>
      <div className="column">
        <section className="card" aria-label="In your own words">
          <h2>In your own words</h2>
          <Form.Label htmlFor={field} className="visually-hidden">
            What the note says
          </Form.Label>
          <Form.Control
            as="textarea"
            id={field}
            rows={7}
            maxLength={MOST_LETTERS}
            placeholder={data.offered.join('\n')}
            value={care}
            onChange={(e) => onCare(e.target.value)}
          />
          <p className="soft small">
            {care.trim() ? (
              <button type="button" className="quiet" onClick={() => onCare('')}>
                Back to the words that film and goods ask for
              </button>
            ) : (
              <button type="button" className="quiet" disabled={data.offered.length === 0} onClick={() => onCare(data.offered.join('\n'))}>
                Begin with these
              </button>
            )}{' '}
            {care.length > MOST_LETTERS - 100 && `${MOST_LETTERS - care.length} letters are left.`}
          </p>
        </section>
        <section className="card" aria-label="Print them">
          <h2>
            Print them
            <span className="soft small" role="status">
              {cards} {cards === 1 ? 'card' : 'cards'} on {pages} {pages === 1 ? 'page' : 'pages'}
            </span>
          </h2>
          <Check label="With the name of each piece" value={named} onChange={setNamed} />
          {!named && <NumberField label="Cards" value={cards} min={1} max={2000} wrong={cards < 1 || cards > 2000} onChange={setWanted} />}
          <Choice
            label="Paper"
            value={paper}
            of={[
              ['a4', 'A4'],
              ['letter', 'Letter'],
            ]}
            onChange={setPaper}
          />
          <p>
            <a
              className={`btn btn-sm btn-main${lines.length > 0 && cards >= 1 && cards <= 2000 ? '' : ' disabled'}`}
              href={`/api/runs/${id}/care/file?${address.toString()}`}
              download
            >
              Cards as a PDF
            </a>
          </p>
          <p className="soft small">Print at full size and cut along the lines: a card is 85 by 55 mm.</p>
        </section>
      </div>
    </div>
  );
}
