import { useQuery } from '@tanstack/react-query';
import { Flag, NotebookPen, Star } from 'lucide-react';
import { useDeferredValue, useId, useState } from 'react';
import { Link } from 'react-router';
import { api, ask, type View } from '../../api/client';
import { builder, library, questionHistory } from '../../api/queries';
import { Button, ButtonLink } from '../../ui/Button';
import { DownloadButton } from '../../ui/DownloadButton';
import { Empty } from '../../ui/Empty';
import { Failure } from '../../ui/Failure';
import { Loading } from '../../ui/Loading';
import { OfExam } from '../../ui/OfExam';
import { OutcomeMark, OUTCOMES } from '../../ui/Outcome';
import { Opener } from '../../ui/Opener';
import { Pages } from '../../ui/Pages';
import { Select } from '../../ui/Select';
import { Tick } from '../../ui/Tick';
import { SearchField } from '../../ui/SearchField';
import { plainDate } from '../../ui/dates';
import { fileName } from '../../ui/download';
import { plain } from '../../ui/plain';
import { useInAddress } from '../../ui/useInAddress';
import { useTitle } from '../../ui/useTitle';
import { count, dayTime, duration, MODES, percent } from '../../ui/words';
import { POOLS, readMet, writeMet, type Wanted } from './libraryFilters';
import { Anew } from './Anew';
import { CloseWords } from './CloseWords';
import { ReviewLink } from './ReviewLink';
import { StarAndNote } from './StarAndNote';

/** All that one has met, found again. */
export function Component() {
  useTitle('Library');
  return <OfExam>{(exam) => <Met exam={exam} />}</OfExam>;
}

function Met({ exam }: { exam: string }) {
  const [wanted, choose] = useInAddress(readMet, writeMet);
  const want = (part: Partial<Wanted>) => choose({ ...wanted, page: 1, ...part });
  const page = useQuery(library(exam, useDeferredValue(wanted)));
  if (page.isPending) return <Loading what="Looking through what you have met" />;
  if (page.isError) return <Failure error={page.error} retry={() => void page.refetch()} />;
  const all = page.data;
  const narrowed = Boolean(wanted.words ?? wanted.topic ?? wanted.pool);
  return (
    <div className="grid gap-4">
      <div className="flex flex-wrap items-end justify-between gap-x-6 gap-y-3">
        <div>
          <p className="text-base-content/75">{all.examName}</p>
          <h1 className="text-2xl font-bold">Library</h1>
          <p className="text-lg">
            {count(all.total, 'question')} {narrowed ? 'like that' : 'that you have met or marked'}.
          </p>
        </div>
        {all.total > 0 && (
          <DownloadButton
            name={fileName(`${all.examName} library`, 'csv')}
            make={async () => {
              const path = { params: { path: { exam } }, body: wanted };
              return (await ask(api.POST('/api/exams/{exam}/library/table', path))).csv;
            }}
          >
            As a table (CSV)
          </DownloadButton>
        )}
      </div>
      <Filters exam={exam} wanted={wanted} want={want} elsewhere={all.elsewhere} />
      {all.testsNoted > 0 && (
        <p>
          <Link to="/tests?noted=1" className="text-primary underline underline-offset-4">
            {count(all.testsNoted, 'note')} on whole tests
          </Link>
        </p>
      )}
      {all.met.length === 0 ? (
        narrowed ? (
          <Empty title="No question you have met is like that.">
            {wanted.words && <CloseWords exam={exam} words={wanted.words} onWords={(words) => want({ words })} />}
            <Button onClick={() => choose({ page: 1 })}>Show all of them</Button>
          </Empty>
        ) : (
          <Empty title="You have not met a question yet.">
            <p>What you answer is found here again, with its whole history and your notes.</p>
            <ButtonLink to="/" weight="main">
              Answer some questions
            </ButtonLink>
          </Empty>
        )
      ) : (
        <ul className="border-b border-base-300">
          {all.met.map((one) => (
            <Row key={one.question} elsewhere={one.exam !== exam} one={one} />
          ))}
        </ul>
      )}
      <Pages of={all} what={count(all.total, 'question')} onPage={(one) => choose({ ...wanted, page: one })} />
    </div>
  );
}

