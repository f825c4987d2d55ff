import { Form } from 'react-bootstrap';
import type { Schemas } from '../api/client';
import { Words } from '../units/Words';

type Offer = Schemas['Offer'];

interface Props {
  offer: Offer;
  notes: readonly Schemas['Finding'][];
  edit: (change: (offer: Offer) => Offer) => void;
}

/** What orders call an offer: its article number, and other names, one a line. */
export function NamesCard({ offer, notes, edit }: Props) {
  return (
    <section className="card" aria-label="What orders call it">
      <h2>
        What orders call it<span className="hint">beside its name</span>
      </h2>
      <label className="wide-field">
        Article number
        <Form.Control size="sm" maxLength={300} value={offer.code} onChange={(e) => edit((o) => ({ ...o, code: e.target.value }))} />
      </label>
      <label className="wide-field">
        Other names, one a line
        <Form.Control
          as="textarea"
          size="sm"
          rows={Math.max(2, offer.alsoCalled.length)}
          spellCheck={false}
          value={offer.alsoCalled.join('\n')}
          onChange={(e) => edit((o) => ({ ...o, alsoCalled: e.target.value === '' ? [] : e.target.value.split('\n').slice(0, 60) }))}
        />
      </label>
      {notes
        .filter((n) => n.fields.length === 0)
        .map((n, i) => (
          <p key={i} className="finding">
            <Words of={n.message} />
          </p>
        ))}
    </section>
  );
}
