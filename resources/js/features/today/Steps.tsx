import { api, ask, type View } from '../../api/client';
import { useBegin } from '../../api/useBegin';
import { Button, ButtonLink } from '../../ui/Button';
import { Failure } from '../../ui/Failure';
import { tight } from '../../ui/words';

type Step = View<'NextStep'>;

/** The shortest list of what to do next, each with its reason and one click away. */
export function Steps({ exam, steps, calm }: { exam: string; steps: readonly Step[]; calm: boolean }) {
  const begin = useBegin();
  if (steps.length === 0) return null;
  const path = { params: { path: { exam } } };
  const start = (what: View<'QuickStartRequest'>['start']) =>
    begin.go(() => ask(api.POST('/api/exams/{exam}/quick-starts', { ...path, body: { start: what } })), true);
  const does: Record<Exclude<Step['kind'], 'read'>, () => void> = {
    begin: () => start('ten'),
    due: () => start('due'),
    went_wrong: () => start('missed'),
    weak_spots: () => begin.go(() => ask(api.POST('/api/exams/{exam}/weak-spots', { ...path, body: { count: 10 } }))),
    rehearse: () => begin.go(() => ask(api.POST('/api/exams/{exam}/rehearsals', { ...path, body: { section: null } }))),
  };
  return (
    <section aria-labelledby="steps">
      <h2 id="steps" className="mb-1 text-lg font-bold">
        What helps most now
      </h2>
      <ol className="border-b border-base-300">
        {steps.map((step, i) => (
          <li
            key={step.sentence}
            className="grid items-center gap-x-4 gap-y-1 border-t border-base-300 py-2 max-sm:justify-items-start sm:grid-cols-[1.5rem_minmax(0,1fr)_auto]"
          >
            <span aria-hidden="true" className="text-xl font-bold text-base-content/60 max-sm:hidden">
              {i + 1}
            </span>
            <span>
              <strong className="block">{step.sentence}</strong>
              <span className="text-base-content/75">{tight(step.reason)}</span>
            </span>
            {step.kind === 'read' ? (
              <ButtonLink small to={`/handbook/${exam}/${step.section}`}>
                Read it
              </ButtonLink>
            ) : (
              <Button
                small
                {...(i === 0 && !calm && { weight: 'main' as const })}
                disabled={begin.isPending}
                aria-label={`Begin: ${step.sentence}`}
                onClick={does[step.kind]}
              >
                Begin
              </Button>
            )}
          </li>
        ))}
      </ol>
      {begin.isError && <Failure error={begin.error} />}
    </section>
  );
}
