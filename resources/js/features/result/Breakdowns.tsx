import clsx from 'clsx';
import { useId, useState } from 'react';
import type { View } from '../../api/client';
import { AsTable } from '../../ui/Fold';
import { Opener } from '../../ui/Opener';
import { Segments } from '../../ui/Segments';
import { COUNTED, OUTCOMES } from '../../ui/Outcome';
import { Table } from '../../ui/Table';
import { capital, count, duration, percent, signed, tight } from '../../ui/words';
import { QuestionLinks } from './QuestionLinks';
import { KINDS } from '../question/kindNames';

type Group = View<'Group'>;

const BY: Record<string, string> = { topic: 'Topic', section: 'Section', difficulty: 'Difficulty', kind: 'Kind' };

/** A result by what its questions have in common: one picture, with the cut as one line through all of it. */
export function Breakdowns({ result }: { result: View<'Result'> }) {
  const [chosen, setChosen] = useState<string | null>(null);
  const id = useId();
  const breakdown = result.breakdowns.find(({ by }) => by === chosen) ?? result.breakdowns[0];
  if (!breakdown) return null;
  const cut = Number(result.cut) / 100;
  return (
    <section aria-labelledby={id} className="grid gap-2">
      <div className="flex flex-wrap items-center gap-x-4 gap-y-1">
        <h2 id={id} className="text-lg font-bold">
          By {nameOf(breakdown.by).toLowerCase()}
        </h2>
        <Segments
          label="By what"
          options={result.breakdowns.map(({ by }) => [by, nameOf(by)] as const)}
          chosen={breakdown.by}
          onChoose={setChosen}
        />
      </div>
      <p className="max-w-[75ch] text-base-content/75">
        {result.clickedThrough
          ? 'So many answers came too fast to have been read that this shows marks, and not what you know.'
          : tight(sentence(breakdown, result.cut))}
      </p>
      <div>
        <ul>
          {breakdown.groups.map((group) => (
            <Row
              key={`${breakdown.by} ${group.code}`}
              group={group}
              by={breakdown.by}
              cut={cut}
              sitting={result.sitting}
            />
          ))}
        </ul>
        <div className={clsx(COLUMNS, 'text-sm')} aria-hidden="true">
          <span className="relative h-6 max-sm:col-span-3 sm:col-start-3">
            <span className="absolute top-0 -translate-x-1/2 font-bold whitespace-nowrap" style={at(cut)}>
              cut {percent(cut)}
            </span>
          </span>
        </div>
      </div>
      <p className="max-w-[75ch] text-sm text-base-content/75">
        Bars: share of the marks of what is marked. Thin lines: where it would lie eight times in ten. “Unsettled” means
        that this holds the cut, or that there are too few questions to tell.
      </p>
      <AsTable>
        <Figures groups={breakdown.groups} by={breakdown.by} />
      </AsTable>
    </section>
  );
}

/** The same for every row, so that all bars begin and end alike. */
const COLUMNS =
  'grid grid-cols-[minmax(0,1fr)_3.5rem_6.5rem] items-center gap-x-3 sm:grid-cols-[minmax(10rem,15rem)_2.5rem_minmax(0,1fr)_3.5rem_6.5rem]';

function at(share: number) {
  return { left: `${100 * Math.max(0, Math.min(1, share))}%` };
}

function Row(props: { group: Group; by: string; cut: number; sitting: string; sub?: boolean }) {
  const { group, by, cut, sitting, sub } = props;
  const [open, setOpen] = useState(false);
  const id = useId();
  const alone = group.parts.filter(({ tally }) => tally.questions === 1);
  const larger = group.parts.filter(({ tally }) => tally.questions > 1);
  return (
    <li>
      <div className={clsx(COLUMNS, 'min-h-10')}>
        <Opener open={open} controls={id} onToggle={() => setOpen(!open)} className={sub ? 'pl-5' : 'font-bold'}>
          <span className="truncate" title={valueOf(by, group.name)}>
            {valueOf(by, group.name)}
          </span>
        </Opener>
        <span className="text-right text-sm text-base-content/75 tabular-nums max-sm:hidden">
          {group.tally.questions}
          <span className="sr-only"> {group.tally.questions === 1 ? 'question' : 'questions'}</span>
        </span>
        <Bar group={group} cut={cut} />
        <span className="text-right font-bold tabular-nums">{group.share === null ? '–' : percent(group.share)}</span>
        <span className="flex items-center gap-1.5 text-sm">
          <StatusMark status={group.status} /> {group.status}
        </span>
      </div>
      {open && (
        <div id={id} className="mb-2 border-l-2 border-base-300 pl-3">
          <p className="py-1 text-sm">
            {signed(group.tally.marks)} of {group.tally.possible} marks
            {group.tally.takenOff !== '0' &&
              ` (${group.tally.earned} earned, ${group.tally.takenOff} taken off by wrong answers)`}
            {group.tally.meanMs !== null && `; ${duration(group.tally.meanMs)} a question`}
            {!group.thin && `; likely between ${percent(group.low)} and ${percent(group.high)}`}
            {group.thin && `; on only ${count(group.tally.questions, 'question')}`}
          </p>
          <p className="flex flex-wrap items-center gap-x-3 text-sm">
            Questions: <QuestionLinks sitting={sitting} positions={group.questions} />
          </p>
          {larger.length > 0 && (
            <ul className="-ml-3">
              {larger.map((part) => (
                <Row key={part.code} group={part} by={by} cut={cut} sitting={sitting} sub />
              ))}
            </ul>
          )}
          {alone.length > 0 && group.parts.length > 1 && (
            <p className="py-1 text-sm text-base-content/75">
              One question each: {alone.map(({ name }) => name).join(', ')}.
            </p>
          )}
        </div>
      )}
    </li>
  );
}

