import { useQuery } from '@tanstack/react-query';
import clsx from 'clsx';
import { Check } from 'lucide-react';
import { useEffect, useEffectEvent, useLayoutEffect, useRef, useState } from 'react';
import { Link, useParams, useSearchParams } from 'react-router';
import { Unreachable, type View } from '../../api/client';
import { handbook, pagesKept, section as sectionQuery } from '../../api/queries';
import { Button, ButtonLink } from '../../ui/Button';
import { Empty } from '../../ui/Empty';
import { Failure } from '../../ui/Failure';
import { Loading } from '../../ui/Loading';
import { Markdown } from '../../ui/Markdown';
import { useTitle } from '../../ui/useTitle';
import { bytes, dayTime } from '../../ui/words';
import type { KeptHandbook } from '../sitting/packs/handbooks';
import { useExam, useExamIs } from '../../api/useExam';
import { Segments } from '../../ui/Segments';
import { Highlightable } from '../library/Highlightable';
import { MakeCard } from '../library/MakeCard';
import { Note } from '../library/Note';
import { Find } from './Find';
import { Lesson } from './Lesson';
import { Mine } from './Mine';
import { ReadAloud } from './ReadAloud';
import { SectionQuiz } from './SectionQuiz';
import { useKeptHandbooks } from './useKeptHandbooks';
import { usePage } from './usePage';
import { useStopped } from './useStopped';
import { withOwn } from './withOwn';

type SectionLink = View<'SectionLink'>;

export function Component() {
  useTitle('Handbook');
  const asked = useParams();
  const chosen = useExam();
  const { all: here } = useKeptHandbooks();
  const exam = asked.exam ?? chosen.exam ?? here?.[0]?.exam;
  useExamIs(asked.exam);
  const contents = useQuery({ ...handbook(exam ?? ''), enabled: exam !== undefined });
  const kept = here?.find((one) => one.exam === exam);
  const away = contents.error instanceof Unreachable || chosen.error instanceof Unreachable;
  if (away && kept && exam)
    return (
      <Handbook
        exam={exam}
        name={kept.examName}
        sections={kept.sections.map(withSteps)}
        open={asked.section}
        kept={kept}
        away
      />
    );
  if (chosen.error) return <Failure error={chosen.error} retry={chosen.retry} />;
  if (!exam) return chosen.isPending ? <Loading /> : <Empty title="No exam has been set up here yet." />;
  if (contents.isPending) return <Loading what="Opening the handbook" />;
  if (contents.isError) return <Failure error={contents.error} retry={() => void contents.refetch()} />;
  if (contents.data.sections.length === 0) return <Empty title="This exam has no handbook yet." />;
  return (
    <Handbook
      exam={exam}
      name={contents.data.examName}
      sections={contents.data.sections}
      open={asked.section}
      kept={kept}
    />
  );
}

/** What was taken along by an older version has no lessons. */
function withSteps(section: View<'Section'>): SectionLink {
  return { ...section, steps: (section.lesson as typeof section.lesson | undefined)?.length ?? 0 };
}

function Handbook({
  exam,
  name,
  sections,
  open,
  kept,
  away = false,
}: {
  exam: string;
  name: string;
  sections: SectionLink[];
  open: string | undefined;
  /** As it was taken along on this device. */
  kept: KeptHandbook | undefined;
  away?: boolean;
}) {
  const [search] = useSearchParams();
  const mine = open === undefined && search.has('mine');
  const own = useQuery(pagesKept(exam));
  const local = useStopped(exam, open);
  // On another device one may have read on.
  const stopped = own.data?.stopped ?? local;
  const at = sections.find((section) => section.code === stopped);
  const code = open ?? sections[0]?.code ?? '';
  return (
    <div className="grid gap-6">
      <div className="flex flex-wrap items-end justify-between gap-x-6 gap-y-2">
        <div>
          <p className="text-base-content/75">Handbook</p>
          <h1 className="text-2xl font-bold">{name}</h1>
        </div>
        <Along exam={exam} kept={kept} away={away} />
      </div>
      {!away && <Find exam={exam} />}
      {!open && at && at.code !== sections[0]?.code && (
        <p>
          <Link
            to={`/handbook/${exam}/${at.code}`}
            className="inline-flex min-h-11 items-center text-primary underline underline-offset-4 pointer-fine:min-h-7"
          >
            Go on where you stopped: {at.title}
          </Link>
        </p>
      )}
      <div className="grid items-start gap-x-10 gap-y-6 lg:grid-cols-[17rem_1fr]">
        <nav
          aria-label="Contents"
          className={clsx('lg:sticky lg:top-4 lg:max-h-[85dvh] lg:overflow-y-auto', (open ?? mine) && 'max-lg:hidden')}
        >
          <Contents exam={exam} sections={sections} open={open} mine={mine} pages={own.data?.pages ?? []} />
        </nav>
        <div className={clsx(!open && !mine && 'max-lg:hidden')}>
          {mine ? (
            <Mine exam={exam} />
          ) : (
            <Section key={code} exam={exam} code={code} moved={open !== undefined} kept={kept} />
          )}
        </div>
      </div>
    </div>
  );
}

