import type { QueryClient } from '@tanstack/react-query';
import { part } from '../../../ui/part';
import { player } from '../../../ui/Media';
import { dragList, dragRows, zoom } from '../../question/kinds/parts';

export const calculator = part('calculator', () => import('./Calculator'));
export const moreTools = part('more tools', () => import('./MoreTools'));
export const scratch = part('scratch', () => import('./Scratch'));

/** Fetched a while after a sitting is opened, so that all of it is there when the connection is lost. */
export function haveAtHand(queries: QueryClient): void {
  void queries.prefetchQuery(calculator);
  void queries.prefetchQuery(moreTools);
  void queries.prefetchQuery(scratch);
  void queries.prefetchQuery(dragList);
  void queries.prefetchQuery(dragRows);
  void queries.prefetchQuery(zoom);
  void queries.prefetchQuery(player);
}
