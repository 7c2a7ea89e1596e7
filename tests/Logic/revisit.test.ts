import { describe, expect, it } from 'vitest';
import { asked } from '../../resources/js/features/handbook/asked';
import { readMet, writeMet } from '../../resources/js/features/library/libraryFilters';
import { dueSaid } from '../../resources/js/features/revisit/dueSaid';
import { causeName, inTheBook, readFilters, writeFilters } from '../../resources/js/features/revisit/gapFilters';

describe('the gap book', () => {
  it('says what is in it', () => {
    expect(inTheBook({ open: 0, closing: 0, closed: 0 })).toMatch(/^Nothing has gone wrong yet/);
    expect(inTheBook({ open: 0, closing: 0, closed: 3 })).toMatch(/^All 3 have closed/);
    expect(inTheBook({ open: 5, closing: 2, closed: 1 })).toBe('7 to close, 2 of them right once already; 1 closed.');
    expect(inTheBook({ open: 5, closing: 0, closed: 0 })).toBe('5 to close; 0 closed.');
  });
  it('keeps what is looked for in the address, and reads nothing else from it', () => {
    const wanted = { topic: 'nav', cause: 'none' as const, section: 'nav.map', state: 'closing' as const, page: 3 };
    expect(readFilters(new URLSearchParams(writeFilters(wanted)))).toEqual(wanted);
    expect(readFilters(new URLSearchParams('state=toString&page=-2'))).toEqual({
      topic: null,
      cause: null,
      section: null,
      state: null,
      page: 1,
    });
  });
  it('names a cause', () => {
    expect([causeName('rushed'), causeName('none')]).toEqual(['Rushed', 'Not named yet']);
  });
});

describe('revisits', () => {
  it('says what is due and what comes', () => {
    expect(dueSaid({ due: 0, coming: 0, examDate: null })).toBe('Nothing is due.');
    expect(dueSaid({ due: 0, coming: 4, examDate: null })).toBe('Nothing is due today; 4 come back.');
    expect(dueSaid({ due: 1, coming: 0, examDate: null })).toBe('1 is due today.');
    expect(dueSaid({ due: 7, coming: 4, examDate: '2026-05-31' })).toBe(
      '7 are due today; 4 more come back before the exam.',
    );
  });
});

describe('the library', () => {
  it('keeps what is looked for in the address, and reads nothing else from it', () => {
    const wanted = { words: 'föhn "lee side"', topic: 'wx', pool: 'with_notes' as const, page: 2, everywhere: true };
    expect(readMet(new URLSearchParams(writeMet(wanted)))).toEqual(wanted);
    expect(readMet(new URLSearchParams('pool=new&page=x'))).toEqual({
      words: null,
      topic: null,
      pool: null,
      page: 1,
      everywhere: false,
    });
  });
});

describe('a section of the handbook', () => {
  it('says what is asked on it', () => {
    expect(asked({ all: 1, seen: 0, right: 0, gaps: 0 })).toBe('1 question refers to this section; it is new to you.');
    expect(asked({ all: 4, seen: 0, right: 0, gaps: 0 })).toBe(
      '4 questions refer to this section; all are new to you.',
    );
    expect(asked({ all: 4, seen: 3, right: 1, gaps: 2 })).toBe(
      '4 questions refer to this section; you have met 3, 1 right at the latest look, 2 in your gap book.',
    );
    expect(asked({ all: 4, seen: 3, right: 3, gaps: 0 })).toMatch(/latest look\.$/);
  });
});
