import { useQuery } from '@tanstack/react-query';
import clsx from 'clsx';
import type { ReactNode } from 'react';
import type { View } from '../../api/client';
import { key } from '../../api/queries';
import { Button } from '../../ui/Button';
import { GapContext } from '../../ui/gaps';
import { Loading } from '../../ui/Loading';
import { Markdown } from '../../ui/Markdown';
import { OnPaper } from '../../ui/Media';
import { OUTCOMES, OutcomeMark } from '../../ui/Outcome';
import { Tick } from '../../ui/Tick';
import { useInAddress } from '../../ui/useInAddress';
import { signed } from '../../ui/words';
import { NoteText } from '../library/NoteText';
import { useKept } from '../library/useKept';
import { inWords } from '../question/kinds/inWords';
import { marksOf } from '../question/kinds/paper';
import { CAUSES } from './causes';
import { Covered, StillNew } from './Covered';
import type { Line } from './lines';
import { isKey, partName, partSaid } from './partWords';
import { ShownPicture } from './ShownPicture';

type Explanation = View<'Explanation'>;

interface Setting {
  reasons: boolean;
  columns: boolean;
  show: string;
}

function read(search: URLSearchParams): Setting {
  return {
    reasons: search.get('reasons') !== '0',
    columns: search.get('columns') !== '1',
    show: search.get('show') ?? '',
  };
}

function write({ reasons, columns, show }: Setting): [string, string][] {
  return [
    ['show', show],
    ['reasons', reasons ? '' : '0'],
    ['columns', columns ? '' : '1'],
  ];
}

