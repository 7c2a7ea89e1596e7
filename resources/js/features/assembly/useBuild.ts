import { keepPreviousData, useMutation, useQuery } from '@tanstack/react-query';
import { useCallback, useDeferredValue, useEffect, useMemo, useRef, useState } from 'react';
import { useNavigate, useSearchParams } from 'react-router';
import { api, ask, type View } from '../../api/client';
import { TESTS } from '../../api/queries';
import { usable } from './TopicTree';
import { faultsOf, isByHand, read, recipeOf, SHORT, totalOf, usualOf, written, type Choices } from './recipe';

/** The address of some choices: a link to it builds the same for somebody else, of their own pools. */
function addressOf(exam: string, named: string | null, choices: Choices, usual: Choices, instead: string | null) {
  const search = written(choices, usual);
  if (instead !== null) search.set('instead', instead);
  // As long as nothing is chosen, the address stays as bare as it came.
  if (search.size > 0) search.set('exam', exam);
  else if (named !== null) search.set('exam', named);
  return search.toString();
}

/**
 * Choices that are kept in the address, so that a reload, the back button or a link brings them back. What is typed is
 * here at once, and the address follows: it may take its time.
 */
function useAddress(exam: string, usual: Choices, instead: string | null) {
  const [search, setSearch] = useSearchParams();
  const [choices, setChoices] = useState(() => read(search, usual));
  const [named] = useState(() => search.get('exam'));
  const said = useRef(search.toString());
  useEffect(() => {
    const next = addressOf(exam, named, choices, usual, instead);
    if (next === said.current) return;
    said.current = next;
    setSearch(next, { replace: true, preventScrollReset: true });
  }, [exam, named, choices, setSearch, usual, instead]);
  useEffect(() => {
    const now = search.toString();
    if (now === said.current) return;
    said.current = now;
    setChoices(read(search, usual));
  }, [search, usual]);
  return [choices, setChoices] as const;
}

/** Choices by which anything is counted, whatever is asked for. */
const WHAT_IS_THERE = {
  count: 1,
  spread: 'blueprint',
  minutes: null,
  secondsEach: null,
  byTopic: undefined,
  adapting: undefined,
} as const;

