import { describe, expect, test } from 'vitest';
import {
  choicesOf,
  faultsOf,
  read,
  recipeOf,
  toggled,
  totalOf,
  written,
  type Choices,
} from '../../resources/js/features/assembly/recipe';

const USUAL: Choices = {
  topics: null,
  pools: ['new'],
  difficulties: [],
  kinds: [],
  tags: {},
  words: '',
  only: [],
  count: '10',
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
const FULL: Choices = {
  topics: ['wx.clouds', 'nav.map'],
  pools: ['missed', 'flagged'],
  difficulties: ['easy', 'hard'],
  kinds: ['number'],
  tags: { paper: ['2024', '2025'], _holds: ['picture'] },
  words: 'wind, "cold front" -rope*',
  only: [3, 17],
  count: '25',
  mode: 'timed',
  spread: 'by_hand',
  minutes: '40',
  plain: true,
  penalty: '1/3',
  shuffled: false,
  secondsEach: null,
  runningScore: true,
  asksSureness: false,
  adapting: false,
  byTopic: { wx: '4', 'nav.map': '3' },
};
const with_ = (part: Partial<Choices>): Choices => ({ ...USUAL, ...part });

describe('the address', () => {
  test('brings every choice back', () => {
    for (const choices of [USUAL, FULL, with_({ pools: [], topics: [] }), with_({ count: '2.5', minutes: 'x' })])
      expect(read(new URLSearchParams(written(choices, USUAL).toString()), USUAL)).toEqual(choices);
  });

  test('is short when nothing was changed', () => {
    expect(written(USUAL, USUAL).toString()).toBe('');
  });

  test('with nonsense in it is as usual', () => {
    const nonsense = new URLSearchParams('pools=luck&mode=nap&spread=thick&by=&tag.=&topics=');
    expect(read(nonsense, USUAL)).toMatchObject({ pools: [], mode: 'tutor', spread: 'blueprint', topics: [] });
  });
});

describe('what is amiss is said beside its field', () => {
  test.each([
    [{ topics: [] }, 'topics'],
    [{ count: '0' }, 'count'],
    [{ count: '501' }, 'count'],
    [{ count: '2.5' }, 'count'],
    [{ count: '' }, 'count'],
    [{ count: '١٢' }, 'count'],
    [{ mode: 'timed', minutes: '601' }, 'minutes'],
    [{ words: 'x'.repeat(201) }, 'words'],
    [{ spread: 'by_hand' }, 'byTopic'],
    [{ spread: 'by_hand', byTopic: { wx: '1.5' } }, 'byTopic'],
    [{ spread: 'by_hand', byTopic: { wx: '400', nav: '101' } }, 'byTopic'],
  ] as [Partial<Choices>, string][])('%o', (part, field) => {
    expect(Object.keys(faultsOf(with_(part)))).toEqual([field]);
  });

  test('and nothing is where nothing is', () => {
    for (const part of [{}, { count: '500' }, { minutes: '601' }, { spread: 'by_hand', byTopic: { wx: '1', nav: '' } }])
      expect(faultsOf(with_(part as Partial<Choices>))).toEqual({});
  });
});

test('a recipe that was kept brings its choices back', () => {
  for (const choices of [USUAL, { ...FULL, count: '7' }]) expect(choicesOf(recipeOf(choices))).toEqual(choices);
});

test('the recipe for the server holds what was chosen', () => {
  expect(recipeOf(USUAL)).toMatchObject({ topics: null, pools: ['new'], count: 10, mode: 'tutor', minutes: null });
  expect(recipeOf(USUAL)).not.toHaveProperty('byTopic');
  expect(recipeOf(FULL)).toMatchObject({
    count: 7,
    minutes: 40,
    byTopic: { wx: 4, 'nav.map': 3 },
    tags: { paper: ['2024', '2025'], _holds: ['picture'] },
  });
  expect(recipeOf(with_({ minutes: '40' })).minutes).toBeNull();
  expect(totalOf(with_({ spread: 'by_hand', byTopic: { wx: '4', nav: 'x' } }))).toBe(4);
});

test('a value is in a list once, or not', () => {
  expect(toggled(['a', 'b'], 'b', true)).toEqual(['a', 'b']);
  expect(toggled(['a', 'b'], 'a', false)).toEqual(['b']);
});
