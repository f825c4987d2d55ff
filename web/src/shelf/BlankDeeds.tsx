import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useNavigate } from 'react-router';
import { answer, api } from '../api/client';
import { removalOf } from '../api/documents';
import { useRemoval } from '../api/useRemoval';
import type { Blank, Edit } from './names';

interface Props {
  id: string;
  blank: Blank;
  edit: Edit;
  inUse: boolean;
  settled: () => Promise<number>;
}

/** What can be done with a blank as a whole. */
export function BlankDeeds({ id, blank, edit, inUse, settled }: Props) {
  const go = useNavigate();
  const cache = useQueryClient();
  const copy = useMutation({
    mutationFn: () => answer(api.POST('/api/blanks/{id}/copy', { params: { path: { id } } })),
    onSuccess: (b) => {
      void cache.invalidateQueries({ queryKey: ['blanks'] });
      void go(`/shelf/${b.id}`);
    },
  });
  const remove = useRemoval({
    name: blank.name,
    settled,
    ...removalOf('blanks', id),
    onGone: () => void go('/shelf'),
  });
  return (
    <div className="deeds">
      <a className="btn btn-sm btn-line" href={`/api/blanks/${id}/file`} download>
        To a file
      </a>
      <button type="button" className="btn btn-sm btn-line" onClick={() => copy.mutate()}>
        Duplicate and alter
      </button>
      <button type="button" className="btn btn-sm btn-line" onClick={() => edit((b) => ({ ...b, retired: !b.retired }))}>
        {blank.retired ? 'Bring back' : 'Retire'}
      </button>
      <button
        type="button"
        className="btn btn-sm btn-line"
        disabled={inUse}
        title={inUse ? 'Runs use it; retire it instead' : undefined}
        onClick={() => remove.mutate()}
      >
        Take off the shelf
      </button>
    </div>
  );
}
