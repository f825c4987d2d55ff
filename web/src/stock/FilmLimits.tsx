import { Form } from 'react-bootstrap';
import type { Schemas } from '../api/client';
import { figure } from '../units/units';
import { useUnits } from '../units/UnitsContext';
import { Words } from '../units/Words';
import { UsualLength } from '../units/UsualLength';

type Film = Schemas['Film'];

const NOTHING: Schemas['TypedLength'] = { text: '', unit: 'millimetre' };
const NO_LIMITS = { thinnestStroke: NOTHING, narrowestGap: NOTHING, smallestAcross: NOTHING, smallestArea: '', tieWidth: NOTHING };

/** What a film bears: typed, or what is usual of its material and its thinnest stroke. */
export function FilmLimits({ view, film, onChange }: { view: Schemas['FilmView']; film: Film; onChange: (change: Partial<Film>) => void }) {
  const { units } = useUnits();
  const problem = (field: string) => view.problems.find((p) => p.fields.includes(field))?.message;
  const limit = (field: 'thinnestStroke' | 'narrowestGap' | 'smallestAcross' | 'tieWidth', label: string, usual: number) => (
    <UsualLength
      label={label}
      value={film[field]}
      usual={figure(usual, units, 2)}
      problem={problem(field)}
      onChange={(v) => onChange({ [field]: v })}
    />
  );
  const area = problem('smallestArea');
  const own = (['thinnestStroke', 'narrowestGap', 'smallestAcross', 'tieWidth'] as const).some((f) => film[f].text.trim() !== '');
  return (
    <fieldset className="film-limits">
      <legend>
        It bears
        {(own || film.smallestArea.trim() !== '') && (
          <button type="button" className="quiet" onClick={() => onChange(NO_LIMITS)}>
            Usual limits
          </button>
        )}
      </legend>
      <div className="stock-fields">
        {limit('thinnestStroke', 'Thinnest stroke', view.usualStroke)}
        {limit('narrowestGap', 'Narrowest gap', view.usual.gap)}
        {limit('smallestAcross', 'Smallest dot', view.usual.speckAcross)}
        <label>
          Its area, mm²
          <Form.Control
            size="sm"
            value={film.smallestArea}
            placeholder={view.usual.speckArea.toFixed(2)}
            isInvalid={!!area}
            onChange={(e) => onChange({ smallestArea: e.target.value })}
          />
          {area && (
            <span className="echo problem">
              <Words of={area} />
            </span>
          )}
        </label>
        {limit('tieWidth', 'Ties, wide', view.usual.tie)}
        <UsualLength
          label="Laid to within ±"
          value={film.laidWithin}
          usual="0.5 mm"
          problem={problem('laidWithin')}
          onChange={(laidWithin) => onChange({ laidWithin })}
        />
      </div>
      {film.purpose === 'pulledOff' && (
        <p className="soft small">
          As a mask its strokes need {figure(view.usual.stroke, units, 2)}: half as much again, since paint creeps.
        </p>
      )}
    </fieldset>
  );
}
