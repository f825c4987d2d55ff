import { useQuery } from '@tanstack/react-query';
import { answer, api, made } from '../api/client';
import { Remedies } from '../mending/Remedies';
import { Words } from '../units/Words';

interface Props {
  id: string;
  revision: number;
  onMend: (remedy: string) => void;
}

/** What the motif's graphics bear when they are cut at the size that they get here, and what would mend how they are used. */
export function GraphicChecks({ id, revision, onMend }: Props) {
  const { data } = useQuery({
    queryKey: ['motif-checks', id, revision],
    queryFn: ({ signal }) => answer(api.GET('/api/motifs/{id}/checks', { params: { path: { id } }, signal })),
    staleTime: Infinity,
    placeholderData: (before) => before,
  });
  if (!data || data.length === 0) return null;
  return (
    <section className="card" aria-label="Cut at this size" aria-live="polite">
      <h2>
        Cut at this size<span className="count">{data.length}</span>
      </h2>
      {data.map((f) => (
        <div key={`${f.rule} ${f.part}`} className={`finding ${f.severity}`}>
          <Words of={f.message} />
          <Remedies remedies={f.remedies} reach="motif" onPoint={() => undefined} onMend={onMend} />
        </div>
      ))}
    </section>
  );
}

/** Has the server mend how a graphic is used. */
export const mendGraphic = (id: string, remedy: string) => (madeFrom: number) =>
  answer(
    api.POST('/api/motifs/{id}/checks/remedies', {
      params: { path: { id }, ...made(madeFrom) },
      body: { remedies: [remedy] },
    }),
  );
