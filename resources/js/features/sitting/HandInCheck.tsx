import { useEffect, useRef } from 'react';
import { Button } from '../../ui/Button';
import { Notice } from '../../ui/Notice';
import { count } from '../../ui/words';
import { bySection } from './sections';
import type { QuestionState } from './sittingStore';

/** The screen before handing in: what is left, and a way to each of it. */
export function HandInCheck(props: {
  questions: readonly QuestionState[];
  /** Those with a note. */
  noted: ReadonlySet<number>;
  /** Where sections begin: position => name. */
  sections: ReadonlyMap<number, string>;
  /** Those that have had their turn are closed, and nobody can go to them. */
  inTurn: boolean;
  busy: boolean;
  waiting: boolean;
  onGo: (position: number) => void;
  onBack: () => void;
  onHandIn: () => void;
}) {
  const heading = useRef<HTMLHeadingElement>(null);
  // It is read from its beginning, wherever one stood before.
  useEffect(() => {
    window.scrollTo({ top: 0 });
    heading.current?.focus({ preventScroll: true });
  }, []);
  const blank = props.questions.filter((question) => !question.response);
  const shut = blank.filter((question) => question.closed && !props.inTurn);
  const open = blank.filter((question) => !shut.includes(question));
  const noted = props.questions.filter(({ position }) => props.noted.has(position));
  const flagged = props.questions.filter((question) => question.flagged);
  const guessed = props.questions.filter((question) => question.response && question.sureness === 'guess');
  const answered = props.questions.length - blank.length;
  const jumps = { sections: props.sections, onGo: props.onGo };
  return (
    <div className="grid max-w-2xl gap-6">
      <h1 ref={heading} tabIndex={-1} className="scroll-mt-60 text-2xl font-bold outline-none">
        Before you hand in
      </h1>
      <p className="text-lg">
        You have answered <strong>{answered}</strong> of {count(props.questions.length, 'question')}.
      </p>
      {blank.length === 0 ? (
        <Notice tone="good">Nothing is left blank.</Notice>
      ) : props.inTurn ? (
        <p>{blankSaid(blank)}. Those that have had their turn are closed.</p>
      ) : (
        open.length > 0 && <Jumps title={blankSaid(open)} questions={open} {...jumps} />
      )}
      {shut.length > 0 && (
        <p>
          <strong>{blankSaid(shut)} and closed</strong>: {shut.map(({ position }) => position + 1).join(', ')}.{' '}
          {shut.length === 1 ? 'It' : 'They'} can be answered no more.
        </p>
      )}
      {!props.inTurn && (
        <div className="grid gap-6 empty:hidden sm:grid-cols-3">
          {flagged.length > 0 && (
            <Jumps title={`${count(flagged.length, 'question')} flagged`} questions={flagged} {...jumps} />
          )}
          {guessed.length > 0 && (
            <Jumps title={`${count(guessed.length, 'answer')} guessed`} questions={guessed} {...jumps} />
          )}
          {noted.length > 0 && (
            <Jumps title={`${count(noted.length, 'question')} with a note`} questions={noted} {...jumps} />
          )}
        </div>
      )}
      {props.waiting && (
        <Notice tone="warn">
          The server cannot be reached just now. Your answers are kept on this device; hand in once it is back.
        </Notice>
      )}
      <p>After you hand in, answers can no longer be changed.</p>
      {/* In reach, however much is left above it. */}
      <div className="sticky bottom-0 -mb-6 flex flex-wrap gap-3 border-t border-base-300 bg-base-100 py-3">
        <Button weight={open.length === 0 ? 'main' : 'plain'} busy={props.busy} onClick={props.onHandIn}>
          {open.length === 0 ? 'Hand in' : 'Hand in all the same'}
        </Button>
        <Button weight={open.length === 0 ? 'plain' : 'main'} onClick={props.onBack}>
          Go back to the questions
        </Button>
      </div>
    </div>
  );
}

/** In the words of the result that would come of it. */
function blankSaid(blank: readonly QuestionState[]): string {
  const unseen = blank.filter((question) => !question.seen).length;
  const left = blank.length - unseen;
  if (unseen === 0) return `${count(left, 'question')} left blank`;
  if (left === 0) return `${count(unseen, 'question')} not reached`;
  return `${count(left, 'question')} left blank, ${unseen} not reached`;
}

export function Jumps({
  title,
  questions,
  sections,
  onGo,
}: {
  title: string;
  questions: readonly QuestionState[];
  sections: ReadonlyMap<number, string>;
  onGo: (position: number) => void;
}) {
  return (
    <section>
      <h2 className="mb-2 font-bold">{title}</h2>
      <div className="grid max-h-60 gap-3 overflow-y-auto">
        {bySection(questions, sections).map(([section, own]) => (
          <div key={section}>
            {section && (
              <h3 className="mb-1 text-base-content/75">
                {section}, {own.length}
              </h3>
            )}
            <ul className="flex flex-wrap gap-2">
              {own.map(({ position }) => (
                <li key={position}>
                  <Button small onClick={() => onGo(position)} aria-label={`Go to question ${position + 1}`}>
                    {position + 1}
                  </Button>
                </li>
              ))}
            </ul>
          </div>
        ))}
      </div>
    </section>
  );
}
