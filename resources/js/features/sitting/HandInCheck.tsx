import { Button } from '../../ui/Button';
import { Notice } from '../../ui/Notice';
import { count } from '../../ui/words';
import type { QuestionState } from './sittingStore';

/** The screen before handing in: what is left, and a way to each of it. */
export function HandInCheck(props: {
  questions: readonly QuestionState[];
  /** Those that have had their turn are closed, and nobody can go to them. */
  inTurn: boolean;
  busy: boolean;
  waiting: boolean;
  onGo: (position: number) => void;
  onBack: () => void;
  onHandIn: () => void;
}) {
  const blank = props.questions.filter((question) => !question.response);
  const flagged = props.questions.filter((question) => question.flagged);
  const answered = props.questions.length - blank.length;
  return (
    <div className="grid max-w-2xl gap-6">
      <h1 className="text-2xl font-bold">Before you hand in</h1>
      <p className="text-lg">
        You have answered <strong>{answered}</strong> of {count(props.questions.length, 'question')}.
      </p>
      {blank.length === 0 ? (
        <Notice tone="good">Nothing is left blank.</Notice>
      ) : props.inTurn ? (
        <p>{count(blank.length, 'question')} left blank. Those that have had their turn are closed.</p>
      ) : (
        <Jumps title={`${count(blank.length, 'question')} left blank`} questions={blank} onGo={props.onGo} />
      )}
      {flagged.length > 0 && !props.inTurn && (
        <Jumps title={`${count(flagged.length, 'question')} flagged`} questions={flagged} onGo={props.onGo} />
      )}
      {props.waiting && (
        <Notice tone="warn">
          The server cannot be reached just now. Your answers are kept on this device; hand in once it is back.
        </Notice>
      )}
      <p>After you hand in, answers can no longer be changed.</p>
      <div className="flex flex-wrap gap-3">
        <Button weight={blank.length === 0 ? 'main' : 'plain'} busy={props.busy} onClick={props.onHandIn}>
          {blank.length === 0 ? 'Hand in' : `Hand in with ${count(blank.length, 'blank')}`}
        </Button>
        <Button weight={blank.length === 0 ? 'plain' : 'main'} onClick={props.onBack}>
          Go back to the questions
        </Button>
      </div>
    </div>
  );
}

function Jumps({
  title,
  questions,
  onGo,
}: {
  title: string;
  questions: QuestionState[];
  onGo: (position: number) => void;
}) {
  return (
    <section>
      <h2 className="mb-2 font-bold">{title}</h2>
      <ul className="flex max-h-48 flex-wrap gap-2 overflow-y-auto">
        {questions.map(({ position }) => (
          <li key={position}>
            <Button small onClick={() => onGo(position)} aria-label={`Go to question ${position + 1}`}>
              {position + 1}
            </Button>
          </li>
        ))}
      </ul>
    </section>
  );
}
