import { useEffect, useRef } from 'react';
import type { Schemas } from '../api/client';
import { Ink } from '../board/Ink';
import { figure, length } from '../units/units';
import { useUnits } from '../units/UnitsContext';
import { StateMark } from '../fit/StateMark';
import type { SetUp } from './useRun';
import type { Fitting } from './useFitting';
import type { GroundOf } from './useGrounds';

interface Props {
  pieces: readonly Schemas['PieceView'][];
  of: number;
  chosen: string;
  set?: Schemas['RunSet'];
  run?: SetUp;
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
  const sized =
    run?.sizing === 'oneLetterHeight'
      ? `One letter height for ${run.groupBy ? `each ${run.groupBy}` : 'all'}${group?.tightest ? `; ${group.tightest} allows the least` : ''}`
      : run?.sizing === 'oneScale'
        ? 'One scale for all'
        : 'Each name as large as fits';
  return (
    <section className="strip" aria-label="Pieces">
      <header>
        <strong>
          {of} {of === 1 ? 'name' : 'names'} at one scale
        </strong>
        {missing && (
          <span role="status" className="fitting-progress">
            {stopped
              ? `stopped at ${set?.done ?? 0} of ${of}`
              : progress?.state === 'failed'
                ? progress.problem
                : `${progress?.done ?? set?.done ?? 0} of ${of} names set${progress?.name ? `, ${progress.name}` : ''}`}
            {stopped ? (
              <button type="button" className="quiet" onClick={goOn}>
                Go on
              </button>
            ) : (
              <button type="button" className="quiet" onClick={stop}>
                Stop
              </button>
            )}
          </span>
        )}
        {set && <Counts set={set} />}
        {set && set.toLookAt.length > 0 && (
          <button type="button" className="quiet look" onClick={onNextToLookAt}>
            ▲ {set.toLookAt.length} to look at: next
          </button>
        )}
        <span className="sized">
          {sized}
          {typeof group?.largestForAll === 'number' && `; all fit at ${length(group.largestForAll, units)}`}
        </span>
      </header>
      <div className="strip-pieces" ref={list}>
        {pieces.map((p) => (
          <button key={p.id} type="button" className="strip-piece" aria-current={p.id === chosen} onClick={() => onChoose(p.id)}>
            <PiecePicture piece={p} zone={groundOf(p)} window={pictured} />
            <span className="piece-name">
              {p.name}
              {p.copies > 1 && <small> × {p.copies}</small>}
              {p.byHand && <small title="set by hand"> ✎</small>}
            </span>
            <span className="piece-state">
              <StateMark piece={p} />
              <span>{figure(p.letterHeight, units)}</span>
            </span>
          </button>
        ))}
      </div>
    </section>
  );
}

function Counts({ set }: { set: Schemas['RunSet'] }) {
  const counts: [number, string][] = [
    [set.fits, 'fit'],
    [set.snug, 'snug'],
    [set.over, 'over'],
    [set.notSet, 'without ink'],
    [set.conceded, 'with a concession'],
    [set.lackLetters, set.lackLetters === 1 ? 'lacks letters' : 'lack letters'],
  ];
  return (
    <>
      {counts
        .filter(([n]) => n > 0)
        .map(([n, word]) => (
          <span key={word}>
            {n} {word}
          </span>
        ))}
    </>
  );
}

/** The size of the window that pieces are seen through, so that they share a scale. */
export function windowOf(grounds: readonly { faces: readonly Pick<Schemas['FaceView'], 'zoneBox'>[] }[]): {
  width: number;
  height: number;
} {
  const boxes = grounds.map((g) => g.faces.map((f) => f.zoneBox));
  return {
    width: Math.max(0, ...boxes.map((faces) => faces.reduce((sum, b) => sum + AROUND * b.width, 0))),
    height: Math.max(0, ...boxes.flat().map((b) => b.height)),
  };
}

/** How much of the goods is seen across each zone, in widths of the zone. */
const AROUND = 1.2;

/** A piece within its zones, the faces of the goods beside one another. */
function PiecePicture({
  piece,
  zone,
  window: { width, height },
}: {
  piece: Schemas['PieceView'];
  zone?: Schemas['FitGroundView'];
  window: { width: number; height: number };
}) {
  if (!zone) return null;
  const one = zone.faces.length === 1;
  // A face alone fills the window; several have each its own width of it, with the rest around all.
  const widths = zone.faces.map((f) => (one ? width : AROUND * f.zoneBox.width));
  const left = (width - widths.reduce((sum, w) => sum + w, 0)) / 2;
  return (
    <svg className={zone.goods.isDark ? 'piece-picture on-dark' : 'piece-picture'} viewBox={`0 0 ${width} ${height}`} aria-hidden="true">
      {zone.faces.map(({ key, flat, zoneBox: box }, i) => {
        const wide = widths[i] ?? 0;
        const edge = flat.strokes.find((s) => s.kind === 'edge' && s.path.endsWith('Z'));
        return (
          <svg
            key={key}
            x={left + widths.slice(0, i).reduce((sum, w) => sum + w, 0)}
            width={wide}
            height={height}
            viewBox={`${box.centreX - wide / 2} ${-box.centreY - height / 2} ${wide} ${height}`}
          >
            <g transform="scale(1 -1)">
              {edge && <path d={edge.path} className="piece-ground" fill={zone.goods.colour || undefined} />}
              {flat.strokes
                .filter((s) => s.kind === 'zone')
                .map((s, n) => (
                  <path key={n} d={s.path} className="stroke-zone" vectorEffect="non-scaling-stroke" />
                ))}
              <Ink inks={piece.inks} />
            </g>
          </svg>
        );
      })}
    </svg>
  );
}
