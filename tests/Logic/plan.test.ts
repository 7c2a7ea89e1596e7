import { describe, expect, it } from 'vitest';
import { hours, planned, spareSaid } from '../../resources/js/features/plan/planned';
import { besideExam, lineSaid } from '../../resources/js/features/progress/trend';
import { weekSaid } from '../../resources/js/features/today/weekSaid';

const part = (name: string, questions: number) => ({ code: name, name, questions });
const week = (plannedMs: number, fresh = 3) => ({
  from: '2026-06-01',
  to: '2026-06-07',
  days: 5,
  ms: plannedMs,
  plannedMs,
  spareMs: 0,
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
  it('says what is left over, and what for', () => {
    const spare = { ...week(18_000_000), spareMs: 5_400_000 };
    expect(planned({ ...plan, weeks: [spare, spare] })).toBe(
      '2 weeks, 10 hours. It fits: all is met in time. Left over: 3 hours, for rehearsals and papers, the handbook and your cards.',
    );
    expect(spareSaid(1_700_000)).toBe('');
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

describe('how tests came out', () => {
  const sat = (share: number, n: number, expected: number | null, line: number | null = share) => ({
    sitting: 's',
    at: 1,
    mode: 'timed' as const,
    n,
    share,
    low: 0,
    high: 1,
    line,
    expected,
  });
  const outlook = { chance: 0.5, low: 0.3, high: 0.7, expected: 39, questions: 60, needed: 39 };
  it('says where the line stands, and draws none from four', () => {
    expect(lineSaid([sat(0.5, 10, null, null)], 0.65)).toBe('1 test so far: a line is drawn from five on.');
    expect(lineSaid([sat(0.6, 10, null), sat(0.7, 10, null)], 0.65)).toMatch(
      /stands at 70\s%, above the cut of 65\s%; it has risen by 10 points/,
    );
  });
  it('says where the tests were easier or harder than the exam, each weighing as many as its answers', () => {
    expect(besideExam([sat(0.8, 30, 0.84), sat(0.7, 10, 0.64)], { outlook, cut: 0.65 })).toMatch(
      /questions 79\s% is expected of you today, of the exam 65\s%: these tests were easier than the exam by 14 points\.$/,
    );
    expect(besideExam([sat(0.67, 30, 0.66)], { outlook, cut: 0.65 })).toMatch(/of the exam 65\s%: about as hard\.$/);
    expect(besideExam([sat(0.8, 30, 0.6)], { outlook, cut: 0.65 })).toMatch(
      /harder than the exam by 5 points\. In fact they came out at 80\s%: what is expected goes by first looks/,
    );
    // A line above the cut beside an outlook below it does not stand unexplained.
    expect(besideExam([sat(0.67, 30, 0.66)], { outlook: { ...outlook, chance: 0.3 }, cut: 0.65 })).toMatch(
      /about as hard\. The pass outlook lies on the other side of the cut/,
    );
    expect(besideExam([sat(0.8, 30, null)], { outlook, cut: 0.65 })).toBeNull();
    expect(besideExam([sat(0.8, 30, 0.8)], { outlook: null, cut: 0.65 })).toBeNull();
  });
});
