import type { View } from '../../api/client';
import { count } from '../../ui/words';

type Plan = Pick<View<'Plan'>, 'weeks' | 'missingMs' | 'leftOut' | 'leftOutRevisits' | 'leftOutRehearsals'>;

/** What a plan comes to, in a sentence or three. */
export function planned({ weeks, missingMs, leftOut, leftOutRevisits, leftOutRehearsals }: Plan): string {
  const all = weeks.reduce((sum, { plannedMs }) => sum + plannedMs, 0);
  const fresh = weeks.reduce((sum, week) => sum + week.new.reduce((n, part) => n + part.questions, 0), 0);
  const length = `${count(weeks.length, 'week')}, ${hours(all)}`;
  if (missingMs === 0)
    return `${length}. It fits: ${fresh === 0 ? 'you have met all there is' : 'all is met in time'}.`;
  const unmet = leftOut.reduce((n, part) => n + part.questions, 0);
  const out = [
    unmet > 0 &&
      `${count(unmet, 'question')} never met (${leftOut.map((part) => `${part.name} ${part.questions}`).join(', ')})`,
    leftOutRevisits > 0 && count(leftOutRevisits, 'revisit'),
    leftOutRehearsals > 0 && count(leftOutRehearsals, 'rehearsal'),
  ].filter(Boolean);
  return `${length}. It does not fit: ${hours(missingMs)} are missing. Left out would be ${out.join('; ')}.`;
}

/** Hours to the half: nobody plans by the minute. */
export function hours(ms: number): string {
  const n = Math.max(0.5, Math.round(ms / 1_800_000) / 2);
  return `${n} ${n === 1 ? 'hour' : 'hours'}`;
}
