import type { Element, Root } from 'hast';
import { fromDom } from 'hast-util-from-dom';

/**
 * KaTeX's markup, read by the browser's own parser. A document made from a text would have its styles held against the
 * content security policy, one report each, though they never run; so they go in under another name and come out under
 * their own. What is set on an element by script is the page's own doing, and allowed.
 *
 * (Stands in for `hast-util-from-html-isomorphic`: see vite.config.ts.)
 */
export function fromHtmlIsomorphic(markup: string): Root {
  const template = document.createElement('template');
  template.innerHTML = markup.replaceAll(' style="', ' data-kept-style="');
  const root = fromDom(template.content) as Root;
  restore(root);
  return root;
}

function restore(parent: Root | Element): void {
  for (const child of parent.children) {
    if (child.type !== 'element') continue;
    const { dataKeptStyle: style, ...properties } = child.properties;
    if (typeof style === 'string') child.properties = { ...properties, style };
    restore(child);
  }
}
