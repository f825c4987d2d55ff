import type { Schemas } from '../api/client';
import { LengthField } from './LengthField';
import { useEcho } from './useEcho';

interface Props {
  label: string;
  value: Schemas['TypedLength'];
  problem?: Schemas['Phrase'];
  /** What it is while nothing is typed. */
  usual?: string;
  onChange: (value: Schemas['TypedLength']) => void;
}

/** A length that has a usual value, echoed as understood; its document tells what is wrong in it. */
export function UsualLength({ label, value, problem, usual, onChange }: Props) {
  return <LengthField label={label} value={value} echo={useEcho(value, 'margin', problem)} usual={usual} onChange={onChange} />;
}
