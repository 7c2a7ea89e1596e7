import { useMutation, useQuery } from '@tanstack/react-query';
import clsx from 'clsx';
import { NotebookPen } from 'lucide-react';
import { useDeferredValue, useState, type ReactNode } from 'react';
import { Link, useNavigate } from 'react-router';
import { api, ask, type View } from '../../api/client';
import { TimeLeft } from '../../ui/TimeLeft';
import { builder, queries, TESTS, tests } from '../../api/queries';
import { Button, ButtonLink } from '../../ui/Button';
import { Empty } from '../../ui/Empty';
import { Failure } from '../../ui/Failure';
import { Loading } from '../../ui/Loading';
import { OfExam } from '../../ui/OfExam';
import { Notice } from '../../ui/Notice';
import { OutcomeBar } from '../../ui/OutcomeBar';
import { Pages } from '../../ui/Pages';
import { Select } from '../../ui/Select';
import { SearchField } from '../../ui/SearchField';
import { Table } from '../../ui/Table';
import { pageIn, useInAddress } from '../../ui/useInAddress';
import { useTitle } from '../../ui/useTitle';
import { duration, MODES, dayTime, toldPercent } from '../../ui/words';
import { choicesOf, usualOf, written } from './recipe';
import { TestNote } from '../library/TestNote';
import { TakeTests } from '../sitting/packs/TakeTests';
import { Named } from './Recipes';
import { Tick } from '../../ui/Tick';
import { useBegin } from '../../api/useBegin';

type Line = View<'TestLine'>;
type Wanted = View<'TestsRequest'>;
type Order = NonNullable<Wanted['order']>;

const isNumber = (order: Order) => order === 'share' || order === 'answered';
/** Kept where there is little room. */
const isKept = (order: Order) => order === 'name' || order === 'share';
const STATES = { not_started: 'not begun', open: 'begun', handed_in: 'handed in' } as const;
const COLUMNS: readonly [Order, string][] = [
  ['name', 'Name'],
  ['made', 'When'],
  ['mode', 'Mode'],
  ['answered', 'Answered'],
  ['state', 'What came of it'],
  ['share', 'Share'],
];

/** All tests of the exam, found again, sat again, shared, printed and thrown away. */
export function Component() {
  useTitle('Tests');
  return <OfExam>{(exam) => <Tests exam={exam} />}</OfExam>;
}

function read(search: URLSearchParams): Wanted {
  const one = <T extends string>(name: string, of: readonly T[]) => of.find((value) => value === search.get(name));
  return {
    search: search.get('search') ?? '',
    mode: one('mode', ['tutor', 'timed', 'untimed'] as const) ?? null,
    state: one('state', ['not_started', 'open', 'handed_in'] as const) ?? null,
    order:
      one(
        'order',
        COLUMNS.map(([order]) => order),
      ) ?? 'made',
    down: search.get('down') !== '0',
    everywhere: search.get('of') === 'all',
    noted: search.get('noted') === '1',
    page: pageIn(search),
  };
}

function write({ search, mode, state, order, down, everywhere, noted, page }: Wanted): [string, string][] {
  return [
    ['search', search ?? ''],
    ['mode', mode ?? ''],
    ['state', state ?? ''],
    ['order', order === 'made' ? '' : (order ?? '')],
    ['down', down === false ? '0' : ''],
    ['of', everywhere ? 'all' : ''],
    ['noted', noted ? '1' : ''],
    ['page', page === 1 ? '' : String(page)],
  ];
}