function Filters(props: { exam: string; wanted: Wanted; want: (part: Partial<Wanted>) => void; elsewhere: number }) {
  const { exam, wanted, want, elsewhere } = props;
  const topics = useQuery(builder(exam));
  return (
    <div className="flex flex-wrap items-center gap-x-4 gap-y-2">
      <SearchField
        label="Find words of a question, or of your note on it"
        placeholder="Words of a question or a note"
        className="w-72"
        value={wanted.words ?? ''}
        onChange={(words) => want({ words: words || null })}
      />
      <Select
        wide
        label="Of which topic"
        any="any topic"
        value={wanted.topic}
        of={(topics.data?.topics ?? []).map(({ code, name }) => [code, name] as const)}
        onChange={(topic) => want({ topic })}
      />
      <Select
        wide
        label="Of which pool"
        any="any pool"
        value={wanted.pool}
        of={Object.entries(POOLS)}
        onChange={(pool) => want({ pool })}
      />
      {(elsewhere > 0 || wanted.everywhere) && wanted.topic == null && (
        <Tick on={wanted.everywhere ?? false} onChange={(everywhere) => want({ everywhere })}>
          of all exams
        </Tick>
      )}
    </div>
  );
}

function Row({ elsewhere, one }: { elsewhere: boolean; one: View<'Met'> }) {
  const { exam } = one;
  const [open, setOpen] = useState(false);
  const id = useId();
  return (
    <li className="border-t border-base-300 py-1">
      <div className="grid grid-cols-[1.5rem_minmax(0,1fr)_auto] items-center gap-x-2">
        <span title={one.outcome ? OUTCOMES[one.outcome] : 'Only marked'}>
          {one.outcome && <OutcomeMark outcome={one.outcome} />}
          <span className="sr-only">{one.outcome ? OUTCOMES[one.outcome] : 'Only marked'}</span>
        </span>
        <ReviewLink of={one} />
        <Opener open={open} controls={id} label={`History of: ${one.excerpt}`} onToggle={() => setOpen(!open)} />
      </div>
      <p className="flex flex-wrap items-center gap-x-3 pl-8 text-sm text-base-content/75">
        {elsewhere && <strong>{one.examName}</strong>}
        <span>
          {one.topic}, {one.subtopic}
          {one.seen > 0 && `; met ${one.seen === 1 ? 'once' : count(one.seen, 'time')}, last on ${dayTime(one.seenAt)}`}
        </span>
        {one.inGapBook && <span>in the gap book</span>}
        {one.flagged && <Mark Icon={Flag} words="flagged" />}
        {one.starred && <Mark Icon={Star} words="starred" />}
        {one.note !== '' && <Mark Icon={NotebookPen} words="note" />}
      </p>
      {one.note !== '' && !open && (
        <p className="ml-8 line-clamp-2 border-l-4 border-accent pl-2 text-sm">{plain(one.note)}</p>
      )}
      {open && (
        <div id={id} className="mt-1 ml-8 grid gap-2 border-l-2 border-base-300 pl-3">
          <History exam={exam} question={one.question} />
          {one.outcome && (
            <div>
              <Anew exam={exam} question={one.question} />
            </div>
          )}
          {one.sitting !== null && <StarAndNote sitting={one.sitting} position={one.position ?? 0} />}
        </div>
      )}
    </li>
  );
}

function Mark({ Icon, words }: { Icon: typeof Flag; words: string }) {
  return (
    <span className="inline-flex items-center gap-1">
      <Icon aria-hidden="true" className="size-3.5" /> {words}
    </span>
  );
}

function History({ exam, question }: { exam: string; question: number }) {
  const page = useQuery(questionHistory(exam, question));
  if (page.isPending) return <Loading what="Looking back" />;
  if (page.isError) return <Failure error={page.error} retry={() => void page.refetch()} />;
  const { encounters, highlights, due, recall } = page.data;
  return (
    <>
      <ul>
        {encounters.map((one) => (
          <li key={`${one.sitting} ${one.position}`} className="flex flex-wrap items-center gap-x-3 text-sm">
            <OutcomeMark outcome={one.outcome} size={16} />
            <Link
              to={`/review/${one.sitting}/${one.position + 1}?show=all`}
              className="inline-flex min-h-11 items-center text-primary underline underline-offset-4 pointer-fine:min-h-7"
            >
              {dayTime(one.at)}: {OUTCOMES[one.outcome].toLowerCase()}
            </Link>
            <span className="text-base-content/75">
              {one.title}, {MODES[one.mode].toLowerCase()}, {duration(one.activeMs)}
              {one.sureness && `, ${one.sureness}`}
            </span>
          </li>
        ))}
      </ul>
      {highlights.length > 0 && (
        <p className="text-sm">
          You marked:{' '}
          {highlights.map((one, i) => (
            <span key={i} className="mr-2">
              <q>{one.quote}</q>
              {one.note !== '' && ` (${one.note})`}
            </span>
          ))}
        </p>
      )}
      <p className="text-sm text-base-content/75">
        {recall !== null
          ? `Still known with ${percent(recall)}.`
          : encounters[0]?.outcome === 'left_blank'
            ? 'You left it blank the last time.'
            : 'Nothing of it is marked yet.'}{' '}
        {due ? `It comes back on ${plainDate(due)}.` : recall !== null && 'It does not come back.'}
      </p>
    </>
  );
}
