import clsx from 'clsx';
import type { ReactNode } from 'react';

/** A short fact beside something. */
export function Chip({ children }: { children: ReactNode }) {
  return (
    <span className="inline-flex items-center gap-1 rounded-selector border border-base-content/40 px-1.5 text-sm">
      {children}
    </span>
  );
}

/** A choice that is on or off, one of several that may be on together. */
export function ToggleChip({
  on,
  onChange,
  children,
  disabled,
}: {
  on: boolean;
  onChange: (on: boolean) => void;
  children: ReactNode;
  disabled?: boolean;
}) {
  return (
    <button
      type="button"
      aria-pressed={on}
      disabled={disabled}
      onClick={() => onChange(!on)}
      className={clsx(
        'inline-flex min-h-11 cursor-pointer items-center gap-2 rounded-field border px-3 disabled:cursor-default disabled:opacity-60',
        on ? 'border-primary bg-primary text-primary-content' : 'border-base-content/50 hover:bg-base-200',
      )}
    >
      <span aria-hidden="true" className="font-mono">
        {on ? '✓' : '·'}
      </span>
      {children}
    </button>
  );
}
