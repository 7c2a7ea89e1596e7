import type { View } from '../../api/client';

/** Of pages that were read, those with a note or marks. */
export function withOwn(pages: readonly View<'PageKept'>[]): View<'PageKept'>[] {
  return pages.filter(({ note, highlights }) => note !== '' || highlights.length > 0);
}
