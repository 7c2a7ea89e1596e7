import clsx from 'clsx';
import { useContext } from 'react';
import { Link } from 'react-router';
import type { View } from '../../api/client';
import { Chip } from '../../ui/Chip';
import { GapContext } from '../../ui/gaps';
import { Markdown } from '../../ui/Markdown';
import { Outcome } from '../../ui/Outcome';
import { dayTime, duration, percent, signed } from '../../ui/words';
import { MakeCard } from '../library/MakeCard';
import { inWords } from '../question/kinds/inWords';
import type { Response } from '../question/response';
import { UnitPanel } from '../question/UnitPanel';
import { cardOf } from './cardOf';
import { OpenSection } from './openSection';
import { Parts } from './Parts';
import { RubricMarking } from './RubricMarking';

/** A question with what was answered, what is right, and why each part of it is right or wrong. */
export function Explained({
  sitting,
  explanation,
  withUnit,
  unmarked,
  card,
}: {
  sitting: string;
  explanation: View<'Explanation'>;
  /** Shows the case or text as well, where it is not on screen already. */
  withUnit?: boolean | 'open';
  /** What was answered without a connection: only the server marks it. */
  unmarked?: Response;
  /** Words chosen in it, to make a card of; none: here no cards are made. */
  card?: { words: string | null; onClose: () => void };
}) {
  const { question, unit, evidence } = explanation;
  const openSection = useContext(OpenSection);
  const rightOf = (gap: string) => {
    const right = explanation.parts.find(({ id }) => id === gap)?.right;
    return <strong className="border-b-2 border-success">{right ? <Markdown inline>{right}</Markdown> : '…'}</strong>;
  };
  return (
    <div className="grid gap-4">
      {withUnit && unit && (
        <details className="max-w-[75ch]" open={withUnit === 'open' || unit.kind === 'passage'}>
          <summary className="min-h-11 cursor-pointer font-bold text-primary">{unit.title}</summary>
          <UnitPanel unit={unit} position={question.position} evidence={evidence} />
        </details>
      )}
      <div data-part="stem" className={clsx('text-lg', unmarked && !question.stem.includes('[[') && 'hidden')}>
        <GapContext value={rightOf}>
          <Markdown>{question.stem}</Markdown>
        </GapContext>
      </div>
      {unmarked && (
        <p className="border-l-4 border-accent pl-3">
          <span className="font-bold">Your answer:</span> {inWords(question.body, unmarked)}. It is marked when there is
          a connection.
        </p>
      )}
      <p className={clsx('flex flex-wrap items-center gap-x-4 gap-y-1 font-bold', unmarked && 'hidden')}>
        <Outcome outcome={explanation.outcome} />
        <span className="font-normal">
          {explanation.outcome === 'pending' ? 'Not marked yet, ' : `${signed(explanation.marks)} of `}
          {question.marks} {question.marks === '1' ? 'mark' : 'marks'}, {duration(explanation.activeMs)} on screen
        </span>
      </p>
      {/* What is to be kept comes first: it is in sight without scrolling. */}
      <section className="max-w-[75ch] border-l-4 border-accent pl-4">
        <h2 className="mb-1 font-bold">To take with you</h2>
        <Markdown>{explanation.rationale}</Markdown>
        {explanation.references.length > 0 && (
          <p className="mt-1 flex flex-wrap items-center gap-x-4 gap-y-1">
            In the handbook:
            {explanation.references.map(({ code, title }) => (
              <Link
                key={code}
                to={`/handbook/${explanation.exam}/${code}`}
                target="_blank"
                rel="noopener"
                className="inline-flex min-h-11 items-center text-primary underline underline-offset-4 pointer-fine:min-h-7"
                onClick={(event) => {
                  if (!openSection || event.ctrlKey || event.metaKey) return;
                  event.preventDefault();
                  openSection(code);
                }}
              >
                {title}
              </Link>
            ))}
          </p>
        )}
      </section>
      {explanation.earlier.length > 0 && (
        <p className="flex flex-wrap items-center gap-x-4 gap-y-1">
          Before:
          {explanation.earlier.map(({ at, outcome }) => (
            <span key={at} className="inline-flex items-center gap-1.5">
              <Outcome outcome={outcome} /> <span className="text-base-content/75">{dayTime(at)}</span>
            </span>
          ))}
        </p>
      )}
      {explanation.tries.length > 1 && (
        <section className="max-w-[75ch]" aria-labelledby={`tries-${question.position}`}>
          <h2 id={`tries-${question.position}`} className="font-bold">
            Tries, the first of which counts
          </h2>
          <ol>
            {explanation.tries.map(({ response, outcome }, i) => (
              <li key={i} className="flex items-start gap-3 border-t border-base-300 py-1">
                <Outcome outcome={outcome} />
                <span className="min-w-0">{inWords(question.body, response)}</span>
              </li>
            ))}
          </ol>
        </section>
      )}
      {question.body.kind === 'written' && unmarked ? (
        <section className="max-w-[75ch]">
          <h2 className="mb-1 font-bold">A model answer</h2>
          <Markdown>{explanation.model ?? ''}</Markdown>
        </section>
      ) : question.body.kind === 'written' ? (
        <RubricMarking key={question.position} sitting={sitting} explanation={explanation} />
      ) : (
        <Parts explanation={explanation} unmarked={unmarked !== undefined} />
      )}
      {evidence.length > 0 && (
        <section className="max-w-[75ch]">
          <h2 className="mb-1 font-bold">What in the text proves it</h2>
          {evidence.map((sentence) => (
            <blockquote key={sentence} className="border-l-4 border-base-300 pl-4">
              {sentence}
            </blockquote>
          ))}
        </section>
      )}
      {card && (
        <div className="print:hidden">
          <MakeCard
            exam={explanation.exam}
            from={{ sitting, position: question.position }}
            draft={(words) => cardOf(explanation, words)}
            asked={card.words}
            onClose={card.onClose}
          />
        </div>
      )}
      {explanation.cohort && (
        <p className="text-base-content/75">
          {explanation.cohort.n} others met it for the first time: on average they got{' '}
          {percent(explanation.cohort.facility)} of it
          {explanation.cohort.medianMs !== null &&
            `, half of them in less than ${duration(explanation.cohort.medianMs)}`}
          .
        </p>
      )}
      <p className="flex flex-wrap gap-2">
        <Chip>{explanation.topic}</Chip>
        <Chip>{explanation.subtopic}</Chip>
        <Chip>{explanation.difficulty}</Chip>
      </p>
    </div>
  );
}
