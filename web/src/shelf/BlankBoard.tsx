import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { answer, api, type Schemas } from '../api/client';
import { Board } from '../board/Board';
import { unitInForce } from '../units/units';
import { useUnits } from '../units/UnitsContext';
import { Words } from '../units/Words';
import { isWall, type Blank, type Edit } from './names';
import { nudged } from './nudge';
import { ZoneHandle } from './ZoneHandle';

interface Props {
  id: string;
  view: Schemas['BlankView'];
  blank: Blank;
  edit: Edit;
  size: Schemas['SizeView'];
  onSize: (size: string) => void;
  zone?: string;
  film?: string;
  lit?: string;
  onLight: (letter?: string) => void;
}

/** What is drawn; of a face with an outline of its own its id. */
type Side = 'standing' | 'behind' | 'flat' | 'strain' | { face: string };

/** The blank as a measured drawing: as it stands, laid flat with its zones, or with the strain along a bellied wall. */
export function BlankBoard({ id, view, blank, edit, size, onSize, zone, film, lit, onLight }: Props) {
  const { units } = useUnits();
  const [picked, setPicked] = useState<{ side: Side; zone?: string }>({ side: 'standing' });
  const spec = blank.zones.find((z) => z.id === zone) ?? blank.zones[0];
  const chosen = picked.zone === zone ? picked.side : sideFor(picked.side, spec);
  const strain = useQuery({
    queryKey: ['blank', id, 'strain', view.revision, film],
    queryFn: () => answer(api.GET('/api/blanks/{id}/strain', { params: { path: { id }, query: film ? { film } : {} } })),
    enabled: blank.surface === 'bellied' && chosen === 'strain',
    placeholderData: (before) => before,
  });
  const side: Side = chosen === 'strain' || drawn(size, chosen) ? chosen : 'standing';
  const drawing = (side === 'strain' ? strain.data?.drawing : drawn(size, side)) ?? size.standing;
  const names: [Side, string][] = [
    ['standing', isWall(blank.surface) ? 'As it stands' : 'As measured'],
    ['flat', isWall(blank.surface) ? 'Laid flat' : 'With its zones'],
  ];
  if (size.behind) names.splice(0, 1, ['standing', 'Front as measured'], ['behind', 'Back as measured']);
  if (blank.surface === 'bellied') names.push(['strain', 'Strain']);
  names.push(...size.faces.map((f): [Side, string] => [{ face: f.id }, f.name]));
  const laid = size.zones.find((z) => z.id === spec?.id);
  // The figures written below are of a zone on what is drawn, and only that can be moved.
  const face = typeof side === 'object' ? side.face : '';
  const moving = (side === 'flat' || face) && spec?.face === face ? movable(blank, spec, laid) : undefined;
  const asMeasured = side === 'standing' || side === 'behind' || face;
  const told = spec?.face === face ? spec : blank.zones.find((z) => z.face === face);
  const words = side === 'strain' ? strain.data?.words : size.zones.find((z) => z.id === told?.id)?.sums;
  return (
    <section className="card sheet" aria-label="Drawing">
      <div className="views" role="group" aria-label="Drawing shown">
        {names.map(([key, name]) => (
          <button
            key={keyOf(key)}
            type="button"
            className={keyOf(side) === keyOf(key) ? 'view here' : 'view'}
            aria-pressed={keyOf(side) === keyOf(key)}
            disabled={key !== 'strain' && !drawn(size, key)}
            onClick={() => setPicked({ side: key, zone })}
          >
            {name}
          </button>
        ))}
        {blank.surface === 'garment' && view.sizes.length > 1 && (
          <span className="sizes" role="group" aria-label="Size shown">
            {view.sizes.map((s) => (
              <button
                key={s.size}
                type="button"
                className={s.size === size.size ? 'quiet here' : 'quiet'}
                aria-pressed={s.size === size.size}
                onClick={() => onSize(s.size)}
              >
                {s.size}
              </button>
            ))}
          </span>
        )}
      </div>
      <Board
        label={`${blank.name}, ${names.find(([k]) => keyOf(k) === keyOf(side))?.[1].toLowerCase()}, with its dimensions`}
        drawing={drawing}
        pad={
          asMeasured
            ? { top: 54, right: 150, bottom: isWall(blank.surface) ? 26 : 50, left: 120 }
            : { top: 66, right: 84, bottom: 30, left: size.behind ? 66 : 30 }
        }
        lit={lit}
        onLight={onLight}
        usable={!!moving}
      >
        {moving
          ? (scale) => (
              <ZoneHandle
                key={moving.spec.id}
                name={moving.spec.name}
                scale={scale}
                stands={moving.stands}
                box={moving.box}
                asked={
                  blank.surface === 'tapered' && !moving.spec.face
                    ? (by, signal) =>
                        answer(
                          api.GET('/api/blanks/{id}/zones/{zone}/moved', {
                            params: { path: { id, zone: moving.spec.id }, query: { size: size.size, right: by.dx, up: by.dy } },
                            signal,
                          }),
                        )
                    : undefined
                }
                onMove={(to) =>
                  edit((b) => ({
                    ...b,
                    zones: b.zones.map((z) =>
                      z.id === moving.spec.id
                        ? nudged(
                            z,
                            moving.stands,
                            moving.away,
                            to.across - moving.stands.across,
                            to.fromBottom - moving.stands.fromBottom,
                            unitInForce(units),
                          )
                        : z,
                    ),
                  }))
                }
              />
            )
          : undefined}
      </Board>
      <p className="sums">
        {drawing.guessed
          ? 'An example of the shape, until there is enough to draw yours.'
          : words?.map((s, i) => (
              <span key={i}>
                <Words of={s} bare={side !== 'strain'} />
              </span>
            ))}
        {moving && <span>Drag the zone, or move it with the arrow keys.</span>}
      </p>
    </section>
  );
}

/** A drawing of the blank as it was measured or laid flat; none while too little was read. */
function drawn(size: Schemas['SizeView'], side: Exclude<Side, 'strain'>) {
  if (typeof side === 'object') return size.faces.find((f) => f.id === side.face)?.drawing;
  return { standing: size.standing, behind: size.behind, flat: size.flat }[side];
}

const keyOf = (side: Side) => (typeof side === 'object' ? `own ${side.face}` : side);

/** The drawing that shows a zone which was chosen in the schedule: its face's, where it has one of its own. */
function sideFor(shown: Side, spec?: Schemas['ZoneSpec']): Side {
  return spec?.face ? { face: spec.face } : typeof shown === 'object' ? 'flat' : shown;
}

/** A zone that can be moved by hand: one with a size of its own, on a surface that unrolls. */
function movable(blank: Blank, spec?: Schemas['ZoneSpec'], laid?: Schemas['ZoneView']) {
  if (!spec || !laid?.box || !laid.stands || !(spec.width.text || spec.height.text)) return undefined;
  if (blank.surface === 'bellied' && !spec.face) return undefined;
  return { spec, stands: laid.stands, box: laid.box, away: laid.echoes.find((e) => e.field === 'away')?.millimetres ?? 0 };
}
