import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { answer, api, type Schemas } from '../api/client';
import { Choice } from '../fields/Choice';
import { figure, length, untyped } from '../units/units';
import { useUnits } from '../units/UnitsContext';
import { LengthField } from '../units/LengthField';
import { useReading } from '../units/useEcho';
import { Words } from '../units/Words';

type Row = Schemas['SizeRow'];

const keyOf = (r: Row) => `${r.side} ${r.piece}`;

/** What was measured on pieces once they were made, estimated against real. */
export function SizesCard({ id }: { id: string }) {
  const { units } = useUnits();
  const cache = useQueryClient();
  const [chosen, choose] = useState('');
  const params = { path: { id } };
  const key = ['making', id, 'sizes'];
  const { data, error } = useQuery({ queryKey: key, queryFn: () => answer(api.GET('/api/runs/{id}/sizes', { params })) });
  const note = useMutation({
    mutationFn: (body: Schemas['MeasuredPiece']) => answer(api.PUT('/api/runs/{id}/sizes', { params, body })),
    onSuccess: (view) => {
      cache.setQueryData(key, view);
      void cache.invalidateQueries({ queryKey: ['bench', id] });
    },
  });
  const failed = error ?? note.error;
  if (!data) return failed ? <p className="echo problem">{failed.message}</p> : null;
  if (data.rows.length === 0) return null;
  const measured = data.rows.filter((r) => r.measured);
  const at = data.rows.find((r) => keyOf(r) === chosen) ?? data.rows.find((r) => !r.measured) ?? data.rows[0];
  return (
    <section className="card" aria-label="Measured">
      <h2>
        Measured once made
        <span className="soft small">{measured.length > 0 && `${measured.length} of ${data.rows.length}`}</span>
      </h2>
      {data.learned.map((l, i) => (
        <p key={i} className="finding">
          <Words of={l} />
        </p>
      ))}
      {measured.length > 0 && (
        <table className="figures">
          <thead>
            <tr>
              <th>Piece</th>
              <th className="end">Was to be</th>
              <th className="end">Became</th>
              <th className="end">Off by</th>
            </tr>
          </thead>
          <tbody>
            {measured.map((r) => (
              <tr key={keyOf(r)}>
                <th scope="row">
                  <button type="button" className="quiet" onClick={() => choose(keyOf(r))}>
                    {r.name}
                  </button>
                </th>
                <td>
                  {figure(r.width, units)} × {length(r.height, units)}
                </td>
                <td>
                  {r.offWidth === null ? '–' : figure(r.width + r.offWidth, units)} ×{' '}
                  {r.offHeight === null ? '–' : figure(r.height + r.offHeight, units)}
                </td>
                <td>
                  {off(r.offWidth, (x) => figure(x, units, 2))} × {off(r.offHeight, (x) => figure(x, units, 2))}
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      )}
      {measured
        .filter((r) => r.notes.length > 0)
        .map((r) => (
          <p key={keyOf(r)} className="echo problem">
            <b>{r.name}</b>:{' '}
            {r.notes.map((n, i) => (
              <Words key={i} of={n} />
            ))}
          </p>
        ))}
      {at && (
        <Noting
          key={keyOf(at)}
          row={at}
          rows={data.rows}
          onChoose={choose}
          isBusy={note.isPending}
          onNote={(width, height) => note.mutate({ piece: at.piece, side: at.side, width, height }, { onSuccess: () => choose('') })}
        />
      )}
      {failed && (
        <p className="echo problem" role="alert">
          {failed.message}
        </p>
      )}
    </section>
  );
}

interface NotingProps {
  row: Row;
  rows: readonly Row[];
  onChoose: (key: string) => void;
  isBusy: boolean;
  onNote: (width: Schemas['TypedLength'], height: Schemas['TypedLength']) => void;
}

/** What is measured on one piece, typed. */
function Noting({ row, rows, onChoose, isBusy, onNote }: NotingProps) {
  const { units } = useUnits();
  const [width, setWidth] = useState(row.measured?.width ?? untyped(units));
  const [height, setHeight] = useState(row.measured?.height ?? untyped(units));
  const echoes = { width: useReading(width, 'artwork'), height: useReading(height, 'artwork') };
  return (
    <form
      className="noting"
      onSubmit={(e) => {
        e.preventDefault();
        onNote(width, height);
      }}
    >
      <Choice label="Piece" value={keyOf(row)} of={rows.map((r) => [keyOf(r), r.name || '–'] as const)} onChange={onChoose} />
      <LengthField label="Width" value={width} echo={echoes.width} usual={figure(row.expectedWidth, units)} onChange={setWidth} />
      <LengthField label="Height" value={height} echo={echoes.height} usual={figure(row.expectedHeight, units)} onChange={setHeight} />
      <button type="submit" className="btn btn-sm btn-line" disabled={isBusy}>
        Note it
      </button>
    </form>
  );
}

const off = (by: number | null, said: (by: number) => string) =>
  by === null ? '–' : by > 0 ? `+${said(by)}` : by < 0 ? `−${said(-by)}` : '0';
