import { minutesOf } from '../../ui/minutes';
import type { View } from '../../api/client';
import { ADAPTING, RecipeRequest as LIMITS } from '../../api/limits';

export type Recipe = View<'RecipeRequest'>;
export type Pool = Recipe['pools'][number];
export type Mode = Recipe['mode'];
export type Spread = NonNullable<Recipe['spread']>;
export type Difficulty = NonNullable<Recipe['difficulties']>[number];
export type Kind = NonNullable<Recipe['kinds']>[number];

/** What is being chosen. What is typed stays as typed, so that a slip can be mended and nothing is lost. */
export interface Choices {
  /** Codes of subtopics; null: all. */
  topics: readonly string[] | null;
  pools: readonly Pool[];
  difficulties: readonly Difficulty[];
  kinds: readonly Kind[];
  tags: Readonly<Record<string, readonly string[]>>;
  words: string;
  /** Picked by hand; none: all that match. */
  only: readonly number[];
  count: string;
  mode: Mode;
  spread: Spread;
  minutes: string;
  /** Every question is worth one mark. */
  plain: boolean;
  /** Share of its marks that a wrong answer costs, or as in the exam. */
  penalty: string;
  shuffled: boolean;
  /** In timed mode, for each question instead of minutes for the whole; null: for the whole. */
  secondsEach: string | null;
  runningScore: boolean;
  asksSureness: boolean;
  /** Each question goes by the answers so far, and the count is the most there may be. */
  adapting: boolean;
  /** By hand: code => as typed. */
  byTopic: Readonly<Record<string, string>>;
}

/** Up to so many begin at once, without a briefing in between. */
export const SHORT = 20;

/** What somebody who changes nothing gets: ten questions they have not met, with the reasons after each. */
export function usualOf(counts: View<'Counts'>): Choices {
  return {
    topics: null,
    pools: counts.new >= 10 ? ['new'] : [],
    difficulties: [],
    kinds: [],
    tags: {},
    words: '',
    only: [],
    count: String(Math.min(10, counts.all)),
    mode: 'tutor',
    spread: 'blueprint',
    minutes: '',
    plain: false,
    penalty: '0',
    shuffled: true,
    secondsEach: null,
    runningScore: false,
    asksSureness: true,
    adapting: false,
    byTopic: {},
  };
}

export const POOLS: readonly { pool: Pool; label: string }[] = [
  { pool: 'new', label: 'new to me' },
  { pool: 'missed', label: 'missed' },
  { pool: 'partly', label: 'partly' },
  { pool: 'left_blank', label: 'left blank' },
  { pool: 'got_it', label: 'got it' },
  { pool: 'to_be_marked', label: 'to be marked' },
  { pool: 'flagged', label: 'flagged' },
  { pool: 'starred', label: 'starred' },
  { pool: 'with_notes', label: 'with notes' },
  { pool: 'false_footing', label: 'false footing (sure, and wrong)' },
  { pool: 'in_gap_book', label: 'in my gap book' },
  { pool: 'due', label: 'due to revisit' },
];
export const MODES: readonly Mode[] = ['tutor', 'timed', 'untimed'];
export const PENALTIES = ['0', '1/4', '1/3', '1/2', '1', 'exam'] as const;
const SPREADS: readonly Spread[] = ['blueprint', 'available', 'even', 'by_hand'];

