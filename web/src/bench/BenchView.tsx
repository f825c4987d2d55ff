import { useQuery } from '@tanstack/react-query';
import { Link } from 'react-router';
import { answer, api, type Schemas } from '../api/client';
import { Choice } from '../fields/Choice';
import { Lacks } from '../readiness/Lacks';
import { BenchCard } from './BenchCard';

interface Props {
  id: string;
  job: Schemas['Job'];
  jobId: string;
  name: string;
  /** Has the run pressed by another press. */
  onPress: (pressId: string) => void;
}

/** The card that goes to the bench, to be looked at and printed. */
export function BenchView({ id, job, jobId, name, onPress }: Props) {
  const { data, error } = useQuery({
    queryKey: ['bench', id],
    queryFn: () => answer(api.GET('/api/runs/{id}/bench', { params: { path: { id } } })),
  });
  if (!data)
    return (
      <p className="page soft" role="status">
        {error ? error.message : 'Writing the card …'}
      </p>
    );
  if (data.lacks.length > 0 || data.films.length === 0) return <Lacks id={id} lacks={data.lacks} />;
  return (
    <>
      <div className="bench-deeds no-print">
        {data.press && data.press.choices.length > 0 && (
          <Choice
            label="Press"
            value={data.press.pressId}
            of={[...(data.press.pressId ? [] : [['', 'choose one'] as const]), ...data.press.choices.map((c) => [c.id, c.name] as const)]}
            onChange={onPress}
          />
        )}
        <Link to={`/jobs/${jobId}/cards`} className="btn btn-sm btn-line">
          All cards of the job
        </Link>
        <button type="button" className="btn btn-sm btn-main" onClick={() => window.print()}>
          Print the card
        </button>
      </div>
      <BenchCard id={id} name={name} job={job} card={data} />
    </>
  );
}
