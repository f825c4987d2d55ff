import { useState } from 'react';
import { Button } from 'react-bootstrap';
import { momentSaid } from '../past/moments';
import { useBringBack, useSafekeepingDeeds } from './useSafekeeping';
import { agoSaid, OCCASIONS, sizeSaid, type Copy } from './words';

/** A copy: when and why it was made, what it holds, and what can be done with it. */
export function CopyRow({ copy, now }: { copy: Copy; now: Date }) {
  const { check } = useSafekeepingDeeds();
  const { bring, isUnderWay } = useBringBack();
  const [asks, setAsks] = useState(false);
  const problem = bring.error ?? check.error;
  return (
    <>
      <tr>
        <th scope="row">
          {momentSaid(copy.madeAt)}
          <span className="soft small"> {agoSaid(copy.madeAt, now)}</span>
        </th>
        <td>{OCCASIONS[copy.occasion]}</td>
        <td>
          {copy.holds || <span className="look">cannot be read</span>}
          {copy.isAsNow && <span className="soft small"> as it is now</span>}
        </td>
        <td className="number">{sizeSaid(copy.bytes)}</td>
        <td>{copy.isHere ? (copy.isSecond ? 'both' : 'here') : 'second folder'}</td>
        <td>
          <div className="deeds">
            <Button size="sm" variant="line" disabled={check.isPending} onClick={() => check.mutate(copy.name)}>
              Check
            </Button>
            <Button size="sm" variant="line" disabled={asks} onClick={() => setAsks(true)}>
              Bring back
            </Button>
          </div>
        </td>
      </tr>
      {(check.data ?? problem) && (
        <tr>
          <td colSpan={6}>
            {check.data && !problem && <p className={check.data.isWhole ? 'echo' : 'echo problem'}>{check.data.words}</p>}
            {problem && <p className="echo problem">{problem.message}</p>}
          </td>
        </tr>
      )}
      {asks && (
        <tr>
          <td colSpan={6}>
            <div className="conflict" role="alertdialog" aria-label="Bring this copy back">
              {isUnderWay ? (
                'One moment: Cabida begins anew on it …'
              ) : (
                <>
                  <span>
                    The library will be as it was {momentSaid(copy.madeAt)}. As it is now it is copied first, so that you can come back to
                    it.
                  </span>
                  <Button size="sm" variant="main" autoFocus disabled={bring.isPending} onClick={() => bring.mutate(copy.name)}>
                    Bring it back
                  </Button>
                  <Button size="sm" variant="line" disabled={bring.isPending} onClick={() => setAsks(false)}>
                    Leave it
                  </Button>
                </>
              )}
            </div>
          </td>
        </tr>
      )}
    </>
  );
}
