import type { View } from '../../../api/client';
import { plain } from '../../../ui/plain';

/** What is right in each part that asks for something of its own, in a line. */
export function asked({ parts }: View<'Explanation'>, mark: (part: View<'Part'>) => string): string {
  return parts
    .filter(({ role }) => role === 'row' || role === 'gap' || role === 'number')
    .map((part) => `${part.role === 'number' ? '' : mark(part)} ${plain(part.right ?? '')}`.trim())
    .join(' · ');
}
