import { useQuery } from '@tanstack/react-query';
import { useSearchParams } from 'react-router';
import { gapSheet } from '../../api/queries';
import { Button, ButtonLink } from '../../ui/Button';
import { Empty } from '../../ui/Empty';
import { Failure } from '../../ui/Failure';
import { Loading } from '../../ui/Loading';
import { OfExam } from '../../ui/OfExam';
import { weekday } from '../../ui/dates';
import { useTitle } from '../../ui/useTitle';
import { count, dayTime } from '../../ui/words';
import { NoteText } from '../library/NoteText';
import { causeName, inTheBook, readFilters, type Gap } from './gapFilters';

/** The gap book on paper: by topic, with what to read, one’s notes, and room to write. */
export function Component() {
  useTitle('Study sheet');
  return <OfExam>{(exam) => <Sheet exam={exam} />}</OfExam>;
}

function Sheet({ exam }: { exam: string }) {
  const [search] = useSearchParams();
  const page = useQuery(gapSheet(exam, readFilters(search)));
  if (page.isPending) return <Loading what="Laying out your study sheet" />;
  if (page.isError) return <Failure error={page.error} retry={() => void page.refetch()} />;
  const book = page.data;
  const topics = [...new Set(book.gaps.map(({ topic }) => topic))];
  return (
    <main className="paper mx-auto max-w-4xl p-6">
      <div className="mb-6 flex flex-wrap gap-3 border-b border-base-300 pb-4 print:hidden">
        <Button weight="main" onClick={() => window.print()}>
          Print it
        </Button>
        <ButtonLink to="/gaps">Back to the gap book</ButtonLink>
      </div>
      <p>{book.examName}</p>
      <h1 className="text-2xl font-bold">Study sheet, {dayTime(Date.now())}</h1>
      <p className="mb-4">{inTheBook(book)}</p>
      {book.gaps.length === 0 && <Empty title="There is no such gap." />}
      {topics.map((topic) => {
        const gaps = book.gaps.filter((gap) => gap.topic === topic);
        return (
          <section key={topic} className="mb-6">
            <h2 className="mb-2 border-b-2 text-lg font-bold">
              {topic} <span className="text-base font-normal">({count(gaps.length, 'gap')})</span>
            </h2>
            <ol className="grid gap-4">
              {gaps.map((gap, i) => (
                <Entry
                  key={gap.question}
                  gap={gap}
                  n={i + 1}
                  titles={new Map(book.reading.map(({ code, title }) => [code, title]))}
                />
              ))}
            </ol>
          </section>
        );
      })}
      {book.total > book.gaps.length && (
        <p>{count(book.total - book.gaps.length, 'more gap')} did not fit: print them topic by topic.</p>
      )}
    </main>
  );
}

function Entry({ gap, n, titles }: { gap: Gap; n: number; titles: Map<string, string> }) {
  return (
    <li className="printed-whole grid grid-cols-[1.5rem_minmax(0,1fr)] gap-x-2">
      <span className="text-right font-bold">{n}</span>
      <div className="grid gap-1">
        <p className="font-bold">{gap.excerpt}</p>
        <p className="text-sm">
          {gap.subtopic}; {gap.state} since {weekday(gap.since)}; missed{' '}
          {gap.misses === 1 ? 'once' : `${gap.misses} times`}
          {gap.cause && `; ${causeName(gap.cause).toLowerCase()}`}
        </p>
        {gap.sections.length > 0 && (
          <p>Read: {gap.sections.map((code) => `“${titles.get(code) ?? code}”`).join(', ')}</p>
        )}
        {gap.note !== '' && <NoteText>{gap.note}</NoteText>}
        <p aria-hidden="true" className="mt-5 border-b border-dotted" />
        <p aria-hidden="true" className="mt-5 border-b border-dotted" />
      </div>
    </li>
  );
}
