import { clockSaid, momentSaid } from './moments';
import type { Sitting, State } from './sittings';

interface Props {
  sitting: Sitting;
  isHere: boolean;
  /** The state of it that is shown by itself; none for all of it. */
  single: State | undefined;
  onChoose: () => void;
  onSingle: (state: State) => void;
}

/** A sitting in the list; chosen, it shows each of its changes. */
export function SittingRow({ sitting: s, isHere, single, onChoose, onSingle }: Props) {
  return (
    <li>
      <button type="button" className={isHere && !single ? 'sitting here' : 'sitting'} aria-current={isHere && !single} onClick={onChoose}>
        <strong>{whenOf(s)}</strong>
        <span>{s.words.join(', ')}</span>
        <span className="soft small">{countOf(s)}</span>
      </button>
      {isHere && s.states.length > 1 && (
        <ol className="states" aria-label="Each change">
          {s.states.map((state) => (
            <li key={state.revision}>
              <button
                type="button"
                className={single === state ? 'here' : ''}
                aria-current={single === state}
                onClick={() => onSingle(state)}
              >
                <span className="soft">{clockSaid(state.at, true)}</span> {state.words}
              </button>
            </li>
          ))}
        </ol>
      )}
    </li>
  );
}

const whenOf = (s: Sitting) =>
  clockSaid(s.from) === clockSaid(s.last.at) ? momentSaid(s.last.at) : `${momentSaid(s.from)} to ${clockSaid(s.last.at)}`;

const countOf = (s: Sitting) =>
  [
    s.states.length > 1 && `${s.states.length} changes`,
    s.last.also > 0 && `with ${s.last.also} other ${s.last.also === 1 ? 'thing' : 'things'}`,
  ]
    .filter(Boolean)
    .join(', ');
