import type { Schemas } from '../api/client';
import { useSize } from '../board/useSize';
import { dayOf, minutesOf, timeOf } from './times';

type Step = Schemas['PlannedStep'];
const [ROW, TOP, NAMES, RIGHT] = [26, 22, 168, 14];

interface Props {
  day: string;
  now: string;
  steps: readonly Step[];
  open?: Schemas['DayStretch'];
}

/** A day to scale, a line for each run: where the hands are on it thick, where it rests a thin dashed line. */
export function DayDrawing({ day, now, steps, open }: Props) {
  const [ref, { width }] = useSize<HTMLDivElement>();
  const [begin, end] = [`${day}T00:00`, `${day}T23:59`];
  const runs = [...new Map(steps.map((s) => [s.runId, s.run]))];
  const bars = steps.flatMap((s) => s.hands.filter((h) => dayOf(h.from) === day).map((h) => ({ s, ...h })));
  const rests = steps
    .map((s) => ({ s, from: s.hands.at(-1)?.to ?? '', to: s.readyAt }))
    .filter((r) => r.s.wait > 0 && r.from < end && r.to > begin)
    .map((r) => ({ ...r, from: r.from < begin ? begin : r.from, to: r.to > end ? end : r.to }));
  const own = runs.filter(([id]) => bars.some((b) => b.s.runId === id) || rests.some((r) => r.s.runId === id));
  const times = [...bars.flatMap((b) => [b.from, b.to]), ...(open ? [open.from, open.to] : [])].map(minutesOf);
  const [low, high] = [Math.floor(Math.min(...times) / 60) * 60, Math.ceil(Math.max(...times) / 60) * 60];
  const x = (at: string) => xOf(minutesOf(at));
  const xOf = (minutes: number) =>
    NAMES + ((Math.min(high, Math.max(low, minutes)) - low) / Math.max(60, high - low)) * (width - NAMES - RIGHT);
  const height = TOP + ROW * own.length + 6;
  const every = high - low > 10 * 60 && width < 700 ? 120 : 60;
  return (
    <div ref={ref} className="day-drawing" style={{ height }}>
      {width > 0 && (
        <svg width={width} height={height} role="img" aria-label={`${bars.length} steps, ${own.length} runs`}>
          {Array.from({ length: Math.floor((high - low) / every) + 1 }, (_, i) => low + every * i).map((m) => (
            <g key={m} className="hour">
              <line x1={xOf(m)} x2={xOf(m)} y1={TOP - 4} y2={height} />
              <text x={xOf(m)} y={TOP - 8}>
                {Math.floor(m / 60)}
              </text>
            </g>
          ))}
          {own.map(([id, name], i) => (
            <text key={id} x={0} y={TOP + ROW * i + 17} className="run-name">
              {name.length > 24 ? `${name.slice(0, 23)}…` : name}
            </text>
          ))}
          {rests.map((r, i) => {
            const y = TOP + ROW * own.findIndex(([id]) => id === r.s.runId) + ROW / 2;
            return (
              <line key={i} className="rest" x1={x(r.from)} x2={x(r.to)} y1={y} y2={y}>
                <title>{`${r.s.run} rests after ${r.s.step} until ${timeOf(r.s.readyAt)}`}</title>
              </line>
            );
          })}
          {bars.map((b, i) => {
            const y = TOP + ROW * own.findIndex(([id]) => id === b.s.runId) + 4;
            const [left, wide] = [x(b.from), Math.max(2, x(b.to) - x(b.from))];
            return (
              <g key={i}>
                <rect className="hands" x={left} y={y} width={wide} height={ROW - 8}>
                  <title>{`${timeOf(b.from)} to ${timeOf(b.to)}: ${b.s.step}, ${b.s.run}`}</title>
                </rect>
                {wide > 7 * b.s.step.length + 6 && (
                  <text className="hands-name" x={left + 4} y={y + 13}>
                    {b.s.step}
                  </text>
                )}
              </g>
            );
          })}
          {dayOf(now) === day && <line className="now" x1={x(now)} x2={x(now)} y1={TOP - 6} y2={height} />}
        </svg>
      )}
    </div>
  );
}
