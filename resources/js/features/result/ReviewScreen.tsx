import { useQuery } from '@tanstack/react-query';
import clsx from 'clsx';
import { Flag } from 'lucide-react';
import { useEffect, useRef, useState } from 'react';
import { Link, useNavigate, useParams } from 'react-router';
import type { View } from '../../api/client';
import { explanation, review } from '../../api/queries';
import { Button, ButtonLink } from '../../ui/Button';
import { Empty } from '../../ui/Empty';
import { Failure } from '../../ui/Failure';
import { Loading } from '../../ui/Loading';
import { OUTCOMES, OutcomeMark } from '../../ui/Outcome';
import { Tabs } from '../../ui/Tabs';
import { useTitle } from '../../ui/useTitle';
import { Highlightable } from '../library/Highlightable';
import { StarAndNote } from '../library/StarAndNote';
import { Explained } from './Explained';

type Item = View<'ReviewItem'>;
type Filter = 'all' | 'wrong' | 'flagged';

const FILTERS: Record<Filter, (item: Item) => boolean> = {
  all: () => true,
  wrong: (item) => item.outcome !== 'right',
  flagged: (item) => item.flagged,
};

export function Component() {
  useTitle('Review');
  const { sitting = '', position } = useParams();
  const page = useQuery(review(sitting));
  if (page.isPending) return <Loading what="Fetching your questions" />;
  if (page.isError) return <Failure error={page.error} retry={() => void page.refetch()} />;
  return <Review review={page.data} position={position === undefined ? null : Number(position) - 1} />;
}

function Review({ review, position }: { review: View<'Review'>; position: number | null }) {
  const wrong = review.items.filter(FILTERS.wrong).length;
  const flagged = review.items.filter(FILTERS.flagged).length;
  const [filter, setFilter] = useState<Filter>(wrong > 0 ? 'wrong' : 'all');
  const items = review.items.filter(FILTERS[filter]);
  const open = position ?? items[0]?.position ?? 0;
  return (
    <div className="grid gap-5">
      <div className="flex flex-wrap items-end justify-between gap-3">
        <div>
          <p className="text-base-content/75">Review</p>
          <h1 className="text-2xl font-bold">{review.title}</h1>
        </div>
        <ButtonLink to={`/result/${review.sitting}`}>Back to the result</ButtonLink>
      </div>
      <Tabs
        label="Which questions"
        open={filter}
        onOpen={setFilter}
        tabs={[
          { key: 'wrong', label: `Not right (${wrong})` },
          { key: 'flagged', label: `Flagged (${flagged})` },
          { key: 'all', label: `All (${review.items.length})` },
        ]}
      >
        {items.length === 0 && position === null ? (
          <Empty
            title={filter === 'flagged' ? 'You flagged no question in this test.' : 'Every question went right.'}
          />
        ) : (
          <div className="grid items-start gap-8 lg:grid-cols-[18rem_1fr]">
            <List items={items} sitting={review.sitting} open={open} hideOnPhone={position !== null} />
            <div className={clsx(position === null && 'max-lg:hidden')}>
              <One key={open} sitting={review.sitting} position={open} items={items} moved={position !== null} />
            </div>
          </div>
        )}
      </Tabs>
    </div>
  );
}

function List({
  items,
  sitting,
  open,
  hideOnPhone,
}: {
  items: Item[];
  sitting: string;
  open: number;
  hideOnPhone: boolean;
}) {
  return (
    <ol className={clsx('lg:sticky lg:top-4 lg:max-h-[80dvh] lg:overflow-y-auto', hideOnPhone && 'max-lg:hidden')}>
      {items.map((item) => (
        <li
          key={item.position}
          className="border-t border-base-300 [contain-intrinsic-size:auto_5rem] [content-visibility:auto]"
        >
          <Link
            to={`/review/${sitting}/${item.position + 1}`}
            aria-current={item.position === open ? 'true' : undefined}
            className={clsx('flex gap-2.5 p-2', item.position === open ? 'bg-base-content/10' : 'hover:bg-base-200')}
          >
            <OutcomeMark outcome={item.outcome} />
            <span className="min-w-0">
              <span className="flex items-center gap-2 text-sm text-base-content/80">
                {item.position + 1}. {OUTCOMES[item.outcome]}, {item.subtopic}
                {item.flagged && <Flag aria-label="flagged" className="size-4 shrink-0" />}
              </span>
              <span className="line-clamp-2">{item.excerpt}</span>
            </span>
          </Link>
        </li>
      ))}
    </ol>
  );
}

function One({
  sitting,
  position,
  items,
  moved,
}: {
  sitting: string;
  position: number;
  items: Item[];
  moved: boolean;
}) {
  const page = useQuery(explanation(sitting, position));
  const navigate = useNavigate();
  const heading = useRef<HTMLHeadingElement>(null);
  useEffect(() => {
    if (moved) heading.current?.focus();
  }, [moved]);
  const before = items.filter((item) => item.position < position).at(-1);
  const after = items.find((item) => item.position > position);
  const go = (item: Item) => void navigate(`/review/${sitting}/${item.position + 1}`);
  return (
    <article className="grid gap-4">
      <div className="flex flex-wrap items-center justify-between gap-3">
        <h2 ref={heading} tabIndex={-1} className="text-base-content/75 outline-none">
          Question {position + 1}
        </h2>
        <div className="flex flex-wrap gap-2">
          <span className="lg:hidden">
            <ButtonLink small to={`/review/${sitting}`}>
              List
            </ButtonLink>
          </span>
          <Button small disabled={!before} onClick={() => before && go(before)}>
            Back
          </Button>
          <Button small disabled={!after} onClick={() => after && go(after)}>
            Next
          </Button>
        </div>
      </div>
      {page.isPending ? (
        <Loading what="Fetching the reasons" />
      ) : page.isError ? (
        <Failure error={page.error} retry={() => void page.refetch()} />
      ) : (
        <div className="grid gap-4">
          <Highlightable key={`marks-${position}`} sitting={sitting} position={position}>
            <Explained sitting={sitting} explanation={page.data} withUnit />
          </Highlightable>
          <StarAndNote key={position} sitting={sitting} position={position} />
        </div>
      )}
    </article>
  );
}
