import type { View } from '../../api/client';
import { Markdown } from '../../ui/Markdown';
import { partName } from '../result/partWords';
import { marksOf, rightLine } from '../question/kinds/paper';

/** What is right, question by question, and why. */
export function PrintedKey({ title, answers }: { title: string; answers: readonly View<'Explanation'>[] }) {
  return (
    <section className="printed-part" aria-labelledby="key">
      <h1 id="key" className="mb-2 text-xl font-bold">
        Key: {title}
      </h1>
      {answers.map((answer) => (
        <article key={answer.question.position} className="printed-whole relative py-1.5 pl-9">
          <h3 className="absolute left-0 font-bold">{answer.question.position + 1}</h3>
          <div className="grid gap-1">
            <p className="font-bold">{rightLine(answer, marking(answer))}</p>
            {answer.model && <Markdown>{answer.model}</Markdown>}
            {answer.rubric.length > 0 && (
              <ul className="list-disc pl-5">
                {answer.rubric.map((one) => (
                  <li key={one.id}>
                    <Markdown inline>{one.text}</Markdown> ({one.points})
                  </li>
                ))}
              </ul>
            )}
            <Markdown>{answer.rationale}</Markdown>
            <Reasons answer={answer} />
          </div>
        </article>
      ))}
    </section>
  );
}

/** Why each option is wrong is where the learning is. */
function Reasons({ answer }: { answer: View<'Explanation'> }) {
  const mark = marking(answer);
  const said = answer.parts.filter(({ why, role }) => why !== '' && role !== 'slip');
  if (said.length === 0) return null;
  return (
    <ul className="grid gap-0.5 text-sm">
      {said.map((part) => (
        <li key={part.id} className="grid grid-cols-[4.5rem_1fr]">
          <span className="font-bold">{mark(part)}</span>
          <Markdown inline>{part.why}</Markdown>
        </li>
      ))}
    </ul>
  );
}

/** What a part is called: by its letter or number in the booklet, where it has one. */
function marking(answer: View<'Explanation'>): (part: View<'Part'>) => string {
  const marks = marksOf(answer.question.body);
  return (part) => marks.get(part.id) ?? partName(part, answer.parts);
}
