import 'katex/dist/katex.min.css';
import ReactMarkdown, { type Options } from 'react-markdown';
import rehypeKatex from 'rehype-katex';
import remarkMath from 'remark-math';
import { remarkTables } from './remarkTables';

const REMARK = [remarkTables, remarkMath];
const REHYPE = [[rehypeKatex, { throwOnError: false, output: 'htmlAndMathml' }]] as never;

/** Markdown with TeX. Loaded when a text has any. */
export default function MathMarkdown({ components, children }: Pick<Options, 'components' | 'children'>) {
  return (
    <ReactMarkdown remarkPlugins={REMARK} rehypePlugins={REHYPE} components={components ?? null}>
      {children}
    </ReactMarkdown>
  );
}
