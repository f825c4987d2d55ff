import type { Schemas } from '../../api/client';
import { figure, length } from '../../units/units';
import { useUnits } from '../../units/UnitsContext';
import type { RunDocument, SetUp } from '../useRun';
import { SetPlot } from './SetPlot';

interface Props {
  set?: Schemas['RunSet'];
  run: RunDocument;
  onChoose: (pieceId: string) => void;
}

/** The size of the set: what all of it allows, which name holds it back, and what leaving names out would gain. */
export function SetCard({ set, run, onChoose }: Props) {
  const { editSetUp: edit } = run;
  if (!run.document) return null;
  const { setUp, list } = run.document;
  return (
    <section className={setUp.groupBy === '' && list.pieces.length > 1 ? 'card one-set' : 'card'} aria-label="One set">
      <h2>One set</h2>
      {!set || set.groups.length === 0 ? (
        <p className="soft">The names are being set …</p>
      ) : (
        set.groups.map((g) => (
          <Group
            key={g.group}
            group={g}
            by={setUp.groupBy}
            sizing={setUp.sizing}
            whole={set.done === set.all}
            onChoose={onChoose}
            onAccept={(height) => edit((r) => accepted(r, g.group, height))}
            onScale={(percent) => edit((r) => ({ ...r, sizing: 'oneScale', scaleTyped: percent }))}
          />
        ))
      )}
    </section>
  );
}

/** The run with a letter height accepted for all, or for one of its groups. */
export function accepted(run: SetUp, group: string, millimetres: number): SetUp {
  const letterHeight = { text: String(millimetres), unit: 'millimetre' as const };
  if (run.groupBy === '') return { ...run, sizing: 'oneLetterHeight', letterHeight };
  return {
    ...run,
    sizing: 'oneLetterHeight',
    groupHeights: [...run.groupHeights.filter((g) => g.group !== group), { group, letterHeight }],
  };
}

interface GroupProps {
  group: Schemas['SetGroup'];
  by: string;
  sizing: Schemas['Sizing'];
  whole: boolean;
  onChoose: (pieceId: string) => void;
  onAccept: (millimetres: number) => void;
  onScale: (percent: string) => void;
}

function Group({ group, by, sizing, whole, onChoose, onAccept, onScale }: GroupProps) {
  const { units } = useUnits();
  const all = group.largestForAll;
  return (
    <div className="set-group">
      {by !== '' && (
        <p className="field-row-title">
          {by} {group.group || 'not said'}{' '}
          <span className="hint">
            {group.pieces} {group.pieces === 1 ? 'piece' : 'pieces'}
          </span>
        </p>
      )}
      {typeof all === 'number' ? (
        <p>
          All {whole ? '' : 'that are set so far '}fit at <b className="figure">{length(all, units)}</b>
          {group.tightest && group.pieces > 1 ? (
            <>
              ; <b>{group.tightest}</b> sets the limit.
            </>
          ) : (
            '.'
          )}
          {typeof group.height === 'number' && sizing === 'oneLetterHeight' && (
            <span className="soft"> The set is given {figure(group.height, units)}.</span>
          )}
        </p>
      ) : (
        <p className="soft">Not every name has a size at which it fits by itself.</p>
      )}
      <div className="remedies">
        {typeof all === 'number' && group.height !== all && (
          <button type="button" className="btn btn-sm btn-line" onClick={() => onAccept(all)}>
            Give all {figure(all, units)}
          </button>
        )}
        {typeof group.largestScale === 'number' && by === '' && sizing !== 'oneScale' && (
          <button
            type="button"
            className="btn btn-sm btn-line"
            onClick={() => onScale((Math.floor((group.largestScale as number) * 1000) / 10).toFixed(1))}
          >
            One scale for all
          </button>
        )}
      </div>
      {group.gains.length > 1 && (
        <SetPlot gains={group.gains} height={sizing === 'oneLetterHeight' ? group.height : null} onChoose={onChoose} onAccept={onAccept} />
      )}
    </div>
  );
}
