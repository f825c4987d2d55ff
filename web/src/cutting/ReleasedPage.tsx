import { useQueryClient } from '@tanstack/react-query';
import { useEffect } from 'react';
import { useParams } from 'react-router';
import type { Schemas } from '../api/client';
import { documentSource } from '../api/documents';
import { useDocument } from '../api/useDocument';
import { BoxRect } from '../board/BoxRect';
import { fillOf, FilmPatterns } from '../board/FilmPatterns';
import { scaleFor } from '../board/scale';
import { useSize } from '../board/useSize';
import { Conflict, TitleRow, Waiting } from '../frame/TitleRow';
import { figure, length } from '../units/units';
import { useUnits } from '../units/UnitsContext';
import { minutesSaid } from '../weeding/said';
import { CarrierLines } from './CarrierLines';
import { CutsCard } from './CutsCard';
import { FORMATS, query } from './FilesCard';
import { LoadAtBench } from './LoadAtBench';
import { MachineCard } from './machine/MachineCard';
import { SheetDrawing } from './machine/SheetDrawing';
import { jobsOf, useMachine, useMachines, useSheet, type Machine } from './machine/useMachine';

const PAD = { top: 30, right: 22, bottom: 26, left: 34 };

/** A released load: frozen, cut again to the byte, with what was cut and measured. */
export function ReleasedPage() {
  const { id = '' } = useParams();
  return <Released key={id} id={id} />;
}

function Released({ id }: { id: string }) {
  const { units } = useUnits();
  const { view, document, edit, conflict, takeTheirs, keepMine, undo, redo, error } = useDocument(
    documentSource('loads', id, { key: ['released', id], of: (v) => v.load, touches: [['cutting'], ['plan'], ['stock']] }),
  );
  const machines = useMachines().data ?? [];
  const { id: machineId = '', name = '' } = machines.find((m) => m.id === view?.load.cutter.machine) ?? machines[0] ?? {};
  const machine = useMachine(machineId);
  useNoted(id, machine, view?.revision);
  if (!view || !document) return <Waiting error={error} undo={undo} />;
  const { load } = view;
  return (
    <div className="page fill cutting">
      <TitleRow
        title={`Load ${load.number} of ${load.of}`}
        about={`${load.name} · ${load.film.name} · released ${load.releasedAt} UTC`}
        undo={undo}
        redo={redo}
        past={`/past/load/${id}`}
      />
      <Conflict words={conflict} takeTheirs={takeTheirs} keepMine={keepMine} />
      {view.changed.length > 0 && (
        <p className="finding look" role="status">
          Changed since it was released: <b>{view.changed.join(', ')}</b>. This load cuts them as they were.
        </p>
      )}
      <div className="plan-desk">
        <div className="plan-middle">
          <ReleasedBoard view={view} machineId={machineId} machine={machine} />
        </div>
        <aside className="plan-side">
          {machineId && <MachineCard loadId={id} load={document} name={name} machine={machine} />}
          <section className="card" aria-label="What it is">
            <table className="figures released-facts">
              <tbody>
                <Row name="Pieces">{load.items.length}</Row>
                <Row name="Cutter">
                  {load.cutter.name}
                  {load.carrier && `, ${load.carrier}`}
                </Row>
                <Row name="Stock">{load.stockName}</Row>
                {load.cutOff > 0 && <Row name="Cut off the roll">{length(load.cutOff, units)}</Row>}
                <Row name="The blade takes">{minutesSaid(load.minutes)}</Row>
                <Row name="Settings">{settingsOf(load.film.settings)}</Row>
              </tbody>
            </table>
            <h3>Files, as they were released</h3>
            <ul className="plain files">
              {load.files.map((f) => (
                <li key={`${f.format} ${f.units}`}>
                  <a href={`/api/loads/${id}/file?${query(f.format, f.units || 'mm')}`} download>
                    {FORMATS.find(([k]) => k === f.format)?.[1]}
                    {f.format === 'svg' && f.units !== 'mm' && `, ${f.units} to the inch`}
                  </a>{' '}
                  <small className="soft">
                    {figure(f.width, units, 2)} × {length(f.height, units, 2)}, {f.outlines > 0 && `${f.outlines} outlines, `}
                    {f.hash.slice(0, 8)}
                  </small>
                </li>
              ))}
            </ul>
          </section>
          <LoadAtBench id={id} name={`load ${load.number}`} revision={view.revision} />
          <CutsCard load={document} cutter={load.cutter} edit={(cuts) => edit((l) => ({ ...l, cuts }))} />
        </aside>
      </div>
    </div>
  );
}

