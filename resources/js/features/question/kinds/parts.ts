import { part } from '../../../ui/part';

/** What drags: a page without anything to be put in order does not need it. */
export const dragList = part('drag', () => import('./DragList'));
