import type { Reach } from '../../mending/Remedies';

const REACHES = [
  ['piece', 'This piece'],
  ['motif', 'All pieces'],
] as const;

/** Whether what is wrong is mended in this piece, or in the motif and so in all of them. */
export function ReachChoice({
  label,
  reach,
  words = REACHES,
  onReach,
}: {
  label: string;
  reach: Reach;
  words?: readonly (readonly [Reach, string])[];
  onReach: (reach: Reach) => void;
}) {
  return (
    <div className="views reach" role="group" aria-label={label}>
      {words.map(([key, said]) => (
        <button
          key={key}
          type="button"
          className={key === reach ? 'view here' : 'view'}
          aria-pressed={key === reach}
          onClick={() => onReach(key)}
        >
          {said}
        </button>
      ))}
    </div>
  );
}
