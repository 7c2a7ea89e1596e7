import { useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { api, ask, type View } from '../../api/client';
import { explanation as explanationQuery } from '../../api/queries';
import { Button } from '../../ui/Button';
import { Markdown } from '../../ui/Markdown';
import { Notice } from '../../ui/Notice';
import { plain } from '../../ui/plain';
import type { Response } from '../question/response';

/** One's own written answer beside a model, and the rubric to mark it by. */
export function RubricMarking({ sitting, explanation }: { sitting: string; explanation: View<'Explanation'> }) {
  const { rubric, model, question, rubricMarks } = explanation;
  const queries = useQueryClient();
  const response = explanation.response as Response | null;
  const [points, setPoints] = useState<Record<string, string>>(rubricMarks ?? {});
  const [busy, setBusy] = useState(false);
  const [fault, setFault] = useState<string | null>(null);
  const missing = rubric.some(({ id }) => points[id] === undefined);

  async function keep() {
    setBusy(true);
    setFault(null);
    try {
      const marked = await ask(
        api.POST('/api/sittings/{sitting}/questions/{position}/rubric', {
          params: { path: { sitting, position: question.position } },
          body: { points },
        }),
      );
      queries.setQueryData(explanationQuery(sitting, question.position).queryKey, marked);
      for (const what of ['result', 'review']) await queries.invalidateQueries({ queryKey: [what, sitting] });
    } catch (error) {
      setFault(error instanceof Error ? error.message : 'That did not work. Try again.');
    } finally {
      setBusy(false);
    }
  }

  return (
    <div className="grid max-w-[75ch] gap-5">
      <div className="grid gap-4 lg:grid-cols-2">
        <section className="rounded-field border border-base-300 p-3">
          <h2 className="mb-1 font-bold">Your answer</h2>
          <p className="whitespace-pre-wrap">{response?.text ?? 'You wrote nothing.'}</p>
        </section>
        <section className="rounded-field border-2 border-success p-3">
          <h2 className="mb-1 font-bold">A model answer</h2>
          <Markdown>{model ?? ''}</Markdown>
        </section>
      </div>
      {response?.text && (
        <section className="grid gap-3">
          <h2 className="font-bold">Mark it yourself</h2>
          {rubric.map((criterion) => (
            <fieldset key={criterion.id} className="rounded-field border border-base-300 p-3">
              <legend className="sr-only">{plain(criterion.text)}</legend>
              <div className="font-bold">
                <Markdown inline>{criterion.text}</Markdown>
              </div>
              <div className="text-base-content/75">
                <Markdown inline>{criterion.why}</Markdown>
              </div>
              <div className="flex flex-wrap gap-x-5">
                {steps(criterion.points).map(([value, label]) => (
                  <label key={value} className="flex min-h-11 cursor-pointer items-center gap-2">
                    <input
                      type="radio"
                      name={`${question.position}-${criterion.id}`}
                      className="radio radio-sm border-base-content/70"
                      checked={points[criterion.id] === value}
                      onChange={() => setPoints({ ...points, [criterion.id]: value })}
                    />
                    {label}
                  </label>
                ))}
              </div>
            </fieldset>
          ))}
          {fault && <Notice tone="warn">{fault}</Notice>}
          <div className="flex flex-wrap items-center gap-4">
            <Button weight="main" busy={busy} disabled={missing} onClick={() => void keep()}>
              {rubricMarks ? 'Change the marks' : 'Keep these marks'}
            </Button>
            {missing && <span>Give each point of the rubric something, nothing included.</span>}
          </div>
        </section>
      )}
    </div>
  );
}

/** Nothing, half and all of what a criterion can give; whole numbers between where it gives more than one. */
function steps(points: string): [string, string][] {
  const most = Number(points);
  if (!Number.isInteger(most) || most > 6)
    return [
      ['0', 'no'],
      [points, 'yes'],
    ];
  const all: [string, string][] = [];
  for (let value = 0; value <= most; value += most === 1 ? 0.5 : 1)
    all.push([String(value), most === 1 ? (['no', 'half', 'yes'][value * 2] ?? '') : `${value} of ${most}`]);
  return all;
}
