import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { answer, api, type Schemas } from '../api/client';
import { Choice } from '../fields/Choice';
import { figure, length } from '../units/units';
import { useUnits } from '../units/UnitsContext';
import { minutesSaid } from '../weeding/said';

type Numbers = Schemas['SvgNumbers'];

/** Formats with what follows the address. */
export const FORMATS = [
  ['svg', 'SVG'],
  ['dxf', 'DXF'],
  ['dxf-r12', 'DXF, release 12'],
  ['hpgl', 'HPGL'],
  ['pdf', 'PDF'],
] as const;

const ENDINGS = { svg: '.svg', dxf: '.dxf', 'dxf-r12': '.dxf', hpgl: '.plt', pdf: '.pdf' };

export const UNITS: readonly (readonly [string, string, Numbers])[] = [
  ['mm', 'millimetres', 'millimetres'],
  ['96', '96 to the inch', 'per96'],
  ['90', '90 to the inch', 'per90'],
  ['72', '72 to the inch', 'per72'],
];

export const query = (format: string, units: string) => `format=${format}${format === 'svg' ? `&units=${units}` : ''}`;

/** The files of a load, with what they measured when they were read back. */
export function FilesCard({ view, load, isMoving }: { view: Schemas['PlanView']; load: Schemas['PlanLoadView']; isMoving: boolean }) {
  const { units } = useUnits();
  const { data, error } = useQuery({
    queryKey: ['load-files', load.fileId, view.key, view.revision],
    queryFn: ({ signal }) => answer(api.GET('/api/loads/{id}/files', { params: { path: { id: load.fileId } }, signal })),
  });
  const [format, setFormat] = useState<(typeof FORMATS)[number][0]>('svg');
  const [chosen, setNumbers] = useState<string>();
  const numbers = chosen ?? UNITS.find(([, , n]) => n === data?.numbers)?.[0] ?? 'mm';
  return (
    <section aria-label="Files">
      <div className="stock-fields">
        <Choice label="Format" value={format} of={FORMATS} onChange={setFormat} />
        {format === 'svg' && (
          <Choice label="Numbers stand for" value={numbers} of={UNITS.map(([k, w]) => [k, w] as const)} onChange={setNumbers} />
        )}
      </div>
      {isMoving ? (
        <p className="soft" role="status">
          It is still being laid tighter. Stop that, or wait: a file is of what you see.
        </p>
      ) : (
        <p className="file">
          <a className="btn btn-sm btn-main" href={`/api/loads/${load.fileId}/file?${query(format, numbers)}`} download>
            Cut file, {FORMATS.find(([k]) => k === format)?.[1]}
          </a>
          <a className="btn btn-sm btn-line" href={`/api/plans/${view.id}/files?${query(format, numbers)}`} download>
            All {view.loads.length} as one archive
          </a>
        </p>
      )}
      <p className="file-name">
        {load.fileName}
        {ENDINGS[format]}
      </p>
      {!data && <p className="soft small">{error ? error.message : 'Writing and reading back …'}</p>}
      {data?.problem && <p className="finding stop">{data.problem}</p>}
      {data && (
        <table className="figures">
          <tbody>
            <tr>
              <th scope="row">Read back</th>
              <td>
                {figure(data.width, units, 2)} × {length(data.height, units, 2)}
              </td>
            </tr>
            <tr>
              <th scope="row">Outlines, cut length</th>
              <td>
                {data.outlines}, {length(data.length, units, 0)}
              </td>
            </tr>
            <tr>
              <th scope="row">The blade takes</th>
              <td>
                {minutesSaid(data.minutes)}, {Math.round(100 * data.upShare)} % of the way lifted
              </td>
            </tr>
            {data.scale && (
              <tr>
                <th scope="row">Made up for</th>
                <td>
                  {data.scale.across.toFixed(4)} across, {data.scale.along.toFixed(4)} along, {data.scale.skewDegrees.toFixed(3)}°
                </td>
              </tr>
            )}
            {data.knife && (
              <tr>
                <th scope="row">HPGL</th>
                <td>with the knife’s offset and overcut</td>
              </tr>
            )}
          </tbody>
        </table>
      )}
      {data && (
        <p className="soft small">
          If the cutter’s program shows another width than {figure(load.reach.maxX, units)}, it takes the numbers for something else:{' '}
          {data.guard
            .filter((g) => g.takenFor !== data.numbers)
            .map((g) => `${figure(g.width, units)} at ${UNITS.find(([, , n]) => n === g.takenFor)?.[1] ?? ''}`)
            .join(', ')}
          .
        </p>
      )}
    </section>
  );
}