/** Whether it is on this device, and what puts it there. */
function Along({ exam, kept, away }: { exam: string; kept: KeptHandbook | undefined; away: boolean }) {
  const { taking, clearing } = useKeptHandbooks();
  const failed = taking.error ?? clearing.error;
  return (
    <div className="flex flex-wrap items-center gap-3 text-sm">
      {failed && (
        <p role="alert" className="text-error">
          {failed instanceof Unreachable ? 'For this the server must be reached.' : failed.message}
        </p>
      )}
      {kept && (
        <p role="status" className="text-base-content/75">
          On this device: as of {dayTime(kept.takenAt)}, {bytes(kept.bytes)}
          {away && '. There is no connection.'}
        </p>
      )}
      {!away && (
        <Button small busy={taking.isPending} onClick={() => taking.mutate(exam)}>
          {kept ? 'Fetch it anew' : 'Take it along'}
        </Button>
      )}
      {kept && (
        <Button small weight="quiet" busy={clearing.isPending} onClick={() => clearing.mutate(exam)}>
          Clear it away
        </Button>
      )}
    </div>
  );
}

/** So long one has looked at a page that was meant to be read. */
const READ_MS = 3000;

function Contents(props: {
  exam: string;
  sections: SectionLink[];
  open: string | undefined;
  mine: boolean;
  pages: View<'PageKept'>[];
}) {
  const { exam, sections, open, mine, pages } = props;
  const chapters = [...new Set(sections.map(({ chapter }) => chapter))];
  const read = new Set(pages.filter(({ finished }) => finished).map(({ code }) => code));
  const own = withOwn(pages).length;
  const entry = (here: boolean) =>
    clsx('flex items-center gap-2 rounded-field px-2 py-1.5 hover:bg-base-200', here && 'bg-base-content/10 font-bold');
  return (
    <ol className="grid gap-4">
      <li>
        <Link to={`/handbook/${exam}?mine`} aria-current={mine ? 'page' : undefined} className={entry(mine)}>
          My notes and marks{own > 0 && ` (${own})`}
        </Link>
      </li>
      {chapters.map((chapter) => (
        <li key={chapter}>
          <h2 className="font-bold">{chapter}</h2>
          <ol>
            {sections
              .filter((section) => section.chapter === chapter)
              .map(({ code, title, steps }) => (
                <li key={code}>
                  <Link
                    to={`/handbook/${exam}/${code}`}
                    aria-current={code === open ? 'page' : undefined}
                    className={entry(code === open)}
                  >
                    <span className="min-w-0 flex-1">{title}</span>
                    {steps > 0 && <span className="text-sm font-normal text-base-content/75">lesson</span>}
                    {read.has(code) && (
                      <span title="Read">
                        <Check aria-hidden="true" className="size-4 text-primary" />
                        <span className="sr-only">, read</span>
                      </span>
                    )}
                  </Link>
                </li>
              ))}
          </ol>
        </li>
      ))}
    </ol>
  );
}

