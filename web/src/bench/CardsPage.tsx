import { useQueries, useQuery } from '@tanstack/react-query';
import { Link, useParams } from 'react-router';
import { answer, api } from '../api/client';
import { TitleRow, Waiting } from '../frame/TitleRow';
import { BenchCard } from './BenchCard';

/** The cards of a job, one after another: a page for each run. */
export function CardsPage() {
  const { id = '' } = useParams();
  const job = useQuery({ queryKey: ['job', id], queryFn: () => answer(api.GET('/api/jobs/{id}', { params: { path: { id } } })) });
  const runs = job.data?.runs ?? [];
  const cards = useQueries({
    queries: runs.map((r) => ({
      queryKey: ['bench', r.id],
      queryFn: () => answer(api.GET('/api/runs/{id}/bench', { params: { path: { id: r.id } } })),
    })),
  });
  if (!job.data) return <Waiting error={job.error} />;
  const written = cards.filter((c) => c.data ?? c.error).length;
  return (
    <div className="page">
      <TitleRow title={`Cards of ${job.data.job.name || 'the job'}`} about={<Link to={`/jobs/${id}`}>To the job</Link>}>
        <button type="button" className="btn btn-sm btn-main" disabled={written < cards.length} onClick={() => window.print()}>
          Print them
        </button>
      </TitleRow>
      {written < cards.length && (
        <p className="soft no-print" role="status">
          {written} of {cards.length} written …
        </p>
      )}
      {runs.length === 0 && <p className="soft">The job has no runs yet.</p>}
      {runs.map((r, i) => {
        const { data, error } = cards[i] ?? {};
        if (error)
          return (
            <p key={r.id} className="finding stop no-print">
              <b>{r.name}</b>: {error.message}
            </p>
          );
        if (!data) return null;
        if (data.lacks.length > 0 || data.films.length === 0)
          return (
            <p key={r.id} className="finding no-print">
              <b>{r.name}</b> has no card yet. <Link to={`/runs/${r.id}/set-up`}>Complete its set-up</Link>
            </p>
          );
        return <BenchCard key={r.id} id={r.id} name={r.name} job={job.data.job} card={data} />;
      })}
    </div>
  );
}
