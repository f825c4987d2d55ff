import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useRef } from 'react';
import { sendFile, type Schemas } from '../api/client';
import { Words } from '../units/Words';

/** Blanks from another workshop's file, and all of this one's to a file. */
export function ImportBlanks() {
  const file = useRef<HTMLInputElement>(null);
  const cache = useQueryClient();
  const bring = useMutation({
    mutationFn: (chosen: File) => sendFile<Schemas['BroughtIn']>('/api/blanks/file', chosen),
    onSuccess: () => void cache.invalidateQueries({ queryKey: ['blanks'] }),
  });
  return (
    <div className="import-blanks">
      <button type="button" className="btn btn-sm btn-line" onClick={() => file.current?.click()}>
        Bring in a file
      </button>
      <a className="btn btn-sm btn-line" href="/api/blanks/file" download>
        All to a file
      </a>
      <input
        ref={file}
        type="file"
        accept=".json"
        aria-label="File of blanks"
        className="visually-hidden"
        tabIndex={-1}
        onChange={(e) => {
          const f = e.target.files?.[0];
          if (f) bring.mutate(f);
          e.target.value = '';
        }}
      />
      <span role="status" className="small soft">
        {bring.data?.names.length ? `Brought in: ${bring.data.names.join(', ')}.` : ''}
      </span>
      {bring.data?.refused.map((r, i) => (
        <p key={i} className="finding">
          <Words of={r} />
        </p>
      ))}
      {bring.error && <p className="finding stop">{bring.error.message}</p>}
    </div>
  );
}
