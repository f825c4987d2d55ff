import type { Schemas } from '../api/client';
import { typedAs } from '../units/units';

type Spec = Schemas['ZoneSpec'];

const UPWARDS: Schemas['Datum'][] = ['bottom', 'hem'];

/**
 * A zone moved by hand: what was measured in changes by so much, and nothing else. One that stood in the middle is measured
 * from the bottom from then on. Lengths are written to a tenth in the unit given.
 */
export function nudged(zone: Spec, stands: Schemas['ZoneStands'], away: number, dx: number, dy: number, unit: Schemas['LengthUnit']): Spec {
  const typed = (mm: number) => typedAs(mm, unit);
  const across = stands.across + dx;
  const side = Math.abs(across) < 0.05 ? 'centred' : across < 0 ? 'left' : 'right';
  const place = { ...zone.place, side, across: side === 'centred' ? { text: '', unit } : typed(Math.abs(across)) } as Schemas['Place'];
  if (dy === 0) return { ...zone, place };
  if (zone.place.from === 'middle')
    return { ...zone, place: { ...place, from: 'bottom', away: typed(Math.max(0, stands.fromBottom + dy)) } };
  return { ...zone, place: { ...place, away: typed(Math.max(0, away + (UPWARDS.includes(zone.place.from) ? dy : -dy))) } };
}
