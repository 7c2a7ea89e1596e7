import {
  lazy,
  memo,
  Suspense,
  useContext,
  type AnchorHTMLAttributes,
  type ImgHTMLAttributes,
  type ReactNode,
} from 'react';
import ReactMarkdown, { type Components } from 'react-markdown';
import { GapContext } from './gaps';
import { Film, Picture, Sound } from './Media';
import { haveAhead } from './haveAhead';
import { plain } from './plain';
import { remarkTables } from './remarkTables';

const REMARK = [remarkTables];
const fetchMath = () => import('./MathMarkdown');
const MathMarkdown = lazy(fetchMath);

/** What Markdown calls an image may be a picture, a sound or a film. */
function Media({ src, alt = '', title = '' }: ImgHTMLAttributes<HTMLImageElement>) {
  const file = typeof src === 'string' ? src : '';
  // What somebody wrote may name any address: nothing is fetched from elsewhere.
  if (!/^\/(?!\/)/.test(file)) return <span>{alt === '' ? 'A picture that is not here' : `Picture: ${alt}`}</span>;
  if (file.endsWith('.mp3')) return <Sound src={file} label={alt} written={title} />;
  if (/\.(mp4|webm)$/.test(file)) return <Film src={file} label={alt} written={title} />;
  return <Picture src={file} alt={alt} />;
}

// A number stays with its thousands and its unit.
const KEPT = /(\d) (?=\d{3}(?!\d)|(?:°C|%|km\/h|km|m|cm|mm|kN|hPa|min|kg|l)(?![\w]))/g;
const GAP = /\[\[(\w+)\]\]/g;

/** A link, a gap to fill (`#gap-…`), or a sentence that is marked (`#evidence`). */
function Anchor({ href = '', children }: AnchorHTMLAttributes<HTMLAnchorElement>) {
  const gap = useContext(GapContext);
  if (href.startsWith('#gap-')) return gap(href.slice('#gap-'.length));
  if (href === '#evidence') return <mark className="bg-accent/25 text-inherit">{children}</mark>;
  // What may not be followed has lost its address.
  if (href === '') return <span>{children}</span>;
  if (/^https?:/i.test(href))
    return (
      <a href={href} target="_blank" rel="noopener noreferrer">
        {children}
      </a>
    );
  return <a href={href}>{children}</a>;
}

interface Node {
  type: string;
  tagName?: string;
  value?: string;
  children?: Node[];
}

function words(node: Node): string {
  return node.value ?? (node.children ?? []).map(words).join('');
}

/** What a table is called: the heads of its columns, or else its first row that says anything. */
function nameOfTable(node: Node): string {
  const rows = (within: Node): Node[] =>
    within.tagName === 'tr' ? [within] : (within.children ?? []).flatMap((one) => rows(one));
  const said = rows(node).map((row) => (row.children ?? []).map((cell) => words(cell).trim()).filter((word) => word));
  const first = said.find((cells) => cells.length > 0);
  return first ? `Table: ${first.join(', ')}` : 'Table';
}

const BLOCK: Components = {
  // What is wider than the page scrolls by itself, and is reached from the keyboard.
  table: ({ node, children }) => (
    // eslint-disable-next-line jsx-a11y/no-noninteractive-tabindex
    <div role="region" aria-label={nameOfTable(node as Node)} tabIndex={0} className="table-frame">
      <table>{children}</table>
    </div>
  ),
  a: Anchor,
  img: Media,
  // A player or a picture that can be enlarged is no part of a sentence.
  p: ({ node, children }) =>
    node?.children.some((child) => child.type === 'element' && child.tagName === 'img') ? (
      <div>{children}</div>
    ) : (
      <p>{children}</p>
    ),
};
const INLINE: Components = { a: Anchor, img: Media, p: 'span' };

/** Texts that were read lately, as what is drawn of them. */
const read = new Map<string, ReactNode>();
const MOST_READ = 400;

/** What is drawn of a text. Reading it is the dearest thing on a page, so it is done once, and better ahead of time. */
function drawn(children: string, inline: boolean): ReactNode {
  const key = `${inline ? 'i' : 'b'}${children}`;
  const known = read.get(key);
  if (known !== undefined) return known;
  const text = children.replace(GAP, '[$1](#gap-$1)').replace(KEPT, '$1\u00a0');
  const components = inline ? INLINE : BLOCK;
  // No component but a function of its text: so it can be called before anybody looks.
  const simple = ReactMarkdown({ children: text, remarkPlugins: REMARK, components });
  const shown = text.includes('$') ? (
    <Suspense fallback={simple}>
      <MathMarkdown components={components}>{text}</MathMarkdown>
    </Suspense>
  ) : (
    simple
  );
  const [oldest] = read.keys();
  if (read.size >= MOST_READ && oldest !== undefined) read.delete(oldest);
  read.set(key, shown);
  return shown;
}

const PICTURE = /!\[[^\]]*\]\((\S+\.(?:svg|png|jpe?g|webp))/g;

/** Letters that come late move what is on the page. */
async function haveMathFonts(): Promise<void> {
  const fonts = ['1em KaTeX_Main', 'italic 1em KaTeX_Math', '1em KaTeX_Size1'];
  await Promise.allSettled(fonts.map((font) => document.fonts.load(font)));
}

/** Reads texts when the page has nothing else to do, so that they are there when they are wanted. */
export function readAhead(texts: readonly { text: string; inline: boolean }[]): () => void {
  const waiting = [...texts];
  const next = () => {
    const one = waiting.shift();
    if (!one) return;
    drawn(one.text, one.inline);
    // Options are named too.
    if (one.inline) plain(one.text);
    if (one.text.includes('$')) void fetchMath().then(haveMathFonts, () => undefined);
    for (const [, src = ''] of one.text.matchAll(PICTURE)) haveAhead(src);
    timer = window.setTimeout(next, 0);
  };
  let timer = window.setTimeout(next, 200);
  return () => window.clearTimeout(timer);
}

/** Markdown with tables, TeX, pictures, sounds and films, as questions are written. Raw HTML is shown as text, never run. */
export const Markdown = memo(function Markdown({ children, inline }: { children: string; inline?: boolean }) {
  const shown = drawn(children, inline === true);
  return inline ? <span>{shown}</span> : <div className="prose-question">{shown}</div>;
});
