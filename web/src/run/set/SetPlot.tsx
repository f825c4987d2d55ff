import { useState } from 'react';
import type { Schemas } from '../../api/client';
import { figure, length } from '../../units/units';
import { useUnits } from '../../units/UnitsContext';

interface Props {
  gains: readonly Schemas['SetGain'][];
  height: number | null;
  onChoose: (pieceId: string) => void;
  onAccept: (millimetres: number) => void;
}

const WIDTH = 330;
const HEIGHT = 92;
const FOOT = 16;
const LEFT = 34;

/** The letter height of the set against the names that are left out of it, as steps; a step chosen says its figure and can be given. */
export function SetPlot({ gains, height, onChoose, onAccept }: Props) {
  const { units } = useUnits();
  const [at, setAt] = useState(0);
  const most = Math.max(...gains.map((g) => g.height), height ?? 0) * 1.05;
  const least = Math.min(...gains.map((g) => g.height), height ?? Infinity) * 0.9;
  const step = (WIDTH - LEFT) / gains.length;
  const y = (h: number) => 6 + (HEIGHT - FOOT - 6) * (1 - (h - least) / Math.max(1e-9, most - least));
  const line = gains.map((g, i) => `${i === 0 ? 'M' : 'L'}${LEFT + i * step} ${y(g.height)}H${LEFT + (i + 1) * step}`).join('');
  const chosen = gains[at] ?? gains[0];
  const first = gains[0]?.height ?? 0;
  return (
    <div className="set-plot">
      <p className="field-row-title">Letter height against names left out</p>
      <svg
        viewBox={`0 0 ${WIDTH} ${HEIGHT}`}
        role="img"
        aria-label={`With all names ${length(first, units)}${gains
          .slice(1)
          .map((g) => `, without ${g.count} ${length(g.height, units)}`)
          .join('')}`}
      >
        <text x={LEFT - 5} y={y(first)} textAnchor="end" dy="0.32em">
          {figure(first, units)}
        </text>
        {gains.length > 1 && y(gains[gains.length - 1]?.height ?? 0) < y(first) - 14 && (
          <text x={LEFT - 5} y={y(gains[gains.length - 1]?.height ?? 0)} textAnchor="end" dy="0.32em">
            {figure(gains[gains.length - 1]?.height ?? 0, units)}
          </text>
        )}
        {typeof height === 'number' && height <= most && <line className="given" x1={LEFT} x2={WIDTH} y1={y(height)} y2={y(height)} />}
        <path d={line} className="steps" />
        {gains.map((g, i) => (
          <g key={g.count} className={i === at ? 'gain here' : 'gain'} onClick={() => setAt(i)}>
            <rect x={LEFT + i * step} y={0} width={step} height={HEIGHT} />
            <circle cx={LEFT + (i + 0.5) * step} cy={y(g.height)} r={i === at ? 4.5 : 3} />
            <text x={LEFT + (i + 0.5) * step} y={HEIGHT - 4} textAnchor="middle">
              {g.count}
            </text>
          </g>
        ))}
      </svg>
      <div className="plot-choice">
        <label className="visually-hidden" htmlFor="left-out">
          Names left out
        </label>
        <input id="left-out" type="range" min={0} max={gains.length - 1} value={at} onChange={(e) => setAt(Number(e.target.value))} />
        {chosen && (
          <p role="status">
            {chosen.count === 0 ? (
              <>
                With all names <b>{length(chosen.height, units)}</b>.
              </>
            ) : (
              <>
                Without{' '}
                {gains.slice(1, at + 1).map((g) => (
                  <button key={g.pieceId} type="button" className="quiet name" onClick={() => onChoose(g.pieceId)}>
                    {g.leftOut}
                  </button>
                ))}{' '}
                <b>{length(chosen.height, units)}</b>, {figure(chosen.height - first, units)} more.
              </>
            )}
          </p>
        )}
        {chosen && chosen.count > 0 && chosen.height !== height && (
          <button type="button" className="btn btn-sm btn-line" onClick={() => onAccept(chosen.height)}>
            Give all {figure(chosen.height, units)}; concede for the rest
          </button>
        )}
      </div>
    </div>
  );
}
