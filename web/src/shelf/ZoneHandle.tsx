import { useQuery } from '@tanstack/react-query';
import { useRef, useState } from 'react';
import type { Schemas } from '../api/client';
import { Movable, type By } from '../board/Movable';
import type { Scale } from '../board/scale';
import { figure } from '../units/units';
import { useUnits } from '../units/UnitsContext';

type Stands = Schemas['ZoneStands'];

interface Props {
  name: string;
  box: Pick<Schemas['Box'], 'minX' | 'minY' | 'maxX' | 'maxY'>;
  stands: Stands;
  scale: Scale;
  /** Asks how it would stand, where the drawing bends; elsewhere it moves as it is dragged. */
  asked?: (by: By, signal?: AbortSignal) => Promise<Stands>;
  onMove: (to: Stands) => void;
}

const same = (a: Stands, b: Stands) => a.across === b.across && a.fromBottom === b.fromBottom && a.fromTop === b.fromTop;

/** A zone that can be moved, with how it then stands. */
export function ZoneHandle({ name, box, stands, scale, asked, onMove }: Props) {
  const { units } = useUnits();
  const [by, setBy] = useState<By>();
  const told = useQuery({
    queryKey: ['zone moved', name, stands, by],
    queryFn: ({ signal }) => (asked && by ? asked(by, signal) : stands),
    enabled: !!asked && !!by,
    placeholderData: (before) => before,
    retry: false,
  });
  const plainly = (d: By): Stands => ({
    fromTop: stands.fromTop - d.dy,
    fromBottom: stands.fromBottom + d.dy,
    across: stands.across + d.dx,
  });
  // Keys may come faster than answers: what was moved since the answer shown adds up.
  const since = useRef<{ stands: Stands; by: By }>({ stands, by: { dx: 0, dy: 0 } });
  const move = (dx: number, dy: number) => {
    setBy(undefined);
    const before = same(since.current.stands, stands) ? since.current.by : { dx: 0, dy: 0 };
    const all = { dx: before.dx + dx, dy: before.dy + dy };
    since.current = { stands, by: all };
    if (!asked) onMove(plainly(all));
    // Where it cannot stand it stays.
    else
      void asked(all).then(
        (to) => {
          if (since.current.by === all) onMove(to);
        },
        () => undefined,
      );
  };
  return (
    <g className="zone-handle">
      <Movable name={name} box={box} scale={scale} steps={[0.5, 5]} onBy={setBy} onMove={move}>
        {(d, at) => {
          const now = asked ? told.data : plainly(d);
          return (
            now && (
              <text x={at.x} y={at.y - 8} textAnchor="middle" className="dimension-figure">
                {figure(now.fromBottom, units)} up · {figure(now.fromTop, units)} down · {figure(now.across, units)} across
              </text>
            )
          );
        }}
      </Movable>
    </g>
  );
}
