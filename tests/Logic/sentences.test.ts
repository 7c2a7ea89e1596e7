import { describe, expect, it } from 'vitest';
import { amongOthers } from '../../resources/js/features/progress/amongOthers';
import { whenWell } from '../../resources/js/features/progress/whenWell';
import { changed, shifted } from '../../resources/js/features/result/against';
import { plainDate, sinceMonday, weekday } from '../../resources/js/ui/dates';
import { addressOf, pageIn } from '../../resources/js/ui/useInAddress';
import { fileName } from '../../resources/js/ui/download';
import { points } from '../../resources/js/ui/points';

const spell = (from: number, off: number, clear = true, n = 30) => ({ from, off, clear, n });
const shift = (by: number, clear: boolean, low = by - 0.1, high = by + 0.1) => ({ by, low, high, clear });

describe('when somebody does well', () => {
  it('names the clearest hour and part of a session, better and worse', () => {
    expect(whenWell([spell(9, 0.08), spell(10, 0.12), spell(22, -0.2, true, 1)], [spell(120, -0.15)])).toBe(
      'Against what was expected you do better between 10 and 11 o’clock, by 12 points in a hundred (30 answers); worse between 22 and 23 o’clock, by 20 points in a hundred (1 answer); worse after two hours of a session, by 15 points in a hundred (30 answers).',
    );
    expect(whenWell([], [spell(10, 0.05)])).toContain('better from minute 10 to 20 of a session, by 5 points');
  });
  it('says nothing of what chance would do', () => {
    expect(whenWell([spell(9, 0.5, false)], [spell(0, -0.5, false)])).toBe(
      'No hour and no part of a session stands out by more than chance.',
    );
  });
});

describe('a place among others', () => {
  const cohort = { n: 120, fewest: 20, percentile: 0.624, sitting: 'x' };
  it('says what is missing, or where one stands', () => {
    expect(amongOthers(cohort)).toBe(
      'Of 120 others who sat a whole paper or rehearsal, about 62 in a hundred came out below you.',
    );
    expect(amongOthers({ ...cohort, n: 0 })).toMatch(/^Nobody else has sat .* from 20 on\.$/);
    expect(amongOthers({ ...cohort, n: 1 })).toMatch(/^Only 1 other has sat/);
    expect(amongOthers({ ...cohort, n: 19 })).toMatch(/^Only 19 others have sat/);
    expect(amongOthers({ ...cohort, sitting: null, percentile: null })).toBe(
      '120 others have sat the whole exam. Sit a paper or a rehearsal to see your place.',
    );
  });
});

describe('two results', () => {
  const topics = [
    { name: 'Maps', shift: shift(0.3, true) },
    { name: 'Weather', shift: shift(-0.3, true) },
    { name: 'Ropes', shift: shift(0.4, false) },
    { name: 'Law', shift: null },
  ];
  it('tells what is clear, and what chance alone may do', () => {
    expect(shifted({ adaptive: false, shift: shift(0.12, true), topics })).toBe(
      'Up by 12 points in all, more than chance would have it (+2 to +22). Clearly better: Maps. Clearly worse: Weather.',
    );
    expect(shifted({ adaptive: false, shift: shift(-0.01, false), topics: [] })).toBe(
      '1 point down in all, which chance alone may do (−11 to +9).',
    );
    expect(shifted({ adaptive: false, shift: shift(0.001, false), topics: [] })).toMatch(/^As good as before in all/);
    expect(shifted({ adaptive: true, shift: null, topics: [] })).toContain('shares are not compared');
    expect(shifted({ adaptive: false, shift: null, topics: [] })).toContain('nothing that is marked');
  });
  it('tells a change in a cell', () => {
    expect(changed(shift(0.2, true))).toBe('▲ +20');
    expect(changed(shift(-0.2, false))).toBe('▼ −20, perhaps');
    expect(changed(shift(0.004, false))).toBe('as before');
  });
});

describe('points and dates', () => {
  it('has a sign, and no minus zero', () => {
    expect([0.285, -0.285, 0, -0.001].map(points)).toEqual(['+29', '−28', '0', '0']);
  });
  it('does not depend on where it is read', () => {
    expect(plainDate('2026-05-31')).toBe('31 May 2026');
    expect(weekday('2026-05-31')).toBe('Sun 31 May');
  });
  it('counts the days of a week from Monday', () => {
    // A Monday, a Saturday, a Sunday.
    expect(['2026-06-01', '2026-06-06', '2026-06-07'].map((date) => sinceMonday(Date.parse(date)))).toEqual([0, 5, 6]);
  });
});

describe('an address and a file', () => {
  it('leaves out what is empty', () => {
    expect(
      addressOf([
        ['words', 'föhn & fog'],
        ['topic', ''],
      ]).toString(),
    ).toBe('words=f%C3%B6hn+%26+fog');
  });
  it('asks for a page there may be', () => {
    expect(
      ['', 'page=3', 'page=0', 'page=-7', 'page=x', 'page=2.9'].map((at) => pageIn(new URLSearchParams(at))),
    ).toEqual([1, 3, 1, 1, 1, 2]);
  });
  it('names a file by a title', () => {
    expect(fileName('Guide Licence: library', 'csv')).toBe('Guide-Licence-library.csv');
    expect(fileName('…', 'ics')).toBe('test.ics');
  });
});
