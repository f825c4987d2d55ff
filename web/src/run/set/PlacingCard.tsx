import type { Schemas } from '../../api/client';
import { PointedChoice } from '../../frame/PointedChoice';
import { LengthField } from '../../units/LengthField';
import { length } from '../../units/units';
import { useUnits } from '../../units/UnitsContext';
import type { RunDocument } from '../useRun';
import { ghostSaid } from '../../mending/ghostSaid';
import type { Ghost } from './useGhost';

interface Props {
  run: RunDocument;
  piece: Schemas['PieceView'];
  ghost?: Schemas['GhostView'];
  onGhost: (ghost?: Ghost) => void;
}

const CENTRES: readonly (readonly [Schemas['Centring'], string])[] = [
  ['inkBox', 'the box of its ink'],
  ['weight', 'its weight'],
  ['withoutTails', 'its letters without tails and flourishes'],
];
const TAPERS: readonly (readonly [Schemas['TaperWay'], string])[] = [
  ['ignored', 'stay straight'],
  ['followed', 'follow the taper, bent'],
  ['rigidLetters', 'follow it, letters rigid'],
];
const PLACES: readonly (readonly [Schemas['Placing'], string])[] = [
  ['anchored', 'centred on the zone'],
  ['free', 'wherever it is largest'],
];

/** How artwork stands in its zone. Pointing at a choice shows its effect as a ghost on the board before it is chosen. */
export function PlacingCard({ run, piece, ghost, onGhost }: Props) {
  const { units } = useUnits();
  const { view, editSetUp: edit } = run;
  if (!run.document || !view) return null;
  const { setUp } = run.document;
  const tapered = !!piece.taper;
  return (
    <section className="card" aria-label="Where it stands">
      <h2>Where it stands</h2>
      <PointedChoice
        title="It stands"
        now={setUp.placing}
        of={PLACES}
        onChoose={(placing) => edit((r) => ({ ...r, placing }))}
        onPoint={(placing) => onGhost(placing && { placing })}
      />
      <PointedChoice
        title="Its centre is"
        now={setUp.centring ?? 'inkBox'}
        of={CENTRES}
        onChoose={(centring) => edit((r) => ({ ...r, centring }))}
        onPoint={(centring) => onGhost(centring && { centring })}
      />
      {tapered && (
        <PointedChoice
          title="On the taper lines"
          now={setUp.taper}
          of={TAPERS}
          onChoose={(taper) => edit((r) => ({ ...r, taper }))}
          onPoint={(taper) => onGhost(taper && { taper })}
        />
      )}
      <p className="soft small ghost-says" role="status">
        {ghost ? ghostSaid(ghost, (mm) => length(mm, units)) : 'Point at a choice to see what it would change.'}
      </p>
      <div className="margins">
        <LengthField label="All moved right" value={setUp.right} echo={view.right} onChange={(right) => edit((r) => ({ ...r, right }))} />
        <LengthField label="All moved up" value={setUp.up} echo={view.up} onChange={(up) => edit((r) => ({ ...r, up }))} />
        {tapered && setUp.taper === 'ignored' && (
          <LengthField
            label="Bow still taken for straight"
            value={setUp.mostBow}
            echo={view.mostBow}
            onChange={(mostBow) => edit((r) => ({ ...r, mostBow }))}
          />
        )}
      </div>
    </section>
  );
}
