import { useState } from 'react';
import { Form } from 'react-bootstrap';
import { Choice } from '../../fields/Choice';

const SIZES = [
  ['800', '800 × 800'],
  ['1200', '1200 × 1200'],
  ['2000', '2000 × 2000'],
] as const;

/** A picture of the finished thing with a sample name, for a shop page; what is round can be turned. */
export function PictureCard({ id, first, facing }: { id: string; first: string; facing: number | null }) {
  const [name, setName] = useState<string>();
  const [size, setSize] = useState<string>('1200');
  const [turn, setTurn] = useState(Math.round((facing ?? 0) / 5) * 5);
  const query = (pixels: string) => new URLSearchParams({ name: name?.trim() || first, size: pixels, turn: String(turn) }).toString();
  return (
    <section className="card shop-picture" aria-label="Picture for a shop page">
      <div>
        <h2>Picture for a shop page</h2>
        <label>
          Sample name
          <Form.Control size="sm" value={name ?? first} onChange={(e) => setName(e.target.value)} />
        </label>
        <Choice label="Size in pixels" value={size} of={SIZES} onChange={setSize} />
        {facing !== null && (
          <label>
            Turned by {String(turn).replace('-', '−')}°
            <input
              type="range"
              className="form-range"
              min={-180}
              max={180}
              step={5}
              value={turn}
              onChange={(e) => setTurn(Number(e.target.value))}
            />
          </label>
        )}
        <a className="btn btn-sm btn-line" href={`/api/runs/${id}/picture.png?${query(size)}`} download>
          Save the picture
        </a>
      </div>
      <img alt={`The finished thing with ${name || first}`} src={`/api/runs/${id}/picture.png?${query('480')}`} width={240} height={240} />
    </section>
  );
}
