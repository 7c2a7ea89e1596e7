import { useQuery } from '@tanstack/react-query';
import { api, ask } from '../../api/client';
import { sectionQuestions } from '../../api/queries';
import { useBegin } from '../../api/useBegin';
import { Button, ButtonLink } from '../../ui/Button';
import { Failure } from '../../ui/Failure';
import { asked } from './asked';

/** What is asked on a section, and a short quiz on it. */
export function SectionQuiz({ exam, code }: { exam: string; code: string }) {
  const page = useQuery(sectionQuestions(exam, code));
  const begin = useBegin();
  if (!page.data || page.data.all === 0) return null;
  const n = Math.min(5, page.data.all);
  return (
    <section aria-label="Questions on this section" className="grid gap-2 rounded-box border border-base-300 p-4">
      <p>{asked(page.data)}</p>
      <div className="flex flex-wrap gap-2">
        <Button
          small
          disabled={begin.isPending}
          onClick={() =>
            begin.go(
              () =>
                ask(
                  api.POST('/api/exams/{exam}/handbook/{section}/quiz', { params: { path: { exam, section: code } } }),
                ),
              true,
            )
          }
        >
          {n === 1 ? 'Answer it' : `A quiz of ${n}`}
        </Button>
        {page.data.gaps > 0 && (
          <ButtonLink small to={`/gaps?section=${code}`}>
            My gaps here
          </ButtonLink>
        )}
      </div>
      {begin.isError && <Failure error={begin.error} />}
    </section>
  );
}
