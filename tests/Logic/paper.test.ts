import { expect, test } from 'vitest';
import type { View } from '../../resources/js/api/client';
import { letter } from '../../resources/js/features/question/kinds/letters';
import { codeOf, readCode, writtenCode } from '../../resources/js/features/question/kinds/paper';

type Body = View<'Question'>['body'];
const options = (n: number, of = 'o') => Array.from({ length: n }, (_, i) => ({ id: `${of}${i}`, text: `T${i}` }));
const rows = (n: number, choices: { id: string; text: string }[] | null = null) =>
  options(n, 'r').map((row) => ({ ...row, choices }));

const SINGLE: Body = { kind: 'single', options: options(4), limit: null, voids: false };
const SEVERAL: Body = { kind: 'several', options: options(6), limit: 3, voids: false };
const LONG: Body = { kind: 'several', options: options(40), limit: null, voids: false };
const ORDER: Body = { kind: 'ordering', items: options(4, 'i') };
const GRID: Body = { kind: 'true_false_grid', rows: rows(3), choices: options(2, 'c') };
const DROPDOWN: Body = { kind: 'dropdown_gaps', rows: rows(2, options(3, 'c')), choices: [] };
const GAPS: Body = { kind: 'typed_gaps', gaps: ['g1', 'g2'] };
const NUMBER: Body = { kind: 'number', suffix: 'm', asksUnit: false };
const UNIT: Body = { kind: 'number', suffix: null, asksUnit: true };

test.each([
  [SINGLE, 'b', { choice: 'o1' }],
  [SINGLE, ' D ', { choice: 'o3' }],
  [SEVERAL, 'fac', { choices: ['o5', 'o0', 'o2'] }],
  [SEVERAL, 'A, C', { choices: ['o0', 'o2'] }],
  [LONG, 'A, ab ; AN', { choices: ['o0', 'o27', 'o39'] }],
  [ORDER, 'dbca', { order: ['i3', 'i1', 'i2', 'i0'] }],
  [GRID, 'ab-', { rows: { r0: 'c0', r1: 'c1' } }],
  [GRID, '-b', { rows: { r1: 'c1' } }],
  [DROPDOWN, 'CA', { rows: { r0: 'c2', r1: 'c0' } }],
  [GAPS, 'north; ten miles', { gaps: { g1: 'north', g2: 'ten miles' } }],
  [GAPS, ';east', { gaps: { g2: 'east' } }],
  [NUMBER, '1 250,5', { text: '1 250,5' }],
  [UNIT, '3.5km/h', { text: '3.5', unit: 'km/h' }],
  [UNIT, '1 250 m', { text: '1 250', unit: 'm' }],
  [UNIT, '12', { text: '12' }],
] as const)('%j typed as "%s" is the answer', (body, text, response) => {
  expect(readCode(body, text)).toEqual({ response });
  // What one sees again is what one would type.
  expect(readCode(body, writtenCode(body, response as never))).toEqual({ response });
});

test.each([
  [SINGLE, 'e'],
  [SINGLE, 'ab'],
  [SEVERAL, 'aa'],
  [SEVERAL, 'ag'],
  [LONG, 'A, AO'],
  [ORDER, 'abc'],
  [ORDER, 'abcc'],
  [GRID, 'abab'],
  [GRID, 'abc'],
  [GAPS, 'a;b;c'],
  [UNIT, 'metres'],
] as const)('%j typed as "%s" is told to be amiss', (body, text) => {
  expect(readCode(body, text).fault).toBeTruthy();
});

test('nothing typed is nothing answered', () => {
  for (const body of [SINGLE, SEVERAL, ORDER, GRID, GAPS, NUMBER]) {
    expect(readCode(body, '  ')).toEqual({ response: null });
    expect(writtenCode(body, null)).toBe('');
  }
  expect(readCode(GRID, '---')).toEqual({ response: null });
});

test('letters go on after Z', () => {
  expect([0, 25, 26, 51, 52].map(letter)).toEqual(['A', 'Z', 'AA', 'AZ', 'BA']);
});

test('pictures and written answers have a field of their own', () => {
  const picture: Body = { kind: 'picture', points: 1, picture: { file: 'f', alt: 'a', width: 1, height: 1 } };
  expect([picture, { kind: 'written' } as Body, SINGLE].map((body) => codeOf(body) !== null)).toEqual([
    false,
    false,
    true,
  ]);
  expect(codeOf(ORDER)?.hint(ORDER)).toBe('all 4, such as DCBA');
});
