import { fromMarkdown } from 'mdast-util-from-markdown';
import { toString } from 'mdast-util-to-string';

/** Said lately: names are asked for with every change of a page. */
const said = new Map<string, string>();
const MOST_SAID = 400;

/** Markdown as it is said: for names that screen readers read and menus show, where no mark-up is drawn. */
export function plain(markdown: string): string {
  const known = said.get(markdown);
  if (known !== undefined) return known;
  const words = toString(fromMarkdown(markdown)).replaceAll('$', '');
  if (said.size >= MOST_SAID) said.clear();
  said.set(markdown, words);
  return words;
}
