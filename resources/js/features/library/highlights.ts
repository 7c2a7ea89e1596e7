import type { View } from '../../api/client';

export type Highlight = View<'Highlight'>;
export type HighlightKind = Highlight['kind'];

/** Where some words stand in a text: the letters as they are read, without what marks them up. */
export interface Place {
  part: string;
  from: number;
  to: number;
  quote: string;
}

const LONGEST = 2000;

/** Words without the white space around them; null: there are none, or too many. */
export function tight(place: Place): Place | null {
  const before = place.quote.length - place.quote.trimStart().length;
  const quote = place.quote.trim();
  if (quote === '' || quote.length > LONGEST) return null;
  return { ...place, from: place.from + before, to: place.from + before + quote.length, quote };
}

/** All highlights with one more. Of two that meet, the newer has the words; two of a kind become one. */
export function withOne(all: readonly Highlight[], place: Place, kind: HighlightKind, text: string): Highlight[] {
  let { from, to } = place;
  // What was written beside words that become part of more stays with them.
  const notes: string[] = [];
  const rest: Highlight[] = [];
  for (const one of all) {
    if (one.part !== place.part || one.to < from || one.from > to) rest.push(one);
    else if (one.kind === kind) {
      from = Math.min(from, one.from);
      to = Math.max(to, one.to);
      notes.push(one.note);
    } else rest.push(...cut(one, place, text));
  }
  const note = notes.filter((one) => one !== '').join('\n');
  return [...rest, { part: place.part, from, to, kind, quote: text.slice(from, to), note }];
}

/** All highlights without those words. */
export function without(all: readonly Highlight[], place: Place, text: string): Highlight[] {
  return all.flatMap((one) => (one.part === place.part ? cut(one, place, text) : [one]));
}

/** All highlights, one of them with another note. */
export function noted(all: readonly Highlight[], of: Highlight, note: string): Highlight[] {
  return all.map((one) => (isOne(one, of) ? { ...one, note } : one));
}

/** Whether they are of the same words. */
export function isOne(one: Highlight, other: Pick<Highlight, 'part' | 'from' | 'kind'>): boolean {
  return one.part === other.part && one.from === other.from && one.kind === other.kind;
}

export function meets(one: Highlight, place: Place): boolean {
  return one.part === place.part && one.from < place.to && one.to > place.from;
}

function cut(one: Highlight, { from, to }: Place, text: string): Highlight[] {
  if (one.to <= from || one.from >= to) return [one];
  const piece = (start: number, end: number, note: string): Highlight[] => {
    const left = tight({ part: one.part, from: start, to: end, quote: text.slice(start, end) });
    return start < end && left ? [{ ...left, kind: one.kind, note }] : [];
  };
  const before = piece(one.from, from, one.note);
  return [...before, ...piece(to, one.to, before.length > 0 ? '' : one.note)];
}

/**
 * Where a highlight's words are in a text now: where they were, else where they are nearest to it (the question was
 * corrected), else nowhere.
 */
export function placed(one: Highlight, text: string): { from: number; to: number } | null {
  if (text.slice(one.from, one.to) === one.quote) return { from: one.from, to: one.to };
  let best: number | null = null;
  for (let at = text.indexOf(one.quote); at >= 0; at = text.indexOf(one.quote, at + 1)) {
    if (best === null || Math.abs(at - one.from) < Math.abs(best - one.from)) best = at;
  }
  return best === null ? null : { from: best, to: best + one.quote.length };
}
