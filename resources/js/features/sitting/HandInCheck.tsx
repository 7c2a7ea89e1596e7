import { Button } from '../../ui/Button';
import { Notice } from '../../ui/Notice';
import { count } from '../../ui/words';
import { bySection } from './sections';
import type { QuestionState } from './sittingStore';

/** The screen before handing in: what is left, and a way to each of it. */
export function HandInCheck(props: {
  questions: readonly QuestionState[];
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
  const blank = props.questions.filter((question) => !question.response);
  const unseen = blank.filter((question) => !question.seen).length;
  const flagged = props.questions.filter((question) => question.flagged);
  const guessed = props.questions.filter((question) => question.response && question.sureness === 'guess');
  const answered = props.questions.length - blank.length;
  const jumps = { sections: props.sections, onGo: props.onGo };
  return (
    <div className="grid max-w-2xl gap-6">
      <h1 className="text-2xl font-bold">Before you hand in</h1>
      <p className="text-lg">
        You have answered <strong>{answered}</strong> of {count(props.questions.length, 'question')}.
      </p>
      {blank.length === 0 ? (
        <Notice tone="good">Nothing is left blank.</Notice>
      ) : props.inTurn ? (
        <p>{blankSaid(blank.length, unseen)}. Those that have had their turn are closed.</p>
      ) : (
        <Jumps title={blankSaid(blank.length, unseen)} questions={blank} {...jumps} />
      )}
      {flagged.length > 0 && !props.inTurn && (
        <Jumps title={`${count(flagged.length, 'question')} flagged`} questions={flagged} {...jumps} />
      )}
      {guessed.length > 0 && !props.inTurn && (
        <Jumps title={`${count(guessed.length, 'answer')} guessed`} questions={guessed} {...jumps} />
      )}
      {props.waiting && (
        <Notice tone="warn">
          The server cannot be reached just now. Your answers are kept on this device; hand in once it is back.
        </Notice>
      )}
      <p>After you hand in, answers can no longer be changed.</p>
      <div className="flex flex-wrap gap-3">
        <Button weight={blank.length === 0 ? 'main' : 'plain'} busy={props.busy} onClick={props.onHandIn}>
          {blank.length === 0 ? 'Hand in' : 'Hand in all the same'}
        </Button>
        <Button weight={blank.length === 0 ? 'plain' : 'main'} onClick={props.onBack}>
          Go back to the questions
        </Button>
      </div>
    </div>
  );
}

/** In the words of the result that would come of it. */
function blankSaid(blank: number, unseen: number): string {
  const left = blank - unseen;
  if (unseen === 0) return `${count(left, 'question')} left blank`;
  if (left === 0) return `${count(unseen, 'question')} not reached`;
  return `${count(left, 'question')} left blank, ${unseen} not reached`;
}

function Jumps({
  title,
  questions,
  sections,
  onGo,
}: {
  title: string;
  questions: QuestionState[];
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
