import type { View } from '../../api/client';

/** What is due and what comes, in a sentence. */
export function dueSaid({ due, coming, examDate }: Pick<View<'Revisits'>, 'due' | 'coming' | 'examDate'>): string {
  const until = examDate ? ' before the exam' : '';
  if (due === 0) return coming === 0 ? 'Nothing is due.' : `Nothing is due today; ${coming} come back${until}.`;
  return `${due === 1 ? '1 is' : `${due} are`} due today${coming > 0 ? `; ${coming} more come back${until}` : ''}.`;
}
