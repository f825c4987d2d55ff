import type { ReactNode } from 'react';
import { Form } from 'react-bootstrap';
import { Link } from 'react-router';

interface Props {
  /** What the field of the name is called. */
  label: string;
  name: string;
  onName: (name: string) => void;
  undo: () => void;
  /** Where it is told what it was. */
  past: string;
  /** What uses it: it cannot be removed then. */
  usedBy: readonly string[];
  remove: () => void;
  /** What stands before the name. */
  children?: ReactNode;
}

/** The head of a card of the stock: its name, one step back, and away with it. */
export function StockHead({ label, name, onName, undo, past, usedBy, remove, children }: Props) {
  return (
    <div className="stock-name">
      {children}
      <Form.Control size="sm" aria-label={label} value={name} isInvalid={!name.trim()} onChange={(e) => onName(e.target.value)} />
      <button type="button" className="quiet" onClick={undo}>
        Undo
      </button>
      <Link to={past} className="quiet" aria-label={`The past of ${name}`}>
        Past
      </Link>
      <button
        type="button"
        className="quiet"
        disabled={usedBy.length > 0}
        title={usedBy.length ? `Used by ${usedBy.join(', ')}` : undefined}
        aria-label={`Remove ${name}`}
        onClick={remove}
      >
        ✕
      </button>
    </div>
  );
}
