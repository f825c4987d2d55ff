import { Form } from 'react-bootstrap';
import type { Schemas } from '../api/client';
import { LengthField } from '../units/LengthField';

type Run = Schemas['Run'];

interface Props {
  view: Schemas['RunView'];
  run: Run;
  edit: (change: (r: Run) => Run) => void;
}

/** How the pieces are sized, and how far apart they are cut. */
export function SizingFields({ view, run, edit }: Props) {
  const one = run.sizing === 'oneLetterHeight';
  return (
    <section className="card" aria-label="Sizing">
      <h2>How large</h2>
      <div className="sizing">
        <Form.Check type="radio" name="sizing" id="sizing-each" label="each name as large as fits" checked={!one} onChange={() => edit((r) => ({ ...r, sizing: 'eachLargest' }))} />
        <Form.Check type="radio" name="sizing" id="sizing-one" label="all at one letter height" checked={one} onChange={() => edit((r) => ({ ...r, sizing: 'oneLetterHeight' }))} />
        <LengthField label="Letter height" value={run.letterHeight} echo={view.letterHeight} disabled={!one} onChange={(letterHeight) => edit((r) => ({ ...r, letterHeight }))} />
        <LengthField label="Scissors room between pieces" value={run.scissorsRoom} echo={view.scissorsRoom} onChange={(scissorsRoom) => edit((r) => ({ ...r, scissorsRoom }))} />
      </div>
    </section>
  );
}
