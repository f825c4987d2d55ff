import { useQuery } from '@tanstack/react-query';
import { answer, api, type Schemas } from '../api/client';
import { LengthField } from '../units/LengthField';

interface Props {
  label: string;
  value: Schemas['MotifLength'];
  problem?: Schemas['Phrase'];
  onChange: (value: Schemas['MotifLength']) => void;
}

/** A length of a motif, with a switch whether it follows the fit (↔) or stays as typed (■). */
export function MotifLengthField({ label, value, problem, onChange }: Props) {
  const { text, unit } = value.typed;
  const { data } = useQuery({
    queryKey: ['length', text, unit],
    queryFn: () => answer(api.GET('/api/lengths', { params: { query: { text, unit: unit ?? 'millimetre', range: 'margin' } } })),
    staleTime: Infinity,
  });
  const follows = value.scaling === 'proportional';
  return (
    <div className="motif-length">
      <LengthField label={label} value={value.typed} echo={{ millimetres: data?.millimetres ?? null, problem: problem ?? null }} onChange={(typed) => onChange({ ...value, typed })} />
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
