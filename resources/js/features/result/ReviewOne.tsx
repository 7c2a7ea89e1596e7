import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useEffect, useLayoutEffect, useRef, useState } from 'react';
import { useNavigate } from 'react-router';
import { explanation } from '../../api/queries';
import { Button, ButtonLink } from '../../ui/Button';
import { Loading } from '../../ui/Loading';
import { Anew } from '../library/Anew';
import { HighlightableQuestion } from '../library/HighlightableQuestion';
import { StarAndNote } from '../library/StarAndNote';
import { WordToAuthors } from '../library/WordToAuthors';
import { meaning, readShortcuts } from '../../ui/shortcuts';
import { useKeys } from '../../ui/useKeys';
import { Covered } from './Covered';
import { Explained } from './Explained';
import { GapTools } from './GapTools';
import type { Line } from './lines';

/** One question as it was answered, explained, with all that can be done about it. */
export function ReviewOne(props: {
  sitting: string;
  line: Line;
  /** Those that one goes through. */
  lines: readonly Line[];
  /** Of the address of another question. */
  search: string;
  /** Somebody went to it: the heading is read. */
  moved: boolean;
}) {
  const { sitting, line, lines, search, moved } = props;
  const page = useQuery(explanation(sitting, line.position));
  const navigate = useNavigate();
  const known = useQueryClient();
  const heading = useRef<HTMLHeadingElement>(null);
  const [shortcuts] = useState(readShortcuts);
  const [words, setWords] = useState<string | null>(null);
  const before = lines.filter(({ position }) => position < line.position).at(-1);
  const after = lines.find(({ position }) => position > line.position);
  const go = (to: Line) => void navigate(`/review/${sitting}/${to.position + 1}${search}`);
  useLayoutEffect(() => {
    if (moved) heading.current?.focus();
  }, [moved]);
  // What comes next is there before it is asked for.
  useEffect(() => {
    if (page.isSuccess && after) void known.prefetchQuery(explanation(sitting, after.position));
  }, [page.isSuccess, after, known, sitting]);
  useKeys((event) => {
    const does = meaning(shortcuts, event.key);
    const to = does === 'on' ? after : does === 'back' ? before : undefined;
    if (to) go(to);
  });
  const key = (action: 'back' | 'on') => (shortcuts.active ? shortcuts.keys[action] : undefined);
  const at = lines.findIndex(({ position }) => position === line.position);
  return (
    <article className="grid min-w-0 gap-4">
      <div className="flex flex-wrap items-center justify-between gap-3">
        <div className="flex flex-wrap items-baseline gap-x-2 text-base-content/75">
          <h2 ref={heading} tabIndex={-1} className="outline-none">
            Question {line.position + 1}
          </h2>
          {at >= 0 && lines.length > 1 && (
            <span className="text-sm">
              {at + 1} of {lines.length} here
            </span>
          )}
        </div>
        <div className="flex flex-wrap gap-2">
          <span className="lg:hidden">
            <ButtonLink small to={`/review/${sitting}${search}`}>
              List
            </ButtonLink>
          </span>
          <Button
            small
            disabled={!before}
            aria-keyshortcuts={key('back')}
            title={key('back') && `Key ${key('back')}`}
            onClick={() => before && go(before)}
          >
            Back
          </Button>
          <Button
            small
            disabled={!after}
            aria-keyshortcuts={key('on')}
            title={key('on') && `Key ${key('on')}`}
            onClick={() => after && go(after)}
          >
            Next
          </Button>
        </div>
      </div>
      {page.isPending ? (
        <Loading what="Fetching the reasons" />
      ) : page.isError ? (
        <Covered
          sitting={sitting}
          error={page.error}
          positions={[line.position]}
          show="Show it"
          again={() => void page.refetch()}
        />
      ) : (
        <div className="grid gap-4">
          <HighlightableQuestion
            key={`marks-${line.position}`}
            sitting={sitting}
            position={line.position}
            onCard={setWords}
          >
            <Explained
              sitting={sitting}
              explanation={page.data}
              withUnit
              card={{ words, onClose: () => setWords(null) }}
            />
          </HighlightableQuestion>
          <div className="grid gap-1 border-t border-base-300 pt-2">
            <GapTools sitting={sitting} line={line} />
            {line.outcome !== 'not_reached' && <Anew exam={page.data.exam} question={line.question} />}
            <StarAndNote key={line.position} sitting={sitting} position={line.position} />
            <WordToAuthors key={`words-${line.position}`} sitting={sitting} position={line.position} />
          </div>
        </div>
      )}
    </article>
  );
}
