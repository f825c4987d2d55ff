import { useMutation } from '@tanstack/react-query';
import { useRef } from 'react';
import { Button } from 'react-bootstrap';
import { useNavigate } from 'react-router';
import { sendFile, type Schemas } from '../api/client';

/** The library as one file to carry away, and one brought in. */
export function ArchiveCard() {
  const file = useRef<HTMLInputElement>(null);
  const go = useNavigate();
  const put = useMutation({
    mutationFn: (chosen: File) => sendFile<Schemas['ArchiveView']>('/api/archives', chosen),
    onSuccess: (view) => void go(`/safekeeping/archives/${view.id}`),
  });
  return (
    <section className="card" aria-label="Everything in one file">
      <h2>Everything in one file</h2>
      <p className="soft">
        An open archive of all documents with their past, pictures, typefaces and released loads, for another machine or for good. All of
        it, or some of it, comes in again anywhere.
      </p>
      <div className="deeds">
        <a className="btn btn-sm btn-main" href="/api/archives/whole" download>
          Write it
        </a>
        <Button size="sm" variant="line" disabled={put.isPending} onClick={() => file.current?.click()}>
          {put.isPending ? 'Reading it …' : 'Bring one in'}
        </Button>
        <input
          ref={file}
          type="file"
          className="visually-hidden"
          tabIndex={-1}
          accept=".zip"
          aria-label="Archive to bring in"
          onChange={(e) => {
            const chosen = e.target.files?.[0];
            if (chosen) put.mutate(chosen);
            e.target.value = '';
          }}
        />
      </div>
      {put.error && (
        <p className="echo problem" role="alert">
          {put.error.message}
        </p>
      )}
    </section>
  );
}