function Section({
  exam,
  code,
  moved,
  kept,
}: {
  exam: string;
  code: string;
  moved: boolean;
  kept: KeptHandbook | undefined;
}) {
  const asked = useQuery(sectionQuery(exam, code));
  const [search, setSearch] = useSearchParams();
  const mine = usePage(exam, code);
  const page = useRef<HTMLDivElement>(null);
  const heading = useRef<HTMLHeadingElement>(null);
  const [words, setWords] = useState<string | null>(null);
  const away = asked.error instanceof Unreachable;
  const data = asked.data ?? (away ? kept?.sections.find((one) => one.code === code) : undefined);
  const shown = moved && data !== undefined;
  useLayoutEffect(() => {
    if (shown) heading.current?.focus();
  }, [shown]);
  // Whoever turns a page over at once has not read it.
  const stay = useEffectEvent(() => mine.reading.mutate({ step: mine.step, finished: false }));
  const there = shown && mine.ready;
  useEffect(() => {
    if (!there) return;
    const timer = window.setTimeout(() => stay(), READ_MS);
    return () => window.clearTimeout(timer);
  }, [there]);
  if (asked.isPending) return <Loading what="Turning the page" />;
  if (!data) return <Failure error={asked.error} retry={() => void asked.refetch()} />;
  const { chapter, title, body, before, after } = data;
  // What was taken along by an older version has none.
  const steps = (data.lesson as typeof data.lesson | undefined) ?? [];
  const asLesson = steps.length > 0 && search.has('step');
  // Without a number: where one stopped, which may become known a moment later.
  const wanted = search.get('step') ?? '';
  const at = Math.min(steps.length, wanted === '' ? mine.step : Math.max(0, Math.trunc(Number(wanted)) - 1 || 0));
  const step = (to: number) => {
    setSearch({ step: String(to + 1) }, { preventScrollReset: true });
    mine.reading.mutate({ step: Math.min(to, steps.length - 1), finished: to === steps.length });
  };
  return (
    <article className="grid gap-4">
      <div>
        <p className="flex flex-wrap justify-between gap-3 text-base-content/75">
          {chapter}
          <Link to={`/handbook/${exam}`} className="text-primary underline underline-offset-4 lg:hidden">
            Contents
          </Link>
        </p>
        <h2 ref={heading} tabIndex={-1} className="text-xl font-bold outline-none">
          {title}
        </h2>
      </div>
      <div className="flex flex-wrap items-center justify-between gap-x-6">
        <Segments
          label="How to read it"
          options={
            steps.length === 0
              ? []
              : [
                  ['page', 'As a page'],
                  ['lesson', `Step by step (${steps.length})`],
                ]
          }
          chosen={asLesson ? 'lesson' : 'page'}
          onChoose={(as) => (as === 'page' ? setSearch({}) : setSearch({ step: '' }))}
        />
        <ReadAloud key={asLesson ? at : 'page'} what={page} title={title} />
      </div>
      <Highlightable
        highlights={mine.highlights}
        draft={`${exam}.${code}`}
        onKeep={mine.highlighting.mutateAsync}
        fault={mine.highlighting.error}
        onCard={setWords}
      >
        {asLesson ? (
          <Lesson exam={exam} code={code} steps={steps} at={at} onStep={step} page={page} />
        ) : (
          <div ref={page} data-part="page">
            <Markdown>{body}</Markdown>
          </div>
        )}
      </Highlightable>
      {!away && (
        <div className="border-t border-base-300 pt-1">
          <Note
            note={mine.note}
            ready={mine.ready}
            keep={mine.noting.mutateAsync}
            fault={mine.noting.error}
            draft={`uplandia.note.${exam}.${code}`}
          >
            <MakeCard
              exam={exam}
              from={{ section: code }}
              draft={(chosen) => ({ front: `${title}: `, back: chosen })}
              asked={words}
              onClose={() => setWords(null)}
            />
          </Note>
        </div>
      )}
      {!away && !asLesson && <SectionQuiz exam={exam} code={code} />}
      {!asLesson && (
        <div className="flex flex-wrap gap-3">
          {before && <ButtonLink to={`/handbook/${exam}/${before.code}`}>Back: {before.title}</ButtonLink>}
          {after && (
            <ButtonLink
              to={`/handbook/${exam}/${after.code}`}
              onClick={() => mine.reading.mutate({ step: mine.step, finished: true })}
            >
              On: {after.title}
            </ButtonLink>
          )}
        </div>
      )}
    </article>
  );
}
