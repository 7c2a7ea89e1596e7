import type { View } from '../../../api/client';

export type SittingEvent = View<'SittingEvent'>;
export type Kind = SittingEvent['kind'];

/** What is done to a question and says nothing of where one is or what has ended. */
const MARKS: ReadonlySet<Kind> = new Set<Kind>(['answered', 'flagged', 'struck', 'sureness']);

export function isMark(event: SittingEvent): boolean {
  return MARKS.has(event.kind);
}

/** How many questions have an answer among some events. */
export function answersIn(events: readonly SittingEvent[]): number {
  return new Set(events.filter(({ kind }) => kind === 'answered').map(({ position }) => position)).size;
}
