import { useState } from 'react';
import { Button, Form } from 'react-bootstrap';
import type { Schemas } from '../../api/client';
import type { RunDocument } from '../useRun';
import type { Reach } from '../../mending/Remedies';

const LONGEST = 200;

interface Props {
  finding: Schemas['Finding'];
  pieceId: string;
  /** Whether it is kept in this piece, or in all of the run. */
  reach: Reach;
  run: RunDocument;
}

/** A finding that stays as it is, for a stated reason; and the way back. */
export function KeepAsItIs({ finding, pieceId, reach, run }: Props) {
  const [open, setOpen] = useState(false);
  const [reason, setReason] = useState('');
  if (!finding.mayBeKept) return null;
  const { rule, side, part } = finding;
  const isOf = (k: Schemas['KeptAsItIs']) =>
    k.rule === rule && k.side === side && k.part === part && (k.piece === '' || k.piece === pieceId);
  if (finding.kept)
    return (
      <p className="kept small">
        Kept as it is: {finding.kept}{' '}
        <button type="button" className="quiet" onClick={() => run.editSetUp((s) => ({ ...s, kept: s.kept.filter((k) => !isOf(k)) }))}>
          No longer
        </button>
      </p>
    );
  if (!open)
    return (
      <button type="button" className="quiet small" onClick={() => setOpen(true)}>
        Keep it as it is …
      </button>
    );
  return (
    <Form
      className="keep-form"
      onSubmit={(e) => {
        e.preventDefault();
        if (!reason.trim()) return;
        run.editSetUp((s) => ({
          ...s,
          kept: [...s.kept.filter((k) => !isOf(k)), { rule, side, part, piece: reach === 'piece' ? pieceId : '', reason: reason.trim() }],
        }));
        setOpen(false);
      }}
      onKeyDown={(e) => {
        if (e.key !== 'Escape') return;
        e.stopPropagation();
        setOpen(false);
      }}
    >
      <Form.Control
        size="sm"
        autoFocus
        maxLength={LONGEST}
        aria-label="Why it stays as it is"
        placeholder={`Why it stays so in ${reach === 'piece' ? 'this piece' : 'all pieces'}`}
        value={reason}
        onChange={(e) => setReason(e.target.value)}
      />
      <Button type="submit" size="sm" variant="line" disabled={!reason.trim()}>
        Keep it
      </Button>
      <button type="button" className="quiet small" onClick={() => setOpen(false)}>
        Leave it
      </button>
    </Form>
  );
}
