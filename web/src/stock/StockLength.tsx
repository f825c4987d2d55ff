import type { Schemas } from '../api/client';
import { LengthField } from '../units/LengthField';
import { useEcho } from '../units/useEcho';

interface Props {
  label: string;
  value: Schemas['TypedLength'];
  problem?: Schemas['Phrase'];
  /** What it is while nothing is typed. */
  usual?: string;
  onChange: (value: Schemas['TypedLength']) => void;
}

/** A length of the stock, echoed as understood. */
export function StockLength({ label, value, problem, usual, onChange }: Props) {
  return <LengthField label={label} value={value} echo={useEcho(value, 'margin', problem)} usual={usual} onChange={onChange} />;
}
