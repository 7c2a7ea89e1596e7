import type { QuestionState } from './sittingStore';
import { beforeIt, type SittingView } from './sync/view';

/** Which questions going on and back lead to. */
export type Only = 'all' | 'unanswered' | 'flagged' | 'guesses';

export const ONLY: Record<Only, string> = {
  all: 'all questions',
  unanswered: 'only unanswered',
  flagged: 'only flagged',
  guesses: 'only guesses',
};

export const ONLIES = Object.keys(ONLY) as Only[];

export const AMONG: Record<Only, string> = {
  all: 'to go through',
  unanswered: 'unanswered',
  flagged: 'flagged',
  guesses: 'guessed',
};

type State = Pick<QuestionState, 'position' | 'response' | 'flagged' | 'sureness' | 'locked'>;
type Series = Pick<SittingView, 'series'> & {
  questions: readonly Pick<QuestionState, 'response' | 'seen' | 'closed'>[];
};

export function isAmong(only: Only, question: State): boolean {
  switch (only) {
    case 'unanswered':
      // What is closed can be answered no more.
      return !question.response && !question.locked;
    case 'flagged':
      return question.flagged;
    case 'guesses':
      return question.response !== null && question.sureness === 'guess';
    default:
      return true;
  }
}

export function among(questions: readonly State[], only: Only): number[] {
  return questions.filter((question) => isAmong(only, question)).map(({ position }) => position);
}

/**
 * The next question one leads to, on (1) or back (-1). All of them come to an end; some of them are gone round. Null:
 * there is no other.
 */
export function following(questions: readonly State[], current: number, only: Only, step: 1 | -1): number | null {
  const places = among(questions, only).filter((position) => position !== current);
  if (step === -1) places.reverse();
  const on = places.find((position) => (position - current) * step > 0);
  return on ?? (only === 'all' ? null : (places[0] ?? null));
}

/** Where the buttons of a sitting lead from a question. */
export interface Ways {
  on: number | null;
  back: number | null;
  /** It is the last of all. */
  last: boolean;
  /** Others that can still be answered. */
  unanswered: readonly number[];
  only: Only;
}

export function waysFrom(questions: readonly State[], current: number, only: Only): Ways {
  return {
    on: following(questions, current, only, 1),
    back: following(questions, current, only, -1),
    last: current === questions.length - 1,
    unanswered: among(questions, 'unanswered').filter((position) => position !== current),
    only,
  };
}

/**
 * Where one comes to who asks for a question: in a series, to the first that has not been seen, for each closes those
 * before it.
 */
export function firstOf({ series, questions }: Series, position: number): number {
  return beforeIt(series, position).find((one) => questions[one]?.seen === false) ?? position;
}

/** Questions that cannot be asked for yet: of each series, those behind its first unseen one. */
export function barred(view: Series): ReadonlySet<number> {
  return new Set(view.series.flat().filter((position) => firstOf(view, position) !== position));
}

/** Questions that were seen, have no answer, and get none any more once another one is seen. */
export function leftBlankBy({ series, questions }: Series, position: number): number[] {
  return beforeIt(series, position).filter((one) => {
    const question = questions[one];
    return question?.seen === true && !question.response && !question.closed;
  });
}
