import { Form } from 'react-bootstrap';
import type { Schemas } from '../api/client';
import { LengthField } from '../units/LengthField';
import type { Request } from './trace';

const PAPERS = { a4: ['210', '297'], a5: ['148', '210'], letter: ['215.9', '279.4'] } as const;

interface Props {
  request: Request;
  /** The contrast at which the outlines shown were found. */
  used?: number;
  /** Whether the sheet's corners were found by themselves. */
  found: boolean;
  onChange: (to: Partial<Request>) => void;
}

/** What is known of the picture: its size, and how the outline was drawn. */
export function TraceFields({ request, used, found, onChange }: Props) {
  const paper =
    Object.entries(PAPERS).find(([, [w, h]]) => w === request.sheetWidth.text && h === request.sheetHeight.text)?.[0] ?? 'other';
  const typed = (text: string) => ({ text, unit: 'millimetre' as const });
  return (
    <>
      <section className="card" aria-label="Its size">
        <h2>Its size is known by</h2>
        <div className="margins">
          <label>
            What
            <Form.Select
              size="sm"
              aria-label="Size known by"
              value={request.by}
              onChange={(e) => onChange({ by: e.target.value as Request['by'], points: [] })}
            >
              <option value="resolution">the scan’s resolution</option>
              <option value="twoPoints">two points of known distance</option>
              <option value="sheet">a sheet’s corners</option>
            </Form.Select>
          </label>
          {request.by === 'resolution' && (
            <label>
              Dots an inch
              <Form.Control
                size="sm"
                aria-label="Dots an inch"
                value={request.dotsPerInch}
                onChange={(e) => onChange({ dotsPerInch: e.target.value })}
              />
            </label>
          )}
          {request.by === 'twoPoints' && (
            <LengthField label="They are apart" value={request.distance} onChange={(distance) => onChange({ distance })} />
          )}
          {request.by === 'sheet' && (
            <label>
              Sheet
              <Form.Select
                size="sm"
                aria-label="Sheet"
                value={paper}
                onChange={(e) => {
                  const p = PAPERS[e.target.value as keyof typeof PAPERS];
                  onChange(p ? { sheetWidth: typed(p[0]), sheetHeight: typed(p[1]) } : { sheetWidth: typed(''), sheetHeight: typed('') });
                }}
              >
                <option value="a4">A4</option>
                <option value="a5">A5</option>
                <option value="letter">Letter</option>
                <option value="other">another</option>
              </Form.Select>
            </label>
          )}
          {request.by === 'sheet' && (
            <label>
              It lies
              <Form.Select
                size="sm"
                aria-label="How the sheet lies"
                value={request.lies ?? 'asSeen'}
                onChange={(e) => onChange({ lies: e.target.value as Request['lies'] })}
              >
                <option value="asSeen">as its corners show</option>
                <option value="asTyped">upright</option>
                <option value="across">across</option>
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
        {request.by === 'sheet' && found && (
          <p className="hint">
            The corners were found by themselves. Look whether each mark sits on its corner; click beside one, or use the arrow keys on it,
            to move it.
          </p>
        )}
      </section>
      <section className="card" aria-label="How it was drawn">
        <h2>How it was drawn</h2>
        <div className="margins">
          <label>
            Of a pencil line, follow
            <Form.Select
              size="sm"
              aria-label="Edge of the line"
              value={request.edge}
              onChange={(e) => onChange({ edge: e.target.value as Schemas['LineEdge'] })}
            >
              <option value="inner">its inner edge</option>
              <option value="middle">its middle</option>
              <option value="outer">its outer edge</option>
            </Form.Select>
          </label>
          <LengthField label="Pencil ran outside by" value={request.allowance} onChange={(allowance) => onChange({ allowance })} />
          <LengthField label="Smooth by at most" value={request.smoothing} onChange={(smoothing) => onChange({ smoothing })} />
        </div>
        <div className="contrast">
          <Form.Check
            id="contrast"
            label="let the picture tell what is drawn"
            checked={request.contrast == null}
            onChange={(e) => onChange({ contrast: e.target.checked ? null : Math.round(100 * (used ?? 0.2)) / 100 })}
          />
          {request.contrast == null ? (
            used !== undefined && <span className="soft">{Math.round(100 * used)} % darker than the paper</span>
          ) : (
            <label>
              Only what is darker by {Math.round(100 * request.contrast)} %
              <Form.Range
                aria-label="Darker than the paper by"
                min={3}
                max={90}
                value={Math.round(100 * request.contrast)}
                onChange={(e) => onChange({ contrast: Number(e.target.value) / 100 })}
              />
            </label>
          )}
        </div>
        <Form.Check
          id="straighten"
          label="turn it upright where it lies a little crooked"
          checked={request.straighten}
          onChange={(e) => onChange({ straighten: e.target.checked })}
        />
      </section>
    </>
  );
}
