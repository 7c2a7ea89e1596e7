import { useId, useState } from 'react';
import { Link } from 'react-router';
import type { View } from '../../api/client';
import { Opener } from '../../ui/Opener';
import { weekday } from '../../ui/dates';
import { plain } from '../../ui/plain';
import { count, dayTime } from '../../ui/words';
import { Anew } from '../library/Anew';
import { ReviewLink } from '../library/ReviewLink';
import { StarAndNote } from '../library/StarAndNote';
import { CauseField } from '../result/CauseField';
import { useGap } from '../result/useGap';
import { causeName, type Gap } from './gapFilters';

/** A gap in two lines; opened, with all that can be said of it. */
export function GapRow({ exam, gap, reading }: { exam: string; gap: Gap; reading: readonly View<'Reading'>[] }) {
  const [open, setOpen] = useState(false);
  const id = useId();
  return (
    <li className="border-t border-base-300 py-1.5">
      <div className="grid grid-cols-[1rem_minmax(0,1fr)_auto] items-center gap-x-3 sm:grid-cols-[5.5rem_minmax(0,1fr)_auto]">
        <span className="flex items-center gap-1.5 text-sm">
          <GapMark state={gap.state} /> <span className="max-sm:sr-only">{gap.state}</span>
        </span>
        <ReviewLink of={gap} bold />
        <Opener open={open} controls={id} label={`More of: ${gap.excerpt}`} onToggle={() => setOpen(!open)} />
      </div>
      <p className="pl-[6.25rem] text-sm text-base-content/75 max-sm:pl-0">
        {gap.topic}; missed {gap.misses === 1 ? 'once' : count(gap.misses, 'time')};{' '}
        {gap.state === 'closed' ? 'closed on' : 'since'} {weekday(gap.since)}
        {gap.due && gap.state !== 'closed' && `; comes back on ${weekday(gap.due)}`}
        {gap.cause && `; ${causeName(gap.cause).toLowerCase()}`}
        {gap.retired && '; asked no more'}
      </p>
      {gap.note !== '' && !open && (
        <p className="ml-[6.25rem] line-clamp-2 border-l-4 border-accent pl-2 text-sm max-sm:ml-0">{plain(gap.note)}</p>
      )}
      {open && (
        <div id={id} className="mt-1 ml-[6.25rem] grid gap-2 border-l-2 border-base-300 pl-3 max-sm:ml-0">
          <p className="text-sm">
            {gap.subtopic}. Met last on {dayTime(gap.seenAt)}.
          </p>
          <p className="flex flex-wrap gap-x-4">
            {gap.sections.map((code) => (
              <Link
                key={code}
                to={`/handbook/${exam}/${code}`}
                className="inline-flex min-h-11 items-center text-primary underline underline-offset-4 pointer-fine:min-h-7"
              >
                Read “{reading.find((one) => one.code === code)?.title ?? code}”
              </Link>
            ))}
          </p>
          {!gap.retired && (
            <p>
              <Anew exam={exam} question={gap.question} />
            </p>
          )}
          {gap.sitting === null ? (
            <p className="text-sm text-base-content/75">
              It stands in a test that is not handed in yet; then its cause can be named.
            </p>
          ) : (
            <Said sitting={gap.sitting} position={gap.position ?? 0} gap={gap} />
          )}
        </div>
      )}
    </li>
  );
}

function Said({ sitting, position, gap }: { sitting: string; position: number; gap: Gap }) {
  const moving = useGap(sitting, position);
  const inBook = gap.state !== 'closed';
  return (
    <>
      <div className="flex flex-wrap items-center gap-x-5 gap-y-1">
        <CauseField sitting={sitting} line={{ position, cause: gap.cause }} labelled />
        <button
          type="button"
          disabled={moving.isPending}
          onClick={() => moving.mutate(!inBook)}
          className="min-h-11 cursor-pointer text-primary underline underline-offset-4 pointer-fine:min-h-8"
        >
          {inBook ? 'Close it by hand' : 'Open it again'}
        </button>
        {moving.isError && (
          <span role="alert" className="text-error">
            {moving.error.message}
          </span>
        )}
      </div>
      <StarAndNote sitting={sitting} position={position} />
    </>
  );
}

/** A gap in a line, half filled, filled: the same shape closing. */
function GapMark({ state }: { state: Gap['state'] }) {
  return (
    <svg viewBox="0 0 16 16" width="16" height="16" aria-hidden="true" fill="none" stroke="currentColor">
      <path d="M1 8h3M12 8h3" strokeWidth="2.2" />
      {state === 'open' && <path d="M4 4.500v7M12 4.500v7" strokeWidth="1.6" />}
      {state === 'closing' && (
        <>
          <path d="M4 8h4" strokeWidth="2.200" className="stroke-primary" />
          <path d="M12 4.500v7" strokeWidth="1.6" />
        </>
      )}
      {state === 'closed' && <path d="M4 8h8" strokeWidth="2.200" className="stroke-primary" />}
    </svg>
  );
}
