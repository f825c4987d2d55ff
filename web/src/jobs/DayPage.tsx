import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { Link } from 'react-router';
import { answer, api, type Schemas } from '../api/client';
import { minutesSaid } from '../making/minutes';
import { Choice } from '../fields/Choice';
import { TitleRow, Waiting } from '../frame/TitleRow';
import { DayDrawing } from './DayDrawing';
import { dayOf, dayWords, timeOf } from './times';

type Step = Schemas['PlannedStep'];

/** What is done when, over all jobs: a drawing of each day, and a list to tick off. */
export function DayPage() {
  const [way, setWay] = useState<'late' | 'now'>('late');
  const day = useQuery({
    queryKey: ['day', way],
    queryFn: () => answer(api.GET('/api/day', { params: { query: { fromNow: way === 'now' } } })),
    // Runs that were never looked at come a few at a time.
    refetchInterval: (q) => (q.state.data?.pending ? 800 : false),
  });
  const cache = useQueryClient();
  const tick = useMutation({
    mutationFn: (s: Step) =>
      answer(
        api.PUT('/api/runs/{id}/making/steps/{stepId}', {
          params: { path: { id: s.runId, stepId: s.stepId } },
          body: { isDone: true, took: '' },
        }),
      ),
    onSettled: () => void cache.invalidateQueries(),
  });
  const { data } = day;
  if (!data) return <Waiting error={day.error} />;
  const days = [...new Set(data.steps.flatMap((s) => s.hands.map((h) => dayOf(h.from))))].sort();
  return (
    <div className="page">
      <TitleRow title="The day" about="One pair of hands; while one run rests, another is worked on">
        <Choice
          label="Planned"
          value={way}
          of={[
            ['late', 'as late as it can be'],
            ['now', 'from now on'],
          ]}
          onChange={setWay}
        />
        <Link to="/jobs" className="btn btn-sm btn-line">
          To the jobs
        </Link>
      </TitleRow>
      {data.pending > 0 && (
        <p className="soft" role="status">
          Working out {data.pending} more {data.pending === 1 ? 'run' : 'runs'} …
        </p>
      )}
      {data.late.map((l) => (
        <p key={l.runId} className="finding stop">
          <Link to={`/runs/${l.runId}/bench`}>
            {l.run}, {l.job}
          </Link>{' '}
          {l.by ? `cannot be done in time: it is ${l.by} late, worked at from now on.` : 'cannot be done within the open hours ahead.'}
        </p>
      ))}
      {data.steps.length === 0 && data.pending === 0 && (
        <div className="empty">
          <p>Nothing is to be done at the bench. Runs come here once their set-up is complete and their job has a day.</p>
        </div>
      )}
      {way === 'late' && data.late.length === 0 && days[0] && days[0] > dayOf(data.now) && (
        <p className="soft">Nothing has to be begun today. The first step begins {dayWords(days[0])}.</p>
      )}
      {days.map((d) => (
        <Day
          key={d}
          day={d}
          now={data.now}
          steps={data.steps}
          open={data.open.find((o) => dayOf(o.from) === d)}
          busy={tick.isPending}
          onTick={(s) => tick.mutate(s)}
        />
      ))}
      {tick.error && (
        <p className="echo problem" role="alert">
          {tick.error.message}
        </p>
      )}
      {data.leftOut.length > 0 && (
        <p className="soft small">
          Not planned:{' '}
          {data.leftOut.map((l, i) => (
            <span key={l.runId}>
              {i > 0 && '; '}
              <Link to={`/runs/${l.runId}/set-up`}>{l.run}</Link>, {l.why}
            </span>
          ))}
          .
        </p>
      )}
      {data.steps.length > 0 && !data.isBest && (
        <p className="soft small">With so many steps not every order was tried: what has most left to do goes first.</p>
      )}
    </div>
  );
}

interface DayProps {
  day: string;
  now: string;
  steps: readonly Step[];
  open?: Schemas['DayStretch'];
  busy: boolean;
  onTick: (step: Step) => void;
}

/** One day: its drawing, and its steps to tick off. */
function Day({ day, now, steps, open, busy, onTick }: DayProps) {
  const own = steps.filter((s) => s.hands.some((h) => dayOf(h.from) === day));
  const hands = own
    .flatMap((s) => s.hands.filter((h) => dayOf(h.from) === day))
    .reduce((n, h) => n + (Date.parse(h.to) - Date.parse(h.from)) / 60_000, 0);
  return (
    <section className="card day" aria-label={dayWords(day)}>
      <h2>
        {dayWords(day)}
        <span className="soft small">
          {minutesSaid(hands)} with hands on
          {open && `, open ${timeOf(open.from)} to ${timeOf(open.to)}`}
        </span>
      </h2>
      <DayDrawing day={day} now={now} steps={steps} open={open} />
      <ol className="day-list">
        {own.map((s) => {
          const begun = s.hands.filter((h) => dayOf(h.from) === day);
          const first = s.hands[0]?.from === begun[0]?.from;
          return (
            <li key={`${s.runId} ${s.stepId}`}>
              <button
                type="button"
                className="tick"
                disabled={busy}
                aria-label={`Done: ${s.step}, ${s.run}`}
                title="Tick it off"
                onClick={() => onTick(s)}
              />
              <b>{timeOf(begun[0]?.from ?? '')}</b>
              <span>
                {s.step}
                {!first && ', goes on'}
              </span>
              <Link to={`/runs/${s.runId}/bench`}>{s.run}</Link>
              <span className="soft">{s.job}</span>
              <span className="end">{minutesSaid(s.minutes)}</span>
              <span className="soft">{s.wait > 0 ? `then rests ${minutesSaid(s.wait)}, until ${timeOf(s.readyAt)}` : ''}</span>
            </li>
          );
        })}
      </ol>
    </section>
  );
}
