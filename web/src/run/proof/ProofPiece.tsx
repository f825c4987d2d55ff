import { Form } from 'react-bootstrap';
import type { Schemas } from '../../api/client';
import { Ink } from '../../board/Ink';
import { figure, length } from '../../units/units';
import { useUnits } from '../../units/UnitsContext';
import { Words } from '../../units/Words';
import { useCorrection } from './useCorrection';

interface Props {
  piece: Schemas['ProofPieceView'];
  cell: { width: number; height: number };
  goods: Schemas['GoodsView'];
  /** The correction as the server has it. */
  words: string;
  onApprove: () => void;
  /** Words ask for a correction, null takes back what was said. */
  onWords: (words: string | null) => void;
}

const STATES: Record<Schemas['ProofState'], [string, string, string]> = {
  open: ['', '○', 'open'],
  approved: ['fits', '✓', 'approved'],
  corrected: ['snug', '✎', 'to correct'],
  voided: ['over', '✕', 'changed since approval'],
};

/** A piece of a proof, with what the customer says of it. */
export function ProofPiece({ piece, cell, goods, words, onApprove, onWords }: Props) {
  const { units } = useUnits();
  const correction = useCorrection(words, onWords);
  const [colour, shape, word] = STATES[piece.state];
  const { zoneBox: zone } = piece;
  return (
    <article className={`slip proof-piece ${piece.since === 'same' ? '' : 'since'}`} aria-label={piece.name}>
      <svg
        className={goods.isDark ? 'piece-picture on-dark' : 'piece-picture'}
        style={goods.colour ? { background: goods.colour } : undefined}
        viewBox={`${zone.centreX - cell.width / 2} ${-zone.centreY - cell.height / 2} ${cell.width} ${cell.height}`}
        role="img"
        aria-label={`${piece.name} as it will be`}
      >
        <g transform="scale(1 -1)">
          <path d={piece.zonePath} className="stroke-zone" vectorEffect="non-scaling-stroke" />
          <Ink inks={piece.inks} />
        </g>
      </svg>
      <p className="proof-name">
        <strong>{piece.name}</strong>
        {piece.copies > 1 && ` × ${piece.copies}`}
        {piece.since !== 'same' && <span className="limits">{piece.since}</span>}
      </p>
      <p className="soft small">
        {piece.sizes.map((s) => `${figure(s.width, units)} × ${length(s.height, units)}`).join(' and ') || 'no ink'}
        {piece.concessions.map((c, i) => (
          <span key={i}>
            , <Words of={c} />
          </span>
        ))}
        {!piece.mayBeCut && <span className="state over"> ✕ cannot be cut as it is</span>}
      </p>
      <p className={`state ${colour}`} data-state={piece.state}>
        <span aria-hidden="true">{shape}</span> {word}
        {correction.typed && (
          <>
            : <q>{correction.typed}</q>
          </>
        )}
      </p>
      {correction.open ? (
        <Form
          className="correction"
          onSubmit={(e) => {
            e.preventDefault();
            correction.done();
          }}
        >
          <Form.Control
            as="textarea"
            rows={2}
            size="sm"
            autoFocus
            aria-label={`Correction for ${piece.name}, in the customer’s words`}
            placeholder="In the customer’s words"
            value={correction.typed}
            onChange={(e) => correction.type(e.target.value)}
            onBlur={correction.send}
          />
          <button type="submit" className="quiet">
            Done
          </button>
        </Form>
      ) : (
        <div className="remedies">
          {piece.state !== 'approved' && (
            <button type="button" className="btn btn-sm btn-line" disabled={!piece.mayBeCut} onClick={() => onApprove()}>
              Approve
            </button>
          )}
          <button type="button" className="btn btn-sm btn-line" onClick={correction.write}>
            Correct
          </button>
          {piece.state !== 'open' && (
            <button type="button" className="quiet" onClick={() => onWords(null)}>
              Take back
            </button>
          )}
        </div>
      )}
    </article>
  );
}