/** Reads choices from an address, so that a link and the back button bring them back. */
export function read(search: URLSearchParams, usual: Choices): Choices {
  const list = (name: string) => search.get(name)?.split(',').filter(Boolean);
  const one = <T extends string>(name: string, of: readonly T[], otherwise: T) =>
    of.find((value) => value === search.get(name)) ?? otherwise;
  const pools = list('pools');
  return {
    topics: list('topics') ?? usual.topics,
    pools: pools ? POOLS.map(({ pool }) => pool).filter((pool) => pools.includes(pool)) : usual.pools,
    difficulties: (list('difficulties') ?? []) as Difficulty[],
    kinds: (list('kinds') ?? []) as Kind[],
    tags: Object.fromEntries(
      [...search]
        .filter(([name]) => name.startsWith('tag.'))
        .map(([name, values]) => [name.slice('tag.'.length), values.split(',').filter(Boolean)]),
    ),
    words: search.get('words') ?? '',
    only: (list('only') ?? []).map(Number).filter(Number.isSafeInteger),
    count: search.get('count') ?? usual.count,
    mode: one('mode', MODES, usual.mode),
    spread: one('spread', SPREADS, usual.spread),
    minutes: search.get('minutes') ?? '',
    plain: search.get('plain') === '1',
    penalty: one<string>('penalty', PENALTIES, usual.penalty),
    shuffled: search.get('shuffled') !== '0',
    secondsEach: search.get('each'),
    runningScore: search.get('score') === '1',
    asksSureness: search.get('sureness') !== '0',
    adapting: search.get('adapting') === '1',
    byTopic: Object.fromEntries((list('by') ?? []).map((pair) => pair.split(':') as [string, string])),
  };
}

/** The same the other way round. What is as usual is left out, but for pools: none is a choice too. */
export function written(choices: Choices, usual: Choices): URLSearchParams {
  const search = new URLSearchParams();
  const put = (name: string, value: string, otherwise = '') => {
    if (value !== otherwise) search.set(name, value);
  };
  if (choices.topics) search.set('topics', choices.topics.join(','));
  put('pools', choices.pools.join(','), usual.pools.join(','));
  put('difficulties', choices.difficulties.join(','));
  put('kinds', choices.kinds.join(','));
  for (const [family, values] of Object.entries(choices.tags)) put(`tag.${family}`, values.join(','));
  put('words', choices.words);
  put('only', choices.only.join(','));
  put('count', choices.count, usual.count);
  put('mode', choices.mode, usual.mode);
  put('spread', choices.spread, usual.spread);
  put('minutes', choices.minutes);
  put('plain', choices.plain ? '1' : '');
  put('penalty', choices.penalty, usual.penalty);
  put('shuffled', choices.shuffled ? '' : '0');
  if (choices.secondsEach !== null) search.set('each', choices.secondsEach);
  put('score', choices.runningScore ? '1' : '');
  put('sureness', choices.asksSureness ? '' : '0');
  put('adapting', choices.adapting ? '1' : '');
  put(
    'by',
    Object.entries(choices.byTopic)
      .map((pair) => pair.join(':'))
      .join(','),
  );
  return search;
}

export interface Faults {
  topics?: string;
  count?: string;
  minutes?: string;
  byTopic?: string;
  words?: string;
}

/** What is amiss with what was typed, in the words that the server would use. */
export function faultsOf(choices: Choices): Faults {
  const whole = (text: string, { least, most }: { least: number; most: number }) =>
    /^\d+$/.test(text) && Number(text) >= least && Number(text) <= most;
  const { count, minutes, secondsEach, words } = LIMITS;
  const faults: Faults = {};
  if (choices.topics?.length === 0) faults.topics = 'Choose at least one topic.';
  if (choices.words.length > words.longest) faults.words = `A search can have up to ${words.longest} letters.`;
  if (choices.adapting) {
    if (!whole(choices.count, ADAPTING))
      faults.count = `A test that adapts asks at most ${ADAPTING.least} to ${ADAPTING.most} questions.`;
  } else if (choices.spread === 'by_hand') {
    const typed = Object.values(choices.byTopic).filter((text) => text !== '');
    if (typed.length === 0) faults.byTopic = 'Type how many you want beside at least one topic.';
    else if (!typed.every((text) => whole(text, count)))
      faults.byTopic = `A topic gives a whole number, from ${count.least} to ${count.most}.`;
    else if (totalOf(choices) > count.most)
      faults.byTopic = `A test can have up to ${count.most} questions. These are more.`;
  } else if (!whole(choices.count, count)) {
    faults.count = `A test has ${count.least} to ${count.most} questions, as a whole number.`;
  }
  if (choices.mode === 'timed' && choices.secondsEach !== null && !choices.adapting) {
    if (!whole(choices.secondsEach, secondsEach))
      faults.minutes = `A question has between ${secondsEach.least} and ${inFull(secondsEach.most)} seconds, in whole ones.`;
  } else if (choices.mode === 'timed' && choices.minutes !== '') {
    const meant = minutesOf(choices.minutes);
    if (meant === null || meant < minutes.least || meant > minutes.most)
      faults.minutes = `A time limit lies between ${minutes.least} and ${minutes.most} minutes: 90, 1:30 and 1 h 30 are the same.`;
  }
  return faults;
}

