import { part } from '../../../ui/part';

/** What drags and zooms: a page without anything to be moved does not need it. */
export const dragList = part('drag-list', () => import('./ordering/DragList'));
export const dragRows = part('drag-rows', () => import('./rows/DragRows'));
export const zoom = part('zoom', () => import('../../../ui/zoom'));
