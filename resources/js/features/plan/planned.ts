import type { View } from '../../api/client';
import { count } from '../../ui/words';

type Plan = Pick<View<'Plan'>, 'weeks' | 'missingMs' | 'leftOut' | 'leftOutRevisits' | 'leftOutRehearsals'>;

/** What a plan comes to, in a sentence or three. */
export function planned({ weeks, missingMs, leftOut, leftOutRevisits, leftOutRehearsals }: Plan): string {
  const all = weeks.reduce((sum, { plannedMs }) => sum + plannedMs, 0);
  const fresh = weeks.reduce((sum, week) => sum + week.new.reduce((n, part) => n + part.questions, 0), 0);
  const length = `${count(weeks.length, 'week')}, ${hours(all)}`;
  const spare = spareSaid(weeks.reduce((sum, { spareMs }) => sum + spareMs, 0));
  if (missingMs === 0)
    return `${length}. It fits: ${fresh === 0 ? 'you have met all there is' : 'all is met in time'}.${spare && ` Left over: ${spare}.`}`;
  const unmet = leftOut.reduce((n, part) => n + part.questions, 0);
  const out = [
    unmet > 0 &&
      `${count(unmet, 'question')} never met (${leftOut.map((part) => `${part.name} ${part.questions}`).join(', ')})`,
    leftOutRevisits > 0 && count(leftOutRevisits, 'revisit'),
    leftOutRehearsals > 0 && count(leftOutRehearsals, 'rehearsal'),
  ].filter(Boolean);
  return `${length}. It does not fit: ${hours(missingMs)} are missing. Left out would be ${out.join('; ')}.`;
}

/** What to do with hours for which there are no questions left; nothing where there is no half hour of them. */
export function spareSaid(ms: number): string {
  return ms < 1_800_000 ? '' : `${hours(ms)}, for rehearsals and papers, the handbook and your cards`;
}

/** Hours to the half: nobody plans by the minute. */
export function hours(ms: number): string {
  const n = Math.max(0.5, Math.round(ms / 1_800_000) / 2);
  return `${n} ${n === 1 ? 'hour' : 'hours'}`;
}
