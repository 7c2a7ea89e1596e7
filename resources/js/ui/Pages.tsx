import { Button } from './Button';

/** The pages of a long list; nothing where there is only one. */
export function Pages(props: { of: { page: number; pages: number }; what: string; onPage: (page: number) => void }) {
  const { page, pages } = props.of;
  if (pages < 2) return null;
  return (
    <nav aria-label="Pages" className="mt-3 flex flex-wrap items-center gap-x-3 gap-y-1">
      <Button small disabled={page === 1} onClick={() => props.onPage(page - 1)}>
        Earlier page
      </Button>
      <span>
        Page {page} of {pages}, {props.what}
      </span>
      <Button small disabled={page === pages} onClick={() => props.onPage(page + 1)}>
        Next page
      </Button>
    </nav>
  );
}
