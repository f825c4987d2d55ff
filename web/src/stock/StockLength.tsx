import { useQuery } from '@tanstack/react-query';
import { answer, api, type Schemas } from '../api/client';
import { LengthField } from '../units/LengthField';

interface Props {
  label: string;
  value: Schemas['TypedLength'];
  problem?: Schemas['Phrase'];
  onChange: (value: Schemas['TypedLength']) => void;
}

/** A length of the stock, echoed as understood. */
export function StockLength({ label, value, problem, onChange }: Props) {
  const { data } = useQuery({
    queryKey: ['length', value.text, value.unit],
    queryFn: () => answer(api.GET('/api/lengths', { params: { query: { text: value.text, unit: value.unit ?? 'millimetre', range: 'object' } } })),
    staleTime: Infinity,
  });
  return <LengthField label={label} value={value} echo={{ millimetres: data?.millimetres ?? null, problem: problem ?? null }} onChange={onChange} />;
}
