import { Button } from '../../ui/Button';
import { count, duration } from '../../ui/words';
import { Jumps } from './HandInCheck';
import type { QuestionState } from './sittingStore';

/** Said before a break, since it cannot be taken back. */
export function BreakCheck(props: {
  ms: number;
  questions: readonly QuestionState[];
  sections: ReadonlyMap<number, string>;
  onGo: (position: number) => void;
  onTake: () => void;
  onBack: () => void;
}) {
  const blank = props.questions.filter(({ seen, response, closed }) => seen && !response && !closed);
  return (
    <section className="grid max-w-2xl justify-items-start gap-4">
      <h1 className="text-2xl font-bold">Before your break</h1>
      <p>
        {props.ms > 0 && `${duration(props.ms)} are meant for it. `}The clock does not stop. Every question that you
        have seen is closed: you cannot go back to change it.
      </p>
      {blank.length > 0 && (
        <Jumps
          title={`${count(blank.length, 'question')} that you have seen would be left blank for good`}
          questions={blank}
          sections={props.sections}
          onGo={props.onGo}
        />
      )}
      <div className="flex flex-wrap gap-3">
        <Button onClick={props.onTake}>{blank.length > 0 ? 'Begin the break all the same' : 'Begin the break'}</Button>
        <Button weight="main" onClick={props.onBack}>
          Go back to the questions
        </Button>
      </div>
    </section>
  );
}
