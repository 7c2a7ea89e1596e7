import { BookmarkCheck, BookmarkPlus } from 'lucide-react';
import { CauseField } from './CauseField';
import type { Line } from './lines';
import { useGap } from './useGap';

/** Into the gap book or out of it, and why it went wrong. */
export function GapTools({ sitting, line }: { sitting: string; line: Line }) {
  const gap = useGap(sitting, line.position);
  if (line.outcome === 'not_reached') return null;
  const inBook = gap.isPending ? gap.variables : line.inGapBook;
  const Mark = inBook ? BookmarkCheck : BookmarkPlus;
  return (
    <div className="flex flex-wrap items-center gap-x-5 gap-y-1">
      <button
        type="button"
        aria-pressed={inBook}
        disabled={gap.isPending}
        onClick={() => gap.mutate(!inBook)}
        className="inline-flex min-h-11 cursor-pointer items-center gap-1.5 underline-offset-4 hover:underline"
      >
        <Mark aria-hidden="true" className="size-4.5" />
        {inBook ? 'In my gap book' : 'Put it into my gap book'}
      </button>
      {line.outcome !== 'right' && line.outcome !== 'pending' && <CauseField sitting={sitting} line={line} labelled />}
      {gap.isError && (
        <p role="alert" className="text-error">
          {gap.error.message}
        </p>
      )}
    </div>
  );
}
