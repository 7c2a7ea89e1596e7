import clsx from 'clsx';
import { Flag } from 'lucide-react';
import { useEffect, useState, type KeyboardEvent } from 'react';
import { flushSync } from 'react-dom';
import { Link } from 'react-router';
import type { View } from '../../api/client';
import { OUTCOMES, OutcomeMark } from '../../ui/Outcome';
import { Table } from '../../ui/Table';
import { useInAddress } from '../../ui/useInAddress';
import { capital, duration, percent } from '../../ui/words';
import { KINDS } from '../question/kindNames';
import { filterNamed, FILTERS, filtersOf, SORTS, sorted, type Filter, type Line, type Sort } from './lines';
import { SURENESS } from './sureness';

const HEADS: Record<Sort, string> = {
  question: 'No.',
  outcome: 'Outcome',
  topic: 'Topic and question',
  difficulty: 'Difficulty',
  kind: 'Kind',
  time: 'Time',
  cohort: 'Others',
  facility: 'Got it',
  sureness: 'Sureness',
  tries: 'Tries',
  changes: 'Changed',
};

/** So many at once; the others when they are asked for. */
const AT_ONCE = 25;

interface Choice {
  show: Filter;
  topic: string;
  sort: Sort;
  down: boolean;
}

function read(search: URLSearchParams): Choice {
  const sort = search.get('sort') ?? 'question';
  return {
    show: filterNamed(search.get('show')) ?? 'all',
    topic: search.get('topic') ?? '',
    sort: Object.hasOwn(SORTS, sort) ? (sort as Sort) : 'question',
    down: search.get('down') === '1',
  };
}

/** Every question in a line, to be sorted and narrowed; each opens its review. */
export function QuestionTable({ result }: { result: View<'Result'> }) {
  const [choice, choose] = useInAddress(read, ({ show, topic, sort, down }) => [
    ['show', show === 'all' ? '' : show],
    ['topic', topic],
    ['sort', sort === 'question' ? '' : sort],
    ['down', down ? '1' : ''],
  ]);
  const [all, setAll] = useState(false);
  useEffect(() => {
    // On paper there is nothing to press.
    const whole = () => flushSync(() => setAll(true));
    window.addEventListener('beforeprint', whole);
    return () => window.removeEventListener('beforeprint', whole);
  }, []);
  const { questions, sitting } = result;
  const topics = [...new Set(questions.map(({ topic }) => topic))];
  const found = sorted(
    questions.filter((line) => FILTERS[choice.show][1](line) && (choice.topic === '' || line.topic === choice.topic)),
    choice.sort,
    choice.down,
  );
  const shown = all ? found : found.slice(0, AT_ONCE);
  const columns = (Object.keys(HEADS) as Sort[]).filter(
    (sort) => sort !== 'tries' || questions.some(({ tries }) => tries > 0),
  );
  const field = 'select border-base-content/50 text-base pointer-fine:h-9';
  return (
    <section aria-labelledby="questions" className="grid gap-3">
      <div className="flex flex-wrap items-end gap-x-6 gap-y-2">
        <h2 id="questions" className="text-lg font-bold">
          Every question
        </h2>
        <label className="flex items-center gap-2">
          Show
          <select
            value={choice.show}
            onChange={(event) => choose({ ...choice, show: event.target.value as Filter })}
            className={clsx(field, 'w-52')}
          >
            {filtersOf(questions).map(([filter, n]) => (
              <option key={filter} value={filter}>
                {FILTERS[filter][0]} ({n})
              </option>
            ))}
          </select>
        </label>
        {topics.length > 1 && (
          <label className="flex min-w-0 items-center gap-2">
            of
            <select
              value={choice.topic}
              onChange={(event) => choose({ ...choice, topic: event.target.value })}
              className={clsx(field, 'w-60')}
            >
              <option value="">all topics</option>
              {topics.map((topic) => (
                <option key={topic}>{topic}</option>
              ))}
            </select>
          </label>
        )}
        <p role="status" className="text-base-content/75 print:hidden">
          {found.length} of {questions.length}
        </p>
      </div>
      {found.length === 0 ? (
        <p>No question of this sort. Show all, or another topic.</p>
      ) : (
        <Table
          caption="Every question"
          tight
          head={
            <tr>
              {columns.map((sort) => (
                <Head key={sort} sort={sort} choice={choice} choose={choose} />
              ))}
            </tr>
          }
        >
          {shown.map((line) => (
            <Row
              key={line.position}
              line={line}
              sitting={sitting}
              show={choice.show}
              tries={columns.includes('tries')}
            />
          ))}
        </Table>
      )}
      {shown.length < found.length && (
        <button
          type="button"
          onClick={() => setAll(true)}
          className="min-h-11 cursor-pointer justify-self-start text-primary underline underline-offset-4 pointer-fine:min-h-9 print:hidden"
        >
          Show all {found.length}
        </button>
      )}
    </section>
  );
}

