import { useMutation, useQuery } from '@tanstack/react-query';
import clsx from 'clsx';
import type { ReactNode } from 'react';
import { useNavigate } from 'react-router';
import { api, ask, type View } from '../../api/client';
import { builder, queries } from '../../api/queries';
import { Button } from '../../ui/Button';
import { Empty } from '../../ui/Empty';
import { Failure } from '../../ui/Failure';
import { Loading } from '../../ui/Loading';
import { Notice } from '../../ui/Notice';
import { useTitle } from '../../ui/useTitle';
import { count, MODES as MODE_NAMES } from '../../ui/words';
import { useExam } from '../today/useExam';
import { Narrow } from './Narrow';
import { Picks } from './Picks';
import { KINDS, MODES, PENALTIES, POOLS, toggled, type Choices, type Mode, type Pool, type Spread } from './recipe';
import { Recipes } from './Recipes';
import { Sentence } from './Sentence';
import { Shortfall } from './Shortfall';
import { TopicTree } from './TopicTree';
import { useBuild, type Building } from './useBuild';

const ABOUT_MODES: Record<Mode, string> = {
  tutor: 'why, after each',
  timed: 'a clock, and silence',
  untimed: 'why, at the end',
};
const SPREADS: readonly [Spread, string][] = [
  ['blueprint', 'as the exam weighs'],
  ['available', 'as there are'],
  ['even', 'evenly'],
  ['by_hand', 'by hand'],
];
const DIFFICULTIES = ['easy', 'moderate', 'hard'] as const;
const STEPS = [10, 20, 30, 50];

export function Component() {
  useTitle('Build a test');
  const { exam, error, isPending, retry } = useExam();
  const page = useQuery({ ...builder(exam ?? ''), enabled: exam !== undefined, staleTime: 0 });
  if (error) return <Failure error={error} retry={retry} />;
  if (isPending || (exam && page.isPending)) return <Loading what="Counting the questions" />;
  if (page.isError) return <Failure error={page.error} retry={() => void page.refetch()} />;
  if (!page.data) return <Empty title="No exam has been set up here yet." />;
  if (page.data.counts.all === 0)
    return <Empty title="This exam has no questions yet.">Its author must add some in the workshop first.</Empty>;
  return <Build key={page.data.exam} page={page.data} />;
}

function Build({ page }: { page: View<'Builder'> }) {
  const build = useBuild(page);
  const { choices, change, faults } = build;
  return (
    <form
      id="build"
      className="grid gap-4"
      onSubmit={(event) => {
        event.preventDefault();
        if (build.ready) build.building.mutate();
      }}
    >
      <div className="flex flex-wrap items-baseline gap-x-4">
        <h1 className="text-2xl font-bold">Build a test</h1>
        <p className="text-base-content/75">{page.examName}</p>
      </div>
      <Sentence page={page} build={build} />
      {faults.topics && <Notice tone="warn">{faults.topics}</Notice>}
      {faults.byTopic && <Notice tone="warn">{faults.byTopic}</Notice>}
      {build.unknownTopics && (
        <Notice tone="warn">The address names a topic that this exam does not have. It is left out.</Notice>
      )}
      {build.count?.shortfall && <Shortfall shortfall={build.count.shortfall} build={build} />}
      {build.count?.leftOut && <p>{build.count.leftOut}</p>}
      {build.building.isError && <Failure error={build.building.error} />}
      {build.failed && <Failure error={build.failed} />}
      <div className="grid items-start gap-x-8 gap-y-6 lg:grid-cols-[minmax(0,11fr)_minmax(0,9fr)]">
        <section id="topics" aria-labelledby="topics-title" className="grid gap-2">
          <h2 id="topics-title" className="sr-only">
            Topics
          </h2>
          <input
            type="search"
            aria-label="Find in all questions"
            aria-describedby="find-hint"
            placeholder="Find in all questions: words, “phrases”, start*, -not"
            value={choices.words}
            aria-invalid={faults.words ? true : undefined}
            onChange={(event) => change({ words: event.target.value })}
            className="input w-full border-base-content/50 text-base"
          />
          <p id="find-hint" className={faults.words ? 'text-error' : 'sr-only'}>
            {faults.words ?? 'Searches what can be seen of each question, its exhibits, topic and tags.'}
          </p>
          <TopicTree
            topics={page.topics}
            chosen={choices.topics}
            onChange={(topics) => change({ topics })}
            fits={build.count?.topics}
            byHand={choices.spread === 'by_hand' ? choices.byTopic : null}
            onByHand={(code, text) => change({ byTopic: { ...choices.byTopic, [code]: text } })}
          />
          <p className="text-sm text-base-content/75">Cases and sets are taken whole, and counted where they begin.</p>
        </section>
        <div className="grid gap-5">
          <Which build={build} />
          <Narrowed build={build} />
          <HowMany build={build} />
          <HowToSit page={page} build={build} />
          <Recipes exam={page.exam} build={build} />
        </div>
      </div>
      <Picks exam={page.exam} build={build} />
      {page.papers.length > 0 && <Papers exam={page.exam} papers={page.papers} extraTime={page.extraTime} />}
    </form>
  );
}

