import { Form } from 'react-bootstrap';
import type { Schemas } from '../api/client';
import { Words } from '../units/Words';

type Price = Schemas['RunPrice'];

interface Props {
  price: Price;
  problems: readonly Schemas['Finding'][];
  onPrice: (price: Price) => void;
}

/** What of a run's price is typed: what was agreed, what a blank costs, what goes with each piece. */
export function PriceFields({ price, problems, onPrice }: Props) {
  const problem = (field: string) => problems.find((p) => p.fields.includes(field))?.message;
  const amount = (label: string, value: string, usual: string, field: string, onChange: (typed: string) => void) => (
    <label>
      {label}
      <Form.Control
        size="sm"
        maxLength={20}
        value={value}
        placeholder={usual}
        isInvalid={!!problem(field)}
        onChange={(e) => onChange(e.target.value)}
      />
      <Said of={problem(field)} />
    </label>
  );
  const extra = (at: number, change: Partial<Schemas['Extra']>) =>
    onPrice({ ...price, extras: price.extras.map((e, i) => (i === at ? { ...e, ...change } : e)) });
  return (
    <>
      <div className="stock-fields">
        {amount('Agreed, a piece', price.agreed, 'as it comes to', 'price.agreed', (agreed) => onPrice({ ...price, agreed }))}
        {amount('A plain blank', price.blank, 'as on the shelf', 'price.blank', (blank) => onPrice({ ...price, blank }))}
      </div>
      {price.extras.map((e, i) => (
        <div key={i} className="extra">
          <Form.Control
            size="sm"
            aria-label={`Extra ${i + 1}`}
            placeholder="What goes with it?"
            value={e.name}
            onChange={(x) => extra(i, { name: x.target.value })}
          />
          <Form.Control
            size="sm"
            maxLength={20}
            aria-label={`What ${e.name || `extra ${i + 1}`} costs`}
            placeholder="each"
            value={e.each}
            isInvalid={!!problem(`price.extras.${i}`)}
            onChange={(x) => extra(i, { each: x.target.value })}
          />
          <button
            type="button"
            className="quiet"
            aria-label={`Remove ${e.name || `extra ${i + 1}`}`}
            onClick={() => onPrice({ ...price, extras: price.extras.filter((_, at) => at !== i) })}
          >
            ✕
          </button>
          <Said of={problem(`price.extras.${i}`)} />
        </div>
      ))}
      <p>
        <button
          type="button"
          className="quiet"
          disabled={price.extras.length >= 20}
          onClick={() => onPrice({ ...price, extras: [...price.extras, { name: '', each: '' }] })}
        >
          Add what goes with each piece
        </button>
      </p>
    </>
  );
}

function Said({ of }: { of?: Schemas['Phrase'] }) {
  if (!of) return null;
  return (
    <span className="echo problem">
      <Words of={of} />
    </span>
  );
}
