import type { Schemas } from '../api/client';
import { smallSaid } from '../weeding/said';
import { useUnits } from '../units/UnitsContext';

/** The bits that are easily lost, on the piece that has the most of them: each with its number, led out to the margin. */
export function SmallBits({ of }: { of: Schemas['BenchBits'] }) {
  const { units } = useUnits();
  const { box } = of;
  const [w, h] = [box.maxX - box.minX, box.maxY - box.minY];
  // As the picture is printed, a unit of type is a third of a hundredth of its width.
  const unit = Math.max(w, 2 * h) / 100;
  const room = 7 * unit;
  const rows = apart(of.bits, unit, box);
  return (
    <figure className="small-bits">
      <svg
        viewBox={`${box.minX - unit} ${-box.maxY - room} ${w + 2 * unit} ${h + 2 * room}`}
        role="img"
        aria-label={`Small bits of ${of.piece}, ${of.film}`}
      >
        <g transform="scale(1 -1)">
          <path d={of.ink} fill={of.colour} fillRule="evenodd" className="bits-ink" vectorEffect="non-scaling-stroke" />
          {rows.map((r) => (
            <g key={r.bit.number}>
              <path d={r.bit.path} className="bit" fillRule="evenodd" />
              <line x1={r.bit.at.x} y1={r.bit.at.y} x2={r.x} y2={r.y} className="bit-lead" vectorEffect="non-scaling-stroke" />
            </g>
          ))}
        </g>
        {rows.map((r) => (
          <text key={r.bit.number} x={r.x} y={-r.y + (r.up ? -0.6 * unit : 3.6 * unit)} fontSize={3.8 * unit} textAnchor="middle">
            {r.bit.number}
          </text>
        ))}
      </svg>
      <figcaption>
        {of.small === 1 ? 'One bit' : `${of.small} bits`} {smallSaid(units)} in {of.piece}, {of.film}
        {of.small > of.bits.length && `; the ${of.bits.length} smallest are numbered`}
      </figcaption>
    </figure>
  );
}

interface Led {
  bit: Schemas['BitView'];
  x: number;
  y: number;
  up: boolean;
}

/** Where numbers stand: over or under the ink, whichever is nearer, none on another. */
function apart(bits: readonly Schemas['BitView'][], unit: number, box: Schemas['Box']): Led[] {
  const led: Led[] = [];
  for (const up of [true, false]) {
    const own = bits.filter((b) => b.at.y > (box.minY + box.maxY) / 2 === up).sort((a, b) => a.at.x - b.at.x);
    const step = 5.2 * unit;
    // From the left each as near as it may stand; what is pushed beyond the right end is taken back.
    const xs = own.reduce<number[]>((all, b) => [...all, Math.max(b.at.x, (all.at(-1) ?? -Infinity) + step)], []);
    for (let i = xs.length - 1, most = box.maxX; i >= 0; i--, most = (xs[i + 1] ?? most) - step) xs[i] = Math.min(xs[i] ?? most, most);
    own.forEach((bit, i) => led.push({ bit, x: xs[i] ?? bit.at.x, y: up ? box.maxY + 1.5 * unit : box.minY - 1.5 * unit, up }));
  }
  return led;
}
