import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { answer, api, type Schemas } from '../api/client';
import { scaleFor } from '../board/scale';
import { useSize } from '../board/useSize';
import { Choice } from '../fields/Choice';
import { length } from '../units/units';
import { useUnits } from '../units/UnitsContext';
import { Words } from '../units/Words';

type Paper = 'a4' | 'letter';

interface Props {
  id: string;
  pieces: readonly Schemas['Piece'][];
  /** How many sides pieces have. */
  sides: number;
}

/** A template to place a piece by: what it prints, on how many pages, true to size. */
export function TemplateTab({ id, pieces, sides }: Props) {
  const { units } = useUnits();
  const [piece, setPiece] = useState('');
  const [side, setSide] = useState('0');
  const [paper, setPaper] = useState<Paper>('a4');
  const query = { piece, side: Number(side), paper };
  const { data, error } = useQuery({
    queryKey: ['bench', id, 'template', query],
    queryFn: () => answer(api.GET('/api/runs/{id}/template', { params: { path: { id }, query } })),
    placeholderData: keepPreviousData,
  });
  const address = new URLSearchParams({ piece, side, paper, inches: String(units.unit === 'in') });
  return (
    <div className="cost-tab">
      <section className="card" aria-label="Template">
        <h2>
          Template
          {data?.pages.length ? (
            <span className="soft small" role="status">
              {data.pages.length} {data.pages.length === 1 ? 'page' : 'pages'}
              {data.across > 1 && `, ${data.across} across`}
            </span>
          ) : null}
        </h2>
        {error && <p className="echo problem">{error.message}</p>}
        {data?.problem && (
          <p className="finding">
            <Words of={data.problem} />
          </p>
        )}
        {data?.box && <Sheet view={data} box={data.box} />}
      </section>
      <div className="column">
        <section className="card" aria-label="Print it">
          <h2>Print it</h2>
          <Choice
            label="Of"
            value={piece || (pieces[0]?.id ?? '')}
            of={pieces.map((p) => [p.id, p.name || '–'] as const)}
            onChange={setPiece}
          />
          {sides > 1 && (
            <Choice
              label="Side"
              value={side}
              of={Array.from({ length: sides }, (_, i) => [String(i), i === 0 ? 'the first' : `number ${i + 1}`] as const)}
              onChange={setSide}
            />
          )}
          <Choice
            label="Paper"
            value={paper}
            of={[
              ['a4', 'A4'],
              ['letter', 'Letter'],
            ]}
            onChange={setPaper}
          />
          <p>
            <a
              className={`btn btn-sm btn-main${data?.pages.length ? '' : ' disabled'}`}
              href={`/api/runs/${id}/template/file?${address.toString()}`}
              download
            >
              Template as a PDF
            </a>
          </p>
          <p className="soft small">
            Print it at full size and measure the line of 100 mm on it. Pages overlap by 10 mm: lay cross upon cross.
          </p>
        </section>
        {data && data.distances.length > 0 && (
          <section className="card" aria-label="Distances">
            <h2>From the ink</h2>
            <table className="figures">
              <tbody>
                {data.distances.map((d, i) => (
                  <tr key={i}>
                    <th scope="row">{d.what}</th>
                    <td>{length(d.millimetres ?? 0, units)}</td>
                  </tr>
                ))}
              </tbody>
            </table>
          </section>
        )}
      </div>
    </div>
  );
}

/** What is printed, with its pages. */
function Sheet({ view, box }: { view: Schemas['TemplateView']; box: Schemas['Box'] }) {
  const [ref, { width }] = useSize<HTMLDivElement>();
  const pages = view.pages.map((p) => p.box);
  const all = {
    ...box,
    minX: Math.min(box.minX, ...pages.map((p) => p.minX)),
    minY: Math.min(box.minY, ...pages.map((p) => p.minY)),
    maxX: Math.max(box.maxX, ...pages.map((p) => p.maxX)),
    maxY: Math.max(box.maxY, ...pages.map((p) => p.maxY)),
  };
  const height = 470;
  const scale = scaleFor(all, width, height, { top: 8, right: 8, bottom: 8, left: 8 });
  return (
    <div ref={ref} className="template-sheet" style={{ height }}>
      {width > 0 && (
        <svg width={width} height={height} className="drawing" role="img" aria-label="What is printed, page by page">
          {pages.map((p, i) => (
            <rect
              key={i}
              className="template-page"
              x={scale.x(p.minX)}
              y={scale.y(p.maxY)}
              width={scale.k * (p.maxX - p.minX)}
              height={scale.k * (p.maxY - p.minY)}
            />
          ))}
          <g transform={scale.transform}>
            {view.lines.map((l, i) => (
              <path key={i} d={l.path} className={`stroke-${l.kind}`} fill="none" vectorEffect="non-scaling-stroke" />
            ))}
            <path d={view.ink} fillRule="evenodd" className="parted-ink" />
          </g>
          {view.distances.map((d, i) => (
            <line
              key={i}
              className="template-distance"
              x1={scale.x(d.from.x)}
              y1={scale.y(d.from.y)}
              x2={scale.x(d.to.x)}
              y2={scale.y(d.to.y)}
            />
          ))}
        </svg>
      )}
    </div>
  );
}
