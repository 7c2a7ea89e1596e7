import clsx from 'clsx';
import { ChevronDown, ChevronRight } from 'lucide-react';
import type { ReactNode } from 'react';

/** What opens and closes something below it: an arrow, and the words beside it. */
export function Opener(props: {
  open: boolean;
  onToggle: () => void;
  /** The id of what it opens. */
  controls: string;
  /** What it says aloud where there are no words beside it. */
  label?: string;
  className?: string;
  children?: ReactNode;
}) {
  const { open, onToggle, controls, label, className, children } = props;
  const Arrow = open ? ChevronDown : ChevronRight;
  return (
    <button
      type="button"
      aria-expanded={open}
      aria-controls={controls}
      aria-label={label}
      onClick={onToggle}
      className={clsx(
        'flex min-h-11 cursor-pointer items-center gap-1 text-left pointer-fine:min-h-9',
        children ? 'min-w-0' : 'min-w-11 justify-center',
        className,
      )}
    >
      <Arrow aria-hidden="true" className="size-4 shrink-0" />
      {children}
    </button>
  );
}
