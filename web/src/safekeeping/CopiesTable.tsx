import { CopyRow } from './CopyRow';
import type { Safekeeping } from './useSafekeeping';

/** All copies, the newest first. */
export function CopiesTable({ view }: { view: Safekeeping }) {
  const now = new Date();
  if (view.copies.length === 0) return <p className="empty">There is no copy yet. The first is made right after a start.</p>;
  return (
    <table className="copies">
      <thead>
        <tr>
          <th scope="col">Made</th>
          <th scope="col">Why</th>
          <th scope="col">Holds</th>
          <th scope="col" className="number">
            Size
          </th>
          <th scope="col">Where</th>
          <th scope="col">
            <span className="visually-hidden">What can be done</span>
          </th>
        </tr>
      </thead>
      <tbody>
        {view.copies.map((c) => (
          <CopyRow key={c.name} copy={c} now={now} />
        ))}
      </tbody>
    </table>
  );
}
