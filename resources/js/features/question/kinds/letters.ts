/** What stands before the option at a place: A to Z, then AA, AB … */
export function letter(place: number): string {
  const last = String.fromCharCode(65 + (place % 26));
  return place < 26 ? last : letter(Math.floor(place / 26) - 1) + last;
}

/** Ids that letters stand for; null: one of them stands for nothing. */
export function idsOf(typed: string, of: readonly { id: string }[]): string[] | null {
  const signs = typed.toUpperCase();
  // Beyond Z a code has two letters, so they need something between them.
  const codes = of.length > 26 ? signs.split(/[\s,;]+/) : [...signs.replace(/[\s,;]+/g, '')];
  const ids = codes.filter(Boolean).map((code) => of.find((_, i) => letter(i) === code)?.id);
  return ids.every((id) => id !== undefined) && ids.length > 0 ? (ids as string[]) : null;
}

/** The other way round. */
export function lettersOf(ids: readonly string[], of: readonly { id: string }[]): string {
  return ids.map((id) => letter(of.findIndex((one) => one.id === id))).join(of.length > 26 ? ', ' : '');
}
