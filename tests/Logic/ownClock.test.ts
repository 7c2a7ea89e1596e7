import { expect, test } from 'vitest';
import { reset, shown, started, stopped, type OwnClock } from '../../resources/js/features/sitting/kit/ownClock';

const STANDS: OwnClock = { way: 'up', ofMs: 60_000, goneMs: 0, since: null };

test('a clock of one’s own counts the spells in which it runs, up or down, and never below zero', () => {
  const first = stopped(started(STANDS, 1_000), 21_000);
  expect(shown(first, 99_000)).toBe(20_000);
  const second = started(first, 50_000);
  expect(started(second, 70_000)).toEqual(second);
  expect(shown(second, 60_000)).toBe(30_000);
  expect(shown({ ...second, way: 'down' }, 60_000)).toBe(30_000);
  expect(shown({ ...second, way: 'down' }, 999_000)).toBe(0);
  // A device's clock that is set back takes nothing away.
  expect(shown(second, 40_000)).toBe(20_000);
  expect(reset(second)).toEqual(STANDS);
});
