import { Link } from 'react-router';
import { api, ask, type View } from '../../api/client';
import { useBegin } from '../../api/useBegin';
import { Button } from '../../ui/Button';
import { Failure } from '../../ui/Failure';
import { tight } from '../../ui/words';
import { QuestionLinks } from './QuestionLinks';

/** What would have helped most, and a test that is ready to begin. */
export function NextSteps({ result }: { result: View<'Result'> }) {
  const { reading, next, sitting, exam } = result;
  const begin = useBegin();
  if (reading.length === 0 && !next) return null;
  return (
    <section aria-labelledby="next" className="grid items-start gap-x-10 gap-y-4 lg:grid-cols-[minmax(0,1fr)_20rem]">
      {reading.length > 0 && (
        <div>
          <h2 id="next" className="text-lg font-bold">
            Worth reading first
          </h2>
          <ol>
            {reading.map((section) => (
              <li
                key={section.code}
                className="grid items-center gap-x-4 border-t border-base-300 py-0.5 sm:grid-cols-[minmax(0,1fr)_auto_minmax(0,14rem)]"
              >
                <Link
                  to={`/handbook/${exam}/${section.code}`}
                  className="inline-flex min-h-11 min-w-0 items-center text-primary underline underline-offset-4 pointer-fine:min-h-8"
                >
                  <span className="truncate">{section.title}</span>
                </Link>
                <span className="text-sm whitespace-nowrap">
                  <strong>{section.marks}</strong> {section.marks === '1' ? 'mark' : 'marks'} lost on
                </span>
                <span className="text-sm">
                  <QuestionLinks sitting={sitting} positions={section.questions} most={5} />
                </span>
              </li>
            ))}
          </ol>
        </div>
      )}
      {next && (
        <div className="grid gap-2 border-l-4 border-primary pl-4">
          <h2 className="text-lg font-bold">The next test</h2>
          <p>{tight(next.sentence)}</p>
          <div className="print:hidden">
            <Button
              disabled={begin.isPending}
              onClick={() =>
                begin.go(() => ask(api.POST('/api/sittings/{sitting}/follow-up', { params: { path: { sitting } } })))
              }
            >
              Sit {next.questions === 1 ? 'it' : `these ${next.questions}`}
            </Button>
          </div>
          {begin.isError && <Failure error={begin.error} />}
        </div>
      )}
    </section>
  );
}
