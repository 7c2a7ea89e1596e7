import clsx from 'clsx';

/** How much of something has been seen, and how much of that went right at the latest look. */
export function Covered(props: {
  of: { all: number; seen: number; right: number };
  /** The words below the bar, where there is no room beside it. */
  below?: boolean;
}) {
  const { all, seen, right } = props.of;
  const width = (n: number) => ({ width: `${all ? (100 * n) / all : 0}%` });
  return (
    <span className={clsx('grid items-center gap-x-2', !props.below && 'grid-cols-[minmax(0,1fr)_8.5rem]')}>
      <span aria-hidden="true" className="relative block h-3 bg-base-content/12 [print-color-adjust:exact]">
        <span className="absolute inset-y-0 left-0 bg-primary/35" style={width(seen)} />
        <span className="absolute inset-y-0 left-0 bg-primary" style={width(right)} />
      </span>
      <span className="text-sm tabular-nums">
        {seen} of {all}, {right} right
      </span>
    </span>
  );
}
