import { useQuery } from '@tanstack/react-query';
import { Link, useParams } from 'react-router';
import { answer, api } from '../api/client';
import { TitleRow, Waiting } from '../frame/TitleRow';
import { money } from './money';

/** What a job's runs are sold for, as a page to print and as a PDF. */
export function QuotationPage() {
  const { id = '' } = useParams();
  const { data, error } = useQuery({
    queryKey: ['quotation', id],
    queryFn: () => answer(api.GET('/api/jobs/{id}/quotation', { params: { path: { id } } })),
  });
  if (!data) return <Waiting error={error} />;
  const amount = (of: number | null) => (of === null ? 'to be agreed' : money(of, data.currency));
  return (
    <div className="page">
      <TitleRow title="Quotation" about={data.job}>
        <Link to={`/jobs/${id}`} className="btn btn-sm btn-line">
          To the job
        </Link>
        <button type="button" className="btn btn-sm btn-line" onClick={() => window.print()}>
          Print it
        </button>
        <a className="btn btn-sm btn-line" href={`/api/jobs/${id}/quotation/file?paper=letter`} download>
          PDF, Letter
        </a>
        <a className="btn btn-sm btn-main" href={`/api/jobs/${id}/quotation/file`} download>
          PDF, A4
        </a>
      </TitleRow>
      <article className="bench-card quotation" aria-label="Quotation">
        <header>
          <h2>{data.workshop || 'The workshop'}</h2>
          <span>{data.contact}</span>
          <span>{data.on}</span>
        </header>
        <p>
          <b>{data.customer}</b>
          <br />
          {data.job}
          {data.due && `, for ${data.due}`}
        </p>
        <table className="bench-pieces">
          <thead>
            <tr>
              <th />
              <th className="end">Pieces</th>
              <th className="end">Each</th>
              <th className="end">Together</th>
            </tr>
          </thead>
          <tbody>
            {data.lines.map((l, i) => (
              <tr key={i}>
                <th scope="row">
                  {l.what} <span className="soft">{l.about}</span>
                </th>
                <td className="end">{l.count}</td>
                <td className="end">{amount(l.each)}</td>
                <td className="end">{amount(l.total)}</td>
              </tr>
            ))}
            <tr className="total">
              <th scope="row">Together</th>
              <td />
              <td />
              <td className="end">{amount(data.total)}</td>
            </tr>
          </tbody>
        </table>
        {data.lines.length === 0 && <p className="soft">The job has no runs yet.</p>}
      </article>
      {data.total === null && (
        <p className="soft no-print">
          A run is to be agreed until all its prices are noted, or a price is agreed on its bench, under <b>Cost</b>.
        </p>
      )}
    </div>
  );
}
