import { useState } from 'react';
import { Form } from 'react-bootstrap';
import type { Schemas } from '../../api/client';
import { useTypefaceNames } from '../../typefaces/useTypefaceNames';
import { Check, NumberField } from '../../fields/Choice';
import { Tabs } from '../../frame/Tabs';
import { ReadLength } from '../../units/ReadLength';
import { typedAs } from '../../units/units';
import type { RunDocument } from '../useRun';
import { Mends } from './Mends';
import { PieceLetters } from './PieceLetters';

const EMPTY: Schemas['TypedLength'] = { text: '', unit: 'millimetre' };
const NONE: Schemas['Overrides'] = {
  right: EMPTY,
  up: EMPTY,
  letterHeight: EMPTY,
  spacing: 0,
  typefaceId: '',
  twoLines: '',
  letters: [],
  mends: [],
  ties: [],
  noConcessions: false,
};

interface Props {
  id: string;
  piece: Schemas['PieceView'];
  /** The side that is shown at first; the first has no id. */
  side: string;
  run: RunDocument;
}

/** What is set by hand for one piece, on whichever side of it. It stays when the list, the blank or the motif changes. */
export function ByHandCard({ id, piece, side: first, run }: Props) {
  const faces = useTypefaceNames();
  const [open, setOpen] = useState(false);
  const [wanted, setWanted] = useState(first);
  const of = run.document?.list.pieces.find((p) => p.id === piece.id);
  if (!of) return null;
  const sides = [['', 'First side'] as const, ...piece.sides.map((s) => [s.id, s.zone] as const)];
  const side = sides.some(([s]) => s === wanted) ? wanted : '';
  const own = ownOn(of, side);
  const change = (to: (p: Schemas['Piece']) => Schemas['Piece']) => run.editPiece(piece.id, to);
  const set = (to: Partial<Schemas['Overrides']>) => change((p) => withOwn(p, side, { ...ownOn(p, side), ...to }));
  const line = side === '' ? piece.nameLine : piece.sides.find((s) => s.id === side)?.nameLine;
  const shown = open || piece.byHand;
  const fields = (
    <div className="by-hand" key={side}>
      <ReadLength label="Moved right" range="offset" value={own.right} onChange={(right) => set({ right })} />
      <ReadLength label="Moved up" range="offset" value={own.up} onChange={(up) => set({ up })} />
      <ReadLength
        label="Letter height of its own"
        range="artwork"
        value={own.letterHeight}
        onChange={(letterHeight) => set({ letterHeight })}
      />
      <NumberField label="Letters opened, ‰ of an em" value={own.spacing} step={5} onChange={(spacing) => set({ spacing })} />
      <label>
        Typeface
        <Form.Select size="sm" value={own.typefaceId} onChange={(e) => set({ typefaceId: e.target.value })}>
          <option value="">the motif’s</option>
          {faces.map((f) => (
            <option key={f.id} value={f.id}>
              {f.name}
            </option>
          ))}
        </Form.Select>
      </label>
      <label>
        On two lines
        <Form.Select size="sm" value={own.twoLines} onChange={(e) => set({ twoLines: e.target.value })}>
          <option value="">no</option>
          {withChosen(line?.breaks ?? [], own.twoLines).map((b) => (
            <option key={b} value={b}>
              {b.replace('\n', ' / ')}
            </option>
          ))}
        </Form.Select>
      </label>
      <PieceLetters id={id} pieceId={piece.id} side={side} name={line ?? undefined} own={own} onChange={(letters) => set({ letters })} />
      <Mends
        own={own}
        nameOf={(part) => piece.partNames[part] ?? 'A part that is gone'}
        faceOf={(face) => faces.find((f) => f.id === face)?.name ?? face}
        onChange={set}
      />
      <Check label="No concessions for it" value={own.noConcessions} onChange={(noConcessions) => set({ noConcessions })} />
    </div>
  );
  return (
    <section className="card" aria-label="By hand">
      <h2>
        By hand
        <span className="count">
          {piece.byHand ? (
            <button type="button" className="quiet" onClick={() => change((p) => ({ ...p, own: NONE, ownOnSides: {} }))}>
              as the set again
            </button>
          ) : (
            <button type="button" className="quiet" aria-expanded={open} onClick={() => setOpen(!open)}>
              {open ? 'close' : 'for this piece alone'}
            </button>
          )}
        </span>
      </h2>
      {shown &&
        (sides.length > 1 ? (
          <Tabs label="Side" tabs={sides} here={side} onHere={setWanted}>
            {fields}
          </Tabs>
        ) : (
          fields
        ))}
    </section>
  );
}

/** What was set by hand for a piece on a side; the first side has no id. */
export function ownOn(piece: Schemas['Piece'], side: string): Schemas['Overrides'] {
  return side === '' ? piece.own : (piece.ownOnSides[side] ?? NONE);
}

/** A piece with other settings by hand on one of its sides. */
export function withOwn(piece: Schemas['Piece'], side: string, own: Schemas['Overrides']): Schemas['Piece'] {
  return side === '' ? { ...piece, own } : { ...piece, ownOnSides: { ...piece.ownOnSides, [side]: own } };
}

/** What was set by hand, with the ink moved to another place; what is not named stays as it was typed. */
export function movedTo(own: Schemas['Overrides'], to: Partial<Schemas['PlanePoint']>, unit: Schemas['LengthUnit']): Schemas['Overrides'] {
  return { ...own, ...(to.x !== undefined && { right: typedAs(to.x, unit) }), ...(to.y !== undefined && { up: typedAs(to.y, unit) }) };
}

/** The ways there are, and the one that is chosen where it is none of them any more. */
export function withChosen(ways: readonly string[], chosen: string): readonly string[] {
  return chosen === '' || ways.includes(chosen) ? ways : [...ways, chosen];
}
