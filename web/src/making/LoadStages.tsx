import { useMutation, useQueryClient } from '@tanstack/react-query';
import { answer, api, type Schemas } from '../api/client';
import { STAGES } from './StageBar';

type Stage = Schemas['PieceStage'];

const TICKED: readonly Stage[] = ['weeded', 'pressed', 'packed'];
const ALL = Object.keys(STAGES) as Stage[];
const at = (stage: Stage) => ALL.indexOf(stage);

interface Props {
  loadId: string;
  name: string;
  stage: Stage;
  isCut: boolean;
}

/** A released load ticked as far as a stage, with all that lies on it whatever run it is of. */
export function LoadStages({ loadId, name, stage, isCut }: Props) {
  const cache = useQueryClient();
  const tick = useMutation({
    mutationFn: (body: Schemas['TickedLoad']) => answer(api.PUT('/api/loads/{id}/stages', { params: { path: { id: loadId } }, body })),
    onSuccess: () => {
      for (const touched of [['load bench'], ['making'], ['day'], ['jobs'], ['job'], ['week']])
        void cache.invalidateQueries({ queryKey: touched });
    },
  });
  return (
    <div className="load-stages" role="group" aria-label={`How far ${name} is`}>
      {TICKED.map((s) => {
        const done = at(stage) >= at(s);
        const before = ALL[at(s) - 1] ?? 'cut';
        return (
          <button
            key={s}
            type="button"
            className={done ? 'btn btn-sm btn-line ticked' : 'btn btn-sm btn-line'}
            aria-pressed={done}
            disabled={tick.isPending || (!isCut && !done)}
            onClick={() => tick.mutate(done ? { stage: before, isBack: true } : { stage: s, isBack: false })}
          >
            {done && '✓ '}
            {STAGES[s]}
          </button>
        );
      })}
      {!isCut && <span className="soft small">not cut yet</span>}
      {tick.error && (
        <p className="echo problem" role="alert">
          {tick.error.message}
        </p>
      )}
    </div>
  );
}
