import { Form } from 'react-bootstrap';
import type { Schemas } from '../api/client';
import { Words } from '../units/Words';
import { MotifLengthField } from './MotifLengthField';

type Part = Schemas['Part'];
type Lettering = Schemas['PartLetteringPart'];

interface Props {
  part: Part;
  first: boolean;
  last: boolean;
  set?: Schemas['SetPartView'];
  typefaces: readonly Schemas['TypefaceView'][];
  problems: readonly Schemas['MotifProblem'][];
  onLight: (id?: string) => void;
  onChange: (part: Part) => void;
  onMove: (by: number) => void;
  onRemove: () => void;
}

const isLettering = (part: Part): part is Lettering => 'text' in part;

/** A part of a motif as a row of the schedule. */
export function PartRow({ part, first, last, typefaces, problems, onLight, onChange, onMove, onRemove }: Props) {
  const problem = (field: string) => problems.find((p) => p.field === field)?.message;
  const what = isLettering(part) ? part.text || 'line' : 'rule';
  return (
    <fieldset className="part" onMouseEnter={() => onLight(part.id)} onMouseLeave={() => onLight(undefined)} onFocus={() => onLight(part.id)}>
      <legend className="visually-hidden">{what}</legend>
      <div className="part-line">
        {isLettering(part) ? <TextField part={part} problem={problem('text')} onChange={onChange} /> : <span className="rule-sample" aria-label="Rule"><i />rule</span>}
        <span className="part-deeds">
          <button type="button" className="quiet" aria-label={`Move ${what} up`} disabled={first} onClick={() => onMove(-1)}>↑</button>
          <button type="button" className="quiet" aria-label={`Move ${what} down`} disabled={last} onClick={() => onMove(1)}>↓</button>
          <button type="button" className="quiet" aria-label={`Remove ${what}`} onClick={onRemove}>✕</button>
        </span>
      </div>
      <div className="part-fields">
        {isLettering(part) ? (
          <>
            <label>Typeface
              <Form.Select size="sm" value={part.typefaceId} isInvalid={!!problem('typeface')} onChange={(e) => onChange({ ...part, typefaceId: e.target.value })}>
                {typefaces.map((t) => <option key={t.id} value={t.id}>{t.name} ({t.kind})</option>)}
              </Form.Select>
            </label>
            <label>Sized by
              <Form.Select size="sm" value={part.sizedBy} onChange={(e) => onChange({ ...part, sizedBy: e.target.value as Lettering['sizedBy'] })}>
                <option value="capitalHeight">capital height</option>
                <option value="inkWidth">width of ink</option>
              </Form.Select>
            </label>
            <MotifLengthField label="Size" value={part.size} problem={problem('size')} onChange={(size) => onChange({ ...part, size })} />
            <label>Spacing
              <Form.Control size="sm" type="number" step={10} className="narrow" value={part.spacing} isInvalid={!!problem('spacing')} onChange={(e) => onChange({ ...part, spacing: Number(e.target.value) || 0 })} />
            </label>
          </>
        ) : (
          <>
            <label>Length
              <Form.Select size="sm" value={part.span} onChange={(e) => onChange({ ...part, span: e.target.value as 'given' | 'fillsRow' })}>
                <option value="fillsRow">fills its row</option>
                <option value="given">as typed</option>
              </Form.Select>
            </label>
            {part.span === 'given' && <MotifLengthField label="Long" value={part.length} problem={problem('length')} onChange={(length) => onChange({ ...part, length })} />}
            <MotifLengthField label="Thick" value={part.thickness} problem={problem('thickness')} onChange={(thickness) => onChange({ ...part, thickness })} />
          </>
        )}
        {!first && (
          <>
            <label>Stands
              <Form.Select size="sm" value={part.place} onChange={(e) => onChange({ ...part, place: e.target.value as Part['place'] })}>
                <option value="below">below</option>
                <option value="beside">beside</option>
              </Form.Select>
            </label>
            <MotifLengthField label="Gap" value={part.gap} problem={problem('gap')} onChange={(gap) => onChange({ ...part, gap })} />
          </>
        )}
      </div>
    </fieldset>
  );
}

function TextField({ part, problem, onChange }: { part: Lettering; problem?: Schemas['Phrase']; onChange: (part: Part) => void }) {
  return (
    <span className="part-text">
      <Form.Control size="sm" aria-label="Words; {name} is filled from the list" value={part.text} isInvalid={!!problem} onChange={(e) => onChange({ ...part, text: e.target.value })} />
      {problem && <span className="echo problem"><Words of={problem} /></span>}
    </span>
  );
}
