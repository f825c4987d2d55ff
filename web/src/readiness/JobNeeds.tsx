import { Link } from 'react-router';
import type { Schemas } from '../api/client';
import { counted, useReadinessOf } from './readiness';
import { pathOf } from './pathOf';

/** What a job still needs, in one line for all its runs; it leads to the first thing that holds it back. */
export function JobNeeds({ runs }: { runs: readonly Schemas['RunCard'][] }) {
  const all = useReadinessOf(runs.map((r) => r.id));
  if (runs.length === 0 || all.every((r) => r === undefined)) return null;
  const { mend, decide, ready } = counted(all);
  const first = (which: 'toMend' | 'toDecide') => {
    for (const [i, run] of runs.entries()) {
      const needs = all[i];
      if (which === 'toMend' && needs?.lacks.length) return `/runs/${run.id}/set-up`;
      const [piece] = needs?.pieces[which] ?? [];
      if (piece !== undefined) return pathOf(run.id, piece);
    }
    return '';
  };
  return (
    <span className="readiness" role="status">
      {mend > 0 && (
        <Link to={first('toMend')} className="to-mend">
          {mend} to mend
        </Link>
      )}
      {decide > 0 && (
        <Link to={first('toDecide')} className="to-decide">
          {decide} to decide
        </Link>
      )}
      <span className={ready > 0 ? 'ready' : 'soft'}>{ready} ready</span>
    </span>
  );
}
