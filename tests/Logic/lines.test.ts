import { describe, expect, test } from 'vitest';
import { FILTERS, filterNamed, filtersOf, sorted, type Line } from '../../resources/js/features/result/lines';
import { fileName } from '../../resources/js/ui/download';

const line = (position: number, more: Partial<Line> = {}): Line => ({
  position,
  question: position,
  excerpt: '',
  topic: 'Weather',
  subtopic: 'Wind',
  difficulty: 'easy',
  kind: 'single',
  outcome: 'right',
  marks: '1',
  possible: '1',
  activeMs: 1000 * (position + 1),
  cohortMs: null,
  facility: null,
  sureness: null,
  footing: null,
  closed: false,
  tempo: null,
  change: null,
  changes: 0,
  tries: 0,
  ruledOut: 0,
  keyRuledOut: false,
  rapid: false,
  flagged: false,
  starred: false,
  noted: false,
  cause: null,
  inGapBook: false,
  ...more,
});

const positions = (lines: Line[]) => lines.map(({ position }) => position);

describe('which questions are looked at', () => {
  const lines = [
    line(0),
    line(1, { outcome: 'missed', tempo: 'fast', footing: 'false_footing', inGapBook: true }),
    line(2, { outcome: 'left_blank', tempo: 'slow', flagged: true }),
    line(3, { outcome: 'missed', tempo: 'slow', changes: 2 }),
  ];

  test('each filter leaves its own', () => {
    const left = (name: keyof typeof FILTERS) => positions(lines.filter(FILTERS[name][1]));
    expect(left('all')).toEqual([0, 1, 2, 3]);
    expect(left('again')).toEqual([1, 2, 3]);
    expect(left('missed')).toEqual([1, 3]);
    expect(left('left_blank')).toEqual([2]);
    expect(left('slow')).toEqual([2, 3]);
    expect(left('fast_missed')).toEqual([1]);
    expect(left('false_footing')).toEqual([1]);
    expect(left('flagged')).toEqual([2]);
    expect(left('changed')).toEqual([3]);
    expect(left('gap_book')).toEqual([1]);
  });

  test('only filters that leave anything are offered, and all always', () => {
    expect(filtersOf([line(0)])).toEqual([['all', 1]]);
    expect(filtersOf([])).toEqual([['all', 0]]);
    expect(Object.fromEntries(filtersOf(lines))).toMatchObject({ all: 4, again: 3, missed: 2, slow: 2 });
  });

  test('what an address names may be nonsense', () => {
    expect(filterNamed('missed')).toBe('missed');
    for (const nonsense of [null, '', 'toString', '__proto__', 'nothing']) expect(filterNamed(nonsense)).toBeNull();
  });
});

describe('the order of a table', () => {
  test('what is not known comes last whichever way, and what is alike stays in the order of the test', () => {
    const lines = [
      line(0, { facility: 0.5 }),
      line(1),
      line(2, { facility: 0.2 }),
      line(3, { facility: 0.5 }),
      line(4),
    ];
    expect(positions(sorted(lines, 'facility', false))).toEqual([2, 0, 3, 1, 4]);
    expect(positions(sorted(lines, 'facility', true))).toEqual([0, 3, 2, 1, 4]);
    expect(positions(sorted(lines, 'question', true))).toEqual([4, 3, 2, 1, 0]);
  });

  test('words go by the alphabet, outcomes by how much there is to learn', () => {
    const lines = [line(0, { topic: 'Rope' }), line(1, { outcome: 'missed' }), line(2, { topic: 'Äther' })];
    expect(positions(sorted(lines, 'topic', false))).toEqual([2, 0, 1]);
    expect(positions(sorted(lines, 'outcome', false))).toEqual([1, 0, 2]);
    expect(positions(sorted([line(0, { outcome: 'not_reached' }), line(1)], 'time', false))).toEqual([1, 0]);
  });
});

test('a file is named after its test, whatever that is called', () => {
  expect(fileName('All topics · 40', 'csv')).toBe('All-topics-40.csv');
  expect(fileName('../..\\ <Über> "x"', 'json')).toBe('Über-x.json');
  expect(fileName('???', 'csv')).toBe('test.csv');
  expect(fileName('a'.repeat(200), 'csv')).toHaveLength(64);
});
