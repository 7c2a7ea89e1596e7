import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { tables } from '../../../api/queries';
import { Failure } from '../../../ui/Failure';
import { Loading } from '../../../ui/Loading';
import { SearchField } from '../../../ui/SearchField';
import { Markdown } from '../../../ui/Markdown';

/** The exam's reference tables and formula sheet, found by what stands in them. */
export function Tables({ exam }: { exam: string }) {
  const page = useQuery(tables(exam));
  const [wanted, setWanted] = useState('');
  const [code, setCode] = useState<string | null>(null);
  if (page.isPending) return <Loading what="Fetching the tables" />;
  if (page.isError) return <Failure error={page.error} retry={() => void page.refetch()} />;
  const words = wanted.trim().toLowerCase();
  const found = page.data.tables.filter(({ title, body }) => `${title}\n${body}`.toLowerCase().includes(words));
  const sheet = found.find((one) => one.code === code) ?? found[0];
  if (page.data.tables.length === 0) return <p>This exam has no tables.</p>;
  return (
    <div className="grid gap-3">
      <SearchField label="Find in the tables" className="w-full" most={100} value={wanted} onChange={setWanted} />
      {sheet ? (
        <>
          <select
            aria-label="Table"
            value={sheet.code}
            onChange={(event) => setCode(event.target.value)}
            className="select w-full border-base-content/50 text-base pointer-fine:h-9"
          >
            {found.map((one) => (
              <option key={one.code} value={one.code}>
                {one.title}
              </option>
            ))}
          </select>
          {/* eslint-disable-next-line jsx-a11y/no-noninteractive-tabindex -- a wide table scrolls, also by keys */}
          <div role="region" aria-label={sheet.title} tabIndex={0} className="overflow-x-auto text-sm">
            <Markdown>{sheet.body}</Markdown>
          </div>
        </>
      ) : (
        <p>Nothing in the tables is like that.</p>
      )}
    </div>
  );
}
