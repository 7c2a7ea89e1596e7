const DAY = new Intl.DateTimeFormat('en-GB', { day: 'numeric', month: 'short', year: 'numeric', timeZone: 'UTC' });
const WEEKDAY = new Intl.DateTimeFormat('en-GB', { weekday: 'short', day: 'numeric', month: 'short', timeZone: 'UTC' });

/** A date such as "2026-05-31" in words: "31 May 2026". */
export function plainDate(date: string): string {
  return DAY.format(Date.parse(date));
}

/** How many days a date, at midnight UTC, lies after the Monday on which its week begins. */
export function sinceMonday(at: number): number {
  return (new Date(at).getUTCDay() + 6) % 7;
}

/** A date near to today in words: "Sun 31 May". */
export function weekday(date: string): string {
  return WEEKDAY.format(Date.parse(date)).replace(',', '');
}
