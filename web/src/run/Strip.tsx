import { useEffect, useRef } from 'react';
import type { Schemas } from '../api/client';
import { figure, length } from '../units/units';
import { useUnits } from '../units/UnitsContext';
import { StateMark } from './state';

interface Props {
  pieces: readonly Schemas['PieceView'][];
  of: number;
  chosen: string;
  set?: Schemas['SetView'];
  run?: Schemas['Run'];
  zone: Schemas['FitGroundView'];
  stopped: boolean;
  onStop: () => void;
  onGoOn: () => void;
  onChoose: (id: string) => void;
  onNextToLookAt: () => void;
}

/** Every piece of the run at one common scale, with its name and state. */
export function Strip({ pieces, of, chosen, set, run, zone, stopped, onStop, onGoOn, onChoose, onNextToLookAt }: Props) {
  const { units } = useUnits();
  const list = useRef<HTMLDivElement>(null);
  useEffect(() => {
    list.current?.querySelector('[aria-current="true"]')?.scrollIntoView({ block: 'nearest', inline: 'nearest' });
  }, [chosen]);
  const sized = run?.sizing === 'oneLetterHeight' ? `One letter height for all${set?.tightestName ? `; ${set.tightestName} allows the least` : ''}` : 'Each name as large as fits';
  return (
    <section className="strip" aria-label="Pieces">
      <header>
        <strong>{of} {of === 1 ? 'name' : 'names'} at one scale</strong>
        {set ? <Counts set={set} /> : (
          <span role="status">
            {pieces.length} of {of} names set
            {stopped ? <button type="button" className="quiet" onClick={onGoOn}>Go on</button> : <button type="button" className="quiet" onClick={onStop}>Stop</button>}
          </span>
        )}
        {set && set.toLookAt.length > 0 && <button type="button" className="quiet look" onClick={onNextToLookAt}>▲ {set.toLookAt.length} to look at: next</button>}
        <span className="sized">{sized}{typeof set?.largestForAll === 'number' && `; all fit at ${length(set.largestForAll, units)}`}</span>
      </header>
      <div className="strip-pieces" ref={list}>
        {pieces.map((p) => (
          <button key={p.id} type="button" className="strip-piece" aria-current={p.id === chosen} onClick={() => onChoose(p.id)}>
            <PiecePicture piece={p} zone={zone} />
            <span className="piece-name">{p.name}</span>
            <span className="piece-state"><StateMark piece={p} /><span>{figure(p.letterHeight, units)}</span></span>
          </button>
        ))}
      </div>
    </section>
  );
}

function Counts({ set }: { set: Schemas['SetView'] }) {
  const counts: [number, string][] = [[set.fits, 'fit'], [set.snug, 'snug'], [set.over, 'over'], [set.notSet, 'without ink'], [set.lackLetters, set.lackLetters === 1 ? 'lacks letters' : 'lack letters']];
  return <>{counts.filter(([n]) => n > 0).map(([n, word]) => <span key={word}>{n} {word}</span>)}</>;
}

/** A piece within its zone; all pieces of a run share the box, so they share the scale. */
function PiecePicture({ piece, zone }: { piece: Schemas['PieceView']; zone: Schemas['FitGroundView'] }) {
  const box = zone.zoneBox;
  if (!box) return null;
  const edge = zone.flat?.strokes.find((s) => s.kind === 'edge' && s.path.endsWith('Z'));
  const dashed = zone.flat?.strokes.find((s) => s.kind === 'zone');
  return (
    <svg className={zone.goods.isDark ? 'piece-picture on-dark' : 'piece-picture'} viewBox={`${box.minX - 0.1 * box.width} ${-box.maxY} ${1.2 * box.width} ${box.height}`} aria-hidden="true">
      <g transform="scale(1 -1)">
        {edge && <path d={edge.path} className="piece-ground" fill={zone.goods.colour || undefined} />}
        {dashed && <path d={dashed.path} className="stroke-zone" vectorEffect="non-scaling-stroke" />}
        <path d={piece.inkPath} className="ink" fill={piece.colour} fillRule="evenodd" />
      </g>
    </svg>
  );
}
