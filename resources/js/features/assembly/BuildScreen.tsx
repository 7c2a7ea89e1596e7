import { useQuery } from '@tanstack/react-query';
import clsx from 'clsx';
import { useState, type ReactNode } from 'react';
import { Link, useSearchParams } from 'react-router';
import type { View } from '../../api/client';
import { ADAPTING, RecipeRequest as LIMITS } from '../../api/limits';
import { builder, mastery } from '../../api/queries';
import { Button } from '../../ui/Button';
import { Empty } from '../../ui/Empty';
import { Failure } from '../../ui/Failure';
import { Loading } from '../../ui/Loading';
import { Notice } from '../../ui/Notice';
import { Select } from '../../ui/Select';
import { TakeTests } from '../sitting/packs/TakeTests';
import { useTitle } from '../../ui/useTitle';
import { count, MODES as MODE_NAMES } from '../../ui/words';
import { useExamOfScreen } from '../../api/useExam';
import { Narrow } from './Narrow';
import { CloseWords } from '../library/CloseWords';
import { Picks } from './Picks';
import { KINDS } from '../question/kindNames';
import { MODES, PENALTIES, POOLS, toggled, type Choices, type Mode, type Pool, type Spread } from './recipe';
import { Recipes } from './Recipes';
import { Sentence } from './Sentence';
import { Shortfall } from './Shortfall';
import { TopicTree, usable } from './TopicTree';
import { useBuild, type Building } from './useBuild';
import { Tick } from '../../ui/Tick';

/** How it is sat: a mode, or each question by the answers so far. */
type Way = Mode | 'adapting';
const WAYS: readonly Way[] = [...MODES, 'adapting'];
const WAY_NAMES: Record<Way, string> = { ...MODE_NAMES, adapting: 'Adapting' };
const ABOUT_WAYS: Record<Way, string> = {
  tutor: 'why, after each',
  timed: 'a clock, and silence',
  untimed: 'why, when I ask',
  adapting: 'each by the last answers',
};
const SPREADS: readonly [Spread, string][] = [
  ['blueprint', 'as the exam weighs'],
  ['available', 'as there are'],
  ['even', 'evenly'],
  ['by_hand', 'by hand'],
];
const DIFFICULTIES = ['easy', 'moderate', 'hard'] as const;
const STEPS = [10, 20, 30, 50];
/** At most so many, where a test adapts. */
const MOST = [30, 45, 60, ADAPTING.most];

export function Component() {
  useTitle('Build a test');
  const [search] = useSearchParams();
  const { exam, error, isPending, retry, exams } = useExamOfScreen();
  const page = useQuery({ ...builder(exam ?? ''), enabled: exam !== undefined, staleTime: 0 });
  if (error) return <Failure error={error} retry={retry} />;
  if (isPending || (exam && page.isPending)) return <Loading what="Counting the questions" />;
  if (page.isError) return <Failure error={page.error} retry={() => void page.refetch()} />;
  if (!page.data) return <Empty title="No exam has been set up here yet." />;
  if (page.data.counts.all === 0)
    return <Empty title="This exam has no questions yet.">Its author must add some in the workshop first.</Empty>;
  const unknown = search.get('exam');
  return (
    <div className="grid gap-4">
      {unknown !== null && exams.every(({ slug }) => slug !== unknown) && (
        <Notice tone="warn">The address names an exam that is not here. This is {page.data.examName}.</Notice>
      )}
      <Build key={page.data.exam} page={page.data} />
    </div>
  );
}

