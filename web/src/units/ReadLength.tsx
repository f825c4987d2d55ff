import type { Schemas } from '../api/client';
import { LengthField } from './LengthField';
import { useReading } from './useEcho';

interface Props {
  label: string;
  value: Schemas['TypedLength'];
  range: Schemas['RangeName'];
  onChange: (value: Schemas['TypedLength']) => void;
}

/** A length that is read by itself as it is typed, with what was understood or what is wrong with it. */
export function ReadLength({ label, value, range, onChange }: Props) {
  return <LengthField label={label} value={value} echo={useReading(value, range)} onChange={onChange} />;
}
