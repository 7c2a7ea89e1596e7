import type { View } from '../../api/client';
import { letter } from '../question/kinds/letters';
import { codeOf } from '../question/kinds/paper';

/** A sheet of its own to put answers on, in the order of the booklet. */
export function AnswerSheet({ title, questions }: { title: string; questions: readonly View<'Question'>[] }) {
  return (
    <section className="printed-part" aria-labelledby="sheet">
      <h1 id="sheet" className="text-xl font-bold">
        Answers: {title}
      </h1>
      <p className="mb-4">Name: ______________________ Date: ___________</p>
      <ol className="columns-2 gap-x-10">
        {questions.map((question) => (
          <li
            key={question.position}
            className="printed-whole flex items-baseline gap-3 border-b border-base-300 py-1.5 print:py-[0.7mm]"
          >
            <span className="w-8 text-right font-bold tabular-nums">{question.position + 1}</span>
            <Room body={question.body} />
          </li>
        ))}
      </ol>
    </section>
  );
}

function Room({ body }: { body: View<'Question'>['body'] }) {
  if (body.kind === 'single' && body.options.length <= 8)
    return (
      <span className="flex gap-3">
        {body.options.map((option, i) => (
          <span
            key={option.id}
            className="inline-grid size-6 place-items-center print:size-[5.4mm] print:text-xs rounded-full border border-current text-sm"
          >
            {letter(i)}
          </span>
        ))}
      </span>
    );
  const code = codeOf(body);
  if (!code) return <span className="text-sm">in the booklet</span>;
  return (
    <span className="flex flex-1 items-baseline gap-2">
      <span className="flex-1 border-b border-current">&nbsp;</span>
      <span className="text-sm">{code.hint(body)}</span>
    </span>
  );
}
