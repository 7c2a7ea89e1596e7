import { useQuery } from '@tanstack/react-query';
import { Link, useParams } from 'react-router';
import type { View } from '../../api/client';
import { booklet, key } from '../../api/queries';
import { Button } from '../../ui/Button';
import { Failure } from '../../ui/Failure';
import { Loading } from '../../ui/Loading';
import { Markdown } from '../../ui/Markdown';
import { OnPaper } from '../../ui/Media';
import { useInAddress } from '../../ui/useInAddress';
import { useTitle } from '../../ui/useTitle';
import { count, duration } from '../../ui/words';
import { PrintedQuestion } from './PrintedQuestion';
import { Covered } from '../result/Covered';
import { PaperChoice } from '../sitting/PaperChoice';
import { PrintedKey } from './PrintedKey';
import { AnswerSheet } from './AnswerSheet';
import { Tick } from '../../ui/Tick';

const PARTS = ['booklet', 'sheet', 'key'] as const;
type Part = (typeof PARTS)[number];
const NAMES: Record<Part, string> = { booklet: 'Booklet', sheet: 'Answer sheet', key: 'Key with reasons' };

function partsIn(search: URLSearchParams): readonly Part[] {
  const asked = search.get('parts')?.split(',');
  return PARTS.filter((part) => asked?.includes(part) ?? part !== 'key');
}

/** A sitting for the printer: what is shown is what is printed, but for the line on top. */
export function Component() {
  const { sitting = '' } = useParams();
  const page = useQuery(booklet(sitting));
  useTitle(page.data ? `${page.data.briefing.title}, to print` : 'To print');
  const [parts, choose] = useInAddress(partsIn, (chosen) => [['parts', chosen.join(',') || 'none']]);
  if (page.isPending) return <Loading what="Setting the pages" />;
  if (page.isError) return <Failure error={page.error} retry={() => void page.refetch()} />;
  const { briefing, keyed } = page.data;
  return (
    <div className="paper mx-auto max-w-[19cm] p-4 sm:p-8">
      <div className="mb-6 grid gap-3 border-b border-base-300 pb-4 print:hidden">
        <div className="flex flex-wrap items-center gap-x-5 gap-y-2">
          <Link to="/tests" className="text-primary underline underline-offset-4">
            All tests
          </Link>
          {PARTS.map((part) => (
            <Tick
              key={part}
              on={parts.includes(part)}
              disabled={part === 'key' && !keyed}
              onChange={() => choose(PARTS.filter((one) => parts.includes(one) !== (one === part)))}
            >
              {NAMES[part]}
            </Tick>
          ))}
          <span className="flex-1" />
          <Button weight="main" disabled={parts.length === 0} onClick={() => window.print()}>
            Print
          </Button>
        </div>
        {!keyed && (
          <p className="text-base-content/75">
            Printing changes nothing of the test. The key can be printed after you hand in, or when you sit it on paper.
          </p>
        )}
        {briefing.status !== 'handed_in' && <PaperChoice data={briefing} />}
        {parts.length === 0 && <p>Choose what to print.</p>}
      </div>
      <OnPaper value={true}>
        {parts.includes('booklet') && <Booklet page={page.data} />}
        {parts.includes('sheet') && <AnswerSheet title={briefing.title} questions={page.data.questions} />}
        {parts.includes('key') && keyed && <Key sitting={sitting} title={briefing.title} />}
      </OnPaper>
    </div>
  );
}

function Booklet({ page }: { page: View<'Booklet'> }) {
  const { briefing, questions, sections, units } = page;
  return (
    <section className="printed-part" aria-labelledby="booklet">
      <h1 id="booklet" className="text-xl font-bold">
        {briefing.title}
      </h1>
      <p className="mb-4">
        {count(briefing.questions, 'question')}, {briefing.marks} marks
        {briefing.limitMs !== null && `, ${duration(briefing.limitMs)}`}. Name: ______________________ Date: ___________
      </p>
      {questions.map((question) => {
        const section = sections.find(({ from }) => from === question.position);
        const unit = units.find(({ positions }) => positions[0] === question.position);
        return (
          <div key={question.position}>
            {section && <h2 className="mt-4 border-b-2 border-current pb-1 text-lg font-bold">{section.name}</h2>}
            {unit && <PrintedUnit unit={unit} />}
            <PrintedQuestion question={question} />
          </div>
        );
      })}
    </section>
  );
}

/** A case with all of its exhibits, a text, or the lead of a series, before its first question. */
function PrintedUnit({ unit }: { unit: View<'Unit'> }) {
  const [from = 0, to = 0] = [unit.positions[0], unit.positions.at(-1)];
  return (
    // Not a grid: a browser breaks the pages of a grid wherever it likes.
    <div className="mt-4 space-y-3 border-l-4 border-current pl-4">
      <p className="printed-lead font-bold">
        {unit.title}
        <span className="font-normal">
          {' '}
          (for {from === to ? `question ${from + 1}` : `questions ${from + 1} to ${to + 1}`})
        </span>
      </p>
      <Markdown>{unit.text}</Markdown>
      {unit.exhibits.map((exhibit) => (
        <div key={exhibit.title} className="printed-whole">
          <p className="printed-lead font-bold">{exhibit.title}</p>
          <Markdown>{exhibit.body}</Markdown>
        </div>
      ))}
    </div>
  );
}

function Key({ sitting, title }: { sitting: string; title: string }) {
  const page = useQuery(key(sitting));
  if (page.isPending) return <Loading what="Fetching the key" />;
  if (page.isError)
    return (
      <Covered
        sitting={sitting}
        error={page.error}
        positions={null}
        show="Show me the key"
        again={() => void page.refetch()}
      />
    );
  return <PrintedKey title={title} answers={page.data.answers} />;
}
