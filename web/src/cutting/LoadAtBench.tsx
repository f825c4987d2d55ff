import { useQuery } from '@tanstack/react-query';
import { Link } from 'react-router';
import { answer, api } from '../api/client';
import { LoadStages } from '../making/LoadStages';
import { StageBar } from '../making/StageBar';

/** How far what lies on a released load is, run by run, and ticked all at once. */
export function LoadAtBench({ id, name, revision }: { id: string; name: string; revision: number }) {
  const { data } = useQuery({
    queryKey: ['load bench', id, revision],
    queryFn: () => answer(api.GET('/api/loads/{id}/bench', { params: { path: { id } } })),
    placeholderData: (d) => d,
  });
  if (!data || data.runs.length === 0) return null;
  return (
    <section className="card" aria-label="At the bench">
      <h2>At the bench</h2>
      <LoadStages loadId={id} name={name} stage={data.stage} isCut={data.isCut} />
      {data.runs.map((r) => (
        <div key={r.id} className="load-tick">
          <Link to={`/runs/${r.id}/bench`}>{r.name || 'Without a name'}</Link>
          <StageBar pieces={r.pieces} />
          {r.waits > 0 && (
            <span className="look small">
              ▲ {r.waits} {r.waits === 1 ? 'waits' : 'wait'} for another load
            </span>
          )}
        </div>
      ))}
    </section>
  );
}
