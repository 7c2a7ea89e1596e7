import { expect, test } from 'vitest';
import { following, isAmong } from '../../resources/js/features/sitting/following';
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
  [1, 'flagged', 1, 3],
  [3, 'flagged', 1, null],
  [0, 'guesses', 1, 2],
  [2, 'guesses', -1, null],
] as const)('from %d with %s, step %d leads to %s', (from, only, step, to) => {
  expect(following(QUESTIONS, from, only, step)).toBe(to);
});

test('a sure answer is no guess', () => {
  expect(isAmong('guesses', question(0, { sureness: 'sure' }))).toBe(false);
});
