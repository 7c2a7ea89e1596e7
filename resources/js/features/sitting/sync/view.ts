import type { View } from '../../../api/client';
import type { SittingEvent } from './events';

export type QuestionState = View<'QuestionState'> & {
  /** When the server told, by its clock. */
  toldAt?: number;
  /** Whether the answer is right was asked, and the server has not told yet. */
  asked?: boolean;
};
/** Whether its answer can be settled as it stands. */
export function isToCheck({ response, checked, closed }: QuestionState): boolean {
  return response !== null && !checked && !closed;
}

export type Sureness = NonNullable<QuestionState['sureness']>;

/** What is asked of the server and holds only once it has heard of it. */
export type Asked = 'pause' | 'going on' | null;

/** A sitting as one sees it: what the server said, with what one has done since laid over it. */
export interface SittingView {
  status: View<'SittingState'>['status'];
  questions: readonly QuestionState[];
  current: number;
  deadline: number | null;
  remainingMs: number | null;
  breaksLeft: number;
  /** When reading is over by itself, by the server's clock. Null: it is. */
  readingUntil: number | null;
  asked: Asked;
  score: View<'SittingState'>['score'];
  /** Time for each question, in milliseconds; then they come one after the other. Null: it has none. */
  questionMs: number | null;
  /** Questions that come in order and are not gone back to: the positions of each series. */
  series: readonly (readonly number[])[];
}

export const NOTHING_YET: SittingView = {
  status: 'not_started',
  questions: [],
  current: 0,
  deadline: null,
  remainingMs: null,
  breaksLeft: 0,
  readingUntil: null,
  asked: null,
  score: null,
  questionMs: null,
  series: [],
};

/** Takes the server's word for what it knows. */
export function heard(view: SittingView, state: View<'SittingState'>): SittingView {
  const questions = [...view.questions];
  for (const question of state.questions) questions[question.position] = { ...question, toldAt: state.now };
  return inTurn({
    ...view,
    questions,
    // Where each question has its time, whose turn it is is the server's to say.
    current: view.questionMs === null ? view.current : (state.current ?? view.current),
    score: state.score,
    status: state.status,
    deadline: state.deadline,
    remainingMs: state.remainingMs,
    breaksLeft: state.breaksLeft,
    readingUntil: state.readingUntil,
    asked: null,
  });
}

/** Lays an event over what the server said, until the server says it too. */
export function laid(view: SittingView, event: SittingEvent): SittingView {
  switch (event.kind) {
    // The clock stands still, or goes on, when the server hears of it and not before.
    case 'paused':
      return { ...view, asked: 'pause' };
    case 'resumed':
    case 'break_ended':
      return { ...view, asked: 'going on' };
    case 'break_began':
      return { ...closed(view, ({ seen }) => seen), status: 'on_break' };
    case 'reading_ended':
      return view.status === 'reading' ? begun(view, event.madeAt ?? 0) : view;
    default:
  }
  const known = typeof event.position === 'number' ? view.questions[event.position] : undefined;
  if (!known) return view;
  // While reading nothing could have been answered, so nothing is closed.
  const closes = view.status !== 'reading' && (event.kind === 'shown' || event.kind === 'answered');
  const before = closes ? beforeIt(view.series, known.position) : [];
  const questions = [...closed(view, ({ position }) => before.includes(position)).questions];
  questions[known.position] = { ...known, ...overlay(event) };
  if (event.kind === 'shown' && view.questionMs !== null && known.position === view.current + 1)
    // A clock of its own runs until the server has said by its own.
    return inTurn({ ...view, questions, current: known.position, deadline: (event.madeAt ?? 0) + view.questionMs });
  return { ...view, questions };
}

/** Reading is over at a moment: what is left of the clock runs from there, until the server has said by its own. */
export function begun(view: SittingView, at: number): SittingView {
  const deadline = view.remainingMs === null ? null : Math.min(at + view.remainingMs, view.deadline ?? Infinity);
  return { ...view, status: 'active', readingUntil: null, deadline };
}

/** Where each question has its time, only the one whose turn it is can be answered. */
function inTurn(view: SittingView): SittingView {
  if (view.questionMs === null) return view;
  const questions = view.questions.map((one) => {
    const [locked, closed] = [one.position !== view.current, one.position < view.current];
    return one.locked === locked && one.closed === closed ? one : { ...one, locked, closed };
  });
  return { ...view, questions };
}

/** Those that can be answered no more from here on. */
function closed(view: SittingView, isGone: (question: QuestionState) => boolean): SittingView {
  const questions = view.questions.map((one) =>
    one.closed || one.checked || !isGone(one) ? one : { ...one, locked: true, closed: true },
  );
  return { ...view, questions };
}

/** What comes before a question in its series: closed once it is seen, also where nobody hears of it yet. */
export function beforeIt(series: SittingView['series'], position: number): readonly number[] {
  return series.find((of) => of.includes(position))?.filter((one) => one < position) ?? [];
}

function overlay({ kind, value }: SittingEvent): Partial<QuestionState> {
  switch (kind) {
    case 'shown':
      return { seen: true };
    case 'answered':
      return { response: (value ?? null) as QuestionState['response'] };
    case 'flagged':
      return { flagged: value === true };
    case 'struck':
      return { struck: value as string[] };
    case 'sureness':
      return { sureness: (value ?? null) as QuestionState['sureness'] };
    // Whoever has asked for the answer cannot change theirs, connection or not.
    case 'checked':
      return { checked: true, locked: true };
    case 'tried':
      return { asked: true };
    default:
      return {};
  }
}
