import { useMutation } from '@tanstack/react-query';
import { useState } from 'react';
import { api, ask, type View } from '../../api/client';
import { EVERYTHING } from '../../api/queries';
import { Button, ButtonLink } from '../../ui/Button';
import { FileField } from '../../ui/FileField';
import { downloadBlob } from '../../ui/download';
import { useTitle } from '../../ui/useTitle';
import { bytes, count } from '../../ui/words';

/** All that is mine, out of here and in again. */
export function Component() {
  useTitle('My data');
  return (
    <div className="grid gap-8">
      <div>
        <p className="text-base-content/75">Account</p>
        <h1 className="text-2xl font-bold">My data</h1>
      </div>
      <div className="grid items-start gap-x-12 gap-y-8 md:grid-cols-2">
        <Away />
        <In />
      </div>
      <p>
        To have all of it deleted here, delete your account:{' '}
        <ButtonLink to="/account" small>
          Account
        </ButtonLink>
      </p>
    </div>
  );
}

function Away() {
  const taking = useMutation({
    mutationFn: async () => {
      const archive = (await ask(api.GET('/api/my-data', { parseAs: 'blob' }))) as unknown as Blob;
      downloadBlob(`uplandia-${new Date().toISOString().slice(0, 10)}.zip`, archive);
      return archive.size;
    },
  });
  return (
    <section className="grid gap-3" aria-labelledby="away">
      <h2 id="away" className="text-lg font-bold">
        Take it away
      </h2>
      <p>One archive (ZIP) with all that you have done and written here:</p>
      <ul className="list-disc pl-6">
        <li>every test and sitting, with each step of it and its time</li>
        <li>your gap book, revisits, cards, notes, highlights, stars and plan</li>
        <li>tables that any spreadsheet opens, and your drawings as pictures</li>
        <li>the JSON in it is described by schemas that lie beside it</li>
      </ul>
      <p className="text-base-content/75">
        Your password is not in it, nor anything of anybody else. Whom you share a test with stays here.
      </p>
      <Button weight="main" className="justify-self-start" busy={taking.isPending} onClick={() => taking.mutate()}>
        Take my data away
      </Button>
      {taking.isSuccess && <p role="status">The archive is in your downloads: {bytes(taking.data)}.</p>}
      {taking.isError && (
        <p role="alert" className="text-error">
          {taking.error.message}
        </p>
      )}
    </section>
  );
}

function In() {
  const [file, setFile] = useState<File | null>(null);
  const taking = useMutation({
    mutationFn: (file: File) =>
      ask(
        api.POST('/api/my-data', {
          body: file as unknown as string,
          bodySerializer: (body) => body,
          headers: { 'Content-Type': 'application/zip' },
        }),
      ),
    meta: { invalidates: EVERYTHING },
  });
  return (
    <section className="grid gap-3" aria-labelledby="in">
      <h2 id="in" className="text-lg font-bold">
        Take it in
      </h2>
      <p>
        An archive from another Uplandia goes into an account that has nothing of its exams yet. Every figure is worked
        out anew from what happened, so it is the same here as it was there.
      </p>
      <p className="text-base-content/75">
        The same exam must be here, with the questions as you answered them. If anything in the archive is amiss,
        nothing is taken in.
      </p>
      {taking.isSuccess ? (
        <>
          <p role="status">{brought(taking.data)}</p>
          <div>
            <ButtonLink weight="main" to="/">
              To Today
            </ButtonLink>
          </div>
        </>
      ) : (
        <form
          className="grid gap-3"
          onSubmit={(event) => {
            event.preventDefault();
            if (file) taking.mutate(file);
          }}
        >
          <FileField
            label="Archive"
            accept=".zip,application/zip"
            onChange={(chosen) => {
              taking.reset();
              setFile(chosen);
            }}
          />
          <Button type="submit" className="justify-self-start" disabled={!file} busy={taking.isPending}>
            Take it in
          </Button>
          {taking.isPending && <p role="status">Reading it and working everything out. This may take a minute.</p>}
          {taking.isError && (
            <p role="alert" className="text-error">
              {taking.error.message}
            </p>
          )}
        </form>
      )}
    </section>
  );
}

function brought({ exams, sittings, cards, notes }: View<'TakenIn'>): string {
  if (exams.length === 0) return 'There was nothing in this archive.';
  const what = [count(sittings, 'sitting'), count(cards, 'card'), count(notes, 'note')].join(', ');
  return `It is all here: ${exams.join(', ')}; ${what}.`;
}
