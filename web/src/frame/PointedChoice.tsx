interface Props<T extends string> {
  title: string;
  now: T | null;
  /** What can be chosen, with its words. */
  of: readonly (readonly [T, string])[];
  onChoose: (value: T) => void;
  /** What is pointed at, by the pointer or by the keyboard; nothing once it is left. */
  onPoint: (value?: T) => void;
}

/** One of a few ways, each of which can be pointed at to see its effect before it is chosen. */
export function PointedChoice<T extends string>({ title, now, of, onChoose, onPoint }: Props<T>) {
  const point = (value: T) => onPoint(value === now ? undefined : value);
  return (
    <fieldset className="placing">
      <legend>{title}</legend>
      {of.map(([value, words]) => (
        <button
          key={value}
          type="button"
          aria-pressed={now === value}
          className={now === value ? 'choice here' : 'choice'}
          onClick={() => {
            onChoose(value);
            onPoint(undefined);
          }}
          onMouseEnter={() => point(value)}
          onMouseLeave={() => onPoint(undefined)}
          onFocus={() => point(value)}
          onBlur={() => onPoint(undefined)}
        >
          {words}
        </button>
      ))}
    </fieldset>
  );
}
