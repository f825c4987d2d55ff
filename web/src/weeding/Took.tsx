import { useState } from 'react';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { Form } from 'react-bootstrap';

interface Props {
  took: number | null;
  /** Keeps what was typed. */
  save: (minutes: string) => Promise<unknown>;
}

/** What weeding really took, as the maker types it. Emptied, it is forgotten. */
export function Took({ took, save: keep }: Props) {
  const cache = useQueryClient();
  const kept = typeof took === 'number' ? String(Math.round(100 * took) / 100) : '';
  const [typed, setTyped] = useState(kept);
  const [noted, setNoted] = useState(kept);
  const save = useMutation({
    mutationFn: keep,
    onSuccess: async (_, minutes) => {
      setNoted(minutes);
      await Promise.all([['waste'], ['plan'], ['bench']].map((queryKey) => cache.invalidateQueries({ queryKey })));
    },
  });
  const note = () => typed.trim() !== noted.trim() && save.mutate(typed);
  return (
    <form
      className="took"
      onSubmit={(e) => {
        e.preventDefault();
        note();
      }}
    >
      <label>
        It really took
        <Form.Control
          size="sm"
          className="narrow"
          inputMode="decimal"
          placeholder="min"
          aria-label="Minutes that weeding really took"
          value={typed}
          isInvalid={save.isError}
          onChange={(e) => setTyped(e.target.value)}
          onBlur={note}
        />
      </label>
      <span className="soft small" role="status">
        {save.isError ? '' : save.isPending ? 'Noting …' : typed.trim() !== noted.trim() ? '' : noted ? 'minutes, noted' : 'minutes'}
      </span>
      {save.isError && <span className="echo problem">{save.error.message}</span>}
    </form>
  );
}
