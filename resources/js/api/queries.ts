import { keepPreviousData, MutationCache, QueryClient, queryOptions, type QueryKey } from '@tanstack/react-query';
import { api, ask, Refused, Unreachable, type View } from './client';
import { rememberedWho, rememberWho } from './who';

declare module '@tanstack/react-query' {
  interface Register {
    mutationMeta: {
      /** The queries that a change makes stale, by how their keys begin: it says so itself. */
      invalidates?: readonly QueryKey[];
      /** One goes to another screen with it: nothing that is shown here is asked for once more. */
      leaves?: boolean;
    };
  }
}

/** Of a change that may show anywhere. */
export const EVERYTHING: readonly QueryKey[] = [[]];

/** Of a test that was made, begun, thrown away or had back: lists of tests, and what is drawn from. */
export const TESTS: readonly QueryKey[] = [
  ['tests'],
  ['today'],
  ['ready'],
  ['builder'],
  ['facets'],
  ['count'],
  ['mastery'],
  ['progress'],
];

const renew = async (invalidates: readonly QueryKey[] = [], refetchType: 'active' | 'none' = 'active') => {
  await Promise.all(invalidates.map((queryKey) => queries.invalidateQueries({ queryKey, refetchType })));
};

export const queries: QueryClient = new QueryClient({
  mutationCache: new MutationCache({
    onSuccess: (_data, _variables, _context, { meta }) => renew(meta?.invalidates, meta?.leaves ? 'none' : 'active'),
    // What was refused may have changed elsewhere.
    onError: (_error, _variables, _context, { meta }) => renew(meta?.invalidates),
  }),
  defaultOptions: {
    queries: {
      staleTime: 10_000,
      // A refusal will not turn into a yes by asking again; a lost connection may come back.
      retry: (failures, error) => !(error instanceof Refused) && failures < 2,
    },
  },
});

export const session = queryOptions({
  queryKey: ['session'],
  queryFn: whoIsHere,
  networkMode: 'always',
  staleTime: 5 * 60_000,
});

/** Who is signed in; where the server cannot be reached, who was when it last could be. */
async function whoIsHere(): Promise<View<'Session'>> {
  try {
    const told = await ask(api.GET('/api/session'));
    rememberWho(told.user);
    return told;
  } catch (error) {
    const user = error instanceof Unreachable ? rememberedWho() : null;
    if (!user) throw error;
    return { user, people: [], now: Date.now() };
  }
}

export const exams = queryOptions({
  queryKey: ['exams'],
  queryFn: () => ask(api.GET('/api/exams')),
  staleTime: 5 * 60_000,
});

export const today = (exam: string) =>
  queryOptions({
    queryKey: ['today', exam],
    queryFn: () => ask(api.GET('/api/exams/{exam}/today', { params: { path: { exam } } })),
  });

export const builder = (exam: string) =>
  queryOptions({
    queryKey: ['builder', exam],
    queryFn: () => ask(api.GET('/api/exams/{exam}/builder', { params: { path: { exam } } })),
  });

export const mastery = (exam: string) =>
  queryOptions({
    queryKey: ['mastery', exam],
    queryFn: () => ask(api.GET('/api/exams/{exam}/mastery', { params: { path: { exam } } })),
    staleTime: 60_000,
  });

export const progress = (exam: string) =>
  queryOptions({
    queryKey: ['progress', exam],
    queryFn: () => ask(api.GET('/api/exams/{exam}/progress', { params: { path: { exam } } })),
    staleTime: 0,
  });

export const cohort = (exam: string) =>
  queryOptions({
    queryKey: ['cohort', exam],
    queryFn: () => ask(api.GET('/api/exams/{exam}/cohort', { params: { path: { exam } } })),
  });

export const against = (sitting: string, other: string) =>
  queryOptions({
    queryKey: ['against', sitting, other],
    queryFn: () => ask(api.GET('/api/sittings/{sitting}/against/{other}', { params: { path: { sitting, other } } })),
  });

export const gaps = (exam: string, wanted: View<'GapsRequest'>) =>
  queryOptions({
    queryKey: ['gaps', exam, wanted],
    queryFn: ({ signal }) =>
      ask(api.GET('/api/exams/{exam}/gaps', { params: { path: { exam }, query: wanted }, signal })),
    staleTime: 0,
    placeholderData: keepPreviousData,
  });

export const gapSheet = (exam: string, wanted: View<'GapsRequest'>) =>
  queryOptions({
    queryKey: ['gaps', exam, 'sheet', wanted],
    queryFn: () => ask(api.POST('/api/exams/{exam}/gaps/sheet', { params: { path: { exam } }, body: wanted })),
    staleTime: 0,
  });

export const revisits = (exam: string, wanted: View<'RevisitsRequest'>) =>
  queryOptions({
    queryKey: ['revisits', exam, wanted],
    queryFn: ({ signal }) =>
      ask(api.GET('/api/exams/{exam}/revisits', { params: { path: { exam }, query: wanted }, signal })),
    staleTime: 0,
    placeholderData: keepPreviousData,
  });

export const cards = (exam: string, wanted: View<'CardsRequest'>) =>
  queryOptions({
    queryKey: ['cards', exam, wanted],
    queryFn: ({ signal }) =>
      ask(api.GET('/api/exams/{exam}/cards', { params: { path: { exam }, query: wanted }, signal })),
    staleTime: 0,
    placeholderData: keepPreviousData,
  });

export const pagesKept = (exam: string) =>
  queryOptions({
    queryKey: ['pages', exam],
    queryFn: () => ask(api.GET('/api/exams/{exam}/handbook-kept', { params: { path: { exam } } })),
  });