/** All of it in few pages, to be read through or printed: small, without boxes, a line for each option. */
export function ReviewWhole({ sitting, lines }: { sitting: string; lines: readonly Line[] }) {
  const page = useQuery(key(sitting));
  const [setting, choose] = useInAddress(read, write);
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
  const answers = new Map(page.data.answers.map((answer) => [answer.question.position, answer]));
  const covered = lines.filter(({ position }) => !answers.has(position));
  const units = new Set<string>();
  return (
    <OnPaper value={true}>
      <div className="flex flex-wrap items-center gap-x-5 print:hidden">
        <Tick on={setting.reasons} onChange={(reasons) => choose({ ...setting, reasons })}>
          With the reason for each part
        </Tick>
        <Tick on={setting.columns} onChange={(columns) => choose({ ...setting, columns })}>
          Printed in two columns
        </Tick>
        <Button small weight="main" onClick={() => window.print()}>
          Print
        </Button>
      </div>
      {covered.length > 0 && (
        <div className="print:hidden">
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
      <p className="text-sm">✓ right, ✗ wrong and answered so, “you” beside what you chose.</p>
      <div className={clsx('paper compact', setting.columns && 'print:columns-2 gap-x-6')}>
        {lines.map((line) => {
          const answer = answers.get(line.position);
          if (!answer) return null;
          // What several questions share is shown with the first of them.
          const shared = answer.unit && `${answer.unit.title}\n${answer.unit.text}`;
          const first = shared !== null && !units.has(shared);
          if (shared !== null) units.add(shared);
          return (
            <article
              key={line.position}
              aria-labelledby={`whole-${line.position}`}
              className="mb-3 border-t border-base-content/40 pt-1 [contain-intrinsic-size:auto_20rem] [content-visibility:auto] print:[content-visibility:visible]"
            >
              {first && answer.unit && <Shared unit={answer.unit} />}
              <Question answer={answer} line={line} reasons={setting.reasons} />
              <Own sitting={sitting} line={line} />
            </article>
          );
        })}
      </div>
    </OnPaper>
  );
}

/** A case with all of its exhibits, a text, or the lead of a series. */
function Shared({ unit }: { unit: View<'Unit'> }) {
  return (
    <div className="mb-2 border-l-4 border-base-content/40 pl-2">
      <p className="printed-lead font-bold">{unit.title}</p>
      <Markdown>{unit.text}</Markdown>
      {unit.exhibits.map(({ title, body }) => (
        <div key={title}>
          <p className="printed-lead font-bold">{title}</p>
          <Markdown>{body}</Markdown>
        </div>
      ))}
    </div>
  );
}

function Question({ answer, line, reasons }: { answer: Explanation; line: Line; reasons: boolean }) {
  const { question, parts, response } = answer;
  const marks = marksOf(question.body);
  const rightOf = (gap: string) => {
    const right = parts.find(({ id }) => id === gap)?.right;
    return <strong className="border-b border-current">{right ? <Markdown inline>{right}</Markdown> : '…'}</strong>;
  };
  // How others come to wrong numbers is a reason, except for one's own.
  const told = parts.filter(({ role, verdict }) => role !== 'slip' || reasons || verdict === 'wrong');
  return (
    <>
      <h2
        id={`whole-${line.position}`}
        className="printed-lead flex items-center gap-x-2 font-bold"
        aria-label={`Question ${line.position + 1}`}
      >
        <span className="min-w-6">{line.position + 1}</span>
        <OutcomeMark outcome={line.outcome} size={14} />
        <span className="font-normal">
          {OUTCOMES[line.outcome]}
          {line.outcome !== 'pending' && `, ${signed(answer.marks)} of ${question.marks}`}
        </span>
        <span className="ml-auto truncate font-normal text-base-content/75">{answer.subtopic}</span>
      </h2>
      <GapContext value={rightOf}>
        <Markdown>{question.stem}</Markdown>
      </GapContext>
      {question.body.kind === 'picture' && (
        <div className="printed-whole">
          <ShownPicture explanation={answer} picture={question.body.picture} />
        </div>
      )}
      {question.body.kind === 'written' && (
        <Written answer={answer} words={response ? inWords(question.body, response) : 'nothing'} />
      )}
      <ul>
        {told.map((part) => (
          <PartLine
            key={part.id}
            sign={isKey(part) ? '✓' : part.verdict === 'wrong' ? '✗' : ''}
            mark={marks.get(part.id) ?? ''}
            said={partSaid(part, part.role === 'number' ? answer.tolerance : null)}
            own={part.role === 'option' && (part.verdict === 'right' || part.verdict === 'wrong')}
            text={part.text || partName(part, parts)}
            why={reasons ? part.why : ''}
            bold={isKey(part)}
          />
        ))}
      </ul>
      <div className="mt-1 border-l-2 border-base-content/40 pl-2">
        <Markdown>{answer.rationale}</Markdown>
        {answer.references.length > 0 && (
          <p>
            <span className="font-bold">Read:</span> {answer.references.map(({ title }) => title).join(' · ')}
          </p>
        )}
      </div>
    </>
  );
}

function PartLine(props: {
  sign: string;
  mark: string;
  said: string[];
  own: boolean;
  text: string;
  why: string;
  bold: boolean;
}) {
  const { sign, mark, own, text, why, bold } = props;
  // An option's signs say it; what else was asked or done takes words.
  const said = props.said.filter((one) => one !== '✓ Right answer' && one !== 'Your choice');
  return (
    <li className="printed-whole grid grid-cols-[1em_1.4em_minmax(0,1fr)]">
      <span>{sign}</span>
      <span>{mark}</span>
      <span>
        <span className={clsx(bold && 'font-bold')}>
          <Markdown inline>{text}</Markdown>
        </span>
        {own && <Said>you</Said>}
        {said.map((one) => (
          <Said key={one}>
            <Markdown inline>{one}</Markdown>
          </Said>
        ))}
        {why !== '' && (
          <span className="text-base-content/85">
            {' – '}
            <Markdown inline>{why}</Markdown>
          </span>
        )}
      </span>
    </li>
  );
}

function Said({ children }: { children: ReactNode }) {
  return <span className="ml-1.5 border-b border-current/50">{children}</span>;
}

/** A written answer, what it was to hold, and one that holds it. */
function Written({ answer, words }: { answer: Explanation; words: string }) {
  return (
    <div>
      <p>
        <span className="font-bold">You wrote:</span> {words}
      </p>
      <ul>
        {answer.rubric.map(({ id, text, points }) => (
          <li key={id} className="printed-whole">
            {answer.rubricMarks ? `${signed(answer.rubricMarks[id] ?? '0')} of ${points}` : `${points}`}:{' '}
            <Markdown inline>{text}</Markdown>
          </li>
        ))}
      </ul>
      <p className="printed-lead font-bold">A model answer</p>
      <Markdown>{answer.model ?? ''}</Markdown>
    </div>
  );
}

/** What one wrote and said of it. */
function Own({ sitting, line }: { sitting: string; line: Line }) {
  const { note } = useKept(sitting, line.position);
  if (note === '' && !line.cause) return null;
  return (
    <div>
      {line.cause && <p>What lay behind it: {CAUSES[line.cause].toLowerCase()}.</p>}
      {note !== '' && <NoteText>{note}</NoteText>}
    </div>
  );
}
