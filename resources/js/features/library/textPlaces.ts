import type { HighlightKind, Place } from './highlights';

const NAMES: Record<HighlightKind, string> = { marked: 'uplandia-marked', struck: 'uplandia-struck' };

/** Whether this browser can paint over a text without touching it. */
const canPaint = typeof CSS !== 'undefined' && 'highlights' in CSS;

/** Paints ranges at once; gives what takes them off again. */
export function unpainted(ranges: readonly [HighlightKind, Range][]): () => void {
  if (!canPaint) return () => {};
  const layer = (kind: HighlightKind) => {
    const there = CSS.highlights.get(NAMES[kind]) ?? new Highlight();
    CSS.highlights.set(NAMES[kind], there);
    return there;
  };
  for (const [kind, range] of ranges) layer(kind).add(range);
  return () => {
    for (const [kind, range] of ranges) layer(kind).delete(range);
  };
}

/** All letters of an element, in order. */
export function textIn(part: Element): string {
  return part.textContent ?? '';
}

/** The same letters as a range of the page; null: there are not so many. */
export function rangeIn(part: Element, from: number, to: number): Range | null {
  const start = letter(part, from, false);
  const end = letter(part, to, true);
  if (!start || !end) return null;
  const range = document.createRange();
  range.setStart(...start);
  range.setEnd(...end);
  return range;
}

/** What is selected, where it lies in one text of an element; null: nothing, or more than one text. */
export function selectedIn(root: Element): { place: Place; text: string; range: Range } | null {
  const selection = document.getSelection();
  if (!selection || selection.isCollapsed || selection.rangeCount === 0) return null;
  const range = selection.getRangeAt(0);
  const part = partOf(range.startContainer);
  if (!part || !root.contains(part)) return null;
  const before = document.createRange();
  before.selectNodeContents(part);
  before.setEnd(range.startContainer, range.startOffset);
  const from = before.toString().length;
  const whole = textIn(part);
  // A triple click ends in front of the next text; what is past the end of this one is not meant.
  const to = part.contains(range.endContainer) ? from + range.toString().length : whole.length;
  const quote = whole.slice(from, to);
  const name = part.dataset.part ?? '';
  return quote === '' ? null : { place: { part: name, from, to, quote }, text: whole, range };
}

function partOf(node: Node): HTMLElement | null {
  const element = node instanceof Element ? node : node.parentElement;
  return element?.closest<HTMLElement>('[data-part]') ?? null;
}

/** Where a letter is: its text and its place in that. At a seam, the end of the text before or the start of the next. */
function letter(part: Element, at: number, end: boolean): [Text, number] | null {
  const walk = document.createTreeWalker(part, NodeFilter.SHOW_TEXT);
  let left = at;
  for (let node = walk.nextNode(); node; node = walk.nextNode()) {
    const { length } = node as Text;
    if (left < length || (end && left === length)) return [node as Text, left];
    left -= length;
  }
  return null;
}
