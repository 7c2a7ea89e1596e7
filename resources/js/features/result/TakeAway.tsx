import { useMutation } from '@tanstack/react-query';
import { api, ask, type View } from '../../api/client';
import { Button, ButtonLink } from '../../ui/Button';
import { download, fileName } from '../../ui/download';

/** What can be taken away, in formats that others read. */
export function TakeAway({ result: { sitting, title } }: { result: View<'Result'> }) {
  const path = { params: { path: { sitting } } };
  const taking = useMutation({
    mutationFn: async (what: 'table' | 'statements') => {
      if (what === 'table') {
        const { csv } = await ask(api.GET('/api/sittings/{sitting}/table', path));
        download(fileName(title, 'csv'), 'text/csv;charset=utf-8', csv);
      } else {
        const { statements } = await ask(api.GET('/api/sittings/{sitting}/statements', path));
        download(fileName(title, 'json'), 'application/json', JSON.stringify(statements, null, 2));
      }
    },
  });
  return (
    <section aria-labelledby="take-away" className="grid gap-2 print:hidden">
      <h2 id="take-away" className="text-lg font-bold">
        Take it away
      </h2>
      <div className="flex flex-wrap gap-2">
        <Button small disabled={taking.isPending} onClick={() => taking.mutate('table')}>
          Table of questions (CSV)
        </Button>
        <Button small disabled={taking.isPending} onClick={() => taking.mutate('statements')}>
          Statements (xAPI, JSON)
        </Button>
        <Button small onClick={() => window.print()}>
          Print this report
        </Button>
        <ButtonLink small to={`/review/${sitting}/all?show=all`}>
          Booklet with my answers
        </ButtonLink>
      </div>
      {taking.isError && (
        <p role="alert" className="text-error">
          {taking.error.message}
        </p>
      )}
    </section>
  );
}
