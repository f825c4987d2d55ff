import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { Button, Form } from 'react-bootstrap';
import { Link, useNavigate, useParams, useSearchParams } from 'react-router';
import { answer, api, type Schemas } from '../api/client';
import { TitleRow, Waiting } from '../frame/TitleRow';
import { AgainRun } from './AgainRun';
import { fresh, namesIn, sent, useDraft, type Draft, type RunDraft } from './draft';

/** An old job that is taken up with other names. */
export function AgainPage() {
  const { id = '' } = useParams();
  const [search] = useSearchParams();
  const { data, error } = useQuery({
    queryKey: ['job', id, 'again'],
    queryFn: () => answer(api.GET('/api/jobs/{id}/again', { params: { path: { id } } })),
  });
  if (!data) return <Waiting error={error} />;
  return <Again key={id} id={id} view={data} only={search.get('run')} />;
}

function Again({ id, view, only }: { id: string; view: Schemas['AgainView']; only: string | null }) {
  const go = useNavigate();
  const cache = useQueryClient();
  const [kept, setDraft, forget] = useDraft(`again ${id} ${only ?? ''}`);
  const draft = kept ?? fresh(view, only);
  const set = (change: Partial<Draft>) => setDraft({ ...draft, ...change });
  const ofRun = (run: string) => draft.runs[run] ?? { isTaken: false, names: '', asItWas: [] };
  const setRun = (run: string, change: Partial<RunDraft>) => set({ runs: { ...draft.runs, [run]: { ...ofRun(run), ...change } } });
  const take = useMutation({
    mutationFn: () => answer(api.POST('/api/jobs/{id}/again', { params: { path: { id } }, body: sent(draft, view) })),
    onSuccess: (taken) => {
      forget();
      void cache.invalidateQueries({ queryKey: ['jobs'] });
      void cache.invalidateQueries({ queryKey: ['day'] });
      void go(`/jobs/${taken.jobId}`);
    },
  });
  const taken = view.runs.filter((r) => ofRun(r.id).isTaken);
  const names = taken.reduce((n, r) => n + namesIn(r, ofRun(r.id)), 0);
  return (
    <Form
      className="page again"
      onSubmit={(e) => {
        e.preventDefault();
        if (taken.length > 0 && draft.name.trim()) take.mutate();
      }}
    >
      <TitleRow title={`${view.job.name || 'The job'}, again`} about={<Link to={`/jobs/${id}`}>To the job of last time</Link>}>
        <span className="soft small" role="status">
          {taken.length === 0
            ? 'tick what is made again'
            : `${taken.length} of ${counted(view.runs.length, 'run')}, ${counted(names, 'name')}`}
        </span>
        <Button type="submit" size="sm" variant="main" disabled={taken.length === 0 || !draft.name.trim() || take.isPending}>
          Take it up
        </Button>
      </TitleRow>
      {take.error && <p className="finding stop">{take.error.message}</p>}
      <div className="job-fields">
        <label className="wide">
          It is called
          <Form.Control size="sm" maxLength={300} value={draft.name} onChange={(e) => set({ name: e.target.value })} />
        </label>
        <label>
          For
          <Form.Control size="sm" maxLength={300} value={draft.customer} onChange={(e) => set({ customer: e.target.value })} />
        </label>
        <label>
          Due
          <Form.Control size="sm" type="date" value={draft.due} onChange={(e) => set({ due: e.target.value })} />
        </label>
      </div>
      {view.runs.length === 0 && (
        <p className="soft">
          The job had no runs, so there is nothing to make again. <Link to={`/jobs/${id}`}>Add one there</Link>
        </p>
      )}
      {view.runs.map((r) => (
        <AgainRun key={r.id} run={r} draft={ofRun(r.id)} onChange={(change) => setRun(r.id, change)} />
      ))}
    </Form>
  );
}

const counted = (n: number, what: string) => `${n} ${what}${n === 1 ? '' : 's'}`;
