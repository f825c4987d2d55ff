import { Form } from 'react-bootstrap';
import type { Schemas } from '../api/client';
import { LengthField } from '../units/LengthField';
import type { Request } from './trace';

const PAPERS = { a4: ['210', '297'], a5: ['148', '210'], letter: ['215.9', '279.4'] } as const;

/** What is known of the picture: its size, and how the outline was drawn. */
export function TraceFields({ request, onChange }: { request: Request; onChange: (to: Partial<Request>) => void }) {
  const paper = Object.entries(PAPERS).find(([, [w, h]]) => w === request.sheetWidth.text && h === request.sheetHeight.text)?.[0] ?? 'other';
  const typed = (text: string) => ({ text, unit: 'millimetre' as const });
  return (
    <>
      <section className="card" aria-label="Its size">
        <h2>Its size is known by</h2>
        <div className="margins">
          <label>What
            <Form.Select size="sm" aria-label="Size known by" value={request.by} onChange={(e) => onChange({ by: e.target.value as Request['by'], points: [] })}>
              <option value="resolution">the scan’s resolution</option>
              <option value="twoPoints">two points of known distance</option>
              <option value="sheet">the corners of a sheet</option>
            </Form.Select>
          </label>
          {request.by === 'resolution' && (
            <label>Dots an inch
              <Form.Control size="sm" aria-label="Dots an inch" value={request.dotsPerInch} onChange={(e) => onChange({ dotsPerInch: e.target.value })} />
            </label>
          )}
          {request.by === 'twoPoints' && <LengthField label="They are apart" value={request.distance} onChange={(distance) => onChange({ distance })} />}
          {request.by === 'sheet' && (
            <label>Sheet
              <Form.Select size="sm" aria-label="Sheet" value={paper} onChange={(e) => { const p = PAPERS[e.target.value as keyof typeof PAPERS]; onChange(p ? { sheetWidth: typed(p[0]), sheetHeight: typed(p[1]) } : { sheetWidth: typed(''), sheetHeight: typed('') }); }}>
                <option value="a4">A4</option>
                <option value="a5">A5</option>
                <option value="letter">Letter</option>
                <option value="other">another</option>
              </Form.Select>
            </label>
          )}
          {request.by === 'sheet' && paper === 'other' && (
            <>
              <LengthField label="Sheet wide" value={request.sheetWidth} onChange={(sheetWidth) => onChange({ sheetWidth })} />
              <LengthField label="Sheet high" value={request.sheetHeight} onChange={(sheetHeight) => onChange({ sheetHeight })} />
            </>
          )}
        </div>
      </section>
      <section className="card" aria-label="How it was drawn">
        <h2>How it was drawn</h2>
        <div className="margins">
          <label>Of a pencil line, follow
            <Form.Select size="sm" aria-label="Edge of the line" value={request.edge} onChange={(e) => onChange({ edge: e.target.value as Schemas['LineEdge'] })}>
              <option value="inner">its inner edge</option>
              <option value="middle">its middle</option>
              <option value="outer">its outer edge</option>
            </Form.Select>
          </label>
          <LengthField label="Pencil ran outside by" value={request.allowance} onChange={(allowance) => onChange({ allowance })} />
          <LengthField label="Smooth by at most" value={request.smoothing} onChange={(smoothing) => onChange({ smoothing })} />
        </div>
        <Form.Check id="straighten" label="turn it upright where it lies a little crooked" checked={request.straighten} onChange={(e) => onChange({ straighten: e.target.checked })} />
      </section>
    </>
  );
}
