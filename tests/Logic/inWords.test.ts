import { expect, test } from 'vitest';
import type { Kind, Question } from '../../resources/js/features/question/kinds/kind';
import { inWords } from '../../resources/js/features/question/kinds/inWords';
import type { Response } from '../../resources/js/features/question/response';

const parts = (...texts: string[]) => texts.map((text, i) => ({ id: `p${i + 1}`, text }));
const rows = (...texts: string[]) => parts(...texts).map((row) => ({ ...row, choices: null }));
const picture = { file: '/x.svg', alt: 'A', width: 1, height: 1 };

const SAID: Record<Kind, [Question['body'], Response, string]> = {
  single: [
    { kind: 'single', limit: 1, voids: false, options: parts('A **bold** one', 'B') },
    { choice: 'p1' },
    'A bold one',
  ],
  several: [
    { kind: 'several', limit: null, voids: false, options: parts('A', 'B', 'C') },
    { choices: ['p3', 'p1'] },
    'A; C',
  ],
  true_false_grid: [
    { kind: 'true_false_grid', rows: rows('Wet', 'Dry'), choices: parts('True', 'False') },
    { rows: { p2: 'p2' } },
    'Dry: False',
  ],
  matching: [
    { kind: 'matching', rows: rows('Perch', 'Mole'), choices: parts('Water', 'Ground') },
    { rows: { p1: 'p1', p2: 'p2' } },
    'Perch: Water; Mole: Ground',
  ],
  grouping: [
    { kind: 'grouping', rows: rows('Saw'), choices: parts('Fruit', 'Tools') },
    { rows: { p1: 'p2' } },
    'Saw: Tools',
  ],
  dropdown_gaps: [
    {
      kind: 'dropdown_gaps',
      rows: [{ id: 'g1', text: '', choices: parts('east', 'west') }, ...rows('')],
      choices: parts('north'),
    },
    { rows: { g1: 'p2', p1: 'p1' } },
    'west; north',
  ],
  typed_gaps: [{ kind: 'typed_gaps', gaps: ['a', 'b'] }, { gaps: { a: 'ice', b: 'snow' } }, 'ice; snow'],
  ordering: [{ kind: 'ordering', items: parts('One', 'Two') }, { order: ['p2', 'p1'] }, 'Two → One'],
  number: [{ kind: 'number', suffix: null, asksUnit: true }, { text: '1.5', unit: 'km' }, '1.5 km'],
  picture: [{ kind: 'picture', points: 2, picture }, { points: [{ x: 0, y: 0 }] }, '1 point'],
  written: [{ kind: 'written' }, { text: 'A sentence.' }, 'A sentence.'],
};

test.each(Object.entries(SAID))('a response is said as one would say it: %s', (_, [body, response, words]) => {
  expect(inWords(body, response)).toBe(words);
});

test('what is not among the options any more is said to be unknown', () => {
  expect(inWords(SAID.single[0], { choice: 'gone' })).toBe('?');
});