function Group({ id, title, children }: { id: string; title: string; children: ReactNode }) {
  return (
    <fieldset id={id} className="min-w-0 scroll-mt-24">
      <legend className="mb-1.5 font-bold">{title}</legend>
      {children}
    </fieldset>
  );
}

/** A choice that is on or off, small enough that all of a kind are in sight. */
function Pick(props: { on: boolean; off?: boolean; onUse: () => void; children: ReactNode }) {
  return (
    <button
      type="button"
      aria-pressed={props.on}
      disabled={props.off}
      onClick={props.onUse}
      className={clsx(
        'inline-flex min-h-11 cursor-pointer items-center gap-1.5 rounded-field border px-3 pointer-fine:min-h-9',
        'disabled:cursor-default disabled:opacity-60',
        props.on
          ? 'border-primary bg-base-200 font-bold ring-1 ring-primary'
          : 'border-base-content/50 hover:bg-base-200',
      )}
    >
      {props.on && <span aria-hidden="true">✓</span>}
      {props.children}
    </button>
  );
}

function Tick(props: { on: boolean; onChange: (on: boolean) => void; children: ReactNode }) {
  return (
    <label className="flex min-h-11 cursor-pointer items-center gap-2 pointer-fine:min-h-9">
      <input
        type="checkbox"
        className="checkbox checkbox-sm checkbox-primary"
        checked={props.on}
        onChange={(event) => props.onChange(event.target.checked)}
      />
      {props.children}
    </label>
  );
}

function Which({ build }: { build: Building }) {
  const { choices, change, facets } = build;
  const n = (pool: Pool) => facets?.pools[pool] ?? 0;
  const shown = POOLS.filter(({ pool }) => !facets || n(pool) > 0 || choices.pools.includes(pool));
  const empty = POOLS.filter((one) => !shown.includes(one)).map(({ label }) => label);
  return (
    <Group id="which" title="Which">
      <div className="flex flex-wrap gap-1.5">
        {shown.map(({ pool, label }) => {
          const on = choices.pools.includes(pool);
          return (
            <Pick key={pool} on={on} onUse={() => change({ pools: toggled(choices.pools, pool, !on) })}>
              {label} <span className="tabular-nums">{facets ? n(pool) : '…'}</span>
            </Pick>
          );
        })}
      </div>
      <p className="mt-1 text-sm text-base-content/75">
        {choices.pools.length === 0 ? 'None chosen: all questions of the topics.' : 'Any of those chosen.'}
        {empty.length > 0 && ` Empty: ${empty.join(', ')}.`}
      </p>
    </Group>
  );
}

