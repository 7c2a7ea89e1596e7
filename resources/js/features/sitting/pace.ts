import type { View } from '../../api/client';

const MINUTE = 60_000;

/** What is said aloud once, when so many minutes are left. */
const SPOKEN = [10, 5, 1];

/**
 * How far ahead of the pace plan one is, in milliseconds; behind is negative. Planned time of the marks dealt with, less
 * the time that has gone. Null: there is no plan, for there is no limit for the whole.
 */
export function ahead(
  briefing: Pick<View<'Briefing'>, 'limitMs' | 'readingMs' | 'msPerMark'>,
  questions: readonly Pick<View<'Question'>, 'marks'>[],
  isDealtWith: (position: number) => boolean,
  remaining: number | null,
): number | null {
  const { limitMs, readingMs, msPerMark } = briefing;
  if (limitMs === null || msPerMark === null || remaining === null) return null;
  const marks = questions.reduce((sum, { marks: worth }, i) => sum + (isDealtWith(i) ? Number(worth) : 0), 0);
  return marks * msPerMark - (limitMs - readingMs - remaining);
}

/** "3 min ahead", "2 min behind", or "on pace" within a minute of it. */
export function paceWords(ms: number): string {
  const minutes = Math.trunc(Math.abs(ms) / MINUTE);
  if (minutes === 0) return 'on pace';
  return `${minutes}\u202fmin ${ms > 0 ? 'ahead' : 'behind'}`;
}

/** What a screen reader is told when time has gone from one moment to another; nothing most of the time. */
export function spoken(before: number, now: number): string | null {
  if (!SPOKEN.some((minutes) => before > minutes * MINUTE && now <= minutes * MINUTE)) return null;
  const left = Math.max(1, Math.ceil(now / MINUTE));
  return left === 1 ? '1 minute left' : `${left} minutes left`;
}

/** Whether all has been seen that comes before a break. What was taken along by an older version does not say. */
export function isTimeForBreak(
  { breakFrom }: Partial<Pick<View<'Briefing'>, 'breakFrom'>>,
  questions: readonly { position: number; seen: boolean }[],
): boolean {
  return breakFrom == null || questions.every(({ position, seen }) => position > breakFrom || seen);
}
