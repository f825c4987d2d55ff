import { Link } from 'react-router';
import { Words } from '../units/Words';
import { nextOf, useReadiness } from './readiness';
import { pathOf } from './pathOf';

/** Readiness in one line: what holds the run back, and the way there in the order of the list. */
export function ReadinessLine({ id, at }: { id: string; at?: string }) {
  const of = useReadiness(id);
  if (!of) return null;
  const [lack] = of.lacks;
  if (lack)
    return (
      <span className="readiness" role="status">
        <Link to={`/runs/${id}/set-up`} className="to-mend">
          <Words of={lack.message} />
        </Link>
      </span>
    );
  const { toMend, toDecide, ready } = of.pieces;
  return (
    <span className="readiness" role="status">
      <Group run={id} ids={toMend} at={at} className="to-mend" words="to mend" />
      <Group run={id} ids={toDecide} at={at} className="to-decide" words="to decide" />
      <span className={ready > 0 ? 'ready' : 'soft'}>{ready} ready</span>
      {of.done < of.all && (
        <span className="soft">
          {of.done} of {of.all} looked at
        </span>
      )}
    </span>
  );
}

/** How many, leading to the next of them after the one at hand. */
function Group({ run, ids, at, className, words }: { run: string; ids: string[]; at?: string; className: string; words: string }) {
  const next = nextOf(ids, at);
  return next === undefined ? null : (
    <Link to={pathOf(run, next)} className={className}>
      {ids.length} {words}
    </Link>
  );
}
