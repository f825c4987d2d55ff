import { useState } from 'react';
import type { Schemas } from '../api/client';
import { length } from '../units/units';
import { useUnits } from '../units/UnitsContext';
import { Words } from '../units/Words';
import { ghostSaid } from './ghostSaid';
import { effectSaid } from './effect';

/** How far a remedy reaches: one piece, or the motif and all that is made with it. */
export type Reach = 'piece' | 'motif';

interface Props {
  remedies: readonly Schemas['Remedy'][];
  reach: Reach;
  /** What the remedy that is pointed at would make of the piece, where that is shown. */
  ghost?: Schemas['GhostView'];
  onPoint: (remedy?: Schemas['Remedy']) => void;
  onMend: (remedyId: string) => void;
}

/** What would mend a finding, as buttons: pointed at, it says what it would change; clicked, it is done. What cannot work says why. */
export function Remedies({ remedies, reach, ghost, onPoint, onMend }: Props) {
  const { units } = useUnits();
  const [pointed, setPointed] = useState<Schemas['Remedy']>();
  const point = (remedy?: Schemas['Remedy']) => {
    setPointed(remedy);
    onPoint(remedy);
  };
  const offered = remedies.filter((r) => !r.refused && (r.scope === 'document' || r.scope === reach));
  const refused = remedies.filter((r) => r.refused);
  if (offered.length === 0 && refused.length === 0) return null;
  return (
    <div className="remedies">
      {offered.map((r) => (
        <button
          key={r.id}
          type="button"
          className="btn btn-sm btn-line"
          onClick={() => onMend(r.id)}
          onMouseEnter={() => point(r)}
          onMouseLeave={() => point()}
          onFocus={() => point(r)}
          onBlur={() => point()}
        >
          <Words of={r.words} />
        </button>
      ))}
      <span className="soft small" role="status">
        {pointed?.effect
          ? effectSaid(pointed.effect, (mm, digits) => length(mm, units, digits))
          : pointed && ghost && ghostSaid(ghost, (mm) => length(mm, units))}
        {pointed?.effect?.but && (
          <span className="but">
            {' '}
            But then: <Words of={pointed.effect.but} />
          </span>
        )}
      </span>
      {refused.length > 0 && (
        <details className="refused small">
          <summary>{refused.length === 1 ? 'One way does not work here' : `${refused.length} ways do not work here`}</summary>
          <ul>
            {refused.map((r) => (
              <li key={r.id}>
                <Words of={r.words} />: {r.refused && <Words of={r.refused} />}
              </li>
            ))}
          </ul>
        </details>
      )}
    </div>
  );
}
