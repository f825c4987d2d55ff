import type { Schemas } from '../api/client';
import { Words } from '../units/Words';

/** What of a blank wants looking at, most serious first. */
export function FindingsCard({ findings }: { findings: readonly Schemas['Finding'][] }) {
  const stops = findings.some((f) => f.severity === 'stop');
  return (
    <section className="card" aria-label="To look at" aria-live="polite">
      <h2>
        To look at<span className={stops ? 'count over' : 'count'}>{findings.length || 'nothing'}</span>
      </h2>
      {findings.map((f, i) => (
        <p key={i} className={f.severity === 'stop' ? 'finding stop' : 'finding'}>
          <Words of={f.message} />
        </p>
      ))}
    </section>
  );
}
