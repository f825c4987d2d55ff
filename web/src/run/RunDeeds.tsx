import { useMutation, useQueryClient } from '@tanstack/react-query';
import { Link, useNavigate } from 'react-router';
import { answer, api } from '../api/client';
import { removalOf } from '../api/documents';
import { useRemoval } from '../api/useRemoval';

interface Props {
  id: string;
  name: string;
  jobId: string;
  settled: () => Promise<number>;
}

/** What can be done with a run as a whole: taken up with other names, sold, removed. */
export function RunDeeds({ id, name, jobId, settled }: Props) {
  const go = useNavigate();
  const cache = useQueryClient();
  const offer = useMutation({
    mutationFn: () => answer(api.POST('/api/offers', { body: { name, runId: id } })),
    onSuccess: (o) => {
      void cache.invalidateQueries({ queryKey: ['offers'] });
      void go(`/jobs/offers/${o.id}`);
    },
  });
  const remove = useRemoval({
    name,
    settled,
    ...removalOf('runs', id),
    onGone: () => void go(`/jobs/${jobId}`),
  });
  return (
    <div className="deeds run-deeds">
      <Link to={`/jobs/${jobId}/again?run=${id}`} className="btn btn-sm btn-line">
        Again with other names
      </Link>
      <button type="button" className="btn btn-sm btn-line" disabled={offer.isPending} onClick={() => offer.mutate()}>
        Make an offer of it
      </button>
      <button type="button" className="btn btn-sm btn-line" onClick={() => remove.mutate()}>
        Remove the run
      </button>
    </div>
  );
}
