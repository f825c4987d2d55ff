import type { Schemas } from '../api/client';
import { figure, length } from '../units/units';
import { useUnits } from '../units/UnitsContext';
import { Words } from '../units/Words';

interface Props {
  found?: Schemas['TraceView'];
  looking: boolean;
  error: Error | null;
  next: string;
  chosen: number;
  onChoose: (index: number) => void;
}

/** The outlines found, largest first; one of them becomes the blank's. */
export function FoundCard({ found, looking, error, next, chosen, onChoose }: Props) {
  const { units } = useUnits();
  return (
    <section className="card" aria-label="Outlines found" aria-live="polite">
      <h2>
        Outlines found<span className="count">{looking ? 'looking …' : found ? found.outlines.length : ''}</span>
      </h2>
      {next && <p className="finding">{next}</p>}
      {error && !next && <p className="finding stop">{error.message}</p>}
      {found?.notes.map((n, i) => (
        <p key={i} className="finding">
          <Words of={n} />
        </p>
      ))}
      <div className="found-list" role="radiogroup" aria-label="Outline to use">
        {found?.outlines.map((o, i) => (
          <label key={i} className={o.problem ? 'found-row unusable' : i === chosen ? 'found-row here' : 'found-row'}>
            <input type="radio" name="outline" checked={i === chosen && !o.problem} disabled={!!o.problem} onChange={() => onChoose(i)} />
            <span>
              <strong>
                {figure(o.width, units)} × {figure(o.height, units)}
              </strong>{' '}
              ± {figure(found.uncertainty, units, 2)}
              <span className="soft">
                {' '}
                {o.isLine ? `drawn with a line ${length(o.lineWidth ?? 0, units, 2)} wide` : 'filled'}
                {o.holes > 0 && `, ${o.holes} ${o.holes === 1 ? 'hole' : 'holes'}`}
              </span>
              {o.notes.map((n, j) => (
                <span key={j} className="echo">
                  <Words of={n} />
                </span>
              ))}
              {o.problem && (
                <span className="echo problem">
                  <Words of={o.problem} />
                </span>
              )}
            </span>
          </label>
        ))}
      </div>
    </section>
  );
}
