import { useQuery } from '@tanstack/react-query';
import { Link } from 'react-router';
import { pagesKept } from '../../api/queries';
import { Empty } from '../../ui/Empty';
import { Failure } from '../../ui/Failure';
import { Loading } from '../../ui/Loading';
import { NoteText } from '../library/NoteText';
import { withOwn } from './withOwn';

/** All that one has written beside the handbook, and marked in it. */
export function Mine({ exam }: { exam: string }) {
  const all = useQuery(pagesKept(exam));
  if (all.isPending) return <Loading what="Looking for your notes" />;
  if (all.isError) return <Failure error={all.error} retry={() => void all.refetch()} />;
  const pages = withOwn(all.data.pages);
  return (
    <section aria-labelledby="mine" className="grid gap-3">
      <h2 id="mine" className="text-xl font-bold">
        My notes and marks
      </h2>
      {pages.length === 0 ? (
        <Empty title="You have not marked anything here yet.">
          <p>Select some words on a page to mark them, or write a note beside it. They are found here again.</p>
        </Empty>
      ) : (
        <ul className="border-b border-base-300">
          {pages.map((page) => (
            <li key={page.code} className="grid gap-1 border-t border-base-300 py-2">
              <Link
                to={`/handbook/${exam}/${page.code}`}
                className="inline-flex min-h-11 items-center font-bold text-primary underline underline-offset-4 pointer-fine:min-h-7"
              >
                {page.title}
              </Link>
              {page.note !== '' && <NoteText>{page.note}</NoteText>}
              {page.highlights.map((one) => (
                <p key={`${one.part} ${one.from} ${one.kind}`} className="pl-4">
                  {one.kind === 'struck' ? <del>{one.quote}</del> : <q>{one.quote}</q>}
                  {one.note !== '' && `: ${one.note}`}
                </p>
              ))}
            </li>
          ))}
        </ul>
      )}
    </section>
  );
}
