import { useContext, type AnchorHTMLAttributes, type ImgHTMLAttributes } from 'react';
import ReactMarkdown, { type Components } from 'react-markdown';
import rehypeKatex from 'rehype-katex';
import remarkGfm from 'remark-gfm';
import remarkMath from 'remark-math';
import { GapContext } from './gaps';
import { Film, Picture, Sound } from './Media';

const REMARK = [remarkGfm, remarkMath];
const REHYPE = [[rehypeKatex, { throwOnError: false, output: 'htmlAndMathml' }]] as never;

/** What Markdown calls an image may be a picture, a sound or a film. */
function Media({ src, alt = '', title = '' }: ImgHTMLAttributes<HTMLImageElement>) {
  const file = typeof src === 'string' ? src : '';
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
  return <a href={href}>{children}</a>;
}

const BLOCK: Components = {
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

/** Markdown with tables, TeX, pictures, sounds and films, as questions are written. Raw HTML is shown as text, never run. */
export function Markdown({ children, inline }: { children: string; inline?: boolean }) {
  const shown = (
    <ReactMarkdown remarkPlugins={REMARK} rehypePlugins={REHYPE} components={inline ? INLINE : BLOCK}>
      {children.replace(GAP, '[$1](#gap-$1)').replace(KEPT, '$1\u00a0')}
    </ReactMarkdown>
  );
  return inline ? <span>{shown}</span> : <div className="prose-question">{shown}</div>;
}
