import clsx from 'clsx';
import { useEffect, useRef, useState, type KeyboardEvent } from 'react';
import type { View } from '../../api/client';
import { percent } from '../../ui/words';

type Topic = View<'TopicCounts'>;

interface Line {
  topic: Topic;
  parent: Topic | null;
  open: boolean;
  checked: boolean | 'mixed';
}

/**
 * Topics and subtopics to choose from, a line each: how many fit what is chosen, how many are new, how many there are,
 * how many the test will draw. One stop for the tab key; arrows go about in it, the space bar chooses.
 */
export function TopicTree(props: {
  topics: readonly Topic[];
  /** Codes of chosen subtopics; null: all. */
  chosen: readonly string[] | null;
  onChange: (codes: string[] | null) => void;
  fits: readonly View<'Fit'>[] | undefined;
  /** Where one stands; undefined: not known yet. */
  mastery: View<'Masteries'> | undefined;
  byHand: Readonly<Record<string, string>> | null;
  onByHand: (code: string, text: string) => void;
}) {
  const { topics, chosen } = props;
  const [opened, setOpened] = useState<ReadonlySet<string>>(new Set());
  const [sought, setSought] = useState('');
  const [at, setAt] = useState(topics[0]?.code ?? '');
  const tree = useRef<HTMLDivElement>(null);
  const moved = useRef(false);
  const lines = linesOf(topics, chosen, opened, sought.trim().toLowerCase());
  const stands = new Map(props.mastery?.topics.map((one) => [one.code, one]));
  const fits = new Map(props.fits?.map((fit) => [fit.code, fit]));
  const here = lines.some(({ topic }) => topic.code === at) ? at : (lines[0]?.topic.code ?? '');
  useEffect(() => {
    if (!moved.current) return;
    moved.current = false;
    tree.current?.querySelector<HTMLElement>('[tabindex="0"]')?.focus();
  }, [here]);

  const all = topics.flatMap(usable);
  const set = (codes: readonly string[], on: boolean) => {
    const now = new Set(chosen ?? all);
    for (const code of codes)
      if (on) now.add(code);
      else now.delete(code);
    props.onChange(now.size === all.length ? null : all.filter((code) => now.has(code)));
  };
  const toggle = (line: Line) => set(line.parent ? [line.topic.code] : usable(line.topic), line.checked !== true);
  const open = (topic: Topic, on: boolean) => {
    const next = new Set(opened);
    if (on) next.add(topic.code);
    else next.delete(topic.code);
    setOpened(next);
  };
  const go = (code: string | undefined) => {
    if (code === undefined) return;
    moved.current = true;
    setAt(code);
  };
  const press = (event: KeyboardEvent, line: Line, i: number) => {
    const keys: Record<string, () => void> = {
      ArrowDown: () => go(lines[i + 1]?.topic.code),
      ArrowUp: () => go(lines[i - 1]?.topic.code),
      Home: () => go(lines[0]?.topic.code),
      End: () => go(lines.at(-1)?.topic.code),
      ArrowRight: () => (line.parent ? undefined : line.open ? go(lines[i + 1]?.topic.code) : open(line.topic, true)),
      ArrowLeft: () => (line.parent ? go(line.parent.code) : open(line.topic, false)),
      ' ': () => toggle(line),
      Enter: () => toggle(line),
    };
    const does = keys[event.key];
    if (!does || event.ctrlKey || event.metaKey || event.altKey) return;
    event.preventDefault();
    does();
  };
  return (
    <div className="grid gap-1">
      <div className="flex flex-wrap items-center gap-x-4 text-sm">
        <Plain onUse={() => props.onChange(null)}>Choose all</Plain>
        <Plain onUse={() => props.onChange([])}>Clear</Plain>
        <Plain onUse={() => setOpened(opened.size ? new Set() : new Set(topics.map(({ code }) => code)))}>
          {opened.size ? 'Close all' : 'Open all'}
        </Plain>
        <input
          type="search"
          aria-label="Find a topic"
          placeholder="Find a topic"
          value={sought}
          onChange={(event) => setSought(event.target.value)}
          className="input ml-auto h-9 w-44 border-base-content/50 text-sm"
        />
      </div>
      <div
        aria-hidden="true"
        // The heads stay in sight, under the sentence that does.
        className="sticky top-(--bar,0px) z-5 flex gap-2 border-b border-base-300 bg-base-100 py-1 pr-1.5 text-sm text-base-content/75 max-sm:top-0"
      >
        <span className="min-w-0 flex-1">Topic, its share of the exam</span>
        <span className="w-14 max-sm:hidden">
          {props.mastery?.topics.some(({ share }) => share != null) && 'stand'}
        </span>
        <Figures fits="match" fresh="new" all="all" drawn="drawn" />
        {props.byHand && <span className="w-16 text-right">by hand</span>}
      </div>
      <div className="flex">
        <div role="tree" aria-label="Topics" aria-multiselectable="true" ref={tree} className="min-w-0 flex-1">
          {lines.map((line, i) => {
            const { topic, parent, checked } = line;
            const fit = fits.get(topic.code);
            return (
              <div
                key={topic.code}
                role="treeitem"
                aria-level={parent ? 2 : 1}
                aria-expanded={parent || topic.subtopics.length === 0 ? undefined : line.open}
                aria-checked={checked}
                aria-selected={checked === true}
                aria-disabled={topic.all === 0 || undefined}
                aria-label={said(topic, fit, stands.get(topic.code))}
                tabIndex={topic.code === here ? 0 : -1}
                onFocus={() => setAt(topic.code)}
                onKeyDown={(event) => press(event, line, i)}
                onClick={() => topic.all > 0 && toggle(line)}
                className={clsx(
                  'flex h-11 cursor-pointer items-center gap-2 border-b border-base-300 pr-1.5',
                  !props.byHand && 'pointer-fine:h-9',
                  'hover:bg-base-200 focus-visible:outline-2 focus-visible:-outline-offset-2 focus-visible:outline-primary',
                  checked === false && 'text-base-content/75',
                )}
              >
                {parent ? (
                  <span className="w-16 shrink-0 pointer-fine:w-14" />
                ) : (
                  // A mouse opens here; the keyboard has its arrows.
                  <button
                    type="button"
                    tabIndex={-1}
                    aria-hidden="true"
                    onClick={(event) => {
                      event.stopPropagation();
                      open(topic, !line.open);
                    }}
                    className="flex size-11 shrink-0 cursor-pointer items-center justify-center pointer-fine:size-9"
                  >
                    <span className={clsx('inline-block transition-none', line.open && 'rotate-90')}>▸</span>
                  </button>
                )}
                <Box state={checked} />
                <span className="flex min-w-0 flex-1 items-center gap-x-1.5">
                  <span className={clsx('line-clamp-2 leading-[1.1]', !parent && 'font-bold')}>{topic.name}</span>
                  {topic.weight && (
                    <span className="shrink-0 whitespace-nowrap text-base-content/75 max-sm:hidden">
                      {Number(topic.weight)} %
                    </span>
                  )}
                </span>
                <Stand of={stands.get(topic.code)} cut={props.mastery?.cut ?? 0} />
                <Figures
                  fits={fit?.fits ?? '–'}
                  fresh={topic.new}
                  all={topic.all}
                  drawn={fit === undefined ? '–' : (fit.drawn ?? '·')}
                />
              </div>
            );
          })}
          {lines.length === 0 && <p className="py-3">No topic has “{sought}” in its name.</p>}
        </div>
        {props.byHand && (
          <div className="w-18 shrink-0">
            {lines.map(({ topic }) => (
              <div key={topic.code} className="flex h-11 items-center justify-end border-b border-base-300">
                <input
                  inputMode="numeric"
                  aria-label={`How many of ${topic.name}`}
                  value={props.byHand?.[topic.code] ?? ''}
                  onChange={(event) => props.onByHand(topic.code, event.target.value.replace(/[^\d.-]/g, ''))}
                  className="input h-8 w-14 border-base-content/50 px-2 text-right tabular-nums"
                />
              </div>
            ))}
          </div>
        )}
      </div>
    </div>
  );
}

