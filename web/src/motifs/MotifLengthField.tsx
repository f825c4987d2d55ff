import type { Schemas } from '../api/client';
import { LengthField } from '../units/LengthField';
import { useEcho } from '../units/useEcho';

type Scaling = Schemas['Scaling'];

interface Props {
  label: string;
  value: Schemas['MotifLength'];
  range?: Schemas['RangeName'];
  problem?: Schemas['Phrase'];
  onChange: (value: Schemas['MotifLength']) => void;
}

const SIGNS: Record<Scaling, string> = { proportional: '↔', fixed: '■', equal: '≡' };
const WORDS: Record<Scaling, string> = { proportional: 'follows the fit', fixed: 'stays as typed', equal: 'is equal across the set' };
const NEXT: Record<Scaling, Scaling> = { proportional: 'fixed', fixed: 'equal', equal: 'proportional' };

/** A length of a motif, with a switch whether it follows the fit (↔), stays as typed (■), or is equal across the set (≡). */
export function MotifLengthField({ label, value, range = 'margin', problem, onChange }: Props) {
  const echo = useEcho(value.typed, range, problem);
  return (
    <div className="motif-length">
      <LengthField label={label} value={value.typed} echo={echo} onChange={(typed) => onChange({ ...value, typed })} />
      <button
        type="button"
        className="quiet scaling"
        aria-label={`${label} ${WORDS[value.scaling]}`}
        title={`${label} ${WORDS[value.scaling]}`}
        onClick={() => onChange({ ...value, scaling: NEXT[value.scaling] })}
      >
        {SIGNS[value.scaling]}
      </button>
    </div>
  );
}
