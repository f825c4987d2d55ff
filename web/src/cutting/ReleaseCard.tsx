import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { Form } from 'react-bootstrap';
import { useNavigate } from 'react-router';
import { answer, api, made, type Schemas } from '../api/client';
import { useSaving } from '../api/saving';
import { figure, length } from '../units/units';
import { useUnits } from '../units/UnitsContext';

/** Releases the load, or all loads: they are frozen, and the stock gets less. The off-cuts that are kept are ticked. */
export function ReleaseCard({ view, load }: { view: Schemas['PlanView']; load: Schemas['PlanLoadView'] }) {
  const { units } = useUnits();
  const cache = useQueryClient();
  const saving = useSaving();
  const go = useNavigate();
  const [left, setLeft] = useState<ReadonlySet<string>>(new Set());
  // The release is the plan's last step: taken back, stock and plan are as they were.
  const takeBack = async () => {
    try {
      const { revision } = await answer(api.GET('/api/plans/{id}', { params: { path: { id: view.id } } }));
      await answer(api.POST('/api/plans/{id}/undo', { params: { path: { id: view.id }, ...made(revision) } }));
      await cache.invalidateQueries();
      void go(-1);
    } catch (e) {
      saving.say(e instanceof Error ? e.message : String(e));
    }
  };
  const release = useMutation({
    mutationFn: (loads: readonly Schemas['PlanLoadView'][]) =>
      answer(
        api.POST('/api/plans/{id}/release', {
          params: { path: { id: view.id } },
          body: {
            key: view.key,
            loads: loads.map((l) => l.number),
            keep: loads.flatMap((l) =>
              l.offCuts.flatMap((_, index) => (left.has(`${l.number} ${index}`) ? [] : [{ load: l.number, index }])),
            ),
          },
        }),
      ),
    onSuccess: (ids, loads) => {
      void cache.invalidateQueries();
      saving.say(loads.length === 1 ? 'One load is released.' : `${loads.length} loads are released.`, () => void takeBack());
      if (ids[0]) void go(`/cutting/loads/${ids[0]}`);
    },
    onError: () => void cache.invalidateQueries({ queryKey: ['plan', view.id] }),
  });
  return (
    <section aria-label="Release">
      <h3>Release</h3>
      <p className="soft small">
        What is released is frozen and can be cut again to the byte. It is taken from the stock
        {load.cutOff > 0
          ? `: ${length(load.cutOff, units)} of the roll.`
          : load.offCuts.length > 0
            ? ', and these off-cuts are kept:'
            : '.'}
      </p>
      {load.offCuts.map((b, index) => {
        const key = `${load.number} ${index}`;
        return (
          <Form.Check
            key={key}
            type="checkbox"
            id={`keep-${view.id}-${key}`}
            checked={!left.has(key)}
            onChange={(e) => {
              const next = new Set(left);
              if (e.target.checked) next.delete(key);
              else next.add(key);
              setLeft(next);
            }}
            label={`${figure(b.maxX - b.minX, units)} × ${length(b.maxY - b.minY, units)}`}
          />
        );
      })}
      <p className="file">
        <button type="button" className="btn btn-sm btn-main" disabled={release.isPending} onClick={() => release.mutate([load])}>
          Release load {load.number}
        </button>
        {view.loads.length > 1 && (
          <button type="button" className="btn btn-sm btn-line" disabled={release.isPending} onClick={() => release.mutate(view.loads)}>
            Release all {view.loads.length}
          </button>
        )}
      </p>
      {release.isError && (
        <p className="finding stop" role="alert">
          {release.error.message}
        </p>
      )}
    </section>
  );
}
