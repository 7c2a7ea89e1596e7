import type { QuestionState } from './sittingStore';

/** Which questions going on and back lead to. */
export type Only = 'all' | 'unanswered' | 'flagged' | 'guesses';

export const ONLY: Record<Only, string> = {
  all: 'all questions',
  unanswered: 'only unanswered',
  flagged: 'only flagged',
  guesses: 'only guesses',
};

type State = Pick<QuestionState, 'position' | 'response' | 'flagged' | 'sureness'>;

export function isAmong(only: Only, question: State): boolean {
  switch (only) {
    case 'unanswered':
      return !question.response;
    case 'flagged':
      return question.flagged;
    case 'guesses':
      return question.sureness === 'guess';
    default:
      return true;
  }
}

/** The nearest question one leads to, on (1) or back (-1); null: there is none that way. */
export function following(questions: readonly State[], current: number, only: Only, step: 1 | -1): number | null {
  for (let i = current + step; i >= 0 && i < questions.length; i += step) {
    const question = questions[i];
    if (question && isAmong(only, question)) return question.position;
  }
  return null;
}
