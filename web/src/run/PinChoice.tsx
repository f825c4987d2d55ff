import { useId } from 'react';
import { Form } from 'react-bootstrap';
import type { Schemas } from '../api/client';
import { Words } from '../units/Words';

interface Props {
  label: string;
  pin: Schemas['Pin'] | null;
  view: Schemas['PinView'] | null;
  lack?: Schemas['Phrase'];
  choices?: { id: string; revision: number; name: string }[];
  onChange: (pin: Schemas['Pin'] | null) => void;
}

/** A choice from the shelf, the motifs or the stock. A run keeps what it chose as it was; a newer one is offered. */
export function PinChoice({ label, pin, view, lack, choices = [], onChange }: Props) {
  const id = useId();
  return (
    <div className="pin-choice">
      <Form.Label htmlFor={id}>{label}</Form.Label>
      <Form.Select
        id={id}
        size="sm"
        value={pin?.id ?? ''}
        isInvalid={!!lack && !!pin}
        onChange={(e) => {
          const chosen = choices.find((c) => c.id === e.target.value);
          onChange(chosen ? { id: chosen.id, revision: chosen.revision } : null);
        }}
      >
        <option value="">choose …</option>
        {choices.map((c) => (
          <option key={c.id} value={c.id}>
            {c.name || 'without a name'}
          </option>
        ))}
      </Form.Select>
      {typeof view?.newer === 'number' && pin && (
        <p className="newer">
          It was changed since this run took it.
          <button type="button" className="btn btn-sm btn-line" onClick={() => onChange({ id: pin.id, revision: view.newer as number })}>
            Take it as it is now
          </button>
        </p>
      )}
      {lack && (
        <p className={pin ? 'echo problem' : 'echo'}>
          <Words of={lack} />
        </p>
      )}
    </div>
  );
}
