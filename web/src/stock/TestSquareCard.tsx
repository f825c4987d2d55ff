import { Form } from 'react-bootstrap';
import type { CutterPart } from './CarriersCard';
import { NUMBERS } from './numbers';

/** The test square: what the cutter's program takes an SVG's numbers for, found out with one square of 100 for each way. */
export function TestSquareCard({ id, cutter, set }: { id: string } & Pick<CutterPart, 'cutter' | 'set'>) {
  return (
    <section className="card" aria-label="Test square">
      <h2>Test square</h2>
      <ol className="guide">
        <li>
          Open each of these in the program of the cutter, without scaling it.
          <span className="guide-files">
            {NUMBERS.map(([key, words, units]) => (
              <a key={key} className="btn btn-sm btn-line" href={`/api/cutters/${id}/square?format=svg&units=${units}`} download>
                {words}
              </a>
            ))}
          </span>
        </li>
        <li>Look which one the program shows as 100 × 100 mm, or cut it and measure.</li>
        <li>
          That one came out right:
          {NUMBERS.map(([key, words]) => (
            <Form.Check
              key={key}
              type="radio"
              name={`numbers-${id}`}
              id={`numbers-${id}-${key}`}
              label={words}
              checked={cutter.svgNumbers === key}
              onChange={() => set({ svgNumbers: key })}
            />
          ))}
        </li>
      </ol>
    </section>
  );
}
