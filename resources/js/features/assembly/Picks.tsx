import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { api, ask, type View } from '../../api/client';
import { RecipeRequest as LIMITS } from '../../api/limits';
import { Button } from '../../ui/Button';
import { Dialog } from '../../ui/Dialog';
import { Failure } from '../../ui/Failure';
import { Loading } from '../../ui/Loading';
import { Markdown } from '../../ui/Markdown';
import { OUTCOMES } from '../../ui/Outcome';
import { Table } from '../../ui/Table';
import { count } from '../../ui/words';
import { Answering } from '../question/kinds/Answering';
import { KINDS } from '../question/kindNames';
import { recipeOf, toggled } from './recipe';
import type { Building } from './useBuild';

type Order = NonNullable<View<'PickRequest'>['order']>;

const COLUMNS: readonly [Order, string][] = [
  ['stem', 'Question'],
  ['topic', 'Topic'],
  ['kind', 'Kind'],
  ['difficulty', 'Difficulty'],
  ['outcome', 'Last time'],
];

/** The questions that match, to be picked one by one. */
export function Picks({ exam, build }: { exam: string; build: Building }) {
  const [open, setOpen] = useState(build.choices.only.length > 0);
  const { only } = build.choices;
  return (
    <section aria-labelledby="picks" className="grid gap-3 border-t border-base-300 pt-4">
      <div className="flex flex-wrap items-center gap-3">
        <h2 id="picks" className="text-lg font-bold">
          Pick by hand
        </h2>
        <Button small aria-expanded={open} onClick={() => setOpen(!open)}>
          {open ? 'Close the list' : 'List what matches'}
        </Button>
        {only.length > 0 && (
          <>
            <p aria-live="polite">{count(only.length, 'question')} picked.</p>
            <Button small weight="quiet" onClick={() => build.change({ only: [], count: build.usual.count })}>
              Pick none
            </Button>
          </>
        )}
      </div>
      {open && <List exam={exam} build={build} />}
    </section>
  );
}

function List({ exam, build }: { exam: string; build: Building }) {
  const { choices, change } = build;
  const [order, setOrder] = useState<Order>('topic');
  const [down, setDown] = useState(false);
  const [page, setPage] = useState(1);
  const [looked, setLooked] = useState<number | null>(null);
  // What is picked already must not hide what else there is to pick.
  const filters = recipeOf({ ...choices, only: [], count: '1', spread: 'blueprint', mode: 'untimed' });
  const body = { choices: filters, order, down, page };
  const list = useQuery({
    queryKey: ['picks', exam, body],
    queryFn: ({ signal }) => ask(api.POST('/api/exams/{exam}/questions', { params: { path: { exam } }, body, signal })),
    placeholderData: keepPreviousData,
  });
  if (list.isPending) return <Loading what="Listing the questions" />;
  if (list.isError) return <Failure error={list.error} retry={() => void list.refetch()} />;
  const { questions, total, pages } = list.data;
  if (total === 0) return <p>Nothing matches these choices. Drop one of the filters above.</p>;
  const here = questions.map(({ id }) => id);
  const all = here.every((id) => choices.only.includes(id));
  const pick = (ids: readonly number[], on: boolean) =>
    change({
      only: ids
        .reduce<readonly number[]>((picked, id) => toggled(picked, id, on), choices.only)
        .slice(0, LIMITS.count.most),
    });
  const sort = (by: Order) => {
    setDown(by === order && !down);
    setOrder(by);
    setPage(1);
  };
  return (
    <div className="grid gap-3" aria-busy={list.isFetching}>
      <Table
        caption="Questions that match"
        head={
          <tr>
            <th scope="col">
              <input
                type="checkbox"
                aria-label="All on this page"
                className="checkbox checkbox-sm checkbox-primary"
                checked={all}
                onChange={(event) => pick(here, event.target.checked)}
              />
            </th>
            {COLUMNS.map(([by, label]) => (
              <th key={by} scope="col" aria-sort={by === order ? (down ? 'descending' : 'ascending') : undefined}>
                <button
                  type="button"
                  className="min-h-11 pointer-fine:min-h-9 cursor-pointer font-bold"
                  onClick={() => sort(by)}
                >
                  {label} <span aria-hidden="true">{by === order ? (down ? '▾' : '▴') : ''}</span>
                </button>
              </th>
            ))}
            <th scope="col">
              <span className="sr-only">Look</span>
            </th>
          </tr>
        }
      >
        {questions.map((one) => (
          <tr key={one.id}>
            <td>
              <input
                type="checkbox"
                aria-label={one.excerpt}
                className="checkbox checkbox-sm checkbox-primary"
                checked={choices.only.includes(one.id)}
                onChange={(event) => pick([one.id], event.target.checked)}
              />
            </td>
            <td className="min-w-64">
              {one.excerpt}
              {one.unit && <span className="text-sm text-base-content/75"> ({one.unit}, picked whole)</span>}
            </td>
            <td>{one.topic}</td>
            <td>{KINDS[one.kind]}</td>
            <td>{one.difficulty}</td>
            <td>
              {one.outcome ? OUTCOMES[one.outcome] : 'new'}
              {one.flagged && ', flagged'}
            </td>
            <td>
              <Button small weight="quiet" onClick={() => setLooked(one.id)} aria-label={`Look at: ${one.excerpt}`}>
                Look
              </Button>
            </td>
          </tr>
        ))}
      </Table>
      <div className="flex flex-wrap items-center gap-3">
        <Button small disabled={page <= 1} onClick={() => setPage(page - 1)}>
          Back
        </Button>
        <p>
          Page {list.data.page} of {pages}, {count(total, 'question')}
        </p>
        <Button small disabled={page >= pages} onClick={() => setPage(page + 1)}>
          On
        </Button>
      </div>
      {looked !== null && <Look exam={exam} question={looked} onClose={() => setLooked(null)} />}
    </div>
  );
}

/** A question as it will be shown. */
function Look({ exam, question, onClose }: { exam: string; question: number; onClose: () => void }) {
  const page = useQuery({
    queryKey: ['look', exam, question],
    queryFn: () =>
      ask(
        api.GET('/api/exams/{exam}/questions/{question}', { params: { path: { exam, question: String(question) } } }),
      ),
  });
  return (
    <Dialog title="The question" onClose={onClose} wide>
      {page.isPending && <Loading what="Fetching it" />}
      {page.isError && <Failure error={page.error} />}
      {page.data && (
        <div className="grid gap-4">
          {page.data.body.kind !== 'dropdown_gaps' && page.data.body.kind !== 'typed_gaps' && (
            <div id="looked">
              <Markdown>{page.data.stem}</Markdown>
            </div>
          )}
          <Answering
            body={page.data.body}
            stem={page.data.stem}
            response={null}
            locked
            labelledBy="looked"
            onAnswer={() => undefined}
            struck={[]}
            onStrike={() => undefined}
          />
        </div>
      )}
    </Dialog>
  );
}
