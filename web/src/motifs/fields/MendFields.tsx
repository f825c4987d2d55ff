import type { Schemas } from '../../api/client';
import { LengthField } from '../../units/LengthField';
import { useEcho } from '../../units/useEcho';
import type { Graphic, Lettering } from '../parts';

type Mending = Schemas['InkMending'];

const FIELDS = [
  ['dots', 'mendDots', 'Leave out dots under', 'none are left out'],
  ['counters', 'mendCounters', 'Fill counters under', 'none are filled'],
  ['tips', 'mendTips', 'Round tips thinner than', 'none are rounded'],
] as const;

interface Props {
  part: Lettering | Graphic;
  problem: (field: string) => Schemas['Phrase'] | undefined;
  onChange: (part: Lettering | Graphic) => void;
}

/** What is done to a part's ink so that it can be cut, in millimetres of the finished piece. */
export function MendFields({ part, problem, onChange }: Props) {
  return (
    <>
      {FIELDS.map(([key, field, label, usual]) => (
        <MendLength
          key={key}
          label={label}
          usual={usual}
          value={part.mending[key]}
          problem={problem(field)}
          onChange={(value) => onChange({ ...part, mending: { ...part.mending, [key]: value } satisfies Mending })}
        />
      ))}
    </>
  );
}

interface LengthProps {
  label: string;
  usual: string;
  value: Schemas['TypedLength'];
  problem?: Schemas['Phrase'];
  onChange: (value: Schemas['TypedLength']) => void;
}

function MendLength({ label, usual, value, problem, onChange }: LengthProps) {
  return <LengthField label={label} value={value} echo={useEcho(value, 'margin', problem)} usual={usual} onChange={onChange} />;
}
