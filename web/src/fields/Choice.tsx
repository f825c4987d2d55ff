import { useId, useState } from 'react';
import { Form } from 'react-bootstrap';

interface Props<T extends string> {
  label: string;
  value: T;
  /** What can be chosen, with its words. */
  of: readonly (readonly [T, string])[];
  wrong?: boolean;
  onChange: (value: T) => void;
}

/** One of a few words. */
export function Choice<T extends string>({ label, value, of, wrong = false, onChange }: Props<T>) {
  return (
    <label>
      {label}
      <Form.Select size="sm" value={value} isInvalid={wrong} onChange={(e) => onChange(e.target.value as T)}>
        {of.map(([key, words]) => (
          <option key={key} value={key}>
            {words}
          </option>
        ))}
      </Form.Select>
    </label>
  );
}

interface NumberProps {
  label: string;
  value: number;
  step?: number;
  min?: number;
  max?: number;
  wrong?: boolean;
  onChange: (value: number) => void;
}

/** A plain number; while what is typed is none it stays as typed and changes nothing. */
export function NumberField({ label, value, step = 1, min, max, wrong = false, onChange }: NumberProps) {
  const [typed, setTyped] = useState<string>();
  return (
    <label>
      {label}
      <Form.Control
        size="sm"
        type="number"
        className="narrow"
        step={step}
        min={min}
        max={max}
        value={typed ?? String(value)}
        isInvalid={wrong}
        onChange={(e: React.ChangeEvent<HTMLInputElement>) => {
          setTyped(e.target.value);
          if (e.target.value !== '' && Number.isFinite(Number(e.target.value))) onChange(Number(e.target.value));
        }}
        onBlur={() => setTyped(undefined)}
      />
    </label>
  );
}

/** Something that is so or not. */
export function Check({ label, value, onChange }: { label: string; value: boolean; onChange: (value: boolean) => void }) {
  const id = useId();
  return (
    <Form.Check type="checkbox" className="part-check" label={label} id={id} checked={value} onChange={(e) => onChange(e.target.checked)} />
  );
}
