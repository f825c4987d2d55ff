import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { Link, useNavigate, useParams } from 'react-router';
import { answer, api } from '../api/client';
import { TitleRow, Waiting } from '../frame/TitleRow';
import { KINDS, pageOf } from './kinds';
import { PastStatePanel } from './PastState';
import { aloneIn, sittingsOf, type State } from './sittings';
import { SittingRow } from './SittingRow';

/** So many sittings are listed at first. */
const FIRST = 40;

/** What a thing was, when, and the way back to it. */
export function PastPage() {
  const { kind = '', id = '' } = useParams();
  const go = useNavigate();
  const [chosen, setChosen] = useState<number>();
  const [single, setSingle] = useState<State>();
  const [most, setMost] = useState(FIRST);
  const { data, error } = useQuery({
    queryKey: ['past', kind, id],
    queryFn: () => answer(api.GET('/api/past/{kind}/{id}', { params: { path: { kind, id } } })),
  });
  if (!data) return <Waiting error={error} />;
  const sittings = sittingsOf(data.states);
  const at = sittings.find((s) => s.last.revision === chosen) ?? sittings[0];
  const choose = (revision: number) => {
    setChosen(revision);
    setSingle(undefined);
  };
  const shown = at && single && at.states.includes(single) ? aloneIn(at, single) : at;
  const step = (by: number) => {
    const next = sittings[(at ? sittings.indexOf(at) : 0) + by];
    if (next) choose(next.last.revision);
  };
  return (
    <div className="page past">
      <TitleRow
        title={`${data.name || 'Without a name'}, as it was`}
        about={`${data.states.length} ${data.states.length === 1 ? 'change' : 'changes'} of this ${KINDS[kind]?.one ?? 'thing'}`}
      >
        {!data.isGone && (
          <Link to={pageOf(kind, id)} className="btn btn-sm btn-line">
            To it as it is
          </Link>
        )}
      </TitleRow>
      <div className="columns">
        <ol
          className="sittings"
          aria-label="Sittings, the newest first"
          onKeyDown={(e) => {
            const by = { ArrowDown: 1, ArrowUp: -1 }[e.key];
            if (!by) return;
            e.preventDefault();
            step(by);
            e.currentTarget.querySelectorAll<HTMLButtonElement>('.sitting')[(at ? sittings.indexOf(at) : 0) + by]?.focus();
          }}
        >
          {sittings.slice(0, most).map((s) => (
            <SittingRow
              key={s.last.revision}
              sitting={s}
              isHere={s === at}
              single={single}
              onChoose={() => choose(s.last.revision)}
              onSingle={setSingle}
            />
          ))}
          {sittings.length > most && (
            <li>
              <button type="button" onClick={() => setMost(most + FIRST)}>
                Show older ones ({sittings.length - most})
              </button>
            </li>
          )}
        </ol>
        {shown && (
          <PastStatePanel
            key={`${shown.last.revision} ${shown.before}`}
            kind={kind}
            id={id}
            sitting={shown}
            revision={data.revision}
            isNow={shown.last.revision === data.revision && !data.isGone}
            onBack={() => void go(pageOf(kind, id))}
          />
        )}
      </div>
    </div>
  );
}
