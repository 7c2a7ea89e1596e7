import { expect, test } from 'vitest';
import { minutesOf } from '../../resources/js/ui/minutes';

test.each([
  ['90', 90],
  ['1:30', 90],
  ['1.30', 90],
  ['1 h 30', 90],
  ['1h30', 90],
  ['1h30min', 90],
  ['1.5 h', 90],
  ['1,5 hours', 90],
  ['2 H', 120],
  ['45 min', 45],
  [' 0:45 ', 45],
  ['1:75', null],
  ['', null],
  ['soon', null],
  ['-5', null],
])('%s are %s minutes', (typed, minutes) => {
  expect(minutesOf(typed)).toBe(minutes);
});