/** As high as its row, so that the cut is one line through all of them. */
function Bar({ group, cut }: { group: Group; cut: number }) {
  const { share, low, high, status } = group;
  return (
    <span
      aria-hidden="true"
      className="relative block h-full min-h-8 [print-color-adjust:exact] max-sm:order-last max-sm:col-span-3"
    >
      <span className="absolute inset-x-0 top-1/2 h-4 -translate-y-1/2 bg-base-content/8" />
      {share !== null && (
        <span
          className={clsx(
            'absolute top-1/2 left-0 h-4 -translate-y-1/2',
            status === 'below' ? 'bg-warning/60' : 'bg-primary/50',
          )}
          style={{ width: at(share).left }}
        />
      )}
      {share !== null && (
        <span
          className="absolute top-1/2 h-0.5 -translate-y-1/2 bg-base-content"
          style={{ ...at(low), right: `${100 - 100 * Math.max(0, Math.min(1, high))}%` }}
        />
      )}
      <span className="absolute inset-y-0 -translate-x-1/2 border-l-2 border-dashed border-error" style={at(cut)} />
    </span>
  );
}

function StatusMark({ status }: { status: Group['status'] }) {
  return (
    <svg viewBox="0 0 14 14" width="14" height="14" aria-hidden="true" className="shrink-0" strokeWidth="1.8">
      {status === 'above' ? (
        <path d="M7 2l5.500 10h-11z" className="fill-success stroke-success" />
      ) : status === 'below' ? (
        <path d="M7 12L1.500 2h11z" className="fill-warning stroke-warning" />
      ) : (
        <path d="M7 1.500L12.500 7 7 12.500 1.500 7z" fill="none" stroke="currentColor" />
      )}
    </svg>
  );
}

function Figures({ groups, by }: { groups: Group[]; by: string }) {
  const lines = groups.flatMap((group) => [
    { group, sub: false },
    ...group.parts.map((part) => ({ group: part, sub: true })),
  ]);
  return (
    <Table
      caption={`Result by ${nameOf(by).toLowerCase()}`}
      head={
        <tr>
          <th scope="col">{nameOf(by)}</th>
          <th scope="col">Questions</th>
          {COUNTED.map(([name]) => (
            <th key={name} scope="col">
              {OUTCOMES[name]}
            </th>
          ))}
          <th scope="col">Marks</th>
          <th scope="col">Taken off</th>
          <th scope="col">Share</th>
          <th scope="col">Likely</th>
          <th scope="col">Mean time</th>
          <th scope="col">Against the cut</th>
        </tr>
      }
    >
      {lines.map(({ group, sub }) => (
        <tr key={`${sub} ${group.code}`}>
          <th scope="row" className={sub ? 'pl-5 font-normal' : ''}>
            {valueOf(by, group.name)}
          </th>
          <td>{group.tally.questions}</td>
          {COUNTED.map(([name, of]) => (
            <td key={name}>{group.tally[of]}</td>
          ))}
          <td className="whitespace-nowrap">
            {signed(group.tally.marks)} of {group.tally.possible}
          </td>
          <td>{group.tally.takenOff}</td>
          <td>{group.share === null ? '–' : percent(group.share)}</td>
          <td className="whitespace-nowrap">
            {percent(group.low)} to {percent(group.high)}
          </td>
          <td className="whitespace-nowrap">{group.tally.meanMs === null ? '–' : duration(group.tally.meanMs)}</td>
          <td>{group.status}</td>
        </tr>
      ))}
    </Table>
  );
}

function nameOf(by: string): string {
  return BY[by] ?? capital(by.replace(/^tag:/, ''));
}

function valueOf(by: string, value: string): string {
  if (by === 'kind') return capital(KINDS[value as keyof typeof KINDS] ?? value);
  return by === 'topic' || by === 'section' ? value : capital(value);
}

/** What the picture shows, in one sentence. */
function sentence({ by, groups }: View<'Breakdown'>, cut: string): string {
  const below = groups.filter(({ status }) => status === 'below');
  const above = groups.filter(({ status }) => status === 'above');
  const names = (some: Group[]) => some.map(({ name }) => valueOf(by, name)).join(', ');
  if (below.length > 0 && below.length <= 3) return `Below the cut of ${cut} %: ${names(below)}.`;
  if (below.length > 3) return `${below.length} of ${groups.length} lie below the cut of ${cut} %.`;
  if (above.length === 0) return `None is settled against the cut of ${cut} %: there are too few questions of each.`;
  return `Above the cut of ${cut} %: ${names(above)}. None lies below it.`;
}
