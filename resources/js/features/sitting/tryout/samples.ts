import type { View } from '../../../api/client';
import type { Kind, Question } from '../../question/kinds/kind';
import picture from './try-out.svg';

type Body = Question['body'];

const parts = (...texts: string[]) => texts.map((text, i) => ({ id: `p${i + 1}`, text }));
const rows = (...texts: string[]): View<'Row'>[] => parts(...texts).map((row) => ({ ...row, choices: null }));

/** A question of each kind that everybody can answer: what is tried out is the screen. */
const SAMPLES: Record<Kind, { stem: string; body: Body }> = {
  single: {
    stem: 'Which of these is a bird?',
    body: { kind: 'single', limit: 1, voids: false, options: parts('A trout', 'A heron', 'A beetle', 'A birch') },
  },
  several: {
    stem: 'Which **two** of these can be drunk?',
    body: { kind: 'several', limit: 2, voids: false, options: parts('Tea', 'Slate', 'Milk', 'Wool', 'Sand') },
  },
  true_false_grid: {
    stem: 'Say of each sentence whether it is true.',
    body: {
      kind: 'true_false_grid',
      rows: rows('A week has seven days.', 'Snow is warm.', 'Ten is more than nine.'),
      choices: parts('True', 'False'),
    },
  },
  ordering: {
    stem: 'Put these numbers in order, the smallest first.',
    body: { kind: 'ordering', items: parts('Twelve', 'Three', 'Seven', 'One') },
  },
  matching: {
    stem: 'Match each animal with where it lives.',
    body: {
      kind: 'matching',
      rows: rows('Perch', 'Mole', 'Swift'),
      choices: parts('In the air', 'In the water', 'In the ground', 'In a shell'),
    },
  },
  grouping: {
    stem: 'Sort these into fruit and tools.',
    body: { kind: 'grouping', rows: rows('Apple', 'Hammer', 'Plum', 'Saw'), choices: parts('Fruit', 'Tools') },
  },
  dropdown_gaps: {
    stem: 'The sun rises in the [[p1]] and sets in the [[p2]].',
    body: { kind: 'dropdown_gaps', rows: rows('', ''), choices: parts('east', 'west', 'north') },
  },
  typed_gaps: {
    stem: 'Water that is frozen is called [[p1]].',
    body: { kind: 'typed_gaps', gaps: ['p1'] },
  },
  number: {
    stem: 'How many minutes are an hour and a half?',
    body: { kind: 'number', suffix: 'min', asksUnit: false },
  },
  picture: {
    stem: 'Point at the house.',
    body: {
      kind: 'picture',
      points: 1,
      picture: {
        file: picture,
        alt: 'A hill, a lake to the left of it, and a house to the right.',
        width: 480,
        height: 300,
      },
    },
  },
  written: {
    stem: 'Write a sentence about the weather today.',
    body: { kind: 'written' },
  },
};

/** One question of each of these kinds. */
export function samplesOf(kinds: readonly Kind[]): Question[] {
  return kinds.map((kind, position) => ({ position, marks: '1', penalty: null, unit: null, ...SAMPLES[kind] }));
}
