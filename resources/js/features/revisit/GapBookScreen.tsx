import { useQuery } from '@tanstack/react-query';
import { useDeferredValue } from 'react';
import { Link } from 'react-router';
import { api, ask, type View } from '../../api/client';
import { gaps } from '../../api/queries';
import { useBegin } from '../../api/useBegin';
import { Button, ButtonLink } from '../../ui/Button';
import { Empty } from '../../ui/Empty';
import { Failure } from '../../ui/Failure';
import { Loading } from '../../ui/Loading';
import { OfExam } from '../../ui/OfExam';
import { Pages } from '../../ui/Pages';
import { Segments } from '../../ui/Segments';
import { Select } from '../../ui/Select';
import { addressOf, useInAddress } from '../../ui/useInAddress';
import { useTitle } from '../../ui/useTitle';
import { count } from '../../ui/words';
import { causeName, inTheBook, readFilters, writeFilters, type Wanted } from './gapFilters';
import { GapRow } from './GapRow';

/** One's own misses: what to read, what to drill, what has closed. */
export function Component() {
  useTitle('Gap book');
  return <OfExam>{(exam) => <GapBook exam={exam} />}</OfExam>;
}

function GapBook({ exam }: { exam: string }) {
  const [wanted, choose] = useInAddress(readFilters, writeFilters);
  const want = (part: Partial<Wanted>) => choose({ ...wanted, page: 1, ...part });
  const page = useQuery(gaps(exam, useDeferredValue(wanted)));
  if (page.isPending) return <Loading what="Opening your gap book" />;
  if (page.isError) return <Failure error={page.error} retry={() => void page.refetch()} />;
  const book = page.data;
  const nothing = book.open + book.closing + book.closed === 0;
  return (
    <div className="grid gap-5">
      <div className="flex flex-wrap items-end justify-between gap-x-6 gap-y-3">
        <div>
          <p className="text-base-content/75">{book.examName}</p>
          <h1 className="text-2xl font-bold">Gap book</h1>
          <p className="text-lg">{inTheBook(book)}</p>
        </div>
        {book.total > 0 && <Doing exam={exam} book={book} wanted={wanted} />}
      </div>
      {nothing ? (
        <Empty title="Nothing is in your gap book.">
          <p>Every miss, and every answer you were sure of and that was wrong, is kept here with what to read.</p>
          <ButtonLink to="/" weight="main">
            Answer some questions
          </ButtonLink>
        </Empty>
      ) : (
        <>
          <Filters book={book} wanted={wanted} want={want} />
          <div className="grid items-start gap-x-10 gap-y-6 lg:grid-cols-[minmax(0,1fr)_19rem]">
            <section aria-label="Gaps">
              {book.gaps.length === 0 ? (
                <Empty title="No gap is like that.">
                  <Button onClick={() => choose({ page: 1 })}>Show all that have not closed</Button>
                </Empty>
              ) : (
                <ul className="border-b border-base-300">
                  {book.gaps.map((gap) => (
                    <GapRow key={gap.question} exam={exam} gap={gap} reading={book.reading} />
                  ))}
                </ul>
              )}
              <Pages of={book} what={count(book.total, 'gap')} onPage={(one) => choose({ ...wanted, page: one })} />
            </section>
            <Reading exam={exam} reading={book.reading} wanted={wanted} want={want} />
          </div>
        </>
      )}
    </div>
  );
}

function Doing({ exam, book, wanted }: { exam: string; book: View<'GapBook'>; wanted: Wanted }) {
  const begin = useBegin();
  const n = Math.min(20, book.total);
  const sheet = addressOf(writeFilters({ ...wanted, page: 1 }));
  return (
    <div className="flex flex-wrap items-center gap-2">
      <Button
        weight="main"
        disabled={begin.isPending}
        onClick={() =>
          begin.go(
            () => ask(api.POST('/api/exams/{exam}/gaps/drill', { params: { path: { exam } }, body: wanted })),
            true,
          )
        }
      >
        Drill {n === book.total ? (n === 1 ? 'it' : `these ${n}`) : `${n} of these`}
      </Button>
      <ButtonLink to={`/gaps/sheet?${sheet.toString()}`}>Study sheet</ButtonLink>
      {begin.isError && <Failure error={begin.error} />}
    </div>
  );
}

function Filters(props: { book: View<'GapBook'>; wanted: Wanted; want: (part: Partial<Wanted>) => void }) {
  const { book, wanted, want } = props;
  return (
    <div className="flex flex-wrap items-center gap-x-4 gap-y-2">
      <Segments
        label="State"
        options={[
          ['', `To close (${book.open + book.closing})`],
          ['open', `Open (${book.open})`],
          ['closing', `Closing (${book.closing})`],
          ['closed', `Closed (${book.closed})`],
        ]}
        chosen={wanted.state ?? ''}
        onChoose={(state) => want({ state: state === '' ? null : state })}
      />
      <Select
        wide
        label="Of which topic"
        any="any topic"
        value={wanted.topic}
        of={book.topics.map(({ code, name, n }) => [code, `${name} (${n})`] as const)}
        onChange={(topic) => want({ topic })}
      />
      <Select
        wide
        label="Of which cause"
        any="any cause"
        value={wanted.cause}
        of={book.causes.map(({ code, n }) => [code, `${causeName(code)} (${n})`] as const)}
        onChange={(cause) => want({ cause })}
      />
    </div>
  );
}

/** What to read, in the order of the pages. */
function Reading(props: {
  exam: string;
  reading: readonly View<'Reading'>[];
  wanted: Wanted;
  want: (part: Partial<Wanted>) => void;
}) {
  const { exam, reading, wanted, want } = props;
  if (reading.length === 0) return null;
  return (
    <section aria-labelledby="reading" className="rounded-box border border-base-300 p-4">
      <h2 id="reading" className="font-bold">
        What to read
      </h2>
      <p className="mb-2 text-sm text-base-content/75">In the order of the handbook’s pages.</p>
      <ol className="max-h-128 overflow-y-auto">
        {reading.map(({ code, chapter, title, n }) => (
          <li key={code} className="flex items-center gap-2 border-t border-base-300 py-0.5">
            <Link
              to={`/handbook/${exam}/${code}`}
              title={chapter}
              className="flex min-h-11 min-w-0 flex-1 items-center text-primary underline underline-offset-4 pointer-fine:min-h-9"
            >
              {title}
            </Link>
            <button
              type="button"
              aria-pressed={wanted.section === code}
              aria-label={`Only the ${count(n, 'gap')} of ${title}`}
              onClick={() => want({ section: wanted.section === code ? null : code })}
              className={`min-h-11 min-w-11 cursor-pointer rounded-field text-sm tabular-nums pointer-fine:min-h-8 ${wanted.section === code ? 'bg-base-content/10 font-bold' : 'underline underline-offset-4'}`}
            >
              {n}
            </button>
          </li>
        ))}
      </ol>
    </section>
  );
}
