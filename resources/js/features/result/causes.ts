import type { Line } from './lines';

export type Cause = NonNullable<Line['cause']>;

/** Why an answer went wrong, in the candidate's words. */
export const CAUSES: Record<Cause, string> = {
  misread: 'Misread it',
  mixed_up: 'Mixed two things up',
  never_knew: 'Never knew it',
  worked_out_wrong: 'Worked it out wrong',
  rushed: 'Rushed',
  other: 'Something else',
};