function Narrowed({ build }: { build: Building }) {
  const { choices, change, facets } = build;
  if (!facets) return null;
  const tag = (family: string, values: string[]) => {
    const others = Object.entries(choices.tags).filter(([other]) => other !== family);
    change({ tags: Object.fromEntries(values.length ? [...others, [family, values]] : others) });
  };
  const counted = (
    values: Readonly<Record<string, number>>,
    chosen: readonly string[],
    names?: Record<string, string>,
  ) =>
    // In the order of the names, where there are any.
    [...new Set([...Object.keys(names ?? {}), ...Object.keys(values), ...chosen])]
      .filter((value) => values[value] || chosen.includes(value))
      .map((value) => ({
        value,
        label: names?.[value] ?? value,
        n: values[value] ?? 0,
      }));
  const families = [...new Set([...Object.keys(facets.tags), ...Object.keys(choices.tags)])]
    .filter((family) => !family.startsWith('_'))
    .sort();
  return (
    <Group id="narrow" title="Narrowed by">
      <div className="flex flex-wrap gap-1.5">
        <Narrow
          label="difficulty"
          values={DIFFICULTIES.map((value) => ({ value, label: value, n: facets.difficulties[value] ?? 0 }))}
          chosen={choices.difficulties}
          onChange={(values) => change({ difficulties: values as Choices['difficulties'] })}
        />
        <Narrow
          label="as others find it"
          values={DIFFICULTIES.filter((value) => facets.found[value] || choices.tags._found?.includes(value)).map(
            (value) => ({ value, label: value, n: facets.found[value] ?? 0 }),
          )}
          chosen={choices.tags._found ?? []}
          onChange={(values) => tag('_found', values)}
        />
        <Narrow
          label="kind"
          values={counted(facets.kinds, choices.kinds, KINDS)}
          chosen={choices.kinds}
          onChange={(values) => change({ kinds: values as Choices['kinds'] })}
        />
        <Narrow
          label="picture, sound …"
          values={counted(facets.holds, choices.tags._holds ?? [])}
          chosen={choices.tags._holds ?? []}
          onChange={(values) => tag('_holds', values)}
        />
        {families.map((family) => (
          <Narrow
            key={family}
            label={family}
            values={counted(facets.tags[family] ?? {}, choices.tags[family] ?? [])}
            chosen={choices.tags[family] ?? []}
            onChange={(values) => tag(family, values)}
          />
        ))}
      </div>
    </Group>
  );
}

function HowMany({ build }: { build: Building }) {
  const { choices, change, count: there, faults } = build;
  const byHand = choices.spread === 'by_hand';
  const most = there ? Math.min(500, there.available) : 0;
  return (
    <Group id="how-many" title="How many">
      <div className="flex flex-wrap items-center gap-1.5">
        {!byHand && (
          <>
            {STEPS.map((n) => (
              <Pick key={n} on={choices.count === String(n)} onUse={() => change({ count: String(n) })}>
                {n}
              </Pick>
            ))}
            {most > 0 && !STEPS.includes(most) && (
              <Pick on={choices.count === String(most)} onUse={() => change({ count: String(most) })}>
                {there && there.available > 500 ? '500' : `all ${most}`}
              </Pick>
            )}
            <input
              inputMode="numeric"
              aria-label="How many questions"
              value={choices.count}
              aria-invalid={faults.count ? true : undefined}
              aria-describedby={faults.count ? 'count-fault' : undefined}
              onChange={(event) => change({ count: event.target.value })}
              className="input min-h-11 w-20 border-base-content/50 text-base aria-invalid:border-error pointer-fine:h-9 pointer-fine:min-h-9"
            />
          </>
        )}
        {byHand && <p>{count(build.total, 'question')}, as typed beside the topics.</p>}
      </div>
      {faults.count && (
        <p id="count-fault" className="mt-1 text-error">
          {faults.count}
        </p>
      )}
      <label className="mt-2 flex flex-wrap items-center gap-2">
        Spread
        <select
          value={choices.spread}
          onChange={(event) => change({ spread: event.target.value as Spread })}
          className="select w-auto border-base-content/50 text-base pointer-fine:h-9"
        >
          {SPREADS.map(([value, label]) => (
            <option key={value} value={value}>
              {label}
            </option>
          ))}
        </select>
        <span aria-live="polite" className="text-base-content/75">
          {there && `${count(there.available, 'question')} to draw from`}
        </span>
      </label>
    </Group>
  );
}

