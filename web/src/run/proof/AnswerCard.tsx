import { useMutation } from '@tanstack/react-query';
import { useState } from 'react';
import { Form } from 'react-bootstrap';
import { answer, api, type Schemas } from '../../api/client';
import { Words } from '../../units/Words';

const FATES: Record<Schemas['AnswerFate'], readonly [string, string]> = {
  approves: ['fits', '✓ right'],
  corrects: ['snug', '✎ to correct'],
  changedSince: ['over', '✕ changed since it was shown'],
  gone: ['over', '✕ not in the list any more'],
  notReady: ['over', '▲ right, but cannot be cut as it is'],
};

/** What the customer sent back: pasted, read, looked at, then taken. */
export function AnswerCard({ id, onTake }: { id: string; onTake: (text: string) => Promise<boolean> }) {
  const [text, setText] = useState('');
  const read = useMutation({
    mutationFn: (pasted: string) => answer(api.POST('/api/runs/{id}/answer/read', { params: { path: { id } }, body: { text: pasted } })),
  });
  const { data } = read;
  const takes = data?.lines.filter((l) => l.fate === 'approves' || l.fate === 'corrects').length ?? 0;
  const changed = (typed: string) => {
    setText(typed);
    if (typed.includes(']]')) read.mutate(typed);
    else read.reset();
  };
  return (
    <section className="card answer-card no-print" aria-label="Answer">
      <h2>The customer’s answer</h2>
      <Form.Control
        as="textarea"
        rows={3}
        size="sm"
        aria-label="What the customer sent back"
        placeholder="Paste what was sent back, all of it"
        value={text}
        onChange={(e) => changed(e.target.value)}
      />
      {text.trim() !== '' && !data && (
        <button type="button" className="btn btn-sm btn-line" disabled={read.isPending} onClick={() => read.mutate(text)}>
          Read it
        </button>
      )}
      {read.error && <p className="echo problem">{read.error.message}</p>}
      {data?.problem && (
        <p className="finding stop" role="alert">
          <Words of={data.problem} />
        </p>
      )}
      {data && !data.problem && (
        <>
          <ul className="plain answer-lines">
            {data.lines.map((l) => (
              <li key={l.piece}>
                <b>{l.name || 'A piece'}</b> <span className={`state ${FATES[l.fate][0]}`}>{FATES[l.fate][1]}</span>
                {l.words && <q>{l.words}</q>}
              </li>
            ))}
          </ul>
          {data.open.length > 0 && <p className="soft small">Nothing is said of {data.open.join(', ')}.</p>}
          {data.beside && (
            <p className="soft small">
              Also written: <q>{data.beside}</q>
            </p>
          )}
          <button
            type="button"
            className="btn btn-sm btn-main"
            disabled={takes === 0}
            onClick={() =>
              void onTake(text).then((taken) => {
                // What was refused stays to be looked at.
                if (!taken) return;
                setText('');
                read.reset();
              })
            }
          >
            Take {takes} {takes === 1 ? 'verdict' : 'verdicts'}
          </button>
        </>
      )}
    </section>
  );
}
