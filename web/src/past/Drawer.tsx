import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { Button } from 'react-bootstrap';
import { Link } from 'react-router';
import { answer, api, made, type Schemas } from '../api/client';
import { KINDS } from './kinds';
import { momentSaid } from './moments';

/** Things that were removed: each comes back from here. */
export function Drawer() {
  const { data, error } = useQuery({ queryKey: ['drawer'], queryFn: () => answer(api.GET('/api/drawer')) });
  return (
    <section className="card drawer" aria-label="The drawer">
      <h2>
        The drawer
        <span className="hint">what was removed</span>
      </h2>
      {error && <p className="echo problem">{error.message}</p>}
      {data?.length === 0 && <p className="soft">Nothing was removed. What is, lies here and comes back as it was.</p>}
      <ul className="plain">
        {data?.map((r) => (
          <Removed key={`${r.kind} ${r.id}`} of={r} />
        ))}
      </ul>
    </section>
  );
}

function Removed({ of }: { of: Schemas['RemovedDocument'] }) {
  const cache = useQueryClient();
  const { kind, id } = of;
  const bring = useMutation({
    mutationFn: () =>
      answer(
        api.POST('/api/past/{kind}/{id}/{revision}/bring-back', {
          params: { path: { kind, id, revision: of.last }, ...made(of.revision) },
        }),
      ),
    onSuccess: () => void cache.invalidateQueries(),
  });
  return (
    <li>
      <span>
        <Link to={`/past/${kind}/${id}`}>{of.name || 'Without a name'}</Link>
        <span className="soft small">
          {KINDS[kind]?.one}, removed {momentSaid(of.at)}
        </span>
      </span>
      <Button
        size="sm"
        variant="line"
        disabled={bring.isPending}
        aria-label={`Bring back ${of.name || 'what has no name'}`}
        onClick={() => bring.mutate()}
      >
        Bring back
      </Button>
      {bring.error && (
        <p className="echo problem" role="alert">
          {bring.error.message}
        </p>
      )}
    </li>
  );
}
