import { useQuery } from '@tanstack/react-query';
import { key } from '../../api/queries';
import { Button } from '../../ui/Button';
import { Loading } from '../../ui/Loading';
import { OnPaper } from '../../ui/Media';
import { NoteText } from '../library/NoteText';
import { useKept } from '../library/useKept';
import { CAUSES } from './causes';
import { Covered, StillNew } from './Covered';
import { Explained } from './Explained';
import type { Line } from './lines';

/** All of it as one long page, to be read through or printed. */
export function ReviewWhole({ sitting, lines }: { sitting: string; lines: readonly Line[] }) {
  const page = useQuery(key(sitting));
  if (page.isPending) return <Loading what="Setting the pages" />;
  if (page.isError)
    return (
      <Covered
        sitting={sitting}
        error={page.error}
        positions={null}
        show="Show them all"
        again={() => void page.refetch()}
      />
    );
  const { answers } = page.data;
  const covered = lines.filter(({ position }) => !answers.some(({ question }) => question.position === position));
  const units = new Set<string>();
  return (
    <OnPaper value={true}>
      <div className="print:hidden">
        <Button small onClick={() => window.print()}>
          Print
        </Button>
      </div>
      {covered.length > 0 && (
        <div className="mt-4 print:hidden">
          <StillNew
            sitting={sitting}
            positions={covered.map(({ position }) => position)}
            show={covered.length === 1 ? 'Show it' : 'Show them'}
          >
            You did not get to {covered.length === 1 ? 'question' : 'questions'}{' '}
            {covered.map(({ position }) => position + 1).join(', ')}, so {covered.length === 1 ? 'it is' : 'they are'}{' '}
            still new to you and left out here.
          </StillNew>
        </div>
      )}
      {lines.map((line) => {
        const answer = answers.find(({ question }) => question.position === line.position);
        if (!answer) return null;
        // What several questions share is shown with the first of them.
        const shared = answer.unit && `${answer.unit.title}\n${answer.unit.text}`;
        const first = shared !== null && !units.has(shared);
        if (shared !== null) units.add(shared);
        return (
          <article
            key={line.position}
            aria-labelledby={`whole-${line.position}`}
            className="grid gap-3 border-t-2 border-base-300 py-5 [contain-intrinsic-size:auto_50rem] [content-visibility:auto] print:[content-visibility:visible]"
          >
            <h2 id={`whole-${line.position}`} className="text-lg font-bold">
              Question {line.position + 1}
            </h2>
            <Explained sitting={sitting} explanation={answer} withUnit={first && 'open'} />
            <Own sitting={sitting} line={line} />
          </article>
        );
      })}
    </OnPaper>
  );
}

/** What one wrote and said of it. */
function Own({ sitting, line }: { sitting: string; line: Line }) {
  const { note } = useKept(sitting, line.position);
  if (note === '' && !line.cause) return null;
  return (
    <div className="max-w-[75ch]">
      {line.cause && <p>What lay behind it: {CAUSES[line.cause].toLowerCase()}.</p>}
      {note !== '' && <NoteText>{note}</NoteText>}
    </div>
  );
}
