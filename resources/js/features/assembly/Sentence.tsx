import { useRef, useState, type ReactNode } from 'react';
import { Link } from 'react-router';
import type { View } from '../../api/client';
import { Button } from '../../ui/Button';
import { useHeightOf } from '../../ui/useHeightOf';
import { count } from '../../ui/words';
import { Named } from './Recipes';
import { POOLS, type Choices } from './recipe';
import type { Building } from './useBuild';

/** What the test will be, in one sentence that stays in sight; each part of it leads to its choice. */
export function Sentence({ page, build }: { page: View<'Builder'>; build: Building }) {
  const { choices } = build;
  const minutes = minutesOf(page, build);
  const bar = useRef<HTMLDivElement>(null);
  useHeightOf(bar, '--bar');
  return (
    <div
      ref={bar}
      className="sticky top-0 z-10 short:static -mx-4 border-y border-base-300 bg-base-200 px-4 py-3 max-sm:top-auto max-sm:bottom-0 max-sm:order-last sm:-mx-6 sm:px-6"
    >
      <div className="flex items-center gap-x-4 max-[17rem]:flex-col max-[17rem]:items-stretch">
        <div className="min-w-0 flex-1">
          <p className="text-lg leading-snug max-sm:text-base max-[17rem]:line-clamp-2" aria-live="polite">
            <Part to="how-many">{howMany(build)}</Part> on <Part to="topics">{topicWords(page, build)}</Part>
            {', '}
            <Part to="which">{poolWords(choices)}</Part>
            {narrowed(choices) && (
              <>
                {', '}
                <Part to="narrow">{narrowed(choices)}</Part>
              </>
            )}
            {', '}
            <Part to="mode">{choices.adapting ? `adapting, ${choices.mode}` : choices.mode}</Part>
            {minutes !== null && (
              <>
                {choices.adapting ? ', at most ' : choices.mode === 'timed' ? ', ' : ', about '}
                <strong>
                  {minutes}
                  {'\u00a0'}min
                </strong>
              </>
            )}
          </p>
          {wayOf(build) ? <p className="text-sm font-bold text-warning">{wayOf(build)}</p> : <Name build={build} />}
        </div>
        <Button
          weight="main"
          type="submit"
          form="build"
          className="min-w-28 shrink-0 max-sm:min-w-22"
          busy={build.building.isPending}
          disabled={!build.ready}
        >
          Begin
        </Button>
      </div>
    </div>
  );
}

/** What is in the way of building it, in a few words; the ways out stand under the sentence. */
function wayOf({ faults, count: there }: Building): string | undefined {
  return Object.values(faults)[0] ?? there?.shortfall?.reason;
}

/** What the test will be called: made of the choices, unless one knows better. */
function Name({ build }: { build: Building }) {
  const [typed, setTyped] = useState<string | null>(null);
  const name = build.name ?? build.count?.name;
  if (!name) return null;
  if (typed !== null)
    return (
      <Named
        label="Name of the test"
        name={typed}
        onName={setTyped}
        onDone={() => {
          build.setName(typed.trim() === '' ? null : typed.trim());
          setTyped(null);
        }}
        onBack={() => setTyped(null)}
      />
    );
  return (
    <p className="truncate text-sm text-base-content/75 max-sm:hidden">
      {name}{' '}
      <button type="button" className="cursor-pointer underline underline-offset-4" onClick={() => setTyped(name)}>
        rename
      </button>
      {build.kept ? (
        <span role="status" className="ml-3">
          Kept. You find it under <Link to="/tests">Tests</Link>.
        </span>
      ) : (
        <button
          type="button"
          className="ml-3 cursor-pointer underline underline-offset-4 disabled:opacity-60"
          disabled={!build.ready || build.keeping.isPending}
          onClick={() => build.keeping.mutate(build.body)}
        >
          keep for later
        </button>
      )}
      <button
        type="button"
        className="ml-3 cursor-pointer underline underline-offset-4 disabled:opacity-60"
        disabled={!build.ready || build.printing.isPending}
        onClick={() => build.printing.mutate()}
      >
        print
      </button>
    </p>
  );
}

/** Minutes it takes: the limit, with extra time, or at the exam's pace. */
function minutesOf(page: View<'Builder'>, { choices, total, count: there }: Building): number | null {
  if (!Number.isFinite(total) || total <= 0) return null;
  if (choices.mode !== 'timed') return Math.ceil(total * page.minutesPerQuestion);
  if (choices.secondsEach !== null) {
    const seconds = total * Number(choices.secondsEach) * Number(page.extraTime);
    return Number.isFinite(seconds) && seconds > 0 ? Math.ceil(seconds / 60) : null;
  }
  const limit = choices.minutes === '' ? there?.minutes : Number(choices.minutes);
  return limit === undefined || !Number.isFinite(limit) ? null : Math.ceil(limit * Number(page.extraTime));
}

/** How many questions, or that this is still open. */
function howMany({ total, byHand, choices }: Building): string {
  if (!Number.isFinite(total) || total <= 0) return byHand ? 'As many as you type' : 'No questions';
  return choices.adapting ? `At most ${count(total, 'question')}` : count(total, 'question');
}

function topicWords(page: View<'Builder'>, { choices, byHand }: Building): string {
  const { topics, byTopic } = choices;
  if (byHand) {
    const all = page.topics.flatMap((topic) => [topic, ...topic.subtopics]);
    const typed = all.filter(({ code }) => byTopic[code]).map(({ name }) => name);
    return typed.length > 3 ? `${typed.length} topics` : listed(typed, 'and') || 'topics of your choice';
  }
  if (topics === null) return 'all topics';
  const has = new Set(topics);
  const names = page.topics.flatMap((topic) => {
    const subs = topic.subtopics.filter(({ all }) => all > 0);
    const on = subs.filter(({ code }) => has.has(code));
    return on.length === 0
      ? []
      : on.length === subs.length || on.length > 2
        ? [topic.name]
        : on.map(({ name }) => name);
  });
  if (names.length === 0) return 'topics yet to be chosen';
  return names.length > 3 ? `${names.length} topics` : listed(names, 'and');
}

function poolWords({ pools }: Choices): string {
  if (pools.length === 0) return 'met or not';
  return listed(
    POOLS.filter(({ pool }) => pools.includes(pool)).map(({ label }) => label),
    'or',
  );
}

function narrowed({ difficulties, kinds, tags, words, only }: Choices): string {
  const parts = [
    ...difficulties,
    ...(kinds.length ? [count(kinds.length, 'kind')] : []),
    ...Object.values(tags).flat(),
    ...(only.length ? ['picked by hand'] : []),
    ...(words.trim() ? [`with ${words.trim()}`] : []),
  ];
  return parts.length > 3 ? `${parts.slice(0, 2).join(', ')} and more` : parts.join(', ');
}

function listed(words: readonly string[], last: string): string {
  return words.length < 2 ? (words[0] ?? '') : `${words.slice(0, -1).join(', ')} ${last} ${words.at(-1)}`;
}

function Part({ to, children }: { to: string; children: ReactNode }) {
  return (
    <button
      type="button"
      className="cursor-pointer text-left underline underline-offset-4"
      onClick={() => {
        const section = document.getElementById(to);
        section?.scrollIntoView({ block: 'center' });
        section?.querySelector<HTMLElement>('button:not([disabled]), input, select, [tabindex="0"]')?.focus();
      }}
    >
      {children}
    </button>
  );
}