function HowToSit({ page, build }: { page: View<'Builder'>; build: Building }) {
  const { choices, change, faults, count: there } = build;
  return (
    <Group id="mode" title="How to sit it">
      <div className="grid grid-cols-3 gap-2">
        {MODES.map((mode) => (
          <label
            key={mode}
            className="grid min-h-14 cursor-pointer content-center rounded-field border border-base-content/50 px-3 py-1.5 has-checked:border-primary has-checked:bg-base-200 has-checked:ring-1 has-checked:ring-primary has-focus-visible:outline-2"
          >
            <input
              type="radio"
              name="mode"
              aria-label={MODE_NAMES[mode]}
              className="sr-only"
              checked={choices.mode === mode}
              onChange={() => change({ mode })}
            />
            <span className="font-bold">
              {choices.mode === mode && <span aria-hidden="true">✓ </span>}
              {MODE_NAMES[mode]}
            </span>
            <span className="text-sm text-base-content/75">{ABOUT_MODES[mode]}</span>
          </label>
        ))}
      </div>
      <div className="mt-2 flex flex-wrap items-center gap-x-5 gap-y-1">
        <Tick on={choices.shuffled} onChange={(shuffled) => change({ shuffled })}>
          shuffle options
        </Tick>
        <Tick on={choices.plain} onChange={(plain) => change({ plain })}>
          one mark each
        </Tick>
        <label className="flex items-center gap-2">
          a wrong answer costs
          <select
            value={choices.penalty}
            onChange={(event) => change({ penalty: event.target.value })}
            className="select w-auto border-base-content/50 text-base pointer-fine:h-9"
          >
            {PENALTIES.map((penalty) => (
              <option key={penalty} value={penalty}>
                {penalty === '0' ? 'nothing' : penalty === 'exam' ? 'as in the exam' : `${penalty} of its marks`}
              </option>
            ))}
          </select>
        </label>
      </div>
      {choices.mode === 'timed' && (
        <label className="mt-2 flex flex-wrap items-center gap-2">
          Minutes
          <input
            inputMode="numeric"
            value={choices.minutes}
            placeholder={there ? String(there.minutes) : ''}
            aria-invalid={faults.minutes ? true : undefined}
            aria-describedby="minutes-note"
            onChange={(event) => change({ minutes: event.target.value })}
            className="input w-20 border-base-content/50 text-base aria-invalid:border-error pointer-fine:h-9"
          />
          <span id="minutes-note" className={faults.minutes ? 'text-error' : 'text-base-content/75'}>
            {faults.minutes ??
              (page.extraTime === '1'
                ? 'Empty: at the exam’s pace.'
                : `Empty: at the exam’s pace. Your extra time (× ${page.extraTime}) is added.`)}
          </span>
        </label>
      )}
    </Group>
  );
}

/** The fixed papers: everybody who sits one sits the same questions, so they can be compared. */
function Papers({ exam, papers, extraTime }: { exam: string; papers: View<'Paper'>[]; extraTime: string }) {
  const navigate = useNavigate();
  const sitting = useMutation({
    mutationFn: (paper: string) =>
      ask(api.POST('/api/exams/{exam}/papers/{paper}/sittings', { params: { path: { exam, paper } } })),
    onSuccess: ({ sitting: made }) => {
      void queries.invalidateQueries({ queryKey: ['today'] });
      void navigate(`/briefing/${made}`);
    },
  });
  return (
    <section aria-labelledby="papers" className="grid gap-3 border-t border-base-300 pt-6">
      <h2 id="papers" className="text-lg font-bold">
        Or sit a fixed paper
      </h2>
      <p className="max-w-[68ch]">
        Put together like the real exam, with its sections and marks. A paper tells most when its questions are new to
        you, so save one for later.
      </p>
      {sitting.isError && <Failure error={sitting.error} />}
      <ul className="grid gap-3 sm:grid-cols-2 lg:grid-cols-3">
        {papers.map((paper) => (
          <li key={paper.code} className="grid content-start gap-2 rounded-box border border-base-300 p-4">
            <h3 className="font-bold">{paper.title}</h3>
            <p>
              {count(paper.questions, 'question')}, {paper.minutes} minutes
              {extraTime !== '1' && ` × ${extraTime}`}
            </p>
            <p className="text-base-content/75">
              {paper.met === 0 ? 'All of it is new to you.' : `You have met ${paper.met} of its questions.`}
            </p>
            <div>
              <Button
                busy={sitting.isPending && sitting.variables === paper.code}
                onClick={() => sitting.mutate(paper.code)}
                aria-label={`Sit ${paper.title}`}
              >
                Sit it
              </Button>
            </div>
          </li>
        ))}
      </ul>
    </section>
  );
}