function Tests({ exam }: { exam: string }) {
  const [wanted, choose] = useInAddress(read, write);
  const want = (part: Partial<Wanted>) => choose({ ...wanted, page: 1, ...part });
  const page = useQuery(tests(exam, useDeferredValue(wanted)));
  const [held, hold] = useState<Line | null>(null);
  if (page.isPending) return <Loading what="Looking through your tests" />;
  if (page.isError) return <Failure error={page.error} retry={() => void page.refetch()} />;
  const { data } = page;
  return (
    <div className="grid gap-4">
      <div className="flex flex-wrap items-center gap-x-4 gap-y-2">
        <h1 className="text-2xl font-bold">Tests</h1>
        <span className="flex-1" />
        <SearchField
          label="Find a test by its name or its note"
          placeholder="Find by name or note"
          className="w-56"
          value={wanted.search ?? ''}
          onChange={(search) => want({ search })}
        />
        <Tick on={wanted.noted ?? false} onChange={(noted) => want({ noted })}>
          with a note
        </Tick>
        {(data.elsewhere > 0 || wanted.everywhere) && (
          <Tick on={wanted.everywhere ?? false} onChange={(everywhere) => want({ everywhere })}>
            of all exams
          </Tick>
        )}
        <Select
          label="Mode"
          any="any mode"
          value={wanted.mode}
          of={Object.entries(MODES)}
          onChange={(mode) => want({ mode })}
        />
        <Select
          label="State"
          any="any state"
          value={wanted.state}
          of={Object.entries(STATES)}
          onChange={(state) => want({ state })}
        />
      </div>
      {held && (
        <Notice
          action={
            <Button small onClick={() => hold(null)}>
              Never mind
            </Button>
          }
        >
          Choose the result to hold against {held.name} of {dayTime(held.touchedAt ?? held.madeAt)}.
        </Notice>
      )}
      {data.deleted.map((gone) => (
        <Deleted key={gone.id} gone={gone} />
      ))}
      {data.all === 0 ? (
        <Empty title="No tests of this exam yet.">
          <p>
            Whatever you build or begin is found here again.
            {data.elsewhere > 0 && ` Your ${data.elsewhere} other tests are of another exam: choose it above.`}
          </p>
          <ButtonLink to="/build" weight="main">
            Build a test
          </ButtonLink>
        </Empty>
      ) : data.total === 0 ? (
        <Empty title="No test is like that.">
          <Button onClick={() => want({ search: '', mode: null, state: null, noted: false })}>
            Show all {data.all}
          </Button>
        </Empty>
      ) : (
        <>
          <Table
            caption="Tests"
            tight
            head={
              <tr>
                {COLUMNS.map(([order, name]) => (
                  <Sorted key={order} order={order} wanted={wanted} want={want}>
                    {name}
                  </Sorted>
                ))}
                <th scope="col">
                  <span className="sr-only">What to do with it</span>
                </th>
              </tr>
            }
          >
            {data.tests.map((line) => (
              <Row key={line.id} line={line} everywhere={wanted.everywhere ?? false} held={held} hold={hold} />
            ))}
          </Table>
          <Pages of={data} what={`${data.total} tests`} onPage={(one) => want({ page: one })} />
        </>
      )}
    </div>
  );
}

function Sorted(props: { order: Order; wanted: Wanted; want: (part: Partial<Wanted>) => void; children: ReactNode }) {
  const { order, wanted } = props;
  const on = wanted.order === order;
  return (
    <th
      scope="col"
      className={clsx(!isKept(order) && 'max-sm:hidden', isNumber(order) && 'text-right')}
      aria-sort={on ? (wanted.down ? 'descending' : 'ascending') : undefined}
    >
      <button
        type="button"
        className="min-h-11 pointer-fine:min-h-9 cursor-pointer font-bold underline-offset-4 hover:underline"
        // A name begins with A, a share with the best.
        onClick={() => props.want({ order, down: on ? !wanted.down : order !== 'name' })}
      >
        {props.children}
        <span aria-hidden="true">{on ? (wanted.down ? ' ↓' : ' ↑') : ''}</span>
      </button>
    </th>
  );
}

function Deleted({ gone }: { gone: View<'DeletedLine'> }) {
  const restoring = useMutation({
    mutationFn: () => ask(api.POST('/api/sittings/{sitting}/restore', { params: { path: { sitting: gone.id } } })),
    meta: { invalidates: TESTS },
  });
  return (
    <Notice
      action={
        <Button small busy={restoring.isPending} onClick={() => restoring.mutate()}>
          Have it back
        </Button>
      }
    >
      {restoring.error
        ? restoring.error.message
        : `${gone.name} is deleted. It can be had back until ${dayTime(gone.until)}.`}
    </Notice>
  );
}

