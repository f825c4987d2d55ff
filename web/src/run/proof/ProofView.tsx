import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { answer, api, type Schemas } from '../../api/client';
import { Lacks } from '../../readiness/Lacks';
import { usePages } from '../usePages';
import type { RunDocument } from '../useRun';
import { AnswerCard } from './AnswerCard';
import { ProofPiece } from './ProofPiece';
import { PictureCard } from './PictureCard';
import { approve, correct, markShown, takeAnswer } from './verdicts';

/** The set as the customer sees it: at one scale, each piece approved or marked with a correction in the customer's words. */
export function ProofView({ id, run }: { id: string; run: RunDocument }) {
  const { data, error } = useQuery({
    queryKey: ['proof', id],
    queryFn: () => answer(api.GET('/api/runs/{id}/proof', { params: { path: { id } } })),
    placeholderData: (before) => before,
  });
  const {
    pieces: all,
    of,
    done,
    error: wrong,
    stopped,
    stop,
    goOn,
  } = usePages(['proof', id, 'pieces'], data?.lacks.length === 0, (from, count, signal) =>
    answer(api.GET('/api/runs/{id}/proof/pieces', { params: { path: { id }, query: { from, count } }, signal })),
  );
  const [only, setOnly] = useState<'all' | 'open' | 'changed'>('all');
  const problem = error ?? wrong;
  if (problem) return <p className="page soft">{problem.message}</p>;
  if (!data || !run.document)
    return (
      <p className="soft" role="status">
        Drawing the proof …
      </p>
    );
  if (data.lacks.length > 0) return <Lacks id={id} lacks={data.lacks} />;
  const { list, verdicts } = run.document;
  const count = (state: Schemas['ProofState']) => all.filter((p) => p.state === state).length;
  const changed = all.filter((p) => p.since !== 'same');
  const pieces = only === 'all' ? all : only === 'open' ? all.filter((p) => p.state !== 'approved') : changed;
  const waiting = all.filter((p) => p.state === 'open' && p.mayBeCut);
  const cell = cellOf(all);
  const shown = () => void run.order(markShown(id));
  return (
    <div className="proof">
      <header className="proof-head card">
        <ProofMark view={data} />
        <div className="proof-who">
          <strong>{data.workshop.name || 'Proof'}</strong>
          <span className="soft">
            {data.workshop.contact || 'Type the workshop’s name and mark in the stock; they stand here and on the PDF.'}
          </span>
        </div>
        <p role="status" className="proof-counts">
          <span className="state fits">✓ {count('approved')} approved</span>
          {count('corrected') > 0 && <span className="state snug">✎ {count('corrected')} to correct</span>}
          {count('voided') > 0 && <span className="state over">✕ {count('voided')} changed since approval</span>}
          <span>{count('open')} open</span>
        </p>
        <span className="soft small">
          {data.shown
            ? `Last shown ${data.shown}: ${changed.length === 0 && data.gone === 0 ? 'nothing has changed since' : [changed.length > 0 && `${changed.length} new or changed`, data.gone > 0 && `${data.gone} taken out`].filter(Boolean).join(', ')}`
            : 'Not shown to the customer yet'}
        </span>
        <div className="remedies">
          {done ? (
            <>
              <a className="btn btn-sm btn-main" href={`/api/runs/${id}/proof.pdf`} download onClick={shown}>
                PDF for the customer
              </a>
              <a className="btn btn-sm btn-line" href={`/api/runs/${id}/proof.html`} download onClick={shown}>
                A page to answer on
              </a>
            </>
          ) : (
            <span role="status" className="fitting-progress">
              {stopped ? `stopped at ${all.length} of ${of}` : `${all.length} of ${of || list.pieces.length} names set`}{' '}
              {stopped ? (
                <button type="button" className="quiet" onClick={goOn}>
                  Go on
                </button>
              ) : (
                <button type="button" className="quiet" onClick={stop}>
                  Stop
                </button>
              )}
            </span>
          )}
          <button type="button" className="btn btn-sm btn-line" disabled={!done} onClick={shown}>
            Shown as it is now
          </button>
          <button
            type="button"
            className="btn btn-sm btn-line"
            disabled={!done || waiting.length === 0}
            onClick={() => void run.order(approve(id, waiting))}
          >
            Approve {waiting.length === count('open') ? `the ${waiting.length} open ones` : `the ${waiting.length} that can be cut`}
          </button>
          <label className="proof-only">
            Show{' '}
            <select
              className="form-select form-select-sm"
              aria-label="Show"
              value={only}
              onChange={(e) => setOnly(e.target.value as typeof only)}
            >
              <option value="all">all</option>
              <option value="open">not approved</option>
              <option value="changed">changed since shown</option>
            </select>
          </label>
        </div>
      </header>
      <div className="proof-pieces">
        {pieces.map((p) => (
          <ProofPiece
            key={p.id}
            piece={p}
            cell={cell}
            goods={data.goods}
            words={verdicts.said[p.id]?.words ?? ''}
            onApprove={() => void run.order(approve(id, [p]))}
            onWords={(words) => void run.order(correct(id, p.id, words))}
          />
        ))}
        {done && pieces.length === 0 && (
          <p className="soft">{only === 'open' ? 'Every piece is approved.' : 'Nothing has changed since it was shown.'}</p>
        )}
      </div>
      <AnswerCard id={id} onTake={(text) => run.order(takeAnswer(id, text))} />
      <PictureCard id={id} first={list.pieces[0]?.name ?? ''} facing={data.facing} />
    </div>
  );
}

function ProofMark({ view }: { view: Schemas['ProofView'] }) {
  const box = view.markBox;
  if (!box) return null;
  return (
    <svg
      className="proof-mark"
      viewBox={`${box.minX} ${-box.maxY} ${box.width} ${box.height}`}
      role="img"
      aria-label={`Mark of ${view.workshop.name}`}
    >
      <g transform="scale(1 -1)">
        {view.mark.map((d, i) => (
          <path key={i} d={d} />
        ))}
      </g>
    </svg>
  );
}

/** The size of the box that holds every piece about the middle of its zone, so that all are seen at one scale. */
export function cellOf(pieces: readonly Pick<Schemas['ProofPieceView'], 'zoneBox' | 'inkBox'>[]): { width: number; height: number } {
  const reach = (p: (typeof pieces)[number]) => {
    const { zoneBox: z, inkBox: i } = p;
    return {
      x: Math.max(z.width / 2, i ? z.centreX - i.minX : 0, i ? i.maxX - z.centreX : 0),
      y: Math.max(z.height / 2, i ? z.centreY - i.minY : 0, i ? i.maxY - z.centreY : 0),
    };
  };
  return pieces
    .map(reach)
    .reduce((m, r) => ({ width: Math.max(m.width, 2 * r.x), height: Math.max(m.height, 2 * r.y) }), { width: 1, height: 1 });
}
