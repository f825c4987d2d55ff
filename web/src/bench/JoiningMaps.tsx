import type { Schemas } from '../api/client';
import { scaleFor } from '../board/scale';
import { SectionMarks } from '../cutting/SectionMarks';
import { figure, length } from '../units/units';
import { useUnits } from '../units/UnitsContext';

const [WIDTH, HEIGHT] = [520, 190];
const PAD = { top: 14, right: 14, bottom: 14, left: 14 };

/** How what was cut in sections is laid together: numbered as they are cut, marks upon marks. */
export function JoiningMaps({ maps }: { maps: readonly Schemas['BenchMap'][] }) {
  const { units } = useUnits();
  return (
    <section className="bench-surface" aria-label="Join">
      <h3>Join</h3>
      {maps.map(({ map, film, loads }) => (
        <div key={map.item.piece + map.item.film + map.item.side + map.item.ply} className="bench-map">
          <Drawing map={map} />
          <div>
            <p>
              <b>{map.name}</b>, {film}: {map.sections.length} sections, {figure(map.box.maxX - map.box.minX, units)} ×{' '}
              {length(map.box.maxY - map.box.minY, units)} together.{' '}
              {map.lap > 0 ? `Lapped by ${length(map.lap, units)}: the higher number lies on the lower.` : 'Butted.'} Lay cross upon cross.
            </p>
            <ol className="plain">
              {map.sections.map((s, i) => (
                <li key={s.number}>
                  <b>{s.number}</b>: {figure(s.box.maxX - s.box.minX, units)} × {length(s.box.maxY - s.box.minY, units)}
                  {loads[i]?.length ? `, load ${loads[i].join(', ')}` : ', on no load yet'}
                </li>
              ))}
            </ol>
          </div>
        </div>
      ))}
    </section>
  );
}

function Drawing({ map }: { map: Schemas['JoiningMap'] }) {
  const scale = scaleFor(map.box, WIDTH, HEIGHT, PAD);
  return (
    <svg viewBox={`0 0 ${WIDTH} ${HEIGHT}`} className="drawing" role="img" aria-label={`Map of ${map.name}`}>
      <g transform={scale.transform}>
        <path d={map.inkPath} fillRule="evenodd" className="parted-ink" />
      </g>
      {map.joints.map((j, i) => {
        const line = j.isUpright
          ? { x1: scale.x(j.at), x2: scale.x(j.at), y1: 2, y2: HEIGHT - 2 }
          : { x1: 2, x2: WIDTH - 2, y1: scale.y(j.at), y2: scale.y(j.at) };
        return <line key={i} {...line} className="joint" />;
      })}
      <SectionMarks sections={map.sections} scale={scale} />
    </svg>
  );
}
