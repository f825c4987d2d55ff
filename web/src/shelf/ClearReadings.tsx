import { useState } from 'react';
import type { Schemas } from '../api/client';
import { figure, unitInForce } from '../units/units';
import { useUnits } from '../units/UnitsContext';
import { ReadingField } from './ReadingField';
import { ToolChoice } from './ToolChoice';
import { unusedTool, withReading } from './tools';

type Place = Schemas['KeptClear'];
type Again = Schemas['ReadAgain'];

const NAMES: Record<Schemas['ClearField'], string> = { width: 'Width', height: 'Height', away: 'Away', across: 'Across' };

/** Which lengths of a place are there to be read. */
function fieldsOf(place: Place): Schemas['ClearField'][] {
  return [
    ...(place.shape === 'band' ? [] : ['width' as const]),
    ...(place.shape === 'round' || place.shape === 'strip' ? [] : ['height' as const]),
    ...(place.place.from === 'middle' ? [] : ['away' as const]),
    ...(place.place.side === 'centred' ? [] : ['across' as const]),
  ];
}

/** The lengths of a place read again, each with its tools: closed until it is asked for or holds something. */
export function ClearReadings({
  place,
  read,
  onChange,
}: {
  place: Place;
  read: readonly Schemas['ClearReadingView'][];
  onChange: (again: Again[]) => void;
}) {
  const { units } = useUnits();
  const [open, setOpen] = useState(false);
  const again = place.again;
  if (!open && again.length === 0) {
    return (
      <button type="button" className="quiet" aria-label={`Read ${place.name} again`} onClick={() => setOpen(true)}>
        read again, or with another tool
      </button>
    );
  }
  const set = (field: Schemas['ClearField'], change: (a: Again) => Again) => {
    const has = again.find((a) => a.field === field) ?? { field, tool: 'steelRule' as const, lines: [] };
    onChange([...again.filter((a) => a.field !== field), change(has)]);
  };
  return (
    <table className="readings clear-readings" aria-label={`Readings of ${place.name}`}>
      <thead>
        <tr>
          <th scope="col">Read with</th>
          <th scope="col">And again</th>
          <th scope="col" className="end">
            Is
          </th>
        </tr>
      </thead>
      <tbody>
        {fieldsOf(place).map((field) => {
          const has = again.find((a) => a.field === field) ?? { field, tool: 'steelRule' as const, lines: [] };
          const lines = has.lines.length ? has.lines : [{ tool: has.tool, readings: [] }];
          const view = read.find((r) => r.field === field);
          return lines.map((line, l) => (
            <tr key={`${field} ${l}`}>
              <td>
                {l === 0 && (
                  <span className="clear-first">
                    {NAMES[field]}{' '}
                    <ToolChoice
                      label={`Tool for the ${NAMES[field].toLowerCase()} of ${place.name}`}
                      value={has.tool}
                      more={false}
                      onChoose={(tool) => tool !== 'another' && set(field, (a) => ({ ...a, tool }))}
                    />
                  </span>
                )}
              </td>
              <td>
                <span className="reading-fields">
                  {[...line.readings, { text: '', unit: unitInForce(units) }].map((typed, i) => (
                    <ReadingField
                      key={i}
                      label={`${NAMES[field]} of ${place.name}, further reading ${i + 1}`}
                      value={typed}
                      echo={view?.echoes[l]?.[i]}
                      fresh={i === line.readings.length}
                      onChange={(value) =>
                        set(field, (a) => ({ ...a, lines: lines.map((x, j) => (j === l ? withReading(x, i, value) : x)) }))
                      }
                    />
                  ))}
                </span>
                {line.readings.length > 0 && (
                  <ToolChoice
                    label={`Tool for further readings of the ${NAMES[field].toLowerCase()} of ${place.name}`}
                    value={line.tool}
                    more={l === lines.length - 1}
                    onChoose={(tool) =>
                      set(field, (a) => ({
                        ...a,
                        lines:
                          tool === 'another'
                            ? [...lines, { tool: unusedTool(lines), readings: [] }]
                            : lines.map((x, j) => (j === l ? { ...x, tool } : x)),
                      }))
                    }
                  />
                )}
              </td>
              <td className="end is">
                {l === 0 && typeof view?.is === 'number' ? `${figure(view.is, units)} ± ${figure(view.uncertainty ?? 0, units)}` : ''}
              </td>
            </tr>
          ));
        })}
      </tbody>
    </table>
  );
}
