import clsx from 'clsx';

/** One of a few ways to see the same; nothing where there is only one. */
export function Segments<Key extends string>(props: {
  label: string;
  options: readonly (readonly [Key, string])[];
  chosen: Key;
  onChoose: (key: Key) => void;
}) {
  if (props.options.length < 2) return null;
  return (
    <div role="group" aria-label={props.label} className="flex flex-wrap gap-x-1">
      {props.options.map(([key, words]) => (
        <button
          key={key}
          type="button"
          aria-pressed={key === props.chosen}
          onClick={() => props.onChoose(key)}
          className={clsx(
            'min-h-11 cursor-pointer rounded-field px-3 pointer-fine:min-h-9',
            key === props.chosen ? 'bg-base-content/10 font-bold' : 'text-primary underline underline-offset-4',
          )}
        >
          {words}
        </button>
      ))}
    </div>
  );
}
