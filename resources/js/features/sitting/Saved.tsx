import clsx from 'clsx';
import type { Link } from './sittingStore';

/** Whether all that was answered has reached the server, and where it is if not. */
export function Saved({ link }: { link: Link }) {
  const words =
    link.kind === 'away'
      ? link.waiting === 0
        ? 'No connection: trying again'
        : link.kept
          ? `No connection: ${link.waiting} kept on this device`
          : `No connection: ${link.waiting} not saved, keep this page open`
      : link.kind === 'saving'
        ? 'Saving…'
        : link.kind === 'full'
          ? 'Full: hand it in'
          : 'All saved';
  // On a phone a tick stands for what is as it should be.
  const well = link.kind === 'saved';
  return (
    <p
      role="status"
      className={link.kind === 'away' || link.kind === 'full' ? 'font-bold text-warning' : 'text-base-content/75'}
    >
      {well && (
        <span aria-hidden="true" className="sm:hidden">
          ✓
        </span>
      )}
      <span className={clsx(well && 'max-sm:sr-only')}>{words}</span>
    </p>
  );
}
