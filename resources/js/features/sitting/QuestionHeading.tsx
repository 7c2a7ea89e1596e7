import { useEffect, useId, useState, type RefObject } from 'react';
import { clock } from '../../ui/words';
import { among, AMONG, ONLIES, ONLY, type Only } from './following';
import { isToCheck, type QuestionState, type SittingStore } from './sittingStore';

/** From so many questions on, typing a number is quicker than finding it. */
const MANY = 10;
/** So many are listed side by side. */
const LISTED = 14;
/** The field in which one types the number of a question. */
export const GO_TO = 'go-to-question';

/** Which question it is and what it is worth, and the ways to another one. */
export function QuestionHeading(props: {
  heading: RefObject<HTMLHeadingElement | null>;
  position: number;
  questions: readonly QuestionState[];
  /** Of an adaptive test; null: all its questions are known. */
  most: number | null;
  marks: string;
  penalty: string | null;
  topic: string | undefined;
  /** One after the other: nobody jumps. */
  inTurn: boolean;
  only: Only;
  onOnly: (only: Only) => void;
  onGo: (position: number) => void;
  /** Whose time on this question is shown; null: it is not wanted. */
  timeOf: SittingStore | null;
  /** Checks all answers so far, and hides what came of them; null: that is not done here. */
  checking: { onAll: () => void; covered: boolean; cover: (on: boolean) => void } | null;
}) {
  const { position, questions, marks, penalty, inTurn } = props;
  return (
    <div className="col-span-full flex flex-wrap items-center justify-between gap-x-4">
      <h1 id="question" ref={props.heading} tabIndex={-1} className="scroll-mt-40 text-base-content/75 outline-none">
        Question {position + 1} of {props.most === null ? questions.length : `at most ${props.most}`}
        {marks !== '1' && `, ${marks} marks`}
        {penalty && `, a wrong answer costs ${penalty} of ${marks === '1' ? 'a mark' : 'them'}`}
        {props.topic && ` · ${props.topic}`}
      </h1>
      <div className="flex flex-wrap items-center gap-x-4">
        {props.timeOf && <OwnTime store={props.timeOf} />}
        {props.checking && <CheckAll {...props.checking} questions={questions} />}
        {!inTurn && questions.length >= MANY && <GoTo at={position} questions={questions.length} onGo={props.onGo} />}
        {!inTurn && (
          <select
            aria-label="What going on leads to"
            value={props.only}
            onChange={(event) => {
              const only = event.target.value as Only;
              props.onOnly(only);
              const places = among(questions, only);
              if (places[0] !== undefined && !places.includes(position)) props.onGo(places[0]);
            }}
            className="select min-h-11 w-auto border-base-content/50 text-sm pointer-fine:h-9 pointer-fine:min-h-9"
          >
            {ONLIES.map((only) => {
              const n = among(questions, only).length;
              return (
                <option key={only} value={only} disabled={only !== 'all' && only !== props.only && n === 0}>
                  {ONLY[only]}
                  {only !== 'all' && ` (${n})`}
                </option>
              );
            })}
          </select>
        )}
      </div>
      {!inTurn && props.only !== 'all' && <Among {...props} />}
    </div>
  );
}

function CheckAll(props: {
  questions: readonly QuestionState[];
  onAll: () => void;
  covered: boolean;
  cover: (on: boolean) => void;
}) {
  const { questions, covered } = props;
  const toCheck = questions.filter(isToCheck).length;
  const link = 'min-h-11 cursor-pointer text-primary underline underline-offset-4 pointer-fine:min-h-9';
  return (
    <>
      {questions.some(({ checked }) => checked) && (
        <button type="button" aria-pressed={covered} className={link} onClick={() => props.cover(!covered)}>
          {covered ? 'Show again' : 'Hide again'}
        </button>
      )}
      {toCheck > 0 && (
        <button type="button" className={link} onClick={props.onAll}>
          {toCheck === 1 ? 'Check my answer' : `Check all ${toCheck} answers`}
        </button>
      )}
    </>
  );
}

/** Which questions going on leads to, and a way to each. */
function Among({ questions, only, position, onGo }: Parameters<typeof QuestionHeading>[0]) {
  const places = among(questions, only);
  return (
    <p className="basis-full text-sm text-base-content/75">
      {places.length === 0 ? `None is ${AMONG[only]} any more.` : `${places.length} ${AMONG[only]}: `}
      {places.slice(0, LISTED).map((place) => (
        <button
          key={place}
          type="button"
          aria-current={place === position ? 'step' : undefined}
          aria-label={`Go to question ${place + 1}`}
          className="min-h-9 min-w-7 cursor-pointer px-1 text-primary underline underline-offset-4 aria-[current]:font-bold aria-[current]:no-underline"
          onClick={() => onGo(place)}
        >
          {place + 1}
        </button>
      ))}
      {places.length > LISTED && `and ${places.length - LISTED} more`}
    </p>
  );
}

function GoTo({ at, questions, onGo }: { at: number; questions: number; onGo: (position: number) => void }) {
  const id = useId();
  const [{ from, ...last }, setEntry] = useState({ from: at, typed: '', fault: false });
  // What was typed at another question is done with.
  const { typed, fault } = from === at ? last : { typed: '', fault: false };
  return (
    <form
      className="flex items-center gap-2 text-sm"
      onSubmit={(event) => {
        event.preventDefault();
        const number = /^\d+$/.test(typed.trim()) ? Number(typed) : 0;
        if (number >= 1 && number <= questions) onGo(number - 1);
        else setEntry({ from: at, typed, fault: true });
      }}
    >
      <label htmlFor={GO_TO}>Go to</label>
      <input
        id={GO_TO}
        inputMode="numeric"
        autoComplete="off"
        enterKeyHint="go"
        maxLength={4}
        value={typed}
        aria-invalid={fault || undefined}
        aria-describedby={fault ? id : undefined}
        onChange={(event) => setEntry({ from: at, typed: event.target.value, fault: false })}
        className="input w-14 border-base-content/50 text-right pointer-fine:h-9"
      />
      {fault && (
        <span id={id} role="alert" className="text-error">
          There are 1 to {questions}.
        </span>
      )}
    </form>
  );
}

/** How long one has been at this question. */
function OwnTime({ store }: { store: SittingStore }) {
  const [ms, setMs] = useState(() => store.ownTime());
  useEffect(() => {
    const timer = window.setInterval(() => setMs(store.ownTime()), 500);
    return () => window.clearInterval(timer);
  }, [store]);
  return (
    <p className="text-sm whitespace-nowrap text-base-content/75">
      <span className="font-mono">{clock(ms)}</span> on this one
    </p>
  );
}
