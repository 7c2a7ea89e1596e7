import clsx from 'clsx';

/** One of a few values, or any of them. */
export function Select<Value extends string>(props: {
  label: string;
  /** What is said while none is chosen. */
  any?: string;
  value: Value | null | undefined;
  of: readonly (readonly [string, string])[];
  onChange: (value: Value | null) => void;
  wide?: boolean;
}) {
  return (
    <select
      aria-label={props.label}
      value={props.value ?? ''}
      onChange={(event) => props.onChange(event.target.value === '' ? null : (event.target.value as Value))}
      className={clsx('select border-base-content/50 text-base pointer-fine:h-9', props.wide ? 'w-52' : 'w-auto')}
    >
      {props.any !== undefined && <option value="">{props.any}</option>}
      {props.of.map(([value, name]) => (
        <option key={value} value={value}>
          {name}
        </option>
      ))}
    </select>
  );
}
