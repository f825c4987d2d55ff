import { useMutation } from '@tanstack/react-query';
import { useRef } from 'react';
import { Form } from 'react-bootstrap';
import type { Schemas } from '../api/client';
import { sendPicture } from './pictures';
import type { Blank, Edit } from './names';

/** How the blank is found again: a picture, words, a note, and where it was used. */
export function GoodsCard({ view, blank, edit }: { view: Schemas['BlankView']; blank: Blank; edit: Edit }) {
  const file = useRef<HTMLInputElement>(null);
  const send = useMutation({ mutationFn: sendPicture, onSuccess: (p) => edit((b) => ({ ...b, pictureId: p.id })) });
  return (
    <section className="card" aria-label="On the shelf">
      <h2>On the shelf</h2>
      <div className="goods">
        {blank.pictureId ? (
          <img src={`/api/pictures/${blank.pictureId}?width=280`} alt={`Picture of ${blank.name}`} />
        ) : (
          <div className="no-picture soft small">No picture yet</div>
        )}
        <div className="column">
          <label>
            Words to find it by
            <Form.Control
              key={blank.tags.join()}
              size="sm"
              aria-label="Words to find it by"
              defaultValue={blank.tags.join(', ')}
              placeholder="with commas between"
              onBlur={(e) =>
                edit((b) => ({
                  ...b,
                  tags: e.target.value
                    .split(',')
                    .map((t) => t.trim())
                    .filter(Boolean),
                }))
              }
            />
          </label>
          <label>
            One of it costs
            <Form.Control
              size="sm"
              maxLength={20}
              placeholder="not noted"
              value={blank.price}
              onChange={(e) => edit((b) => ({ ...b, price: e.target.value }))}
            />
          </label>
          <Form.Control
            as="textarea"
            rows={3}
            size="sm"
            aria-label="Note"
            placeholder="A note to yourself"
            value={blank.note}
            onChange={(e) => edit((b) => ({ ...b, note: e.target.value }))}
          />
          <div className="deeds">
            <button type="button" className="btn btn-sm btn-line" disabled={send.isPending} onClick={() => file.current?.click()}>
              {blank.pictureId ? 'Another picture' : 'Add a picture'}
            </button>
            {blank.pictureId && (
              <button type="button" className="btn btn-sm btn-line" onClick={() => edit((b) => ({ ...b, pictureId: null }))}>
                Remove it
              </button>
            )}
            {blank.jobId && (
              <button type="button" className="btn btn-sm btn-line" onClick={() => edit((b) => ({ ...b, jobId: null }))}>
                Keep it on the shelf
              </button>
            )}
          </div>
          <input
            ref={file}
            type="file"
            accept="image/png,image/jpeg"
            aria-label="Picture file"
            className="visually-hidden"
            tabIndex={-1}
            onChange={(e) => {
              const f = e.target.files?.[0];
              if (f) send.mutate(f);
              e.target.value = '';
            }}
          />
          {send.error && <p className="finding stop">{send.error.message}</p>}
        </div>
      </div>
      <p className="soft small">
        {view.usedBy.length
          ? `Used by ${view.usedBy.join(', ')}${view.jobs.length ? `; in the jobs ${view.jobs.join(', ')}` : ''}.`
          : 'Nothing uses it yet.'}
      </p>
    </section>
  );
}
