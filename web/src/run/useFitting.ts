import { useQueryClient } from '@tanstack/react-query';
import { useEffect, useState } from 'react';
import { answer, api, type Schemas } from '../api/client';

type Progress = Schemas['FitProgress'];

/** While names are fitted the set is asked for anew this often, in milliseconds. */
const REFRESH = 1500;

/** Long lists are fitted in the background: asked for when some are missing, followed name by name, stopped on request. */
export function useFitting(id: string, set: Schemas['RunSet'] | undefined, revision: number | undefined) {
  const cache = useQueryClient();
  const [progress, setProgress] = useState<Progress>();
  const [stopped, setStopped] = useState<number>();
  const missing = !!set && set.done < set.all;
  const wanted = missing && revision !== undefined && stopped !== revision;
  useEffect(() => {
    if (!wanted) return;
    let source: EventSource | undefined;
    let left = false;
    let told = 0;
    const refresh = () => {
      told = Date.now();
      void cache.invalidateQueries({ queryKey: ['set', id] });
    };
    const hear = (p: Progress) => {
      if (left) return;
      setProgress(p);
      if (p.state !== 'running' && p.state !== 'waiting') {
        source?.close();
        setProgress(p.state === 'failed' ? p : undefined);
        refresh();
      } else if (Date.now() - told > REFRESH) refresh();
    };
    void answer(api.POST('/api/runs/{id}/fitting', { params: { path: { id } } }))
      .then((p) => {
        if (left) return;
        hear(p);
        source = new EventSource(`/api/runs/${id}/fitting/${p.workId}`);
        source.addEventListener('progress', (e) => hear(JSON.parse((e as MessageEvent<string>).data) as Progress));
      })
      .catch(() => undefined);
    return () => {
      left = true;
      source?.close();
      setProgress(undefined);
    };
  }, [wanted, id, revision, cache]);
  const stop = () => {
    setStopped(revision);
    if (progress) void answer(api.DELETE('/api/runs/{id}/fitting/{workId}', { params: { path: { id, workId: progress.workId } } }));
  };
  return { progress, missing, stopped: missing && stopped === revision, stop, goOn: () => setStopped(undefined) };
}

export type Fitting = ReturnType<typeof useFitting>;
