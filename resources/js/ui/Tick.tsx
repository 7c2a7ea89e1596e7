import type { ReactNode } from 'react';

/** A box to tick, as large as its words. */
export function Tick(props: {
  on: boolean;
  disabled?: boolean | undefined;
  onChange: (on: boolean) => void;
  children: ReactNode;
}) {
  return (
    <label className="flex min-h-11 cursor-pointer items-center gap-2 pointer-fine:min-h-9">
      <input
        type="checkbox"
        className="checkbox checkbox-sm checkbox-primary"
        checked={props.on}
        disabled={props.disabled}
        onChange={(event) => props.onChange(event.target.checked)}
      />
      {props.children}
    </label>
  );
}
