import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { Button } from 'react-bootstrap';
import { Link } from 'react-router';
import { answer, api } from '../api/client';
import { BrokenCards } from '../frame/BrokenCards';
import { TitleRow, Waiting } from '../frame/TitleRow';
import { minutesSaid } from '../making/minutes';
import { NewJob } from './NewJob';
import { groupsOf, isPacked, type Group } from './week';
import { WeekGroup } from './WeekGroup';

/** So many jobs are drawn with their pictures; the others are rows. */
const MOST_DRAWN = 12;

/** The week: what is due when, where it is, what is next, how much is left to do. */
export function JobsPage() {
  const { data, error } = useQuery({
    queryKey: ['jobs', 'week'],
    queryFn: () => answer(api.GET('/api/week')),
    // Runs that were never looked at come a few at a time.
    refetchInterval: (q) => (q.state.data?.jobs.some((j) => j.runs.some((r) => r.isPending)) ? 800 : false),
  });
  const cache = useQueryClient();
  const demo = useMutation({ mutationFn: () => answer(api.POST('/api/demo')), onSuccess: () => cache.invalidateQueries() });
  if (!data) return <Waiting error={error} />;
  const open = data.jobs.filter((j) => !isPacked(j));
  const left = open.reduce((n, j) => n + j.handsLeft, 0);
  const waiting = [
    data.ordersWaiting > 0 && `${data.ordersWaiting} to take`,
    data.ordersCorrected > 0 && `${data.ordersCorrected} to look at`,
  ].filter(Boolean);
  return (
    <div className="page">
      <TitleRow
        title="Jobs"
        about={open.length > 0 ? `${minutesSaid(left)} with hands on left, in ${open.length} of ${data.jobs.length}` : ''}
      >
        <Link to="/jobs/orders" className="btn btn-sm btn-line">
          Orders{waiting.length > 0 && <b className="look"> {waiting.join(', ')}</b>}
        </Link>
        <Link to="/jobs/offers" className="btn btn-sm btn-line">
          Offers
        </Link>
        {data.jobs.length > 0 && (
          <Link to="/jobs/day" className="btn btn-sm btn-line">
            The day at the bench
          </Link>
        )}
      </TitleRow>
      {data.jobs.length + data.broken.length + data.putAway === 0 && (
        <div className="empty">
          <p>No job yet. A job is an order: who wants it, for when, and its runs of names.</p>
          <p>
            First measure a blank on the <a href="/shelf">shelf</a>, or look round with the demo day of a small workshop.
          </p>
          <Button size="sm" variant="line" disabled={demo.isPending} onClick={() => demo.mutate()}>
            Bring in the demo day
          </Button>
        </div>
      )}
      <BrokenCards kind="jobs" of={data.broken} />
      {drawnOf(groupsOf(data.jobs, data.today)).map(({ group, drawn }) => (
        <WeekGroup key={group.key} group={group} drawn={drawn} />
      ))}
      {data.putAway > 0 && (
        <p className="soft put-away-note">
          <Link to="/jobs/put-away">
            {data.putAway} {data.putAway === 1 ? 'job is' : 'jobs are'} put away
          </Link>
        </p>
      )}
      <NewJob />
    </div>
  );
}

/** How many jobs of each group are drawn: the nearest. */
function drawnOf(groups: readonly Group[]): { group: Group; drawn: number }[] {
  let room = MOST_DRAWN;
  return groups.map((group) => {
    // Where there are few jobs all are near enough to be drawn.
    const drawn = group.key === 'packed' ? 0 : Math.min(room, group.jobs.length);
    room -= drawn;
    return { group, drawn };
  });
}