function linesOf(
  topics: readonly Topic[],
  chosen: readonly string[] | null,
  opened: ReadonlySet<string>,
  sought: string,
): Line[] {
  const has = chosen === null ? null : new Set(chosen);
  const on = (code: string) => has === null || has.has(code);
  const matches = (topic: Topic) => topic.name.toLowerCase().includes(sought);
  return topics.flatMap((topic) => {
    const subs = usable(topic);
    const n = subs.filter(on).length;
    const found = sought === '' ? topic.subtopics : topic.subtopics.filter((sub) => matches(sub) || matches(topic));
    if (sought !== '' && found.length === 0 && !matches(topic)) return [];
    const open = opened.has(topic.code) || (sought !== '' && !matches(topic));
    const top: Line = {
      topic,
      parent: null,
      open,
      checked: n === 0 ? false : n === subs.length ? true : 'mixed',
    };
    const parts = open
      ? found.map((sub): Line => ({
          topic: sub,
          parent: topic,
          open: false,
          checked: sub.all > 0 && on(sub.code),
        }))
      : [];
    return [top, ...parts];
  });
}

/** Codes of its subtopics that have any question. */
export function usable(topic: Topic): string[] {
  return topic.subtopics.filter(({ all }) => all > 0).map(({ code }) => code);
}

