import { describe, expect, test } from 'vitest';
import { having, orNothing } from '../../resources/js/features/question/response';
import { words } from '../../resources/js/features/sitting/RouteLine';
import { plain } from '../../resources/js/ui/plain';
import { clock, count, duration, percent, tight } from '../../resources/js/ui/words';
import { question } from './world';

test('numbers and durations are said in words', () => {
  expect([count(1, 'question'), count(12_000, 'question'), count(2, 'miss', 'misses')]).toEqual([
    '1 question',
    '12,000 questions',
    '2 misses',
  ]);
  expect([0, 59_400, 60_000, 200_000, 7_200_000, 7_500_000].map(duration)).toEqual([
    '0\u202fs',
    '59\u202fs',
    '1\u202fmin',
    '3\u202fmin 20\u202fs',
    '2\u202fh',
    '2\u202fh 5\u202fmin',
  ]);
  expect(tight('You got 61 % of 20 in 3 min, 5 more of 7 maps.')).toBe(
    'You got 61\u202f% of 20 in 3\u202fmin, 5 more of 7 maps.',
  );
  expect([0, 1, 61_000, 3_849_000].map(clock)).toEqual(['0:00', '0:01', '1:01', '1:04:09']);
});

test('the route line says each state in words', () => {
  expect(words(question(0))).toBe('not seen yet');
  expect(words(question(0, { seen: true, flagged: true }))).toBe('not answered, flagged');
  expect(words(question(0, { seen: true, response: { choice: 'a' } }))).toBe('answered');
  expect(words(question(0, { response: { choice: 'a' }, outcome: 'left_blank' }))).toBe('left blank');
});

test('a response without anything in it is none', () => {
  for (const empty of [{}, { text: '  ' }, { choices: [] }, { rows: {} }, { points: [] }, { gaps: {} }])
    expect(orNothing(empty)).toBeNull();
  for (const filled of [{ choice: 'a' }, { text: '0' }, { rows: { r1: 'x' } }, { points: [{ x: 0, y: 0 }] }])
    expect(orNothing(filled)).toEqual(filled);
});

test('one entry of a response is set, changed and taken out without touching the others', () => {
  const one = having(undefined, 'r1', 'x');
  const two = having(one, 'r2', 'y');
  expect(two).toEqual({ r1: 'x', r2: 'y' });
  expect(having(two, 'r1', 'z')).toEqual({ r2: 'y', r1: 'z' });
  expect(having(two, 'r1', ' ')).toEqual({ r2: 'y' });
  expect(one).toEqual({ r1: 'x' });
});

describe('names for screen readers', () => {
  test('hold no mark-up', () => {
    expect(plain('**Bold** and _slanted_, `code`, [a link](/x)')).toBe('Bold and slanted, code, a link');
    expect(plain('![A dot](dot.svg)')).toBe('A dot');
    expect(plain('$a^2$ of it')).toBe('a^2 of it');
  });
});

test('a share is whole per cents, a half rounded up, with a real minus', () => {
  expect([0, 0.285, 0.5749, 1].map(percent)).toEqual(['0\u202f%', '29\u202f%', '57\u202f%', '100\u202f%']);
  expect(percent(-0.124)).toBe('\u221212\u202f%');
  expect(percent(-0.001)).toBe('0\u202f%');
});
