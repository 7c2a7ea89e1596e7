import { api, ask, type View } from '../../api/client';
import { Button, ButtonLink } from '../../ui/Button';
import { DownloadButton } from '../../ui/DownloadButton';
import { fileName } from '../../ui/download';

/** What can be taken away, in formats that others read. */
export function TakeAway({ result: { sitting, title } }: { result: View<'Result'> }) {
  const path = { params: { path: { sitting } } };
  return (
    <section aria-labelledby="take-away" className="grid gap-2 print:hidden">
      <h2 id="take-away" className="text-lg font-bold">
        Take it away
      </h2>
      <div className="flex flex-wrap gap-2">
        <DownloadButton
          name={fileName(title, 'csv')}
          make={async () => (await ask(api.GET('/api/sittings/{sitting}/table', path))).csv}
        >
          Table of questions (CSV)
        </DownloadButton>
        <DownloadButton
          name={fileName(title, 'json')}
          make={async () => {
            const { statements } = await ask(api.GET('/api/sittings/{sitting}/statements', path));
            return JSON.stringify(statements, null, 2);
          }}
        >
          Statements (xAPI, JSON)
        </DownloadButton>
        <Button small onClick={() => window.print()}>
          Print this report
        </Button>
        <ButtonLink small to={`/review/${sitting}/all?show=all`}>
          Booklet with my answers
        </ButtonLink>
      </div>
    </section>
  );
}
