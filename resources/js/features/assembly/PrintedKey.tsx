import type { View } from '../../api/client';
import { Markdown } from '../../ui/Markdown';
import { plain } from '../../ui/plain';
import { partName } from '../result/partName';
import { letter } from './paperCode';

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
            <p className="font-bold">{right(answer)}</p>
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
  const places = letters(answer);
  const said = answer.parts.filter(({ why, role }) => why !== '' && role !== 'slip');
  if (said.length === 0) return null;
  return (
    <ul className="grid gap-0.5 text-sm">
      {said.map((part) => (
        <li key={part.id} className="grid grid-cols-[4.5rem_1fr]">
          <span className="font-bold">{places.get(part.id) ?? partName(part, answer.parts)}</span>
          <Markdown inline>{part.why}</Markdown>
        </li>
      ))}
    </ul>
  );
}

/** Letters of options and items, as the booklet has them. */
function letters({ question: { body } }: View<'Explanation'>): Map<string, string> {
  const of =
    body.kind === 'single' || body.kind === 'several' ? body.options : body.kind === 'ordering' ? body.items : [];
  const rows = 'rows' in body ? body.rows : [];
  return new Map([
    ...of.map((one, i): [string, string] => [one.id, letter(i)]),
    ...rows.map((row, i): [string, string] => [row.id, String(i + 1)]),
  ]);
}

function right(answer: View<'Explanation'>): string {
  const { body } = answer.question;
  const places = letters(answer);
  switch (body.kind) {
    case 'single':
    case 'several':
      // Whatever is right or was missed of the options is a key.
      return answer.parts
        .filter(({ verdict }) => verdict === 'right' || verdict === 'missing')
        .map(({ id, text }) => `${places.get(id) ?? ''} ${plain(text)}`)
        .sort()
        .join(' · ');
    case 'ordering':
      return answer.parts
        .filter(({ role }) => role === 'item')
        .map(({ id }) => places.get(id) ?? '')
        .join('');
    case 'written':
      return 'For example:';
    case 'picture':
      return 'See the reason below.';
    default:
      return answer.parts
        .filter(({ role }) => role === 'row' || role === 'gap' || role === 'number')
        .map((part) => {
          const name = places.get(part.id) ?? (part.role === 'number' ? '' : partName(part, answer.parts));
          return `${name} ${plain(part.right ?? '')}`.trim();
        })
        .join(' · ');
  }
}
