import { describe, expect, it, test } from 'vitest';
import { ownTime } from '../../resources/js/ui/OwnTime';
import { ahead, isTimeForBreak, paceWords, spoken } from '../../resources/js/features/sitting/pace';
import { percent } from '../../resources/js/ui/words';

const MIN = 60_000;
// 150 min, 10 reserve, 80 marks: 1.75 min a mark (computation.md, section 4).
const PLAN = { limitMs: 150 * MIN, readingMs: 0, msPerMark: 1.75 * MIN };
const QUESTIONS = [{ marks: '1' }, { marks: '2' }, { marks: '1' }, { marks: '0.5' }];

test('one is ahead by the planned time of what is dealt with, less the time that has gone', () => {
  expect(ahead(PLAN, QUESTIONS, (i) => i < 2, 149 * MIN)).toBe((3 * 1.75 - 1) * MIN);
  expect(ahead(PLAN, QUESTIONS, () => false, 140 * MIN)).toBe(-10 * MIN);
  expect(ahead(PLAN, QUESTIONS, () => true, 150 * MIN)).toBe(4.5 * 1.75 * MIN);
});

test('without a limit for the whole there is no plan', () => {
  expect(ahead({ limitMs: null, readingMs: 0, msPerMark: null }, QUESTIONS, () => true, 5 * MIN)).toBeNull();
  expect(ahead(PLAN, QUESTIONS, () => true, null)).toBeNull();
});

test.each([
  [3.9 * MIN, '3\u202fmin ahead'],
  [-2 * MIN, '2\u202fmin behind'],
  [59_999, 'on pace'],
  [-59_999, 'on pace'],
  [MIN, '1\u202fmin ahead'],
])('%d ms is said as %s', (ms, words) => {
  expect(paceWords(ms)).toBe(words);
});

test('ten, five and one minute are said once, as they pass', () => {
  expect(spoken(10 * MIN + 1, 10 * MIN)).toBe('10 minutes left');
  expect(spoken(10 * MIN, 10 * MIN - 250)).toBeNull();
  expect(spoken(5 * MIN + 10, 5 * MIN - 10)).toBe('5 minutes left');
  expect(spoken(MIN + 1, MIN)).toBe('1 minute left');
  // A lid was closed meanwhile: what is left now.
  expect(spoken(20 * MIN, 4 * MIN)).toBe('4 minutes left');
  // One who begins with less is told nothing.
  expect(spoken(4 * MIN, 4 * MIN)).toBeNull();
});

describe('a break', () => {
  const seen = (...of: number[]) => [0, 1, 2].map((position) => ({ position, seen: of.includes(position) }));
  it('comes once all before it has been seen', () => {
    expect(isTimeForBreak({ breakFrom: 1 }, seen(0, 2))).toBe(false);
    expect(isTimeForBreak({ breakFrom: 1 }, seen(0, 1))).toBe(true);
    expect(isTimeForBreak({ breakFrom: null }, seen())).toBe(true);
    // Taken along by an older version.
    expect(isTimeForBreak({}, seen())).toBe(true);
  });
});

it('tells a limit as it is for whoever is signed in', () => {
  expect(ownTime(150, '1')).toBe('2\u202fh 30\u202fmin');
  expect(ownTime(44, '1.25')).toBe('55\u202fmin');
});

it('tells on which side of the cut a share lies', () => {
  expect(percent(0.646, 0.65)).toBe('64.6\u202f%');
  expect(percent(0.6504, 0.65)).toBe('65.1\u202f%');
  expect(percent(0.65, 0.65)).toBe('65\u202f%');
  expect(percent(0.636, 0.65)).toBe('64\u202f%');
  expect(percent(-0.0342)).toBe('\u22123\u202f%');
});
