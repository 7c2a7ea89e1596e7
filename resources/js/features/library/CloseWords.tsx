import { useQuery } from '@tanstack/react-query';
import { useDeferredValue, type ReactNode } from 'react';
import { Link } from 'react-router';
import { closeWords } from '../../api/queries';

/** Where a search finds nothing: what may have been meant, each a press away. */
export function CloseWords(props: {
  exam: string;
  words: string;
  /** Searches for another word instead. */
  onWords: (words: string) => void;
  /** Goes on with a whole topic instead; none: here there are no topics to choose. */
  onTopic?: (code: string) => void;
}) {
  const { exam, onWords, onTopic } = props;
  const asked = useDeferredValue(props.words.trim());
  const { data } = useQuery({ ...closeWords(exam, asked), enabled: asked !== '' });
  if (!data) return null;
  const topics = onTopic ? data.topics : [];
  if (data.words.length + topics.length + data.sections.length === 0) return null;
  return (
    <div role="status" className="grid gap-1">
      <Offered what="Spelt much like it">
        {data.words.map(({ word, n }) => (
          <Press key={word} onUse={() => onWords(word)}>
            {word}, {n}
          </Press>
        ))}
      </Offered>
      <Offered what="Topics of that name">
        {topics.map(({ code, name, n }) => (
          <Press key={code} onUse={() => onTopic?.(code)}>
            {name}, {n}
          </Press>
        ))}
      </Offered>
      <Offered what="In the handbook">
        {data.sections.map(({ code, title }) => (
          <Link key={code} to={`/handbook/${exam}/${code}`} className={PRESSED}>
            {title}
          </Link>
        ))}
      </Offered>
    </div>
  );
}

const PRESSED =
  'inline-flex min-h-11 cursor-pointer items-center text-primary underline underline-offset-4 pointer-fine:min-h-8';

function Offered({ what, children }: { what: string; children: ReactNode[] }) {
  if (children.length === 0) return null;
  return (
    <p className="flex flex-wrap items-center gap-x-4">
      <span className="text-base-content/75">{what}:</span> {children}
    </p>
  );
}

function Press({ onUse, children }: { onUse: () => void; children: ReactNode }) {
  return (
    <button type="button" className={PRESSED} onClick={onUse}>
      {children}
    </button>
  );
}
