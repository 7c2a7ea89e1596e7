import { keepPreviousData, useMutation, useQuery } from '@tanstack/react-query';
import { useCallback, useDeferredValue, useEffect, useMemo, useRef, useState } from 'react';
import { useNavigate, useSearchParams } from 'react-router';
import { api, ask, type View } from '../../api/client';
import { TESTS } from '../../api/queries';
import { faultsOf, read, recipeOf, SHORT, totalOf, usualOf, written, type Choices } from './recipe';

/** The address of some choices: a link to it builds the same for somebody else, of their own pools. */
function addressOf(exam: string, named: string | null, choices: Choices, usual: Choices): string {
  const search = written(choices, usual);
  // As long as nothing is chosen, the address stays as bare as it came.
  if (search.size > 0) search.set('exam', exam);
  else if (named !== null) search.set('exam', named);
  return search.toString();
}

/**
 * Choices that are kept in the address, so that a reload, the back button or a link brings them back. What is typed is
 * here at once, and the address follows: it may take its time.
 */
function useAddress(exam: string, usual: Choices) {
  const [search, setSearch] = useSearchParams();
  const [choices, setChoices] = useState(() => read(search, usual));
  const [named] = useState(() => search.get('exam'));
  const said = useRef(search.toString());
  useEffect(() => {
    const next = addressOf(exam, named, choices, usual);
    if (next === said.current) return;
    said.current = next;
    setSearch(next, { replace: true, preventScrollReset: true });
  }, [exam, named, choices, setSearch, usual]);
  useEffect(() => {
    const now = search.toString();
    if (now === said.current) return;
    said.current = now;
    setChoices(read(search, usual));
  }, [search, usual]);
  return [choices, setChoices] as const;
}

/** A test as it is being chosen: the choices live in the address, and the server says what they come to. */
export function useBuild(page: View<'Builder'>) {
  const navigate = useNavigate();
  const usual = useMemo(() => usualOf(page.counts), [page]);
  const known = useMemo(
    () => new Set(page.topics.flatMap((topic) => [topic.code, ...topic.subtopics.map(({ code }) => code)])),
    [page],
  );
  const [asked, setAsked] = useAddress(page.exam, usual);
  const choices = useMemo(() => knownOnly(asked, known), [asked, known]);
  const change = useCallback((part: Partial<Choices>) => setAsked((now) => ({ ...now, ...part })), [setAsked]);
  // Null: the name that the choices make.
  const [name, setName] = useState<string | null>(null);
  const faults = faultsOf(choices);
  const sound = Object.keys(faults).length === 0;
  const body = { ...recipeOf(choices), name };
  const path = { exam: page.exam };
  const key = useDeferredValue(JSON.stringify({ ...body, name: null }));
  const count = useQuery({
    queryKey: ['count', page.exam, key],
    // What has been overtaken by the next choice is called off.
    queryFn: ({ signal }) =>
      ask(api.POST('/api/exams/{exam}/count', { params: { path }, body: JSON.parse(key) as typeof body, signal })),
    placeholderData: keepPreviousData,
    enabled: sound,
    staleTime: 0,
  });
  // What is picked by hand is the whole test, with what belongs to it.
  const isLatest = !count.isPlaceholderData && key === JSON.stringify({ ...body, name: null });
  const picked = choices.only.length > 0 && isLatest ? count.data?.available : undefined;
  useEffect(() => {
    if (picked) change({ count: String(picked) });
  }, [picked, change]);
  // How many and how they are sat changes nothing in what each filter would leave.
  const filters = useDeferredValue(
    JSON.stringify({
      ...body,
      name: null,
      count: 1,
      mode: 'untimed',
      spread: 'blueprint',
      minutes: null,
      secondsEach: null,
      runningScore: false,
      byTopic: undefined,
    }),
  );
  const facets = useQuery({
    queryKey: ['facets', page.exam, filters],
    queryFn: ({ signal }) =>
      ask(api.POST('/api/exams/{exam}/facets', { params: { path }, body: JSON.parse(filters) as typeof body, signal })),
    placeholderData: keepPreviousData,
    enabled: !faults.topics && !faults.words,
    staleTime: 0,
  });
  const building = useMutation({
    mutationFn: () => ask(api.POST('/api/exams/{exam}/tests', { params: { path }, body })),
    meta: { invalidates: TESTS, leaves: true },
    onSuccess: ({ sitting }) => void navigate(atOnce ? `/sit/${sitting}` : `/briefing/${sitting}`),
  });
  const keeping = useMutation({
    mutationFn: (of: typeof body) => ask(api.POST('/api/exams/{exam}/tests', { params: { path }, body: of })),
    meta: { invalidates: TESTS },
  });
  const printing = useMutation({
    mutationFn: () => ask(api.POST('/api/exams/{exam}/tests', { params: { path }, body })),
    meta: { invalidates: TESTS, leaves: true },
    onSuccess: ({ sitting }) => void navigate(`/print/${sitting}`),
  });
  const total = totalOf(choices);
  // Until the server has counted what was picked, nobody knows how many that is.
  const isCounted = choices.only.length === 0 || picked === total;
  // Before a clock starts one wants to know what it is for.
  const atOnce = total <= SHORT && choices.mode !== 'timed';
  return {
    choices,
    change,
    body,
    name,
    setName,
    usual,
    faults,
    /** Whether the address names topics that there are not. */
    unknownTopics: choices !== asked,
    /** Whether it can be built as it stands; unknown while the server is asked. */
    ready: sound && isCounted && count.data !== undefined && count.data.shortfall === null,
    total,
    count: sound ? count.data : undefined,
    counting: count.isFetching,
    failed: count.error ?? facets.error,
    facets: facets.data,
    building,
    /** Builds it to be sat some other time. */
    keeping,
    /** Builds it for the printer. */
    printing,
    /** Whether these very choices have been kept. */
    kept: keeping.isSuccess && JSON.stringify(keeping.variables) === JSON.stringify(body),
  };
}

/** A link may be older than the exam's topics, or of another exam. */
function knownOnly(choices: Choices, known: ReadonlySet<string>): Choices {
  const { topics, byTopic } = choices;
  const codes = [...(topics ?? []), ...Object.keys(byTopic)];
  if (codes.every((code) => known.has(code))) return choices;
  return {
    ...choices,
    topics: topics?.filter((code) => known.has(code)) ?? null,
    byTopic: Object.fromEntries(Object.entries(byTopic).filter(([code]) => known.has(code))),
  };
}

export type Building = ReturnType<typeof useBuild>;
