import { useEffect, useRef } from 'react';
import type { Schemas } from '../api/client';
import { Ink } from '../board/Ink';
import { figure, length } from '../units/units';
import { useUnits } from '../units/UnitsContext';
import { StateMark } from './state';
import type { Fitting } from './useFitting';
import type { GroundOf } from './useGrounds';

interface Props {
  pieces: readonly Schemas['PieceView'][];
  of: number;
  chosen: string;
  set?: Schemas['SetView'];
  run?: Schemas['Run'];
  groundOf: GroundOf;
  /** All that pieces stand on; they share one scale. */
  grounds: readonly Schemas['FitGroundView'][];
  fitting: Fitting;
  onChoose: (id: string) => void;
  onNextToLookAt: () => void;
}

/** Every piece of the run at one common scale, with its name and state. */
export function Strip({ pieces, of, chosen, set, run, groundOf, grounds, fitting, onChoose, onNextToLookAt }: Props) {
  const { units } = useUnits();
  const list = useRef<HTMLDivElement>(null);
  useEffect(() => {
    list.current?.querySelector('[aria-current="true"]')?.scrollIntoView({ block: 'nearest', inline: 'nearest' });
  }, [chosen]);
  const pictured = windowOf(grounds);
  const { progress, missing, stopped, stop, goOn } = fitting;
  // What all allow is known once all are set.
  const group = set?.groups.length === 1 && !missing ? set.groups[0] : undefined;
  const sized = run?.sizing === 'oneLetterHeight' ? `One letter height for ${run.groupBy ? `each ${run.groupBy}` : 'all'}${group?.tightest ? `; ${group.tightest} allows the least` : ''}` : run?.sizing === 'oneScale' ? 'One scale for all' : 'Each name as large as fits';
  return (
    <section className="strip" aria-label="Pieces">
      <header>
        <strong>{of} {of === 1 ? 'name' : 'names'} at one scale</strong>
        {missing && (
          <span role="status" className="fitting-progress">
            {stopped ? `stopped at ${set?.done ?? 0} of ${of}` : progress?.state === 'failed' ? progress.problem : `${progress?.done ?? set?.done ?? 0} of ${of} names set${progress?.name ? `, ${progress.name}` : ''}`}
            {stopped ? <button type="button" className="quiet" onClick={goOn}>Go on</button> : <button type="button" className="quiet" onClick={stop}>Stop</button>}
          </span>
        )}
        {set && <Counts set={set} />}
        {set && set.toLookAt.length > 0 && <button type="button" className="quiet look" onClick={onNextToLookAt}>▲ {set.toLookAt.length} to look at: next</button>}
        <span className="sized">{sized}{typeof group?.largestForAll === 'number' && `; all fit at ${length(group.largestForAll, units)}`}</span>
      </header>
      <div className="strip-pieces" ref={list}>
        {pieces.map((p) => (
          <button key={p.id} type="button" className="strip-piece" aria-current={p.id === chosen} onClick={() => onChoose(p.id)}>
            <PiecePicture piece={p} zone={groundOf(p)} window={pictured} />
            <span className="piece-name">{p.name}{p.copies > 1 && <small> × {p.copies}</small>}{p.byHand && <small title="set by hand"> ✎</small>}</span>
            <span className="piece-state"><StateMark piece={p} /><span>{figure(p.letterHeight, units)}</span></span>
          </button>
        ))}
      </div>
    </section>
  );
}

function Counts({ set }: { set: Schemas['SetView'] }) {
  const counts: [number, string][] = [[set.fits, 'fit'], [set.snug, 'snug'], [set.over, 'over'], [set.notSet, 'without ink'], [set.conceded, 'with a concession'], [set.lackLetters, set.lackLetters === 1 ? 'lacks letters' : 'lack letters']];
  return <>{counts.filter(([n]) => n > 0).map(([n, word]) => <span key={word}>{n} {word}</span>)}</>;
}

/** The size of the window that pieces are seen through, so that they share a scale. */
export function windowOf(grounds: readonly Pick<Schemas['FitGroundView'], 'zoneBox'>[]): { width: number; height: number } {
  const boxes = grounds.flatMap((g) => g.zoneBox ?? []);
  return { width: 1.2 * Math.max(0, ...boxes.map((b) => b.width)), height: Math.max(0, ...boxes.map((b) => b.height)) };
}

/** A piece within its zone. */
function PiecePicture({ piece, zone, window: { width, height } }: { piece: Schemas['PieceView']; zone?: Schemas['FitGroundView']; window: { width: number; height: number } }) {
  const box = zone?.zoneBox;
  if (!zone || !box) return null;
  const edge = zone.flat?.strokes.find((s) => s.kind === 'edge' && s.path.endsWith('Z'));
  const dashed = zone.flat?.strokes.filter((s) => s.kind === 'zone') ?? [];
  return (
    <svg className={zone.goods.isDark ? 'piece-picture on-dark' : 'piece-picture'} viewBox={`${box.centreX - width / 2} ${-box.centreY - height / 2} ${width} ${height}`} aria-hidden="true">
      <g transform="scale(1 -1)">
        {edge && <path d={edge.path} className="piece-ground" fill={zone.goods.colour || undefined} />}
        {dashed.map((s, i) => <path key={i} d={s.path} className="stroke-zone" vectorEffect="non-scaling-stroke" />)}
        <Ink inks={piece.inks} />
      </g>
    </svg>
  );
}
