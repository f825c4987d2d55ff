import { Fragment } from 'react';
import type { Schemas } from '../api/client';
import { Board } from '../board/Board';
import { Ink } from '../board/Ink';
import { StateMark } from '../fit/StateMark';
import { figure } from '../units/units';
import { useUnits } from '../units/UnitsContext';
import { Words } from '../units/Words';
import type { Placed } from './placed';
import { Platens } from './Platens';

/** What pieces are measured in from: on a wall its rim or base, on what is flat an edge. */
function edges(round: boolean, ofWall: string, faces: readonly Pick<Schemas['FaceView'], 'isWall'>[]) {
  if (!round) return 'edge';
  return faces.some((f) => !f.isWall) ? `${ofWall}, edge` : ofWall;
}

const clipOf = (size: string, face: string) => `face ${size} ${face}`.replace(/\W+/g, '-');

/** How often the platen is laid, once for all sizes of which the same is said. */
function platensSaid(pressed: readonly Schemas['PressedArtwork'][], of: Placed) {
  const said = new Map<string, { words: string; sizes: string[]; notes: Schemas['Phrase'][] }>();
  for (const a of pressed) {
    const face = of.faces.length > 1 ? ` on the ${of.faces.find((f) => f.key === a.face)?.name ?? a.face}` : '';
    const times = a.plan?.positions.length ?? 0;
    const laid = times === 1 ? 'once' : `${times} times, ${a.plan?.across ?? 1} across,`;
    const words = a.plan ? `The platen is laid ${laid}${face}, as it is drawn.` : '';
    const key = JSON.stringify([words, a.notes]);
    const known = said.get(key);
    if (known) known.sizes.push(a.size);
    else said.set(key, { words, sizes: [a.size], notes: [...a.notes] });
  }
  return [...said.values()];
}

interface SurfaceProps {
  of: Placed;
  round: boolean;
  goods: Schemas['GoodsView'];
  /** Where the platen is laid on it. */
  pressed: readonly Schemas['PressedArtwork'][];
}

/** What is made on one size of the blank: where its sides are placed, and its pieces. */
export function Surface({ of, round, goods, pressed }: SurfaceProps) {
  const { units } = useUnits();
  const sided = of.places.length > 1;
  const several = new Set(of.sizes).size > 1;
  const drawn = `${several ? `Size ${of.sizeDrawn}, ` : ''}${of.first?.name}`;
  return (
    <section className="bench-surface" aria-label={of.size ? `Size ${of.size}` : 'Pieces'}>
      <div className="bench-body">
        <div>
          <h3>{of.size ? `Place, ${several ? 'sizes' : 'size'} ${of.size}` : 'Place'}</h3>
          {of.places.map((p, i) => (
            <p key={i}>
              {p.zone && <b>{p.zone}: </b>}
              <Words of={p.place} />
            </p>
          ))}
          {of.places.map(
            (p, i) =>
              p.stages.length > 0 && (
                <div key={`stages ${i}`} className="card-stages">
                  <p>
                    In stages{p.zone && `, ${p.zone}`}; measured on {p.longest}, the longest:
                  </p>
                  <ol>
                    {p.stages.map((s, j) => (
                      <li key={j}>
                        <Words of={s} />
                      </li>
                    ))}
                  </ol>
                </div>
              ),
          )}
          {platensSaid(pressed, of).map(({ words, sizes, notes }, i) => (
            <Fragment key={i}>
              {words && (
                <p>
                  {several && sizes.length < new Set(of.sizes).size && <b>{sizes.join(', ')}: </b>}
                  {words}
                </p>
              )}
              {notes.map((n, j) => (
                <p key={j}>
                  <Words of={n} />
                </p>
              ))}
            </Fragment>
          ))}
        </div>
        <div className="bench-faces">
          {of.first &&
            of.faces.map((face) => (
              <Board
                key={face.key}
                label={`${drawn}${of.faces.length > 1 ? `, ${face.name},` : ''} laid flat`}
                drawing={face.flat}
                goods={goods}
                dimensions={false}
                pad={{ top: 8, right: 8, bottom: 20, left: 8 }}
              >
                {(scale) => (
                  <>
                    <clipPath id={clipOf(of.size, face.key)}>
                      <rect
                        x={scale.x(face.flat.box.minX)}
                        y={scale.y(face.flat.box.maxY)}
                        width={scale.k * (face.flat.box.maxX - face.flat.box.minX)}
                        height={scale.k * (face.flat.box.maxY - face.flat.box.minY)}
                      />
                    </clipPath>
                    {/* Ink of other faces lies beside this one. */}
                    <g clipPath={`url(#${clipOf(of.size, face.key)})`}>
                      <g transform={scale.transform}>
                        <Ink inks={of.first?.inks ?? []} />
                      </g>
                    </g>
                    <Platens
                      of={pressed.filter((a) => a.face === face.key && a.size === of.sizeDrawn).flatMap((a) => a.plan?.positions ?? [])}
                      scale={scale}
                    />
                  </>
                )}
              </Board>
            ))}
        </div>
      </div>
      <table className="bench-pieces">
        <thead>
          <tr>
            <th>Name</th>
            {several && <th>Size</th>}
            {sided && <th>Side</th>}
            <th>Load</th>
            <th className="end">Width</th>
            <th className="end">Height</th>
            <th className="end">Letters</th>
            <th className="end">Top below {edges(round, 'rim', of.faces)}</th>
            <th className="end">Foot above {edges(round, 'base', of.faces)}</th>
            <th>State</th>
          </tr>
        </thead>
        <tbody>
          {of.pieces.map((p, i) => (
            <tr key={i} className={p.loads.length === 0 ? 'held' : ''}>
              <th scope="row">
                {p.name}
                {p.copies > 1 && <span className="hint"> × {p.copies}</span>}
              </th>
              {several && <td>{of.sizes[i]}</td>}
              {sided && <td>{p.zone}</td>}
              <td>{p.loads.join(', ') || 'held back'}</td>
              {[p.width, p.height, p.letterHeight || '–', p.belowRim, p.aboveBase].map((mm, j) => (
                <td key={j} className="end">
                  {typeof mm === 'number' ? figure(mm, units) : (mm ?? 'not known')}
                </td>
              ))}
              <td>
                <StateMark piece={p} />
              </td>
            </tr>
          ))}
        </tbody>
      </table>
    </section>
  );
}
