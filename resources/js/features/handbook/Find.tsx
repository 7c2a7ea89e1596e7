import { useQuery } from '@tanstack/react-query';
import { useDeferredValue, useState } from 'react';
import { Link } from 'react-router';
import { handbookHits } from '../../api/queries';
import { count } from '../../ui/words';
import { CloseWords } from '../library/CloseWords';
import { SearchField } from '../../ui/SearchField';

/** Finds words in the whole handbook. */
export function Find({ exam }: { exam: string }) {
  const [words, setWords] = useState('');
  const asked = useDeferredValue(words.trim());
  const found = useQuery({ ...handbookHits(exam, asked), enabled: asked !== '' });
  const hits = found.data?.hits ?? [];
  return (
    <search className="grid gap-2">
      <SearchField label="Find in the handbook" className="w-full max-w-md" value={words} onChange={setWords} />
      {asked !== '' && (
        <div>
          <p role="status" className="text-sm text-base-content/75">
            {found.isError
              ? found.error.message
              : found.isPending
                ? 'Looking…'
                : hits.length === 0
                  ? 'No page has all of these words.'
                  : `Found on ${count(hits.length, 'page')}.`}
          </p>
          {found.isSuccess && hits.length === 0 && <CloseWords exam={exam} words={asked} onWords={setWords} />}
          <ul className="max-h-80 overflow-y-auto">
            {hits.map((hit) => (
              <li key={hit.code} className="border-t border-base-300 py-1">
                <Link
                  to={`/handbook/${exam}/${hit.code}`}
                  onClick={() => setWords('')}
                  className="inline-flex min-h-11 items-center font-bold text-primary underline underline-offset-4 pointer-fine:min-h-7"
                >
                  {hit.title}
                </Link>{' '}
                <span className="text-sm text-base-content/75">
                  {hit.chapter}: {hit.excerpt}
                </span>
              </li>
            ))}
          </ul>
        </div>
      )}
    </search>
  );
}