const inFull = (n: number) => n.toLocaleString('en-GB');

/** Whether one types how many each topic gives. */
export function isByHand({ spread, adapting }: Choices): boolean {
  return spread === 'by_hand' && !adapting;
}

/** How many questions are asked for. */
export function totalOf(choices: Choices): number {
  return isByHand(choices)
    ? Object.values(choices.byTopic).reduce((sum, text) => sum + (Number(text) || 0), 0)
    : Number(choices.count);
}

/** What the server takes; only for choices without faults. */
export function recipeOf(choices: Choices): Recipe {
  const { pools, difficulties, kinds, words, adapting } = choices;
  const byHand = isByHand(choices);
  // What adapts chooses what each topic gives, and tells at the end.
  const spread = adapting ? 'blueprint' : choices.spread;
  const mode = adapting && choices.mode === 'tutor' ? 'untimed' : choices.mode;
  const each = adapting ? null : choices.secondsEach;
  return {
    topics: choices.topics ? [...choices.topics] : null,
    pools: [...pools],
    difficulties: [...difficulties],
    kinds: [...kinds],
    tags: Object.fromEntries(Object.entries(choices.tags).map(([family, values]) => [family, [...values]])),
    words,
    ...(choices.only.length ? { only: [...choices.only] } : {}),
    mode,
    spread,
    count: totalOf(choices),
    minutes: mode === 'timed' && each === null && choices.minutes !== '' ? minutesOf(choices.minutes) : null,
    secondsEach: mode === 'timed' && each !== null ? Number(each) : null,
    runningScore: choices.runningScore,
    asksSureness: choices.asksSureness,
    plain: choices.plain,
    penalty: choices.penalty,
    shuffled: choices.shuffled,
    ...(adapting ? { adapting } : {}),
    ...(byHand
      ? {
          byTopic: Object.fromEntries(
            Object.entries(choices.byTopic)
              .filter(([, text]) => text !== '')
              .map(([code, text]) => [code, Number(text)]),
          ),
        }
      : {}),
  };
}

/** The choices that a recipe was kept with. */
export function choicesOf(recipe: Recipe): Choices {
  const byHand = recipe.spread === 'by_hand';
  return {
    topics: recipe.topics ?? null,
    pools: recipe.pools,
    difficulties: recipe.difficulties ?? [],
    kinds: recipe.kinds ?? [],
    tags: recipe.tags ?? {},
    words: recipe.words ?? '',
    only: recipe.only ?? [],
    count: String(recipe.count ?? 10),
    mode: recipe.mode,
    spread: recipe.spread ?? 'blueprint',
    minutes: recipe.minutes ? String(recipe.minutes) : '',
    plain: recipe.plain ?? false,
    penalty: recipe.penalty ?? '0',
    shuffled: recipe.shuffled ?? true,
    secondsEach: recipe.secondsEach ? String(recipe.secondsEach) : null,
    runningScore: recipe.runningScore ?? false,
    asksSureness: recipe.asksSureness ?? true,
    adapting: recipe.adapting ?? false,
    byTopic: byHand
      ? Object.fromEntries(Object.entries(recipe.byTopic ?? {}).map(([code, n]) => [code, String(n)]))
      : {},
  };
}

/** One value more in a list, or one less. */
export function toggled<T>(list: readonly T[], value: T, on: boolean): T[] {
  const rest = list.filter((other) => other !== value);
  return on ? [...rest, value] : rest;
}
