/** Hours and minutes with a colon, with their signs, or minutes alone. */
const FORMS = [
  /^(?<hours>\d+)\s*[:.]\s*(?<minutes>[0-5]\d)\s*(h|hours?)?$/,
  /^(?<hours>\d+(?:[.,]\d+)?)\s*(?:h|hours?)\s*(?:(?<minutes>\d+)\s*(?:m|min|minutes?)?)?$/,
  /^(?<minutes>\d+)\s*(?:m|min|minutes?)?$/,
];

/**
 * What somebody means who types a time: "90", "1:30", "1 h 30", "1.5 h", "45 min".
 *
 * @returns whole minutes; null: it is no time
 */
export function minutesOf(text: string): number | null {
  for (const form of FORMS) {
    const found = form.exec(text.trim().toLowerCase())?.groups;
    if (found) return Math.round(60 * Number((found.hours ?? '0').replace(',', '.')) + Number(found.minutes ?? 0));
  }
  return null;
}