function Build({ page }: { page: View<'Builder'> }) {
  const build = useBuild(page);
  const { choices, change, faults } = build;
  const stands = useQuery(mastery(page.exam));
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
      {build.instead !== null && (
        <Notice
          action={
            <Button small onClick={() => build.setInstead(null)}>
              Keep that one too
            </Button>
          }
        >
          You are changing a test that waits to be begun: what you begin, keep or print here takes its place.
        </Notice>
      )}
      {faults.topics && <Notice tone="warn">{faults.topics}</Notice>}
      {faults.byTopic && <Notice tone="warn">{faults.byTopic}</Notice>}
      {build.unknownTopics && (
        <Notice tone="warn">The address names a topic that this exam does not have. It is left out.</Notice>
      )}
      {build.count?.shortfall && <Shortfall shortfall={build.count.shortfall} build={build} />}
      {build.count?.leftOut && <p>{build.count.leftOut}</p>}
      {build.building.isError && <Failure error={build.building.error} />}
      {build.keeping.isError && <Failure error={build.keeping.error} />}
      {build.printing.isError && <Failure error={build.printing.error} />}
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
          {build.count?.shortfall && choices.words.trim() !== '' && (
            <CloseWords
              exam={page.exam}
              words={choices.words}
              onWords={(words) => change({ words })}
              onTopic={(code) => {
                const top = page.topics.find((topic) => topic.code === code && topic.subtopics.length > 0);
                change({ words: '', topics: top ? usable(top) : [code] });
              }}
            />
          )}
          <TopicTree
            topics={page.topics}
            chosen={choices.topics}
            onChange={(topics) => change({ topics })}
            fits={build.fits}
            mastery={stands.data}
            byHand={build.byHand ? choices.byTopic : null}
            onByHand={(code, text) => change({ byTopic: { ...choices.byTopic, [code]: text } })}
          />
          <p className="text-sm text-base-content/75">
            Each question is counted where it belongs; cases and sets are drawn whole.
          </p>
        </section>
        <div className="grid gap-5">
          <Which build={build} />
          <Narrowed build={build} />
          <HowMany build={build} />
          <HowToSit page={page} build={build} />
          <AlongSome build={build} />
          <Recipes exam={page.exam} build={build} />
        </div>
      </div>
      <Picks exam={page.exam} build={build} />
      <p>
        Or without choosing: <Link to="/ready">what is ready to sit</Link>.
      </p>
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
  const { byHand } = build;
  const { adapting } = choices;
  const steps = adapting ? MOST : STEPS;
  const most = there ? Math.min(LIMITS.count.most, there.available) : 0;
  return (
    <Group id="how-many" title={adapting ? 'How many at most' : 'How many'}>
      <div className="flex flex-wrap items-center gap-1.5">
        {!byHand && (
          <>
            {steps.map((n) => (
              <Pick key={n} on={choices.count === String(n)} onUse={() => change({ count: String(n) })}>
                {n}
              </Pick>
            ))}
            {!adapting && most > 0 && !STEPS.includes(most) && (
              <Pick on={choices.count === String(most)} onUse={() => change({ count: String(most) })}>
                {there && there.available > most ? String(most) : `all ${most}`}
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
      {adapting && there && <p className="mt-1 text-base-content/75">{reachSaid(there.reach ?? 0, build.total)}</p>}
      {!adapting && (
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
            {there && toDrawFrom(there)}
          </span>
        </label>
      )}
    </Group>
  );
}

/** How far a test can go that adapts. */
function reachSaid(reach: number, most: number): string {
  const { least } = ADAPTING;
  if (reach === 0) return '';
  const there = `These choices have ${count(reach, 'question')} for it`;
  if (reach < least)
    return `${there}, and before ${least} nothing can be settled: you would get a range, and no word on the cut.`;
  return reach < most
    ? `${there}, so it goes no further than that.`
    : `${there}. It ends by itself, as soon as it can tell.`;
}

/** How many pass, and how many come with them: what belongs together is drawn whole. */
function toDrawFrom({ passing, available }: View<'Count'>): string {
  const pass = `${count(passing, 'question')} to draw from`;
  return available === passing ? pass : `${pass}, ${available} with the rest of their cases and sets`;
}

/** What changes with the way: how many are usual is another number where a test adapts. */
function changedTo(way: Way, { adapting, mode }: Choices): Partial<Choices> {
  if (way === 'adapting') return { adapting: true, mode: mode === 'timed' ? mode : 'untimed', count: String(MOST[2]) };
  return { adapting: false, mode: way, ...(adapting && { count: String(STEPS[0]) }) };
}

function HowToSit({ page, build }: { page: View<'Builder'>; build: Building }) {
  const { choices, change } = build;
  const chosen: Way = choices.adapting ? 'adapting' : choices.mode;
  return (
    <Group id="mode" title="How to sit it">
      <div className="grid grid-cols-2 gap-2 sm:grid-cols-4">
        {WAYS.map((way) => (
          <label
            key={way}
            className="grid min-h-14 cursor-pointer content-center rounded-field border border-base-content/50 px-3 py-1.5 has-checked:border-primary has-checked:bg-base-200 has-checked:ring-1 has-checked:ring-primary has-focus-visible:outline-2"
          >
            <input
              type="radio"
              name="mode"
              aria-label={WAY_NAMES[way]}
              className="sr-only"
              checked={chosen === way}
              onChange={() => change(changedTo(way, choices))}
            />
            <span className="font-bold">
              {chosen === way && <span aria-hidden="true">✓ </span>}
              {WAY_NAMES[way]}
            </span>
            <span className="text-sm text-base-content/75">{ABOUT_WAYS[way]}</span>
          </label>
        ))}
      </div>
      <div className="mt-2 flex flex-wrap items-center gap-x-5 gap-y-1">
        <Tick on={choices.asksSureness} onChange={(asksSureness) => change({ asksSureness })}>
          ask how sure I am
        </Tick>
        <Tick on={choices.shuffled} onChange={(shuffled) => change({ shuffled })}>
          shuffle options
        </Tick>
        {choices.adapting && (
          <Tick on={choices.mode === 'timed'} onChange={(on) => change({ mode: on ? 'timed' : 'untimed' })}>
            with a clock
          </Tick>
        )}
        {chosen === 'tutor' && (
          <Tick on={choices.runningScore} onChange={(runningScore) => change({ runningScore })}>
            running score
          </Tick>
        )}
        {!choices.adapting && (
          <Tick on={choices.plain} onChange={(plain) => change({ plain })}>
            one mark each
          </Tick>
        )}
        {!choices.adapting && (
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
        )}
      </div>
      {choices.mode === 'timed' && <TheClock page={page} build={build} />}
    </Group>
  );
}

/** Several by the same choices, for a journey without a connection. */
function AlongSome({ build }: { build: Building }) {
  const { choices, body } = build;
  const [tests, setTests] = useState(1);
  // What was taken is said of these choices.
  const key = `${tests} ${JSON.stringify(body)}`;
  return (
    <Group id="along" title="Without a connection">
      {choices.mode === 'timed' || choices.adapting ? (
        <p className="text-sm text-base-content/75">
          {choices.adapting
            ? 'What adapts needs the server for each question.'
            : 'A clock begins when a test is opened: open it, and take it along from its kit.'}
        </p>
      ) : (
        <div className="flex flex-wrap items-center gap-x-3 gap-y-1">
          <Select
            label="How many tests to take along"
            value={String(tests)}
            of={[1, 2, 3, 4, 5].map((n) => [String(n), count(n, 'test')] as const)}
            onChange={(n) => setTests(Number(n ?? 1))}
          />
          <TakeTests
            key={key}
            label="Take along"
            tests={tests}
            disabled={!build.ready}
            make={() => build.make(body).then(({ sitting }) => sitting)}
          />
        </div>
      )}
    </Group>
  );
}

/** A limit for the whole test, or one for each question. */
function TheClock({ page, build }: { page: View<'Builder'>; build: Building }) {
  const { choices, change, faults, count: there } = build;
  const each = choices.secondsEach !== null && !choices.adapting;
  const extra = page.extraTime === '1' ? '' : ` Your extra time (× ${page.extraTime}) is added.`;
  const usual = String(Math.round(page.minutesPerQuestion * 60));
  return (
    <div className="mt-2 flex flex-wrap items-center gap-2">
      <input
        // Hours can be typed too, which a pad of figures alone would not let one.
        inputMode={each ? 'numeric' : 'text'}
        aria-label={each ? 'Seconds for each question' : 'Minutes'}
        value={choices.secondsEach ?? choices.minutes}
        placeholder={each ? usual : there ? String(there.minutes) : ''}
        aria-invalid={faults.minutes ? true : undefined}
        aria-describedby="clock-note"
        onChange={({ target: { value } }) => change(each ? { secondsEach: value } : { minutes: value })}
        className="input w-20 border-base-content/50 text-base aria-invalid:border-error pointer-fine:h-9"
      />
      <select
        aria-label="What the clock is for"
        value={each ? 'each' : 'whole'}
        onChange={(event) => change({ secondsEach: event.target.value === 'each' ? usual : null })}
        className="select w-auto border-base-content/50 text-base pointer-fine:h-9"
      >
        <option value="whole">minutes for the whole test</option>
        {!choices.adapting && <option value="each">seconds for each question</option>}
      </select>
      <span id="clock-note" className={faults.minutes ? 'text-error' : 'text-base-content/75'}>
        {faults.minutes ?? (each ? `There is no going back.${extra}` : `Empty: at the exam’s pace.${extra}`)}
      </span>
    </div>
  );
}
