import ReactMarkdown from 'react-markdown';
import rehypeKatex from 'rehype-katex';
import remarkGfm from 'remark-gfm';
import remarkMath from 'remark-math';

const REMARK = [remarkGfm, remarkMath];
const REHYPE = [[rehypeKatex, { throwOnError: false, output: 'htmlAndMathml' }]] as never;

/** Markdown with tables and TeX, as questions are written. Raw HTML is shown as text, never run. */
export function Markdown({ children, inline }: { children: string; inline?: boolean }) {
  const shown = (
    <ReactMarkdown remarkPlugins={REMARK} rehypePlugins={REHYPE} {...(inline ? { components: { p: 'span' } } : {})}>
      {children}
    </ReactMarkdown>
  );
  return inline ? <span>{shown}</span> : <div className="prose-question">{shown}</div>;
}
