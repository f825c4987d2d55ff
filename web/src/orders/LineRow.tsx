import { useState } from 'react';
import { Form } from 'react-bootstrap';
import type { Schemas } from '../api/client';
import { Words } from '../units/Words';
import { LearnName } from './LearnName';

type Line = Schemas['OrderLine'];

interface Props {
  at: number;
  line: Line;
  read?: Schemas['OrderLineView'];
  fields: readonly string[];
  offers: readonly Schemas['OfferView'][];
  onLine: (line: Line) => void;
  onRemove: () => void;
}

/** A line of an order: its offer as it came or as it was chosen, its fields, how many. */
export function LineRow({ at, line, read, fields, offers, onLine, onRemove }: Props) {
  const nth = `line ${at + 1}`;
  const [called, setCalled] = useState('');
  const chosen = offers.find((o) => o.offer.name === line.offer);
  const known = chosen !== undefined;
  return (
    <>
      <tr className={read?.mayBeTaken === false ? 'stopped' : ''}>
        <td className="end soft">{at + 1}</td>
        <td>
          <Form.Select
            size="sm"
            aria-label={`Offer of ${nth}`}
            value={line.offer}
            isInvalid={read?.offerId === ''}
            onChange={(e) => {
              // What no offer is called yet may become one of its names.
              if (read?.offerId === '' && line.offer.trim()) setCalled(line.offer.trim());
              onLine({ ...line, offer: e.target.value });
            }}
          >
            {!known && <option value={line.offer}>{line.offer ? said(line.offer, read?.offer) : 'choose …'}</option>}
            {offers
              .filter((o) => !o.offer.isRetired || o.offer.name === line.offer)
              .map((o) => (
                <option key={o.id} value={o.offer.name}>
                  {o.offer.name}
                </option>
              ))}
          </Form.Select>
          {called && chosen && <LearnName called={called} offer={chosen} onDone={() => setCalled('')} />}
        </td>
        {fields.map((f) => (
          <td key={f}>
            <Form.Control
              size="sm"
              aria-label={`${f} of ${nth}`}
              value={line.fields[f] ?? ''}
              disabled={read !== undefined && read.offerId !== '' && !read.fields.includes(f) && !line.fields[f]}
              onChange={(e) => onLine({ ...line, fields: withField(line.fields, f, e.target.value) })}
            />
          </td>
        ))}
        <td>
          <Form.Control
            size="sm"
            className="narrow"
            maxLength={40}
            placeholder="1"
            aria-label={`How many of ${nth}`}
            value={line.quantity}
            onChange={(e) => onLine({ ...line, quantity: e.target.value })}
          />
        </td>
        <td>
          <button type="button" className="quiet" aria-label={`Remove ${nth}`} onClick={onRemove}>
            Remove
          </button>
        </td>
      </tr>
      {read && read.notes.length > 0 && (
        <tr className="line-notes">
          <td />
          <td colSpan={fields.length + 3}>
            {read.notes.map((n, i) => (
              <p key={i} className={n.severity === 'stop' ? 'echo problem' : 'echo'}>
                {n.severity === 'stop' && '▲ '}
                <Words of={n.message} />
              </p>
            ))}
          </td>
        </tr>
      )}
    </>
  );
}

/** An article number with the offer it means. */
const said = (typed: string, offer: string | undefined) => (offer && offer !== typed ? `${offer} (${typed})` : typed);

function withField(fields: Line['fields'], field: string, value: string): Line['fields'] {
  if (value !== '') return { ...fields, [field]: value };
  return Object.fromEntries(Object.entries(fields).filter(([f]) => f !== field));
}
