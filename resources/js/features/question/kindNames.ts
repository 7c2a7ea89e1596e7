/** Kinds of question, as they are called. */
export const KINDS = {
  single: 'single answer',
  several: 'several answers',
  true_false_grid: 'true or false',
  ordering: 'put in order',
  matching: 'matching',
  grouping: 'sort into groups',
  dropdown_gaps: 'gaps to choose',
  typed_gaps: 'gaps to type',
  number: 'number',
  picture: 'point on a picture',
  written: 'written',
} as const;
