import { useId } from 'react';
import type { Schemas } from '../api/client';
import { length, unitInForce } from '../units/units';
import { useUnits } from '../units/UnitsContext';
import { Words } from '../units/Words';

interface Props {
  label: string;
  value: Schemas['TypedLength'];
  echo?: Schemas['ReadingEchoView'];
  /** The empty field at the end, for a further reading. */
  fresh: boolean;
  onChange: (value: Schemas['TypedLength']) => void;
}

/** One reading. What was understood stands beneath whenever it is not plainly what was typed. */
export function ReadingField({ label, value, echo, fresh, onChange }: Props) {
  const { units } = useUnits();
  const id = useId();
  const problem = value.text.trim() ? echo?.problem : undefined;
  const understood = typeof echo?.millimetres === 'number' && value.text.trim() !== '' ? echo.millimetres : undefined;
  // A number that is already in the unit shown needs no echo.
  const plain = understood !== undefined && value.unit === unitInForce(units) && /^\d+([.,]\d+)?$/.test(value.text.trim());
  const note = problem ? (
    <Words of={problem} />
  ) : echo?.outlier ? (
    <Words of={echo.outlier} />
  ) : understood !== undefined && !plain ? (
    `= ${length(understood, units, units.unit === 'mm' ? 2 : 1)}`
  ) : (
    ''
  );
  return (
    <span className="reading-field">
      <input
        id={id}
        className={problem ? 'reading wrong' : echo?.outlier ? 'reading apart' : 'reading'}
        style={{ width: `${fresh ? 3.2 : Math.max(3, Math.min(value.text.length, 22)) + 1.8}ch` }}
        aria-label={label}
        aria-invalid={!!problem}
        aria-describedby={`${id}-note`}
        placeholder={fresh ? '+' : ''}
        value={value.text}
        onChange={(e) => onChange({ text: e.target.value, unit: unitInForce(units) })}
        onKeyDown={(e) => {
          const next = e.currentTarget.closest('.reading-field')?.nextElementSibling?.querySelector('input');
          if (e.key === 'Enter' && next) next.focus();
        }}
      />
      <span id={`${id}-note`} className={problem ? 'echo problem' : 'echo'}>
        {note}
      </span>
    </span>
  );
}
