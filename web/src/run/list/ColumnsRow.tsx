import { Form } from 'react-bootstrap';
import type { Schemas } from '../../api/client';
import type { NamesList } from '../useRun';
import { Check } from '../../fields/Choice';
import { withColumn } from './columns';

/** What the columns of a list are taken for, with the first of what stands in them. */
export function Columns({
  columns,
  head,
  fields,
  heading,
  onChange,
}: {
  columns: readonly string[];
  head: readonly (readonly string[])[];
  fields: readonly string[];
  heading: boolean;
  onChange: (columns: string[], heading: boolean) => void;
}) {
  const sample = head[heading ? 1 : 0] ?? [];
  return (
    <div className="list-columns">
      {columns.map((c, i) => (
        <label key={i}>
          <span className="soft small">
            {heading && head[0]?.[i] ? head[0][i] : `Column ${i + 1}`}
            {sample[i] ? `, as “${sample[i]}”` : ''}
          </span>
          <Form.Select
            size="sm"
            aria-label={`Column ${i + 1}`}
            value={c}
            onChange={(e) => onChange(withColumn(columns, i, e.target.value), heading)}
          >
            <option value="">left out</option>
            {fields.map((f) => (
              <option key={f} value={f}>
                {f}
              </option>
            ))}
            <option value="quantity">quantity</option>
          </Form.Select>
        </label>
      ))}
      <Check label="The first line names the columns" value={heading} onChange={(now) => onChange([...columns], now)} />
    </div>
  );
}

/** The columns of the list of a run. */
export function ColumnsRow({
  view,
  run,
  edit,
}: {
  view: Schemas['RunView'];
  run: NamesList;
  edit: (change: (list: NamesList) => NamesList) => void;
}) {
  return (
    <Columns
      columns={run.columns}
      head={view.list.head}
      fields={view.list.fields}
      heading={run.hasHeading}
      onChange={(columns, hasHeading) => edit((r) => ({ ...r, columns, hasHeading }))}
    />
  );
}
