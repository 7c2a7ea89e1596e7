import { useMutation } from '@tanstack/react-query';
import { useState } from 'react';
import { api, ask } from '../../api/client';
import { Button } from '../../ui/Button';
import { Dialog } from '../../ui/Dialog';
import { FileField } from '../../ui/FileField';
import { count } from '../../ui/words';

/** Takes a file of cards in: comma-separated values, or plain text. */
export function BringCards({ exam, onClose }: { exam: string; onClose: () => void }) {
  const [file, setFile] = useState<File | null>(null);
  const bringing = useMutation({
    mutationFn: async (file: File) =>
      ask(
        api.POST('/api/exams/{exam}/cards/import', {
          params: { path: { exam } },
          body: { form: file.name.toLowerCase().endsWith('.csv') ? 'csv' : 'text', text: await file.text() },
        }),
      ),
    meta: { invalidates: [['cards']] },
  });
  const done = bringing.data;
  return (
    <Dialog
      title="Take cards in"
      onClose={onClose}
      actions={
        done ? (
          <Button weight="main" onClick={onClose}>
            Done
          </Button>
        ) : (
          <>
            <Button
              weight="main"
              disabled={!file}
              busy={bringing.isPending}
              onClick={() => file && bringing.mutate(file)}
            >
              Take them in
            </Button>
            <Button onClick={onClose}>Cancel</Button>
          </>
        )
      }
    >
      {done ? (
        <p role="status">
          {done.added === 0 ? 'No card is new.' : `${count(done.added, 'new card')} came in.`}
          {done.known > 0 && ` ${count(done.known, 'card')} ${done.known === 1 ? 'was' : 'were'} there already.`}
        </p>
      ) : (
        <div className="grid gap-3">
          <p>
            A table (.csv) names its columns “front” and “back” in its first row. Plain text (.txt) looks like this:
          </p>
          <pre className="rounded-box border border-base-300 bg-base-200 p-3 text-sm">
            {'Front: How long does sound take for a kilometre?\nBack: About three seconds.'}
          </pre>
          <FileField
            label="File"
            accept=".csv,.txt,text/csv,text/plain"
            onChange={(chosen) => {
              bringing.reset();
              setFile(chosen);
            }}
          />
          {bringing.isError && (
            <p role="alert" className="text-error">
              {bringing.error.message} Nothing was taken in.
            </p>
          )}
        </div>
      )}
    </Dialog>
  );
}