function Head({ sort, choice, choose }: { sort: Sort; choice: Choice; choose: (choice: Choice) => void }) {
  const on = choice.sort === sort;
  return (
    <th scope="col" aria-sort={on ? (choice.down ? 'descending' : 'ascending') : 'none'}>
      <button
        type="button"
        onClick={() => choose({ ...choice, sort, down: on && !choice.down })}
        className={clsx(
          'min-h-11 cursor-pointer whitespace-nowrap underline-offset-4 hover:underline pointer-fine:min-h-8',
          on && 'font-bold text-base-content',
        )}
      >
        {HEADS[sort]}
        <span aria-hidden="true" className="inline-block w-4 text-center">
          {on ? (choice.down ? '↓' : '↑') : ''}
        </span>
      </button>
    </th>
  );
}

/** Up and down go from question to question. */
function step(event: KeyboardEvent<HTMLAnchorElement>) {
  const to =
    event.key === 'ArrowDown' ? 'nextElementSibling' : event.key === 'ArrowUp' ? 'previousElementSibling' : null;
  if (!to) return;
  event.preventDefault();
  event.currentTarget.closest('tr')?.[to]?.querySelector('a')?.focus();
}

function Row({ line, sitting, show, tries }: { line: Line; sitting: string; show: Filter; tries: boolean }) {
  const search = show === 'all' ? '?show=all' : `?show=${show}`;
  return (
    <tr className="break-inside-avoid hover:bg-base-200">
      <td className="tabular-nums">
        <Link
          to={`/review/${sitting}/${line.position + 1}${search}`}
          aria-label={`Question ${line.position + 1}`}
          onKeyDown={step}
          className="inline-flex min-h-11 min-w-8 items-center gap-1 text-primary underline underline-offset-4 pointer-fine:min-h-8"
        >
          {line.position + 1}
          {line.flagged && <Flag aria-label="flagged" className="size-3.5 shrink-0" />}
        </Link>
      </td>
      <td className="whitespace-nowrap">
        <span className="inline-flex items-center gap-1.5">
          <OutcomeMark outcome={line.outcome} size={16} />
          {OUTCOMES[line.outcome]}
          {line.closed && line.outcome === 'left_blank' && ', closed'}
        </span>
      </td>
      <td className="w-full max-w-0 min-w-44 print:min-w-24">
        <span className="line-clamp-2" title={line.excerpt}>
          {line.excerpt}
        </span>
        <span className="block truncate text-sm text-base-content/75" title={`${line.topic}, ${line.subtopic}`}>
          {line.subtopic}
        </span>
      </td>
      <td>{capital(line.difficulty)}</td>
      <td className="whitespace-nowrap">{capital(KINDS[line.kind])}</td>
      <td className="whitespace-nowrap tabular-nums">
        {line.outcome === 'not_reached' ? '–' : duration(line.activeMs)}
        {line.tempo && <span className="text-base-content/75">, {line.tempo}</span>}
      </td>
      <td className="whitespace-nowrap tabular-nums">{line.cohortMs === null ? '–' : duration(line.cohortMs)}</td>
      <td className="tabular-nums">{line.facility === null ? '–' : percent(line.facility)}</td>
      <td>{line.sureness ? SURENESS[line.sureness] : '–'}</td>
      {tries && <td className="tabular-nums">{line.tries || '–'}</td>}
      <td className="tabular-nums">{line.changes || '–'}</td>
    </tr>
  );
}
