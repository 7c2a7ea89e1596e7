import { useQuery } from '@tanstack/react-query';
import clsx from 'clsx';
import { Flag } from 'lucide-react';
import { useState } from 'react';
import { Link, useParams, useSearchParams } from 'react-router';
import type { View } from '../../api/client';
import { review } from '../../api/queries';
import { useExamIs } from '../../api/useExam';
import { ButtonLink } from '../../ui/Button';
import { Empty } from '../../ui/Empty';
import { Loading } from '../../ui/Loading';
import { OUTCOMES, OutcomeMark } from '../../ui/Outcome';
import { useTitle } from '../../ui/useTitle';
import { filterNamed, FILTERS, filtersOf, type Filter, type Line } from './lines';
import { NotYet } from './NotYet';
import { OpenSection } from './openSection';
import { ReviewOne } from './ReviewOne';
import { ReviewWhole } from './ReviewWhole';
import { SectionBeside } from './SectionBeside';

/** All on one page. */
const WHOLE = 'all';

export function Component() {
  useTitle('Review');
  const { sitting = '', position } = useParams();
  const page = useQuery(review(sitting));
  useExamIs(page.data?.exam);
  if (page.isPending) return <Loading what="Fetching your questions" />;
  if (page.isError) return <NotYet sitting={sitting} error={page.error} again={() => void page.refetch()} />;
  const at = position === undefined || position === WHOLE ? null : Number(position) - 1;
  if (at !== null && !page.data.items.some((line) => line.position === at)) {
    return (
      <Empty title="This test has no such question.">
        <ButtonLink weight="main" to={`/review/${sitting}`}>
          All its questions
        </ButtonLink>
      </Empty>
    );
  }
  return <Review review={page.data} at={at} whole={position === WHOLE} />;
}

function Review({ review, at, whole }: { review: View<'Review'>; at: number | null; whole: boolean }) {
  const { items, sitting } = review;
  const [address] = useSearchParams();
  const filters = filtersOf(items);
  const asked = filterNamed(address.get('show'));
  const usual = items.some(FILTERS.again[1]) ? 'again' : 'all';
  // A question that one comes to by its number may not be among them.
  const show: Filter =
    asked ?? (at !== null && !items.some((line) => line.position === at && FILTERS[usual][1](line)) ? 'all' : usual);
  const search = `?show=${show}`;
  const lines = items.filter(FILTERS[show][1]);
  // The first one stays open when it is marked or taken out, and so is none of them any more.
  const [held, hold] = useState({ show, position: lines[0]?.position });
  if (held.show !== show) hold({ show, position: lines[0]?.position });
  const open = items.find(({ position }) => position === (at ?? held.position));
  const [section, setSection] = useState<string | null>(null);
  return (
    <div className="grid gap-4">
      <div className="flex flex-wrap items-end justify-between gap-3">
        <div>
          <p className="text-base-content/75">Review</p>
          <h1 className="text-2xl font-bold">{review.title}</h1>
        </div>
        <div className="flex flex-wrap gap-2 print:hidden">
          {whole ? (
            <ButtonLink small to={`/review/${sitting}${search}`}>
              One by one
            </ButtonLink>
          ) : (
            <ButtonLink small to={`/review/${sitting}/${WHOLE}${search}`}>
              All on one page
            </ButtonLink>
          )}
          <ButtonLink small to={`/result/${sitting}`}>
            Back to the result
          </ButtonLink>
        </div>
      </div>
      <nav
        aria-label="Which questions"
        className={clsx(
          'flex flex-wrap gap-x-1 border-b border-base-300 pb-1 print:hidden',
          at !== null && 'max-lg:hidden',
        )}
      >
        {filters.map(([filter, n]) => (
          <Link
            key={filter}
            to={`/review/${sitting}${whole ? `/${WHOLE}` : ''}?show=${filter}`}
            aria-current={filter === show ? 'true' : undefined}
            className={clsx(
              'inline-flex min-h-11 items-center rounded-field px-2.5 pointer-fine:min-h-9',
              filter === show ? 'bg-base-content/10 font-bold' : 'text-primary underline underline-offset-4',
            )}
          >
            {FILTERS[filter][0]} ({n})
          </Link>
        ))}
      </nav>
      {(whole ? lines.length === 0 : !open) ? (
        <Empty title={`No question here is “${FILTERS[show][0].toLowerCase()}”.`} />
      ) : whole ? (
        <ReviewWhole sitting={sitting} lines={lines} />
      ) : (
        <OpenSection value={setSection}>
          <div
            className={clsx(
              'grid items-start gap-8',
              section === null ? 'lg:grid-cols-[18rem_minmax(0,1fr)]' : 'lg:grid-cols-[minmax(0,1fr)_24rem]',
            )}
          >
            {section === null && (
              <List lines={lines} sitting={sitting} open={open} search={search} away={at !== null} />
            )}
            <div className={clsx('min-w-0', at === null && 'max-lg:hidden')}>
              {open && (
                <ReviewOne
                  key={open.position}
                  sitting={sitting}
                  line={open}
                  lines={lines}
                  search={search}
                  moved={at !== null}
                />
              )}
            </div>
            {section !== null && <SectionBeside exam={review.exam} code={section} onClose={() => setSection(null)} />}
          </div>
        </OpenSection>
      )}
    </div>
  );
}

function List(props: {
  lines: readonly Line[];
  sitting: string;
  open: Line | undefined;
  search: string;
  /** A question is open: on a phone the list makes room for it. */
  away: boolean;
}) {
  const { lines, sitting, open, search, away } = props;
  return (
    <ol className={clsx('lg:sticky lg:top-4 lg:max-h-[80dvh] lg:overflow-y-auto', away && 'max-lg:hidden')}>
      {lines.map((line) => (
        <li
          key={line.position}
          className="border-t border-base-300 [contain-intrinsic-size:auto_5rem] [content-visibility:auto]"
        >
          <Link
            to={`/review/${sitting}/${line.position + 1}${search}`}
            aria-current={line === open ? 'true' : undefined}
            className={clsx('flex gap-2.5 p-2', line === open ? 'bg-base-content/10' : 'hover:bg-base-200')}
          >
            <OutcomeMark outcome={line.outcome} />
            <span className="min-w-0">
              <span className="flex items-center gap-2 text-sm text-base-content/80">
                {line.position + 1}. {OUTCOMES[line.outcome]}, {line.subtopic}
                {line.flagged && <Flag aria-label="flagged" className="size-4 shrink-0" />}
              </span>
              <span className="line-clamp-2">{line.excerpt}</span>
            </span>
          </Link>
        </li>
      ))}
    </ol>
  );
}
