import { expect, test } from 'vitest';
import { bySection, startsOf } from '../../resources/js/features/sitting/sections';

const PAPER = [
  { name: 'Ground', questions: 3 },
  { name: 'Craft', questions: 2 },
];

test('sections begin where those before them end', () => {
  expect([...startsOf(PAPER)]).toEqual([
    [0, 'Ground'],
    [3, 'Craft'],
  ]);
  expect(startsOf([{ name: 'All of it', questions: 60 }]).size).toBe(0);
  expect(startsOf([]).size).toBe(0);
});

test('questions are told by their sections', () => {
  const at = (position: number) => ({ position });
  expect(bySection([at(1), at(2), at(3)], startsOf(PAPER))).toEqual([
    ['Ground', [at(1), at(2)]],
    ['Craft', [at(3)]],
  ]);
  expect(bySection([at(1), at(4)], startsOf([]))).toEqual([[null, [at(1), at(4)]]]);
  expect(bySection([], startsOf(PAPER))).toEqual([]);
});
