import type { Schemas } from '../api/client';
import { LengthField } from '../units/LengthField';
import { figure, unitInForce } from '../units/units';
import { useUnits } from '../units/UnitsContext';
import { ReadingField } from './ReadingField';
import { ToolChoice } from './ToolChoice';
import { unusedTool, withReading } from './tools';

type Blank = Schemas['Blank'];
type Row = Schemas['DimensionRowView'];
type Line = Schemas['ReadingLine'];

interface Props {
  view: Schemas['BlankView'];
  blank: Blank;
  size: Schemas['SizeView'];
  edit: (change: (b: Blank) => Blank) => void;
  lit?: string;
  onLight: (letter?: string) => void;
}

/** The readings as a schedule: a row per dimension, a line per tool, a field per reading. */
export function ReadingsCard({ view, blank, edit, size, lit, onLight }: Props) {
  const { units } = useUnits();
  const change = ({ dimension, of, face }: Row, lines: (l: readonly Line[]) => Line[]) =>
    edit((b) => ({
      ...b,
      measured: b.measured.some((m) => m.dimension === dimension && m.of === of && m.face === face)
        ? b.measured.map((m) => (m.dimension === dimension && m.of === of && m.face === face ? { ...m, lines: lines(m.lines) } : m))
        : [...b.measured, { dimension, of, face, lines: lines([]) }],
    }));
  // A garment's schedule is that of the size shown.
  const rows = view.rows.filter((r) => blank.surface !== 'garment' || r.of === size.size);
  const printed = blank.measured.some((m) => m.lines.some((l) => l.tool === 'printedStrip'));
  return (
    <section className="card" aria-label="Readings">
      <h2>
        {size.size ? `Readings of size ${size.size}` : 'Readings'}
        <span className="hint">type as read: 276, 10 7/8, 27.6 cm</span>
      </h2>
      <table className="readings">
        <thead>
          <tr>
            <th scope="col">Dimension</th>
            <th scope="col">Read</th>
            <th scope="col">With</th>
            <th scope="col" className="end">
              Is
            </th>
          </tr>
        </thead>
        <tbody>
          {rows.map((row) => {
            const kept = blank.measured.find((m) => m.dimension === row.dimension && m.of === row.of && m.face === row.face)?.lines ?? [];
            const lines = kept.length ? kept : [{ tool: row.usualTool, readings: [] }];
            return lines.map((line, l) => (
              <tr
                key={`${row.dimension} ${row.of} ${row.face} ${l}`}
                className={lit === row.letter ? 'lit' : ''}
                onMouseEnter={() => onLight(row.letter)}
                onMouseLeave={() => onLight(undefined)}
                onFocus={() => onLight(row.letter)}
              >
                <th scope="row">
                  {l === 0 ? (
                    <>
                      {row.name} <b>{row.letter}</b>
                    </>
                  ) : (
                    <span className="visually-hidden">{row.name}, another tool</span>
                  )}
                </th>
                <td>
                  <LineFields row={row} line={line} at={l} unit={unitInForce(units)} change={(next) => put(l, next)} />
                </td>
                <td>
                  <ToolChoice
                    label={`Tool for ${row.name}`}
                    value={line.tool}
                    more={l === lines.length - 1 && line.readings.some((r) => r.text)}
                    onChoose={(to) => tool(l, to)}
                  />
                </td>
                <td className="end is">
                  {l === 0 && typeof row.is === 'number' && (
                    <>
                      <span>{figure(row.is, units)}</span> <span>± {figure(row.uncertainty ?? 0, units)}</span>
                    </>
                  )}
                </td>
              </tr>
            ));

            function put(at: number, next: (typeof lines)[number]) {
              change(row, () => lines.map((x, i) => (i === at ? next : x)));
            }
            function tool(at: number, to: Schemas['MeasuringTool'] | 'another') {
              change(row, () =>
                to === 'another'
                  ? [...lines, { tool: unusedTool(lines), readings: [] }]
                  : lines.map((x, i) => (i === at ? { ...x, tool: to } : x)),
              );
            }
          })}
        </tbody>
      </table>
      {printed && (
        <div className="strip-check">
          <LengthField
            label="The strip’s check line measures"
            value={blank.stripCheck}
            echo={view.stripProblem ? { millimetres: null, problem: view.stripProblem } : undefined}
            onChange={(stripCheck) => edit((b) => ({ ...b, stripCheck }))}
          />
          <span className="soft small">
            It is drawn {figure(200, units)} long. Readings taken with this strip are corrected by what it measures.
          </span>
        </div>
      )}
      <p className="strip-link">
        <a href="/api/strips.pdf" download>
          Strips and a size card to print
        </a>
      </p>
    </section>
  );
}

function LineFields({
  row,
  line,
  at,
  unit,
  change,
}: {
  row: Row;
  line: Line;
  at: number;
  unit: Schemas['LengthUnit'];
  change: (line: Line) => void;
}) {
  const fields = [...line.readings, { text: '', unit }];
  return (
    <div className="reading-fields">
      {fields.map((typed, i) => (
        <ReadingField
          key={i}
          label={`${row.name}, reading ${i + 1}`}
          value={typed}
          echo={row.echoes[at]?.[i]}
          fresh={i === line.readings.length}
          onChange={(value) => change(withReading(line, i, value))}
        />
      ))}
    </div>
  );
}