/** A test as it is being chosen: the choices live in the address, and the server says what they come to. */
export function useBuild(page: View<'Builder'>) {
  const navigate = useNavigate();
  const usual = useMemo(() => usualOf(page.counts), [page]);
  const parts = useMemo(() => partsOf(page.topics), [page]);
  const [address] = useSearchParams();
  // A test that waits to be begun, and is changed: what is built takes its place.
  const [instead, setInstead] = useState(() => address.get('instead'));
  const [asked, setAsked] = useAddress(page.exam, usual, instead);
  const choices = useMemo(() => knownOnly(asked, parts), [asked, parts]);
  const change = useCallback((part: Partial<Choices>) => setAsked((now) => ({ ...now, ...part })), [setAsked]);
  // Null: the name that the choices make.
  const [name, setName] = useState<string | null>(null);
  const faults = faultsOf(choices);
  const sound = Object.keys(faults).length === 0;
  const body = { ...recipeOf(choices), name };
  // What is there is told also where it is not clear yet how many are wanted.
  const countable = !faults.topics && !faults.words;
  const toCount = { ...body, name: null, ...(sound ? {} : WHAT_IS_THERE) };
  const path = { exam: page.exam };
  const key = useDeferredValue(JSON.stringify(toCount));
  const count = useQuery({
    queryKey: ['count', page.exam, key],
    // What has been overtaken by the next choice is called off.
    queryFn: ({ signal }) =>
      ask(api.POST('/api/exams/{exam}/count', { params: { path }, body: JSON.parse(key) as typeof body, signal })),
    placeholderData: keepPreviousData,
    enabled: countable,
    staleTime: 0,
  });
  // What is picked by hand is the whole test, with what belongs to it.
  const isLatest = !count.isPlaceholderData && key === JSON.stringify(toCount);
  const picked = choices.only.length > 0 && isLatest && !choices.adapting ? count.data?.available : undefined;
  useEffect(() => {
    if (picked) change({ count: String(picked) });
  }, [picked, change]);
  // How many and how they are sat changes nothing in what each filter would leave.
  const filters = useDeferredValue(
    JSON.stringify({
      ...body,
      ...WHAT_IS_THERE,
      name: null,
      mode: 'untimed',
      runningScore: false,
      asksSureness: true,
    }),
  );
  const facets = useQuery({
    queryKey: ['facets', page.exam, filters],
    queryFn: ({ signal }) =>
      ask(api.POST('/api/exams/{exam}/facets', { params: { path }, body: JSON.parse(filters) as typeof body, signal })),
    placeholderData: keepPreviousData,
    enabled: countable,
    staleTime: 0,
  });
  const make = async (of: typeof body) => {
    const built = await ask(api.POST('/api/exams/{exam}/tests', { params: { path }, body: of }));
    if (instead !== null) await giveUp(instead);
    setInstead(null);
    return built;
  };
  const building = useMutation({
    mutationFn: () => make(body),
    meta: { invalidates: TESTS, leaves: true },
    onSuccess: ({ sitting }) => void navigate(atOnce ? `/sit/${sitting}` : `/briefing/${sitting}`),
  });
  const keeping = useMutation({
    mutationFn: make,
    meta: { invalidates: TESTS },
  });
  const printing = useMutation({
    mutationFn: () => make(body),
    meta: { invalidates: TESTS, leaves: true },
    onSuccess: ({ sitting }) => void navigate(`/print/${sitting}`),
  });
  const total = totalOf(choices);
  // Until the server has counted what was picked, nobody knows how many that is.
  const isCounted = choices.only.length === 0 || choices.adapting || picked === total;
  // Before a clock starts one wants to know what it is for.
  const atOnce = total <= SHORT && choices.mode !== 'timed' && !choices.adapting;
  return {
    choices,
    change,
    body,
    name,
    setName,
    usual,
    faults,
    /** Whether the address names topics that there are not. */
    unknownTopics: namesUnknown(asked, parts),
    /** Whether it can be built as it stands; unknown while the server is asked. */
    ready: sound && isCounted && count.data !== undefined && count.data.shortfall === null,
    total,
    /** Whether one types how many each topic gives. */
    byHand: isByHand(choices),
    count: sound ? count.data : undefined,
    /** What passes of each topic, and how much of it the test would take as far as that is known. */
    fits: countable ? (sound ? count.data?.topics : count.data?.topics.map(undrawn)) : undefined,
    counting: count.isFetching,
    failed: count.error ?? facets.error,
    facets: facets.data,
    /** The test whose place it takes; null: none's. */
    instead,
    setInstead,
    make,
    building,
    /** Builds it to be sat some other time. */
    keeping,
    /** Builds it for the printer. */
    printing,
    /** Whether these very choices have been kept. */
    kept: keeping.isSuccess && JSON.stringify(keeping.variables) === JSON.stringify(body),
  };
}

/** Makes room for what takes its place, unless it has begun meanwhile. */
async function giveUp(sitting: string): Promise<void> {
  const of = { params: { path: { sitting } } };
  const { status } = await ask(api.GET('/api/sittings/{sitting}', of));
  if (status === 'not_started') await ask(api.DELETE('/api/sittings/{sitting}', of));
}

const undrawn = (fit: View<'Fit'>) => ({ ...fit, drawn: null });

type Parts = ReadonlyMap<string, readonly string[]>;

/** What each code of a topic stands for: a topic at the top for all under it that have questions. */
function partsOf(topics: View<'Builder'>['topics']): Parts {
  const parts = new Map<string, readonly string[]>();
  for (const topic of topics) {
    parts.set(topic.code, topic.subtopics.length > 0 ? usable(topic) : [topic.code]);
    for (const { code } of topic.subtopics) parts.set(code, [code]);
  }
  return parts;
}

/** A link may be older than the exam's topics, or of another exam. */
function namesUnknown({ topics, byTopic }: Choices, parts: Parts): boolean {
  return [...(topics ?? []), ...Object.keys(byTopic)].some((code) => !parts.has(code));
}

/** The same by topics that there are, each by itself. */
function knownOnly(choices: Choices, parts: Parts): Choices {
  const { topics, byTopic } = choices;
  const chosen = topics && [...new Set(topics.flatMap((code) => parts.get(code) ?? []))];
  if (chosen?.join() === topics?.join() && !namesUnknown(choices, parts)) return choices;
  return {
    ...choices,
    topics: chosen,
    byTopic: Object.fromEntries(Object.entries(byTopic).filter(([code]) => parts.has(code))),
  };
}

export type Building = ReturnType<typeof useBuild>;
