import type { View } from '../../api/client';
import { count } from '../../ui/words';

/** How many questions refer to a section, and how one stands with them. */
export function asked({ all, seen, right, gaps }: View<'SectionQuestions'>): string {
  const refer = `${count(all, 'question refers', 'questions refer')} to this section`;
  if (seen === 0) return `${refer}; ${all === 1 ? 'it is' : 'all are'} new to you.`;
  return `${refer}; you have met ${seen}, ${right} right at the latest look${gaps > 0 ? `, ${gaps} in your gap book` : ''}.`;
}
