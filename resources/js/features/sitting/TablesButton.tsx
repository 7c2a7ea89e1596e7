import { useQuery } from '@tanstack/react-query';
import { Table2 } from 'lucide-react';
import { useState } from 'react';
import { tables } from '../../api/queries';
import { Dialog } from '../../ui/Dialog';
import { Markdown } from '../../ui/Markdown';
import { Tabs } from '../../ui/Tabs';

/** The exam's reference tables and formula sheet, as they lie on the desk. Fetched at the start, to be there offline. */
export function TablesButton({ exam }: { exam: string }) {
  const page = useQuery(tables(exam));
  const [open, setOpen] = useState(false);
  const [code, setCode] = useState<string | null>(null);
  const sheets = page.data?.tables ?? [];
  const sheet = sheets.find((one) => one.code === code) ?? sheets[0];
  if (!sheet) return null;
  return (
    <>
      <button
        type="button"
        className="flex min-h-11 min-w-9 cursor-pointer items-center justify-center gap-1.5"
        onClick={() => setOpen(true)}
      >
        <Table2 aria-hidden="true" className="size-4.5" /> <span className="max-sm:sr-only">Tables</span>
      </button>
      {open && (
        <Dialog title="Reference tables" wide onClose={() => setOpen(false)}>
          <Tabs
            label="Tables"
            tabs={sheets.map((one) => ({ key: one.code, label: one.title }))}
            open={sheet.code}
            onOpen={setCode}
          >
            <div className="min-h-72 pt-1">
              <Markdown>{sheet.body}</Markdown>
            </div>
          </Tabs>
        </Dialog>
      )}
    </>
  );
}
