import { useState } from 'react';
import { Form } from 'react-bootstrap';
import { MM_PER_INCH } from '../units/units';
import { useUnits } from '../units/UnitsContext';

/** A place as a figure in the unit in force; taken when it is left or Enter is pressed. */
export function PlaceField({ label, mm, onPlace }: { label: string; mm: number; onPlace: (mm: number) => void }) {
  const { units } = useUnits();
  const [typed, setTyped] = useState<string>();
  const shown = units.unit === 'mm' ? mm.toFixed(1) : (mm / MM_PER_INCH).toFixed(3);
  const take = () => {
    const value = Number((typed ?? '').replace(',', '.'));
    if (typed !== undefined && typed.trim() !== '' && Number.isFinite(value) && typed !== shown)
      onPlace(units.unit === 'mm' ? value : value * MM_PER_INCH);
    setTyped(undefined);
  };
  return (
    <Form.Control
      size="sm"
      className="place-field"
      inputMode="decimal"
      aria-label={label}
      value={typed ?? shown}
      isInvalid={typed !== undefined && !Number.isFinite(Number(typed.replace(',', '.')))}
      onChange={(e) => setTyped(e.target.value)}
      onBlur={take}
      onKeyDown={(e) => e.key === 'Enter' && take()}
    />
  );
}
