import type { Schemas } from '../../api/client';
import { Board } from '../../board/Board';
import { BoxRect } from '../../board/BoxRect';
import type { Scale } from '../../board/scale';
import { useUnits } from '../../units/UnitsContext';
import { bitLabels } from './labels';
import { smallSaid } from '../../weeding/said';
import type { Waste } from './useWaste';
import { WasteCuts } from '../../weeding/WasteCuts';
import '../../weeding/weeding.css';

/** Around ink that has no weed box, as a share of its longer side. */
const AROUND = 0.06;

/** A piece as waste: what is kept pale, what comes off in its bits, numbered from the smallest. */
export function WasteBoard({ piece, waste }: { piece: Schemas['PieceView']; waste: Waste }) {
  const film = waste.shown;
  return (
    <section className="card sheet" aria-label="Board">
      <div className="views" role="group" aria-label="Film shown">
        {waste.films.map((f, i) => (
          <button
            key={`${f.zone} ${f.film} ${i}`}
            type="button"
            className={f === film ? 'view here' : 'view'}
            aria-pressed={f === film}
            onClick={() => waste.show(i)}
          >
            {[f.zone, f.film].filter(Boolean).join(', ')}
          </button>
        ))}
      </div>
      {film ? (
        <Board
          label={`${piece.name} as waste: ${film.weeds.bits} bits of ${film.film}`}
          drawing={{ box: windowOf(film), strokes: [], dimensions: [], callouts: [], guessed: false, isWindow: false }}
          dimensions={false}
          pad={{ top: 44, right: 22, bottom: 22, left: 22 }}
        >
          {(scale) => <Bits film={film} scale={scale} lit={waste.lit} onLight={waste.light} />}
        </Board>
      ) : (
        <p className="empty" role="status">
          {waste.error
            ? waste.error.message
            : waste.asked
              ? 'This piece has no ink, so there is nothing to weed.'
              : 'Looking at its waste …'}
        </p>
      )}
      {film && <Scaled film={film} />}
    </section>
  );
}

/** What is seen: the weed box, or some room around the ink. */
function windowOf(film: Schemas['WasteView']): Schemas['Box'] {
  const box = film.weeds.boxes[0]?.box;
  if (box) return box;
  const { minX, minY, maxX, maxY } = film.box;
  const by = AROUND * Math.max(maxX - minX, maxY - minY);
  return { ...film.box, minX: minX - by, minY: minY - by, maxX: maxX + by, maxY: maxY + by };
}

function Scaled({ film }: { film: Schemas['WasteView'] }) {
  const { units } = useUnits();
  const kept = film.purpose === 'stays' ? 'In its colour: what stays.' : film.weeds.boxes.length > 0 ? 'Pale: what is kept around it.' : '';
  return (
    <p className="sums">
      {kept && <span>{kept}</span>}
      <span>Hatched: a bit that is picked out; red {smallSaid(units)}.</span>
      {film.weeds.boxes.some((b) => b.breaks.length > 0) && <span>Dashed: a break, with the clearance it keeps around the ink.</span>}
    </p>
  );
}

function Bits({ film, scale, lit, onLight }: { film: Schemas['WasteView']; scale: Scale; lit?: number; onLight: (bit?: number) => void }) {
  const window = windowOf(film);
  const clearance = film.clearance;
  const field = film.bits.filter((b) => b.kind === 'field');
  const picked = film.bits.filter((b) => b.kind !== 'field');
  const row = { left: scale.x(window.minX) + 8, right: scale.x(window.maxX) - 8, y: scale.y(window.maxY) - 18 };
  return (
    <>
      <defs>
        <pattern id="waste-hatch" width="5" height="5" patternUnits="userSpaceOnUse" patternTransform={`scale(${1 / scale.k}) rotate(45)`}>
          <line x1="0" y1="0" x2="0" y2="5" className="waste-hatch" />
        </pattern>
      </defs>
      <g transform={scale.transform} data-waste="">
        {field.map((b) => (
          <path key={b.number} d={b.path} fillRule="evenodd" className={`waste-field shade-${b.number % 2}`} />
        ))}
        {film.weeds.boxes.some((b) => b.breaks.length > 0) && (
          <path d={film.ink} className="waste-clear" strokeWidth={2 * clearance} strokeLinejoin="round" />
        )}
        {film.purpose !== 'stays' &&
          film.weeds.boxes.map(({ box }, i) => <BoxRect key={i} box={box} fill={film.colour} className="waste-kept" />)}
        <path
          d={film.ink}
          fill={film.colour}
          fillRule="evenodd"
          className={film.purpose === 'stays' ? 'waste-ink' : 'waste-ink picked'}
          vectorEffect="non-scaling-stroke"
        />
        {picked.map((b) => (
          <path
            key={b.number}
            d={b.path}
            fillRule="evenodd"
            fill="url(#waste-hatch)"
            className={`waste-bit${b.area < 4 ? ' small' : ''}${lit === b.number ? ' lit' : ''}`}
            vectorEffect="non-scaling-stroke"
          />
        ))}
        <WasteCuts boxes={film.weeds.boxes} />
      </g>
      {bitLabels(film.bits, scale, row).map((l) => (
        <g
          key={l.number}
          className={`bit-label${lit === l.number ? ' lit' : ''}`}
          onPointerEnter={() => onLight(l.number)}
          onPointerLeave={() => onLight(undefined)}
        >
          {l.to && <line x1={l.x} y1={l.y + 5} x2={l.to.x} y2={l.to.y} />}
          <text x={l.x} y={l.y} dy={l.to ? 0 : '0.35em'} textAnchor="middle">
            {l.number}
          </text>
        </g>
      ))}
    </>
  );
}
