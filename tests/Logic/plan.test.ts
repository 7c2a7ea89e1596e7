import { describe, expect, it } from 'vitest';
import { hours, planned } from '../../resources/js/features/plan/planned';
import { weekSaid } from '../../resources/js/features/today/weekSaid';

const part = (name: string, questions: number) => ({ code: name, name, questions });
const week = (plannedMs: number, fresh = 3) => ({
  from: '2026-06-01',
  to: '2026-06-07',
  days: 5,
  ms: plannedMs,
  plannedMs,
  revisits: 0,
  new: fresh > 0 ? [part('Maps', fresh)] : [],
  weak: [],
  rehearsal: null,
});
const plan = { weeks: [week(18_000_000)], missingMs: 0, leftOut: [], leftOutRevisits: 0, leftOutRehearsals: 0 };

describe('what a plan comes to', () => {
  it('says that it fits', () => {
    expect(planned(plan)).toBe('1 week, 5 hours. It fits: all is met in time.');
    expect(planned({ ...plan, weeks: [week(3_600_000, 0), week(0, 0)] })).toBe(
      '2 weeks, 1 hour. It fits: you have met all there is.',
    );
  });
  it('says by how much it does not fit, and what is left out', () => {
    expect(
      planned({
        ...plan,
        missingMs: 8_000_000,
        leftOut: [part('Maps', 12), part('Weather', 1)],
        leftOutRevisits: 1,
        leftOutRehearsals: 2,
      }),
    ).toBe(
      '1 week, 5 hours. It does not fit: 2 hours are missing. Left out would be 13 questions never met (Maps 12, Weather 1); 1 revisit; 2 rehearsals.',
    );
  });
  it('counts in halves of an hour, and never none', () => {
    expect([0, 60_000, 5_300_000, 3_600_000].map(hours)).toEqual(['0.5 hours', '0.5 hours', '1.5 hours', '1 hour']);
  });
});

describe('a week against its plan', () => {
  const told = {
    from: '2026-06-01',
    questions: 80,
    answered: 32,
    ms: 14_400_000,
    spentMs: 4_810_000,
    rehearsal: true,
    rehearsed: 0,
  };
  it('says what was done and what is to come', () => {
    expect(weekSaid(told)).toBe('32 of 80 questions; 1\u202fh 20\u202fmin of 4\u202fh; a rehearsal to come');
    expect(weekSaid({ ...told, rehearsed: 1 })).toMatch(/a rehearsal sat$/);
    expect(weekSaid({ ...told, rehearsed: 2 })).toMatch(/2 rehearsals sat$/);
    expect(weekSaid({ ...told, answered: 80, rehearsal: false, spentMs: 0 })).toBe(
      '80 of 80 questions, all that was planned; no time yet of 4\u202fh',
    );
    expect(weekSaid({ ...told, answered: 0, questions: 0, rehearsal: false })).toMatch(/^nothing is planned/);
  });
});
