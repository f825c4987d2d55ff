import type { Schemas } from '../api/client';
import { LengthField } from '../units/LengthField';
import { useEcho } from '../units/useEcho';

interface Props {
  label: string;
  value: Schemas['MotifLength'];
  problem?: Schemas['Phrase'];
  onChange: (value: Schemas['MotifLength']) => void;
}

/** A length of a motif, with a switch whether it follows the fit (↔) or stays as typed (■). */
export function MotifLengthField({ label, value, problem, onChange }: Props) {
  const echo = useEcho(value.typed, 'margin', problem);
  const follows = value.scaling === 'proportional';
  return (
    <div className="motif-length">
      <LengthField label={label} value={value.typed} echo={echo} onChange={(typed) => onChange({ ...value, typed })} />
      <button
        type="button"
        className="quiet scaling"
        aria-pressed={!follows}
        aria-label={`${label} ${follows ? 'follows the fit' : 'stays as typed'}`}
        title={follows ? 'Follows the fit' : 'Stays as typed on the finished piece'}
        onClick={() => onChange({ ...value, scaling: follows ? 'fixed' : 'proportional' })}
      >
        {follows ? '↔' : '■'}
      </button>
    </div>
  );
}
