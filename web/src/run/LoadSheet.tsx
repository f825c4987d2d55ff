import type { Schemas } from '../api/client';
import { BoxRect } from '../board/BoxRect';
import { fillOf, FilmPatterns } from '../board/FilmPatterns';
import { figure } from '../units/units';
import { useUnits } from '../units/UnitsContext';
import { WasteCuts } from './weeding/WasteCuts';

/** A sheet as the cutter reaches it, with the pieces as they are cut. */
export function LoadSheet({ load }: { load: Schemas['LoadView'] }) {
  const { units } = useUnits();
  const { reachWidth: w, reachHeight: h } = load;
  const edge = 0.05 * Math.max(w, h);
  const text = 0.034 * Math.max(w, h);
  return (
    <svg
      className="load-sheet"
      viewBox={`${-edge} ${-h - edge} ${w + 2 * edge} ${h + 2 * edge}`}
      role="img"
      aria-label={`Load ${load.number}: ${load.pieces.map((p) => p.name).join(', ')}${load.mirrored ? ', mirrored' : ''}`}
    >
      <FilmPatterns films={[load]} />
      <g transform="scale(1 -1)">
        <rect x={0} y={0} width={w} height={h} className="reach" vectorEffect="non-scaling-stroke" />
        {load.pieces.map((p, i) => (
          <g key={i}>
            <BoxRect box={p.box} className="piece-box" />
            <path d={p.inkPath} fill={fillOf(load)} className="ink" fillRule="evenodd">
              <title>{p.name}</title>
            </path>
          </g>
        ))}
        <WasteCuts boxes={load.weeds.boxes} />
      </g>
      <text x={w / 2} y={-h - edge * 0.35} textAnchor="middle" fontSize={text} className="sheet-figure">
        {figure(w, units)}
      </text>
      <text transform={`translate(${-edge * 0.4} ${-h / 2}) rotate(-90)`} textAnchor="middle" fontSize={text} className="sheet-figure">
        {figure(h, units)}
      </text>
    </svg>
  );
}
