import type { View } from '../../api/client';

export type Line = View<'QuestionLine'>;

/** What one would sit again; what was not reached is new, and counted by itself. */
export const AGAIN = 'Missed, partly, left blank';

/** Which questions of a result one may look at by themselves, and what they are called. */
export const FILTERS = {
  all: ['All', () => true],
  again: [AGAIN, ({ outcome }) => outcome === 'missed' || outcome === 'partly' || outcome === 'left_blank'],
  missed: ['Missed', ({ outcome }) => outcome === 'missed'],
  partly: ['Partly', ({ outcome }) => outcome === 'partly'],
  pending: ['To be marked', ({ outcome }) => outcome === 'pending'],
  false_footing: ['False footing', ({ footing }) => footing === 'false_footing'],
  lucky_step: ['Lucky step', ({ footing }) => footing === 'lucky_step'],
  flagged: ['Flagged', ({ flagged }) => flagged],
  left_blank: ['Left blank', ({ outcome }) => outcome === 'left_blank'],
  not_reached: ['Not reached', ({ outcome }) => outcome === 'not_reached'],
  slow: ['Slow', ({ tempo }) => tempo === 'slow'],
  fast_missed: ['Fast and missed', ({ tempo, outcome }) => tempo === 'fast' && outcome === 'missed'],
  changed: ['Changed', ({ changes }) => changes > 0],
  starred: ['Starred', ({ starred }) => starred],
  noted: ['With notes', ({ noted }) => noted],
  gap_book: ['In my gap book', ({ inGapBook }) => inGapBook],
} as const satisfies Record<string, [string, (line: Line) => boolean]>;

export type Filter = keyof typeof FILTERS;

export function filterNamed(name: string | null): Filter | null {
  return name !== null && Object.hasOwn(FILTERS, name) ? (name as Filter) : null;
}

/** The filters that leave anything, each with how much. */
export function filtersOf(lines: readonly Line[]): [Filter, number][] {
  return (Object.keys(FILTERS) as Filter[])
    .map((filter): [Filter, number] => [filter, lines.filter(FILTERS[filter][1]).length])
    .filter(([filter, n]) => n > 0 || filter === 'all');
}

/** The sides of a question by which a table may be put in order. What is not known comes last, whichever way. */
export const SORTS = {
  question: (line) => line.position,
  outcome: ({ outcome }) => ['missed', 'left_blank', 'not_reached', 'partly', 'pending', 'right'].indexOf(outcome),
  topic: ({ topic, subtopic }) => `${topic}\n${subtopic}`,
  difficulty: ({ difficulty }) => ['easy', 'moderate', 'hard'].indexOf(difficulty),
  kind: ({ kind }) => kind,
  time: ({ activeMs, outcome }) => (outcome === 'not_reached' ? null : activeMs),
  cohort: ({ cohortMs }) => cohortMs,
  facility: ({ facility }) => facility,
  sureness: ({ sureness }) => (sureness ? ['sure', 'leaning', 'guess'].indexOf(sureness) : null),
  tries: ({ tries }) => tries,
  changes: ({ changes }) => changes,
} as const satisfies Record<string, (line: Line) => number | string | null>;

export type Sort = keyof typeof SORTS;

export function sorted(lines: readonly Line[], sort: Sort, down: boolean): Line[] {
  const of: (line: Line) => number | string | null = SORTS[sort];
  return [...lines].sort((one, other) => {
    const [a, b] = [of(one), of(other)];
    if (a === null || b === null) return Number(a === null) - Number(b === null) || one.position - other.position;
    const order = typeof a === 'string' ? a.localeCompare(String(b)) : a - Number(b);
    return (down ? -order : order) || one.position - other.position;
  });
}