export const library = (exam: string, wanted: View<'MetRequest'>) =>
  queryOptions({
    queryKey: ['library', exam, wanted],
    queryFn: ({ signal }) =>
      ask(api.GET('/api/exams/{exam}/library', { params: { path: { exam }, query: wanted }, signal })),
    staleTime: 0,
    placeholderData: keepPreviousData,
  });

export const questionHistory = (exam: string, question: number) =>
  queryOptions({
    queryKey: ['library', exam, 'history', question],
    queryFn: () =>
      ask(api.GET('/api/exams/{exam}/library/{question}', { params: { path: { exam, question: String(question) } } })),
    staleTime: 0,
  });

export const plan = (exam: string) =>
  queryOptions({
    queryKey: ['plan', exam],
    queryFn: () => ask(api.GET('/api/exams/{exam}/plan', { params: { path: { exam } } })),
    staleTime: 0,
  });

export const adaptive = (exam: string) =>
  queryOptions({
    queryKey: ['adaptive', exam],
    queryFn: () => ask(api.GET('/api/exams/{exam}/adaptive', { params: { path: { exam } } })),
    staleTime: 60_000,
  });

export const kept = (sitting: string) =>
  queryOptions({
    queryKey: ['kept', sitting],
    queryFn: () => ask(api.GET('/api/sittings/{sitting}/kept', { params: { path: { sitting } } })),
    staleTime: 60_000,
  });

export const booklet = (sitting: string) =>
  queryOptions({
    queryKey: ['booklet', sitting],
    queryFn: () => ask(api.GET('/api/sittings/{sitting}/booklet', { params: { path: { sitting } } })),
    staleTime: 0,
  });

export const key = (sitting: string) =>
  queryOptions({
    queryKey: ['key', sitting],
    queryFn: () => ask(api.GET('/api/sittings/{sitting}/key', { params: { path: { sitting } } })),
  });

export const aboutExam = (exam: string) =>
  queryOptions({
    queryKey: ['exam', exam],
    queryFn: () => ask(api.GET('/api/exams/{exam}', { params: { path: { exam } } })),
  });

export const ready = (exam: string) =>
  queryOptions({
    queryKey: ['ready', exam],
    queryFn: () => ask(api.GET('/api/exams/{exam}/ready', { params: { path: { exam } } })),
    staleTime: 0,
  });

export const tests = (exam: string, wanted: View<'TestsRequest'>) =>
  queryOptions({
    queryKey: ['tests', exam, wanted],
    queryFn: ({ signal }) =>
      ask(api.GET('/api/exams/{exam}/sittings', { params: { path: { exam }, query: wanted }, signal })),
    staleTime: 0,
    placeholderData: keepPreviousData,
  });

export const recipes = (exam: string) =>
  queryOptions({
    queryKey: ['recipes', exam],
    queryFn: () => ask(api.GET('/api/exams/{exam}/recipes', { params: { path: { exam } } })),
  });

export const briefing = (sitting: string) =>
  queryOptions({
    queryKey: ['briefing', sitting],
    queryFn: () => ask(api.GET('/api/sittings/{sitting}', { params: { path: { sitting } } })),
    staleTime: 0,
  });

export const result = (sitting: string) =>
  queryOptions({
    queryKey: ['result', sitting],
    queryFn: () => ask(api.GET('/api/sittings/{sitting}/result', { params: { path: { sitting } } })),
    staleTime: Infinity,
  });

export const review = (sitting: string) =>
  queryOptions({
    queryKey: ['review', sitting],
    queryFn: () => ask(api.GET('/api/sittings/{sitting}/review', { params: { path: { sitting } } })),
    staleTime: Infinity,
  });

export const explanation = (sitting: string, position: number) =>
  queryOptions({
    queryKey: ['explanation', sitting, position],
    queryFn: () =>
      ask(api.GET('/api/sittings/{sitting}/questions/{position}', { params: { path: { sitting, position } } })),
    staleTime: Infinity,
  });

export const handbook = (exam: string) =>
  queryOptions({
    queryKey: ['handbook', exam],
    queryFn: () => ask(api.GET('/api/exams/{exam}/handbook', { params: { path: { exam } } })),
    staleTime: Infinity,
  });

export const handbookHits = (exam: string, words: string) =>
  queryOptions({
    queryKey: ['handbook', exam, 'hits', words],
    queryFn: ({ signal }) =>
      ask(api.POST('/api/exams/{exam}/handbook-search', { params: { path: { exam } }, body: { words }, signal })),
    staleTime: Infinity,
    placeholderData: keepPreviousData,
  });

export const sectionQuestions = (exam: string, code: string) =>
  queryOptions({
    queryKey: ['section', exam, code, 'questions'],
    queryFn: () =>
      ask(api.GET('/api/exams/{exam}/handbook/{section}/questions', { params: { path: { exam, section: code } } })),
    staleTime: 0,
  });

export const closeWords = (exam: string, words: string) =>
  queryOptions({
    queryKey: ['close words', exam, words],
    queryFn: () => ask(api.GET('/api/exams/{exam}/close-words', { params: { path: { exam }, query: { words } } })),
    staleTime: 5 * 60_000,
  });

export const tables = (exam: string) =>
  queryOptions({
    queryKey: ['tables', exam],
    queryFn: () => ask(api.GET('/api/exams/{exam}/tables', { params: { path: { exam } } })),
    staleTime: Infinity,
  });

export const section = (exam: string, code: string) =>
  queryOptions({
    queryKey: ['section', exam, code],
    queryFn: () => ask(api.GET('/api/exams/{exam}/handbook/{section}', { params: { path: { exam, section: code } } })),
    staleTime: Infinity,
  });