/** All of it, and what it comes to a question. */
function minutesSaid({ activeMs, answered }: Line): string {
  return answered === 0 ? duration(activeMs) : `${duration(activeMs)}, ${duration(activeMs / answered)} each`;
}

function Row(props: { line: Line; everywhere: boolean; held: Line | null; hold: (line: Line) => void }) {
  const { line, everywhere, held, hold } = props;
  const [open, setOpen] = useState(false);
  const to = {
    handed_in: `/result/${line.id}`,
    open: line.timeUp ? `/result/${line.id}` : `/sit/${line.id}`,
    not_started: `/briefing/${line.id}`,
  }[line.state];
  const state = line.waits ? 'waits for its device' : line.timeUp ? 'time is up' : STATES[line.state];
  const runs = line.leftMs !== null && (
    <span className="block text-sm font-bold">
      its clock runs: <TimeLeft ms={line.leftMs} /> left
    </span>
  );
  const bar = line.outcomes && <OutcomeBar counts={line.outcomes} />;
  return (
    <>
      <tr>
        <th scope="row" className="max-w-96 font-normal">
          <Link to={line.onPaper && line.state !== 'handed_in' ? `/answers/${line.id}` : to}>{line.name}</Link>
          {everywhere && <span className="block text-sm text-base-content/75">{line.examName}</span>}
          {line.code && <span className="ml-2 text-sm text-base-content/75">shared: {line.code}</span>}
          {(line.noteTitle || line.note) && (
            <span className="line-clamp-1 text-sm text-base-content/75">
              <NotebookPen aria-label="Note:" className="mr-1 inline size-3.5" />
              {line.noteTitle || line.note}
            </span>
          )}
          <span className="block text-sm text-base-content/75 sm:hidden">
            {dayTime(line.touchedAt ?? line.madeAt)}, {MODES[line.mode].toLowerCase()}, {line.answered} of{' '}
            {line.questions}
            {line.activeMs > 0 && `, ${minutesSaid(line)}`}
            {bar ?? <span className="block">{state}</span>}
            {runs}
          </span>
        </th>
        <td className="whitespace-nowrap max-sm:hidden">{dayTime(line.touchedAt ?? line.madeAt)}</td>
        <td className="whitespace-nowrap max-sm:hidden">
          {MODES[line.mode]}
          {line.onPaper && ', on paper'}
        </td>
        <td className="text-right whitespace-nowrap tabular-nums max-sm:hidden">
          {line.answered} of {line.questions}
          {line.activeMs > 0 && <span className="block text-sm text-base-content/75">{minutesSaid(line)}</span>}
        </td>
        <td className="w-36 max-sm:hidden">
          {bar ? (
            <Link to={to} className="flex min-h-7 items-center">
              {bar}
            </Link>
          ) : (
            state
          )}
          {runs}
        </td>
        <td className="text-right whitespace-nowrap tabular-nums">{toldPercent(line.share)}</td>
        <td className="text-right">
          {held ? (
            line.state === 'handed_in' &&
            line.id !== held.id && (
              <ButtonLink small to={`/against/${held.id}/${line.id}`}>
                Compare
              </ButtonLink>
            )
          ) : (
            <Button
              small
              weight="quiet"
              aria-expanded={open}
              aria-label={`More with ${line.name}`}
              onClick={() => setOpen(!open)}
            >
              {open ? 'Less' : 'More'}
            </Button>
          )}
        </td>
      </tr>
      {open && (
        <tr>
          <td colSpan={7} className="border-t-0! bg-base-200 px-3 py-2!">
            <Actions
              line={line}
              onDone={() => setOpen(false)}
              onHold={() => {
                setOpen(false);
                hold(line);
                window.scrollTo({ top: 0 });
              }}
            />
          </td>
        </tr>
      )}
    </>
  );
}

