import { useState } from 'react';
import { Link } from 'react-router';
import type { Schemas } from '../../api/client';
import { Choice } from '../../fields/Choice';
import { untyped } from '../../units/units';
import { useUnits } from '../../units/UnitsContext';
import { UsualLength } from '../../units/UsualLength';
import { depthSaid, farSaid, sizeSaid, stateSaid, warningSaid } from './said';
import { jobsOf, type Machine } from './useMachine';

interface Props {
  loadId: string;
  load: Schemas['ReleasedLoad'];
  name: string;
  machine: Machine;
}

/** Something has to come first: a test cut. */
const TEST_FIRST = 428;

const AS = [
  ['hpgl', 'HPGL'],
  ['svg', 'SVG'],
] as const;

/** A released load at the cutter: a test cut first, then it is sent, watched, paused, and cut to its end. */
export function MachineCard({ loadId, load, name, machine }: Props) {
  const { units } = useUnits();
  const { view, problem, isAsking, send, tell } = machine;
  const [format, setFormat] = useState<'hpgl' | 'svg'>(load.cutter.blade.cutterSeesToIt ? 'svg' : 'hpgl');
  const [until, setUntil] = useState<Schemas['TypedLength']>(untyped(units));
  const { now, done, test, left } = jobsOf(loadId, view);
  const isThere = view !== undefined && view.problem === '';
  const order = (command: Schemas['CutterCommand'], job = now) => job && void tell({ command, jobId: job.id, until });
  const cut = (over: Partial<Schemas['CutWanted']> = {}) =>
    void send(loadId, { format, isTest: false, withoutTest: false, from: 0, until, ...over });
  const ahead = view?.answer?.jobs.filter((j) => (j.state === 'first' || j.state === 'queued') && j.id !== now?.id) ?? [];
  const file = load.files.find((f) => f.format === format) ?? load.files[0];
  const state = view?.answer?.state;
  const seen = now ?? done;
  return (
    <section className="card machine" aria-label={`On the ${name}`}>
      <h2>{name}</h2>
      {view && (
        <p role="status" className={isThere ? 'machine-state' : 'finding stop'}>
          {isThere ? stateSaid(view) : `${view.problem} The load stays released, and nothing was noted as cut.`}
          {isThere && now && now.state === 'first' && <> · {farSaid(now)}</>}
        </p>
      )}
      {now && (
        <>
          {now.state === 'queued' && <p className="soft">{farSaid(now)}</p>}
          <progress max={now.lines} value={now.cut + now.share} aria-label={`Lines cut of ${now.name}`} />
        </>
      )}
      {seen && isThere && (
        <ul className="plain">
          {seen.warnings.map((w) => (
            <li key={w.kind} className={`finding ${w.kind === 'depthUnknown' ? 'look' : 'stop'}`}>
              {warningSaid(w, units)}
            </li>
          ))}
          {!seen.isTest && file && sizeSaid(seen, file, units) && <li className="finding stop">{sizeSaid(seen, file, units)}</li>}
        </ul>
      )}
      {isThere && now && (
        <p className="machine-orders">
          {now.state === 'first' && state === 'cutting' && (
            <Order isAsking={isAsking} onClick={() => order('pause')}>
              Pause
            </Order>
          )}
          {now.state === 'first' && state === 'paused' && (
            <Order isAsking={isAsking} onClick={() => order('goOn')}>
              Go on
            </Order>
          )}
          {now.state === 'first' && state === 'held' && (
            <Order isAsking={isAsking} onClick={() => order('allTheSame')}>
              Cut all the same
            </Order>
          )}
          {now.state === 'first' && (state === 'outOfFilm' || state === 'waitsForFilm') && (
            <>
              <Reaches value={until} onChange={setUntil} />
              <Order isAsking={isAsking} onClick={() => order('filmIsIn')}>
                The film is in
              </Order>
            </>
          )}
          <button type="button" className="quiet" disabled={isAsking} onClick={() => order('takeBack')}>
            Take it out of the cutter
          </button>
        </p>
      )}
      {isThere && !now && (
        <>
          {test && <p className={test.warnings.length > 0 ? 'finding look' : 'finding good'}>Test cut: {depthSaid(test, units)}</p>}
          <div className="stock-fields">
            <Choice label="Sent as" value={format} of={AS} onChange={setFormat} />
            <Reaches value={until} onChange={setUntil} />
          </div>
          <p className="machine-orders">
            <Order isAsking={isAsking} onClick={() => cut({ isTest: true })}>
              {test ? 'Another test cut' : 'Test cut'}
            </Order>
            <button type="button" className="btn btn-sm btn-main" disabled={isAsking} onClick={() => cut()}>
              {done ? 'Cut it again' : 'Cut this load'}
            </button>
            {left && (
              <Order isAsking={isAsking} onClick={() => cut({ from: left.cut, format: left.format, withoutTest: true })}>
                Go on from line {left.cut + 1} of {left.lines}
              </Order>
            )}
          </p>
        </>
      )}
      {problem && (
        <p role="alert" className="finding stop">
          {problem.message}{' '}
          {problem.status === TEST_FIRST && !now && (
            <button type="button" className="quiet" onClick={() => cut({ withoutTest: true })}>
              Cut without one
            </button>
          )}
        </p>
      )}
      {left && !isThere && (
        <p className="soft">
          It was seen at line {left.cut} of {left.lines}. Once it is back it can go on from there.
        </p>
      )}
      {ahead.length > 0 && isThere && (
        <>
          <h3>Other loads in it</h3>
          <ul className="plain">
            {ahead.map((j) => (
              <li key={j.id}>
                {j.name} <small className="soft">{farSaid(j)}</small>{' '}
                <button type="button" className="quiet" onClick={() => order('takeBack', j)}>
                  Take it out
                </button>
              </li>
            ))}
          </ul>
        </>
      )}
      <p className="soft small">
        {view?.answer && view.answer.timesAsFast > 1 && `It goes ${view.answer.timesAsFast} times as fast as a real one. `}
        It is cut with the settings in <Link to="/stock">Stock</Link> as they are now.
      </p>
    </section>
  );
}

interface OrderProps {
  isAsking: boolean;
  onClick: () => void;
  children: React.ReactNode;
}

function Order({ isAsking, onClick, children }: OrderProps) {
  return (
    <button type="button" className="btn btn-sm btn-line" disabled={isAsking} onClick={onClick}>
      {children}
    </button>
  );
}

/** How far the film that lies in the cutter reaches. */
function Reaches({ value, onChange }: { value: Schemas['TypedLength']; onChange: (value: Schemas['TypedLength']) => void }) {
  return <UsualLength label="Film in it reaches up to" value={value} usual="as released" onChange={onChange} />;
}
