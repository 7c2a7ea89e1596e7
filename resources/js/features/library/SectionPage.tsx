import type { View } from '../../api/client';
import { Markdown } from '../../ui/Markdown';

type Page = Pick<View<'Section'>, 'code' | 'chapter' | 'title' | 'body'>;

/** A section of the handbook, to be read beside a question. */
export function SectionPage({ exam, page }: { exam: string; page: Page }) {
  return (
    <article className="grid gap-3">
      <p className="text-base-content/75">{page.chapter}</p>
      <h3 className="text-lg font-bold">{page.title}</h3>
      <Markdown>{page.body}</Markdown>
      <a href={`/handbook/${exam}/${page.code}`} target="_blank" rel="noopener">
        Open it in the handbook
      </a>
    </article>
  );
}