function Actions({ line, onDone, onHold }: { line: Line; onDone: () => void; onHold: () => void }) {
  const path = { params: { path: { sitting: line.id } } };
  const [name, setName] = useState<string | null>(null);
  const [noting, setNoting] = useState(false);
  const begin = useBegin();
  const sit = (how: View<'AgainRequest'>['how']) =>
    begin.go(() => ask(api.POST('/api/sittings/{sitting}/again', { ...path, body: { how } })));
  const doing = useMutation({
    mutationFn: (what: () => Promise<unknown>) => what(),
    meta: { invalidates: TESTS },
  });
  const navigate = useNavigate();
  const change = useMutation({
    mutationFn: async (instead: boolean) => {
      const { choices, exam } = await ask(api.GET('/api/sittings/{sitting}/choices', path));
      const { counts } = await queries.fetchQuery(builder(exam));
      const search = written(choicesOf(choices), usualOf(counts));
      search.set('exam', exam);
      if (instead) search.set('instead', line.id);
      return search;
    },
    onSuccess: (search) => void navigate(`/build?${search.toString()}`),
  });
  const failed = begin.error ?? doing.error ?? change.error;
  const small = (label: string, onUse: () => void) => (
    <Button key={label} small disabled={begin.isPending || doing.isPending} onClick={onUse}>
      {label}
    </Button>
  );
  return (
    <div className="grid gap-2">
      {failed && <Failure error={failed} />}
      {name !== null ? (
        <Named
          label="New name"
          name={name}
          busy={doing.isPending}
          onName={setName}
          onBack={() => setName(null)}
          onDone={() =>
            doing.mutate(() => ask(api.PUT('/api/sittings/{sitting}/name', { ...path, body: { name } })), {
              onSuccess: () => setName(null),
            })
          }
        />
      ) : (
        <div className="flex flex-wrap gap-2">
          {line.state === 'handed_in' && small('Again: missed, partly, left blank', () => sit('missed'))}
          {line.same && small('The same questions again', () => sit('same'))}
          {line.fresh && small('Fresh questions', () => sit('fresh'))}
          {line.choices && line.state === 'not_started' && small('Change its choices', () => change.mutate(true))}
          {line.choices && small('Copy and change', () => change.mutate(false))}
          {line.state === 'handed_in' && small('Compare with another', onHold)}
          {small('Rename', () => setName(line.name))}
          {small('Note', () => setNoting(true))}
          <ButtonLink small to={`/print/${line.id}`}>
            Print
          </ButtonLink>
          {line.along && <TakeTests label="Take along" tests={1} make={() => Promise.resolve(line.id)} />}
          {line.mine &&
            (line.code === null
              ? small('Share it', () => doing.mutate(() => ask(api.POST('/api/sittings/{sitting}/share', path))))
              : small('Stop sharing', () =>
                  doing.mutate(() => ask(api.DELETE('/api/sittings/{sitting}/share', path))),
                ))}
          <Button
            small
            disabled={doing.isPending}
            onClick={() => doing.mutate(() => ask(api.DELETE('/api/sittings/{sitting}', path)), { onSuccess: onDone })}
          >
            Delete
          </Button>
        </div>
      )}
      {noting && (
        <TestNote
          sitting={line.id}
          written={{ title: line.noteTitle, note: line.note }}
          open
          onDone={() => setNoting(false)}
        />
      )}
      {line.code && (
        <p>
          Others join with the code <strong className="font-mono">{line.code}</strong> under Rehearse.
        </p>
      )}
      {line.agrees !== null && (
        <Tick
          on={line.agrees}
          onChange={(agrees) =>
            doing.mutate(() => ask(api.PUT('/api/sittings/{sitting}/comparison', { ...path, body: { agrees } })))
          }
        >
          My result may be compared with those of the others who sat it
        </Tick>
      )}
    </div>
  );
}
