import { expect, test } from 'vitest';
import {
  barred,
  firstOf,
  following,
  isAmong,
  leftBlankBy,
  waysFrom,
} from '../../resources/js/features/sitting/following';
import { question } from './world';

const QUESTIONS = [
  question(0, { response: { choice: 'a' } }),
  question(1, { flagged: true }),
  question(2, { response: { choice: 'a' }, sureness: 'guess' }),
  question(3, { response: { choice: 'a' }, flagged: true }),
  question(4, {}),
];

test.each([
  [0, 'all', 1, 1],
  [4, 'all', 1, null],
  [0, 'all', -1, null],
  [0, 'unanswered', 1, 1],
  [1, 'unanswered', 1, 4],
  [4, 'unanswered', -1, 1],
  // Round and round, and nowhere only where there is no other.
  [4, 'unanswered', 1, 1],
  [1, 'unanswered', -1, 4],
  [0, 'guesses', -1, 2],
  [1, 'flagged', 1, 3],
  [3, 'flagged', 1, 1],
  [0, 'guesses', 1, 2],
  [2, 'guesses', -1, null],
  [2, 'guesses', 1, null],
] as const)('from %d with %s, step %d leads to %s', (from, only, step, to) => {
  expect(following(QUESTIONS, from, only, step)).toBe(to);
});

test('a sure answer is no guess', () => {
  expect(isAmong('guesses', question(0, { sureness: 'sure' }))).toBe(false);
});

test('what is closed is not among those that can still be answered', () => {
  const questions = [question(0, { seen: true, locked: true, closed: true }), question(1), question(2)];
  expect(waysFrom(questions, 2, 'all')).toMatchObject({ on: null, last: true, unanswered: [1] });
});

test('nobody jumps over what was never seen in a series, and a blank that would be closed is named', () => {
  const here = {
    series: [[1, 2, 3]],
    questions: [question(0), question(1, { seen: true }), question(2), question(3), question(4)],
  };
  expect([0, 1, 2, 3, 4].map((position) => firstOf(here, position))).toEqual([0, 1, 2, 2, 4]);
  expect([...barred(here)]).toEqual([3]);
  expect([leftBlankBy(here, 0), leftBlankBy(here, 2), leftBlankBy(here, 4)]).toEqual([[], [1], []]);
  here.questions[1] = question(1, { seen: true, response: { choice: 'a' } });
  expect(leftBlankBy(here, 2)).toEqual([]);
});
