import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { Button } from 'react-bootstrap';
import { Link, useParams } from 'react-router';
import { answer, api, type Schemas } from '../api/client';
import { TitleRow, Waiting } from '../frame/TitleRow';
import { KINDS } from '../past/kinds';
import { momentSaid } from '../past/moments';
import { ArchiveRow } from './ArchiveRow';
import { allNew, byKind, keyOf, taking, toggled, wantedOf, type Chosen } from './choosing';

/** An archive that came in: what of it is here, what differs, and what of it is wanted. */
export function ArchivePage() {
  const { id = '' } = useParams();
  const { data, error } = useQuery({
    queryKey: ['archive', id],
    queryFn: () => answer(api.GET('/api/archives/{id}', { params: { path: { id } } })),
  });
  if (!data) return <Waiting error={error} />;
  return <Choosing key={id} view={data} />;
}

function Choosing({ view }: { view: Schemas['ArchiveView'] }) {
  const { id, documents } = view;
  const cache = useQueryClient();
  const [chosen, setChosen] = useState<Chosen>(new Map());
  const bring = useMutation({
    mutationFn: (whole: boolean) =>
      answer(api.POST('/api/archives/{id}/bring', { params: { path: { id } }, body: { whole, documents: whole ? [] : wantedOf(chosen) } })),
    onSuccess: () => {
      setChosen(new Map());
      void cache.invalidateQueries();
    },
  });
  const [showsSame, setShowsSame] = useState(false);
  const fresh = allNew(documents);
  const same = documents.filter((d) => d.standing === 'same');
  return (
    <div className="page archive">
      <TitleRow
        title="An archive"
        about={view.lastChange ? `of a library that was changed last ${momentSaid(view.lastChange)}` : 'of a library without anything'}
      >
        {view.suits ? (
          <Button size="sm" variant="main" disabled={bring.isPending} onClick={() => bring.mutate(true)}>
            Bring all of it in
          </Button>
        ) : (
          <>
            <Button size="sm" variant="line" disabled={fresh.size === 0} onClick={() => setChosen(fresh)}>
              Choose all that is not here ({fresh.size})
            </Button>
            <Button size="sm" variant="main" disabled={chosen.size === 0 || bring.isPending} onClick={() => bring.mutate(false)}>
              {bring.isPending ? 'Bringing in …' : `Bring in ${chosen.size} chosen`}
            </Button>
          </>
        )}
        <Link to="/safekeeping" className="btn btn-sm btn-line">
          To safekeeping
        </Link>
      </TitleRow>
      {bring.data && (
        <p className="conflict" role="status">
          {bring.data.added} came in, {bring.data.replaced} took the place of what was here, {bring.data.kept} stay as they are here.
        </p>
      )}
      {bring.error && (
        <p className="conflict" role="alert">
          {bring.error.message}
        </p>
      )}
      <p className="soft">
        {view.suits
          ? 'This library has nothing in it yet: it can become the one that the archive was written of, with all of its past.'
          : 'What is chosen comes with all that belongs to it: a job with its runs, a run with its blank, motif, films and cutter as they were. ' +
            'A copy of the library is made first.'}
      </p>
      {documents.length === 0 && <p className="empty">There is no document in it.</p>}
      {same.length > 0 && (
        <p>
          <button type="button" className="quiet" aria-pressed={showsSame} onClick={() => setShowsSame(!showsSame)}>
            {showsSame ? 'Hide' : 'Show'} the {same.length} that are the same here
          </button>
        </p>
      )}
      {byKind(showsSame ? documents : documents.filter((d) => d.standing !== 'same')).map(([kind, some]) => (
        <section key={kind} aria-label={KINDS[kind]?.many ?? kind}>
          <h2 className="section">
            {KINDS[kind]?.many ?? kind} <span className="count">{some.length}</span>
          </h2>
          <ul className="plain">
            {some.map((d) => (
              <ArchiveRow
                key={d.id}
                archive={id}
                of={d}
                isChosen={chosen.has(keyOf(d))}
                takes={chosen.get(keyOf(d)) ?? false}
                onChoose={() => setChosen(toggled(chosen, d))}
                onTakes={(takes) => setChosen(taking(chosen, d, takes))}
              />
            ))}
          </ul>
        </section>
      ))}
    </div>
  );
}
