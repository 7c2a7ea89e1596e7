import clsx from 'clsx';
import { Link } from 'react-router';
import type { View } from '../../api/client';
import { Chip } from '../../ui/Chip';
import { Markdown } from '../../ui/Markdown';
import { Outcome } from '../../ui/Outcome';
import { duration } from '../../ui/words';

/** A question with what was chosen, what is right, and why each option is right or wrong. */
export function Explained({ explanation }: { explanation: View<'Explanation'> }) {
  const { question, keys, why } = explanation;
  const choice = (explanation.response as { choice?: string } | null)?.choice;
  return (
    <div className="grid gap-6">
      <div className="text-lg">
        <Markdown>{question.stem}</Markdown>
      </div>
      <p className="flex flex-wrap items-center gap-x-4 gap-y-1 font-bold">
        <Outcome outcome={explanation.outcome} />
        <span className="font-normal">
          {explanation.marks} of {question.marks} {question.marks === '1' ? 'mark' : 'marks'},{' '}
          {duration(explanation.activeMs)} on screen
        </span>
      </p>
      <ul className="grid max-w-[75ch] gap-3">
        {question.options.map((option) => {
          const key = keys.includes(option.id);
          const mine = option.id === choice;
          return (
            <li
              key={option.id}
              className={clsx(
                'rounded-field border p-3',
                key ? 'border-2 border-success' : mine ? 'border-2 border-error' : 'border-base-300',
              )}
            >
              <p className="flex flex-wrap items-center gap-x-3 gap-y-1">
                <span className="font-bold">
                  <Markdown inline>{option.text}</Markdown>
                </span>
                {key && <Chip>✓ Right answer</Chip>}
                {mine && <Chip>Your choice</Chip>}
                {explanation.struck.includes(option.id) && <Chip>You ruled it out</Chip>}
              </p>
              {why[option.id] && (
                <div className="mt-1">
                  <Markdown>{why[option.id] ?? ''}</Markdown>
                </div>
              )}
            </li>
          );
        })}
      </ul>
      <section className="max-w-[75ch] border-l-4 border-accent pl-4">
        <h2 className="mb-1 font-bold">To take with you</h2>
        <Markdown>{explanation.rationale}</Markdown>
        {explanation.references.length > 0 && (
          <p className="mt-3 flex flex-wrap gap-x-4 gap-y-1">
            In the handbook:
            {explanation.references.map(({ code, title }) => (
              <Link key={code} to={`/handbook/${explanation.exam}/${code}`} target="_blank" rel="noopener">
                {title}
              </Link>
            ))}
          </p>
        )}
      </section>
      <p className="flex flex-wrap gap-2">
        <Chip>{explanation.topic}</Chip>
        <Chip>{explanation.subtopic}</Chip>
        <Chip>{explanation.difficulty}</Chip>
      </p>
    </div>
  );
}
