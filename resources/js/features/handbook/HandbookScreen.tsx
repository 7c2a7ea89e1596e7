import { useQuery } from '@tanstack/react-query';
import clsx from 'clsx';
import { useEffect, useRef } from 'react';
import { Link, useParams } from 'react-router';
import { Unreachable, type View } from '../../api/client';
import { handbook, section as sectionQuery } from '../../api/queries';
import { Button, ButtonLink } from '../../ui/Button';
import { Empty } from '../../ui/Empty';
import { Failure } from '../../ui/Failure';
import { Loading } from '../../ui/Loading';
import { Markdown } from '../../ui/Markdown';
import { useTitle } from '../../ui/useTitle';
import { bytes, dayTime } from '../../ui/words';
import type { KeptHandbook } from '../sitting/packs/handbooks';
import { useExam } from '../../api/useExam';
import { Find } from './Find';
import { ReadAloud } from './ReadAloud';
import { SectionQuiz } from './SectionQuiz';
import { useKeptHandbooks } from './useKeptHandbooks';
import { useStopped } from './useStopped';

type SectionLink = View<'SectionLink'>;

export function Component() {
  useTitle('Handbook');
  const asked = useParams();
  const chosen = useExam();
  const { all: here } = useKeptHandbooks();
  const exam = asked.exam ?? chosen.exam ?? here?.[0]?.exam;
  const contents = useQuery({ ...handbook(exam ?? ''), enabled: exam !== undefined });
  const kept = here?.find((one) => one.exam === exam);
  const away = contents.error instanceof Unreachable || chosen.error instanceof Unreachable;
  if (away && kept && exam)
    return <Handbook exam={exam} name={kept.examName} sections={kept.sections} open={asked.section} kept={kept} away />;
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
  const stopped = useStopped(exam, open);
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
          className={clsx('lg:sticky lg:top-4 lg:max-h-[85dvh] lg:overflow-y-auto', open && 'max-lg:hidden')}
        >
          <Contents exam={exam} sections={sections} open={open} />
        </nav>
        <div className={clsx(!open && 'max-lg:hidden')}>
          <Section exam={exam} code={code} moved={open !== undefined} kept={kept} />
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

function Contents({ exam, sections, open }: { exam: string; sections: SectionLink[]; open: string | undefined }) {
  const chapters = [...new Set(sections.map(({ chapter }) => chapter))];
  return (
    <ol className="grid gap-4">
      {chapters.map((chapter) => (
        <li key={chapter}>
          <h2 className="font-bold">{chapter}</h2>
          <ol>
            {sections
              .filter((section) => section.chapter === chapter)
              .map(({ code, title }) => (
                <li key={code}>
                  <Link
                    to={`/handbook/${exam}/${code}`}
                    aria-current={code === open ? 'page' : undefined}
                    className={clsx(
                      'block rounded-field px-2 py-1.5 hover:bg-base-200',
                      code === open && 'bg-base-content/10 font-bold',
                    )}
                  >
                    {title}
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
  const page = useRef<HTMLDivElement>(null);
  const heading = useRef<HTMLHeadingElement>(null);
  const away = asked.error instanceof Unreachable;
  const data = asked.data ?? (away ? kept?.sections.find((one) => one.code === code) : undefined);
  useEffect(() => {
    if (moved && data) heading.current?.focus();
  }, [moved, data]);
  if (asked.isPending) return <Loading what="Turning the page" />;
  if (!data) return <Failure error={asked.error} retry={() => void asked.refetch()} />;
  const { chapter, title, body, before, after } = data;
  return (
    <article className="grid gap-5">
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
      <ReadAloud key={code} what={page} title={title} />
      <div ref={page}>
        <Markdown>{body}</Markdown>
      </div>
      {!away && <SectionQuiz exam={exam} code={code} />}
      <div className="flex flex-wrap gap-3">
        {before && <ButtonLink to={`/handbook/${exam}/${before.code}`}>Back: {before.title}</ButtonLink>}
        {after && <ButtonLink to={`/handbook/${exam}/${after.code}`}>On: {after.title}</ButtonLink>}
      </div>
    </article>
  );
}
