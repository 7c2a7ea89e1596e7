import type { View } from '../../api/client';
import { pageIn } from '../../ui/useInAddress';

export type CardsWanted = View<'CardsRequest'>;

/** Which cards an address asks for. */
export function readCards(search: URLSearchParams): CardsWanted {
  const show = search.get('show');
  return {
    show: show === 'due' || show === 'suspended' ? show : 'all',
    words: search.get('words'),
    section: search.get('section'),
    page: pageIn(search),
  };
}

export function writeCards({ show, words, section, page }: CardsWanted): [string, string][] {
  return [
    ['show', show === 'all' ? '' : show],
    ['words', words ?? ''],
    ['section', section ?? ''],
    ['page', page === 1 ? '' : String(page)],
  ];
}
