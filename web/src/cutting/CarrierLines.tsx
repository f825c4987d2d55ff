import type { Schemas } from '../api/client';
import { BoxRect } from '../board/BoxRect';
import { fillOf } from '../board/FilmPatterns';
import type { Scale } from '../board/scale';
import { figure } from '../units/units';
import { useUnits } from '../units/UnitsContext';

interface Props {
  load: Pick<Schemas['PlanLoadView'], 'nominal' | 'reach' | 'stockPath' | 'groundPath' | 'mirroring'>;
  film: Schemas['Film'];
  scale: Scale;
}

/** The size of the letters that say it is mirrored, by the width of the reach. */
const LOUD = 0.13;

/** What a load lies on: the carrier thin, what is reached short-dashed, the stock in its film's colour, its margin, the loading corner. */
export function CarrierLines({ load, film, scale }: Props) {
  const { units } = useUnits();
  const { nominal, reach } = load;
  const [left, foot] = [scale.x(reach.minX), scale.y(reach.minY)];
  const middle = { x: scale.x((reach.minX + reach.maxX) / 2), y: scale.y((reach.minY + reach.maxY) / 2) };
  return (
    <>
      <g transform={scale.transform}>
        <path d={load.stockPath} fill={fillOf(film)} fillRule="evenodd" className="stock-fill" />
        <path d={load.stockPath} className="stock-edge" fillRule="evenodd" vectorEffect="non-scaling-stroke" />
        <BoxRect box={nominal} className="carrier-edge" />
        <BoxRect box={reach} className="reach-edge" />
        <path d={load.groundPath} className="ground-edge" vectorEffect="non-scaling-stroke" />
      </g>
      {load.mirroring !== 'none' && (
        <text
          className="mirrored-across"
          x={middle.x}
          y={middle.y}
          dy="0.35em"
          textAnchor="middle"
          fontSize={LOUD * scale.k * (reach.maxX - reach.minX)}
        >
          MIRRORED
        </text>
      )}
      <path className="loading-corner" d={`M${left} ${foot - 14}V${foot}H${left + 14}`} />
      <text className="sheet-figure" x={left + 4} y={foot + 15}>
        loading corner
      </text>
      <text className="sheet-figure" x={middle.x} y={scale.y(nominal.maxY) - 8} textAnchor="middle">
        reaches {figure(reach.maxX - reach.minX, units)} of {figure(nominal.maxX - nominal.minX, units)}
      </text>
      <text className="sheet-figure" textAnchor="middle" transform={`translate(${scale.x(nominal.minX) - 10} ${middle.y}) rotate(-90)`}>
        reaches {figure(reach.maxY - reach.minY, units)} of {figure(nominal.maxY - nominal.minY, units)}
      </text>
    </>
  );
}
