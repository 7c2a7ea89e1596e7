import { fromMarkdown } from 'mdast-util-from-markdown';
import { toString } from 'mdast-util-to-string';

/** Markdown as it is said: for names that screen readers read and menus show, where no mark-up is drawn. */
export function plain(markdown: string): string {
  return toString(fromMarkdown(markdown)).replaceAll('$', '');
}
