import type { Schemas } from '../api/client';

const STATES: Record<Schemas['FitState'], [string, string]> = {
  fits: ['✓', 'fits'],
  snug: ['◐', 'snug'],
  over: ['✕', 'over'],
  notSet: ['–', 'no ink'],
};

/** Why a piece that would stand well is held back, in two words. */
const HELD: Partial<Record<Schemas['Rule'], string>> = {
  missingCharacters: 'lacks letters',
  looseParts: 'falls apart',
  heatOfGoods: 'too hot',
};

/** How a piece stands: a shape and a word, and a colour besides. A piece that may not be cut for another reason says so. */
export function StateMark({
  piece,
}: {
  piece: {
    state: Schemas['FitState'];
    mayBeCut?: boolean;
    concessions?: readonly Schemas['Phrase'][];
    findings?: readonly Schemas['Finding'][];
  };
}) {
  const held = piece.mayBeCut === false && piece.state !== 'over' && piece.state !== 'notSet';
  const conceded =
    piece.state === 'fits' && piece.concessions?.length === 1
      ? piece.concessions[0]?.parts.map((p) => (typeof p.millimetres === 'number' ? p.millimetres.toFixed(1) : p.text)).join('')
      : piece.concessions?.length
        ? `${piece.concessions.length} concessions`
        : undefined;
  const stop = piece.findings?.find((f) => f.severity === 'stop');
  const why = (stop && HELD[stop.rule]) ?? 'held back';
  const [shape, word] = held ? ['▲', why] : piece.state === 'fits' && conceded ? ['✓', conceded] : STATES[piece.state];
  return (
    <span className={`state ${held ? 'over' : piece.state}`}>
      <span aria-hidden="true">{shape}</span> {word}
    </span>
  );
}
