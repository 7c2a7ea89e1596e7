import { useQuery } from '@tanstack/react-query';
import clsx from 'clsx';
import { useEffect, useRef } from 'react';
import { Link, useParams } from 'react-router';
import type { View } from '../../api/client';
import { handbook, section as sectionQuery } from '../../api/queries';
import { ButtonLink } from '../../ui/Button';
import { Empty } from '../../ui/Empty';
import { Failure } from '../../ui/Failure';
import { Loading } from '../../ui/Loading';
import { Markdown } from '../../ui/Markdown';
import { useTitle } from '../../ui/useTitle';
import { useExam } from '../today/useExam';

type SectionLink = View<'SectionLink'>;

export function Component() {
  useTitle('Handbook');
  const asked = useParams();
  const chosen = useExam();
  const exam = asked.exam ?? chosen.exam;
  const contents = useQuery({ ...handbook(exam ?? ''), enabled: exam !== undefined });
  if (chosen.error) return <Failure error={chosen.error} retry={chosen.retry} />;
  if (!exam) return chosen.isPending ? <Loading /> : <Empty title="No exam has been set up here yet." />;
  if (contents.isPending) return <Loading what="Opening the handbook" />;
  if (contents.isError) return <Failure error={contents.error} retry={() => void contents.refetch()} />;
  if (contents.data.sections.length === 0) return <Empty title="This exam has no handbook yet." />;
  return <Handbook exam={exam} name={contents.data.examName} sections={contents.data.sections} open={asked.section} />;
}

function Handbook({
  exam,
  name,
  sections,
  open,
}: {
  exam: string;
  name: string;
  sections: SectionLink[];
  open: string | undefined;
}) {
  return (
    <div className="grid gap-6">
      <div>
        <p className="text-base-content/75">Handbook</p>
        <h1 className="text-2xl font-bold">{name}</h1>
      </div>
      <div className="grid items-start gap-x-10 gap-y-6 lg:grid-cols-[17rem_1fr]">
        <nav
          aria-label="Contents"
          className={clsx('lg:sticky lg:top-4 lg:max-h-[85dvh] lg:overflow-y-auto', open && 'max-lg:hidden')}
        >
          <Contents exam={exam} sections={sections} open={open} />
        </nav>
        <div className={clsx(!open && 'max-lg:hidden')}>
          <Section exam={exam} code={open ?? sections[0]?.code ?? ''} moved={open !== undefined} />
        </div>
      </div>
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

function Section({ exam, code, moved }: { exam: string; code: string; moved: boolean }) {
  const page = useQuery(sectionQuery(exam, code));
  const heading = useRef<HTMLHeadingElement>(null);
  const { data } = page;
  useEffect(() => {
    if (moved && data) heading.current?.focus();
  }, [moved, data]);
  if (page.isPending) return <Loading what="Turning the page" />;
  if (page.isError) return <Failure error={page.error} retry={() => void page.refetch()} />;
  const { chapter, title, body, before, after } = page.data;
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
      <Markdown>{body}</Markdown>
      <div className="flex flex-wrap gap-3">
        {before && <ButtonLink to={`/handbook/${exam}/${before.code}`}>Back: {before.title}</ButtonLink>}
        {after && <ButtonLink to={`/handbook/${exam}/${after.code}`}>On: {after.title}</ButtonLink>}
      </div>
    </article>
  );
}
