import type { Schemas } from '../api/client';
import type { Scale } from '../board/scale';
import { figure } from '../units/units';
import { useUnits } from '../units/UnitsContext';

interface Props {
  scale: Scale;
  box: Schemas['Box'];
  ink: Schemas['Box'];
  rooms: readonly Schemas['RoomView'][];
}

const OUT = 30;
const TICK = 5;
const HEIGHT = 19;

/** Two chains of dimensions, below and at the right: room, ink, room. They stand on free ground, off the ink. */
export function RoomChains({ scale, box, ink, rooms }: Props) {
  const { units } = useUnits();
  const y = scale.y(box.minY) + OUT;
  const x = scale.x(box.maxX) + OUT + 30;
  const [l, r, t, b] = [scale.x(ink.minX), scale.x(ink.maxX), scale.y(ink.maxY), scale.y(ink.minY)];
  const room = (side: string) => rooms.find((q) => q.side === side);
  return (
    <g className="chain">
      <Leads
        lines={[
          [l, b + 3, l, y + 6],
          [r, b + 3, r, y + 6],
          [r + 3, t, x + 6, t],
          [r + 3, b, x + 6, b],
        ]}
      />
      <line x1={l} y1={y} x2={r} y2={y} className="dimension-line" />
      <line x1={x} y1={t} x2={x} y2={b} className="dimension-line" />
      {[
        [l, y],
        [r, y],
        [x, t],
        [x, b],
      ].map(([cx = 0, cy = 0], i) => (
        <line key={i} x1={cx - TICK} y1={cy + TICK} x2={cx + TICK} y2={cy - TICK} className="tick" />
      ))}
      <Label x={(l + r) / 2} y={y} text={figure(ink.maxX - ink.minX, units)} />
      <Label x={x} y={(t + b) / 2} text={figure(ink.maxY - ink.minY, units)} turned />
      <RoomTag at={{ x: l - 30, y }} room={room('left')} />
      <RoomTag at={{ x: r + 30, y }} room={room('right')} />
      <RoomTag at={{ x, y: t - 18 }} room={room('above')} />
      <RoomTag at={{ x, y: b + 18 }} room={room('below')} />
    </g>
  );
}

function Leads({ lines }: { lines: number[][] }) {
  return (
    <>
      {lines.map(([x1, y1, x2, y2], i) => (
        <line key={i} x1={x1} y1={y1} x2={x2} y2={y2} className="extension" />
      ))}
    </>
  );
}

function Label({ x, y, text, turned = false }: { x: number; y: number; text: string; turned?: boolean }) {
  const width = text.length * 6.6 + 10;
  return (
    <g transform={`translate(${x} ${y})${turned ? ' rotate(-90)' : ''}`}>
      <rect x={-width / 2} y={-HEIGHT / 2} width={width} height={HEIGHT} className="gap" />
      <text dy="0.35em" textAnchor="middle" className="dimension-figure">
        {text}
      </text>
    </g>
  );
}

/** Room at one side: framed; filled where it limits the size, and in the colour of trouble where the ink stands out. */
function RoomTag({ at, room }: { at: { x: number; y: number }; room?: Schemas['RoomView'] }) {
  const { units } = useUnits();
  if (!room) return null;
  const text = figure(room.distance, units);
  const width = Math.max(34, text.length * 6.8 + 12);
  const kind = room.beyond ? 'beyond' : room.touches ? 'touches' : '';
  return (
    <g transform={`translate(${at.x} ${at.y})`} className={`room-tag ${kind}`} data-side={room.side}>
      <rect x={-width / 2} y={-HEIGHT / 2} width={width} height={HEIGHT} />
      <text dy="0.35em" textAnchor="middle">
        {text}
      </text>
    </g>
  );
}