function said(
  { name, weight, all, new: fresh }: Topic,
  fit: View<'Fit'> | undefined,
  stand: View<'Mastery'> | undefined,
): string {
  const parts = [name];
  if (weight) parts.push(`${Number(weight)} % of the exam`);
  if (all === 0) return [...parts, 'no questions yet'].join(', ');
  parts.push(`${fit?.fits ?? 0} fit`, `${fresh} new to me`, `${all} in all`);
  if (stand?.share != null) parts.push(`about ${percent(stand.share)} mastered`);
  if (fit?.drawn) parts.push(`${fit.drawn} drawn`);
  return parts.join(', ');
}

/** Estimated mastery against the cut, as a quiet mark; nothing where too little was answered to say. */
function Stand({ of, cut }: { of: View<'Mastery'> | undefined; cut: number }) {
  const style = 'h-2.5 w-14 shrink-0 max-sm:hidden';
  if (of?.share == null) return <span className={style} />;
  const { share, low, high, responses } = of;
  return (
    <svg viewBox="0 0 100 10" preserveAspectRatio="none" aria-hidden="true" className={style}>
      <title>
        {`About ${percent(share)} mastered, ${percent(low ?? share)} to ${percent(high ?? share)}, by ${responses} answers; the cut is ${percent(cut)}`}
      </title>
      <rect y="2" width="100" height="6" className="fill-base-300" />
      <rect y="2" width={100 * share} height="6" className={share < cut ? 'fill-secondary' : 'fill-primary/60'} />
      <rect x={100 * cut - 1} width="2" height="10" className="fill-error" />
    </svg>
  );
}

function Figures(props: Record<'fits' | 'fresh' | 'all' | 'drawn', number | string>) {
  const style = 'w-10 shrink-0 text-right tabular-nums sm:w-11';
  return (
    <>
      <span className={style}>{props.fits}</span>
      <span className={clsx(style, 'max-sm:hidden')}>{props.fresh}</span>
      <span className={clsx(style, 'text-base-content/75 max-sm:hidden')}>{props.all}</span>
      <span className={clsx(style, 'font-bold')}>{props.drawn}</span>
    </>
  );
}

/** A box that is empty, ticked or half. */
function Box({ state }: { state: boolean | 'mixed' }) {
  return (
    <span
      aria-hidden="true"
      className={clsx(
        'flex size-5 shrink-0 items-center justify-center rounded-selector border text-sm font-bold',
        state === false ? 'border-base-content/60' : 'border-primary bg-primary text-primary-content',
      )}
    >
      {state === true ? '✓' : state === 'mixed' ? '–' : ''}
    </span>
  );
}

function Plain({ onUse, children }: { onUse: () => void; children: string }) {
  return (
    <button
      type="button"
      onClick={onUse}
      className="min-h-11 min-w-11 pointer-fine:min-h-9 pointer-fine:min-w-0 cursor-pointer text-primary underline underline-offset-4"
    >
      {children}
    </button>
  );
}
