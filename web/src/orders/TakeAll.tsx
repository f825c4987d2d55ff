import { useQueryClient } from '@tanstack/react-query';
import { useRef, useState } from 'react';
import { answer, api, type Schemas } from '../api/client';

type Card = Schemas['OrderCard'];

/** Takes every new order of which all lines can be: some at a time, with how far it is, until it is stopped. */
export function TakeAll({ orders }: { orders: readonly Card[] }) {
  const cache = useQueryClient();
  const stop = useRef(false);
  const [at, setAt] = useState<{ done: number; all: number }>();
  const [said, setSaid] = useState('');
  const whole = orders.filter((o) => o.state === 'waiting' && o.lines > 0 && o.takeable === o.lines);
  const take = async () => {
    let left = whole.map((o) => o.id);
    const all = left.length;
    let [taken, not] = [0, 0];
    stop.current = false;
    setSaid('');
    try {
      while (left.length > 0 && !stop.current) {
        setAt({ done: all - left.length, all });
        const answered = await answer(api.POST('/api/orders/take', { body: { ids: left } }));
        taken += answered.jobs.length;
        not += answered.notTaken.length;
        left = answered.left;
      }
      setSaid(`${taken} taken${not > 0 ? `, ${not} not` : ''}`);
    } catch (e) {
      setSaid(e instanceof Error ? e.message : String(e));
    } finally {
      setAt(undefined);
      void cache.invalidateQueries();
    }
  };
  return (
    <span className="take-all">
      <span role="status" className="small soft">
        {at ? `${at.done} of ${at.all} taken` : said}
      </span>
      {at ? (
        <button type="button" className="btn btn-sm btn-line" onClick={() => (stop.current = true)}>
          Stop
        </button>
      ) : (
        <button
          type="button"
          className="btn btn-sm btn-main"
          disabled={whole.length === 0}
          title="Those of which every line can be taken"
          onClick={() => void take()}
        >
          {whole.length === 1 ? 'Take the one without trouble' : `Take the ${whole.length} without trouble`}
        </button>
      )}
    </span>
  );
}
