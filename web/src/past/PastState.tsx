import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { Button } from 'react-bootstrap';
import { answer, api, made } from '../api/client';
import { Words } from '../units/Words';
import { DifferencesList } from './Differences';
import { PastDrawing } from './PastDrawing';
import { momentSaid } from './moments';
import type { Sitting } from './sittings';

interface Props {
  kind: string;
  id: string;
  sitting: Sitting;
  revision: number;
  isNow: boolean;
  onBack: () => void;
}

/** What a document was after a sitting: beside what it was before, what it is now, and the way back to it. */
export function PastStatePanel({ kind, id, sitting, revision, isNow, onBack }: Props) {
  const cache = useQueryClient();
  // What stands before a removal is what it took away.
  const shown = sitting.last.isGone ? sitting.before : sitting.last.revision;
  const since = sitting.last.isGone ? 0 : sitting.before;
  const { data, error } = useQuery({
    queryKey: ['past', kind, id, shown, since, revision],
    queryFn: () =>
      answer(api.GET('/api/past/{kind}/{id}/{revision}', { params: { path: { kind, id, revision: shown }, query: { since } } })),
  });
  const bring = useMutation({
    mutationFn: () =>
      answer(
        api.POST('/api/past/{kind}/{id}/{revision}/bring-back', {
          params: { path: { kind, id, revision: shown }, ...made(revision) },
        }),
      ),
    onSuccess: () => {
      void cache.invalidateQueries();
      onBack();
    },
  });
  if (!data) return <p className={error ? 'echo problem' : 'soft'}>{error?.message ?? 'One moment …'}</p>;
  return (
    <section className="card past-state" aria-label="As it was">
      <h2>
        {sitting.last.isGone ? 'What was removed' : momentSaid(sitting.last.at)}
        {isNow && <span className="hint">as it is now</span>}
      </h2>
      {data.problem && (
        <p className="echo problem">
          <Words of={data.problem} />
        </p>
      )}
      <div className="past-drawings">
        <PastDrawing of={data.before} label="before" />
        <PastDrawing of={data.picture} label={data.before ? 'after' : 'as it was'} />
      </div>
      {since > 0 && !data.problem && (
        <>
          <h3>What was changed</h3>
          <DifferencesList of={data.differences} none="Nothing that can be told: it was changed and changed back." />
        </>
      )}
      {!isNow && !sitting.last.isGone && !data.problem && (
        <>
          <h3>What is different now</h3>
          <DifferencesList of={data.toNow} none="Nothing: it is so now." />
        </>
      )}
      {!isNow && !data.problem && (
        <div className="deeds">
          <Button size="sm" variant="main" disabled={bring.isPending} onClick={() => bring.mutate()}>
            {sitting.last.isGone ? 'Bring it back' : 'Have it so again'}
          </Button>
          <span className="soft small">It is a change like any other, and can be undone.</span>
        </div>
      )}
      {bring.error && (
        <p className="echo problem" role="alert">
          {bring.error.message}
        </p>
      )}
    </section>
  );
}
