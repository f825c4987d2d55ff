import { Form } from 'react-bootstrap';
import type { Schemas } from '../api/client';
import { LengthField } from '../units/LengthField';
import { Words } from '../units/Words';
import type { EditSetUp, SetUp } from './useRun';

interface Props {
  view: Schemas['RunView'];
  run: SetUp;
  columns: readonly string[];
  edit: EditSetUp;
  lack?: Schemas['Phrase'];
}

const WAYS: readonly (readonly [Schemas['Sizing'], string])[] = [
  ['eachLargest', 'each name as large as fits'],
  ['oneLetterHeight', 'all at one letter height'],
  ['oneScale', 'all at one scale of the motif'],
];

/** How the pieces are sized, and how far apart they are cut. */
export function SizingFields({ view, run, columns, edit, lack }: Props) {
  const one = run.sizing === 'oneLetterHeight';
  const fields = view.list.fields.filter((f) => f !== 'name' && (columns.includes(f) || f === run.groupBy));
  const heightOf = (group: string) =>
    run.groupHeights.find((g) => g.group === group)?.letterHeight ?? { text: '', unit: 'millimetre' as const };
  const give = (group: string, letterHeight: Schemas['TypedLength']) =>
    edit((r) => ({
      ...r,
      groupHeights: [
        ...r.groupHeights.filter((g) => g.group !== group),
        ...(letterHeight.text.trim() === '' ? [] : [{ group, letterHeight }]),
      ],
    }));
  return (
    <section className="card" aria-label="Sizing">
      <h2>How large</h2>
      <div className="sizing">
        {WAYS.map(([way, words]) => (
          <Form.Check
            key={way}
            type="radio"
            name="sizing"
            id={`sizing-${way}`}
            label={words}
            checked={run.sizing === way}
            onChange={() => edit((r) => ({ ...r, sizing: way }))}
          />
        ))}
        {run.sizing === 'oneScale' && (
          <label>
            Scale, % of the motif’s own size
            <Form.Control
              size="sm"
              className="narrow"
              value={run.scaleTyped}
              isInvalid={!!lack}
              onChange={(e) => edit((r) => ({ ...r, scaleTyped: e.target.value }))}
            />
            {lack && (
              <span className="echo problem">
                <Words of={lack} />
              </span>
            )}
          </label>
        )}
        <LengthField
          label="Letter height"
          value={run.letterHeight}
          echo={view.letterHeight}
          disabled={!one}
          onChange={(letterHeight) => edit((r) => ({ ...r, letterHeight }))}
        />
        <LengthField
          label="Scissors room between pieces"
          value={run.scissorsRoom}
          echo={view.scissorsRoom}
          onChange={(scissorsRoom) => edit((r) => ({ ...r, scissorsRoom }))}
        />
        {one && fields.length > 0 && (
          <label>
            Each group by itself
            <Form.Select
              size="sm"
              aria-label="Each group by itself"
              value={run.groupBy}
              onChange={(e) => edit((r) => ({ ...r, groupBy: e.target.value }))}
            >
              <option value="">no: one height for all</option>
              {fields.map((f) => (
                <option key={f} value={f}>
                  by {f}
                </option>
              ))}
            </Form.Select>
          </label>
        )}
        {one &&
          run.groupBy !== '' &&
          view.list.groups.map((g) => (
            <LengthField
              key={g.group}
              label={`${run.groupBy} ${g.group || 'not said'}, ${g.pieces}`}
              value={heightOf(g.group)}
              echo={view.groupHeights[run.groupHeights.findIndex((x) => x.group === g.group)]}
              onChange={(v) => give(g.group, v)}
            />
          ))}
      </div>
    </section>
  );
}