const settingsOf = (s: Schemas['CutSettings']) =>
  [
    s.blade,
    s.depth && `depth ${s.depth}`,
    s.pressure && `pressure ${s.pressure}`,
    s.speed && `speed ${s.speed}`,
    s.passes && `passes ${s.passes}`,
  ]
    .filter(Boolean)
    .join(', ') || 'none typed';

function Row({ name, children }: { name: string; children: React.ReactNode }) {
  return (
    <tr>
      <th scope="row">{name}</th>
      <td>{children}</td>
    </tr>
  );
}

/** How often it is looked whether a cut is noted; milliseconds. */
const UNTIL_NOTED = 1000;

/** That a load was cut is written beside it by the server, which makes it another revision: it is read again until it is. */
function useNoted(id: string, { view }: Machine, revision?: number) {
  const cache = useQueryClient();
  const { done } = jobsOf(id, view);
  const isMissing = done !== undefined && done.id === `${id}.cut${revision}`;
  useEffect(() => {
    if (!isMissing) return;
    const again = () => void Promise.all([['released', id], ['cutting']].map((queryKey) => cache.invalidateQueries({ queryKey })));
    again();
    const timer = setInterval(again, UNTIL_NOTED);
    return () => clearInterval(timer);
  }, [cache, id, isMissing]);
}

interface BoardProps {
  view: Schemas['ReleasedView'];
  machineId: string;
  machine: Machine;
}

/** The load as it was released; nothing of it is moved any more. What a cutter has cut of it is drawn as it is cut. */
function ReleasedBoard({ view: { id, load, drawn }, machineId, machine }: BoardProps) {
  const { now, done } = jobsOf(id, machine.view);
  const job = now ?? done;
  const sheet = useSheet(machineId, job);
  const [ref, { width, height }] = useSize<HTMLDivElement>();
  const scale = scaleFor(load.nominal, width, height, PAD);
  const mirrored = load.items.filter((i) => i.isMirrored).length;
  const mirroring = mirrored === 0 ? 'none' : mirrored === load.items.length ? 'all' : 'some';
  return (
    <div className="board load-board" ref={ref}>
      {width > 0 && drawn && (
        <svg
          width={width}
          height={height}
          role="img"
          className={`drawing ${job ? 'is-at-cutter' : ''}`}
          aria-label={`Load ${load.number}, released`}
        >
          <FilmPatterns films={[load.film]} />
          <CarrierLines
            load={{ nominal: load.nominal, reach: load.reach, stockPath: drawn.stock, groundPath: '', mirroring }}
            film={load.film}
            scale={scale}
          />
          <g transform={scale.transform}>
            {drawn.pieces.map((path, i) => (
              <path key={i} d={path} fill={fillOf(load.film)} fillRule="evenodd" className="ink">
                <title>{load.items[i]?.name}</title>
              </path>
            ))}
            {drawn.waste.map((line, i) => (
              <polyline
                key={i}
                className="weed-break"
                points={line.map((p) => `${p.x},${p.y}`).join(' ')}
                vectorEffect="non-scaling-stroke"
              />
            ))}
            <BoxRect box={load.reach} className="reach-edge" />
          </g>
          {sheet && job && machine.view?.answer && <SheetDrawing sheet={sheet} job={job} answer={machine.view.answer} scale={scale} />}
        </svg>
      )}
      {!drawn && <p className="empty">How it looked is lost; its files are not.</p>}
    </div>
  );
}
