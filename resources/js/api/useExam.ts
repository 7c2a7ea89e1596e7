import { useMutation, useQuery } from '@tanstack/react-query';
import { useEffect, useSyncExternalStore } from 'react';
import { useLocation, useNavigate, useSearchParams } from 'react-router';
import { api, ask } from './client';
import { exams, queries, session } from './queries';

/** The exam of this tab, and whose: whoever signs in after somebody begins with what is kept with their own account. */
let here: { exam: string; who: string | undefined } | null = null;
const heard = new Set<() => void>();

const whoIsHere = () => queries.getQueryData(session.queryKey)?.user?.email;

function goTo(exam: string): void {
  if (here?.exam === exam && here.who === whoIsHere()) return;
  here = { exam, who: whoIsHere() };
  for (const tell of heard) tell();
}

function useHere(): string | null {
  const now = useSyncExternalStore(
    (tell) => (heard.add(tell), () => heard.delete(tell)),
    () => here,
  );
  return now !== null && now.who === whoIsHere() ? now.exam : null;
}

/**
 * The exam that is being studied for: that of the address, else that of this tab, else the one that is kept with the
 * account, else the first.
 */
export function useExam() {
  const all = useQuery(exams);
  const asked = useSearchParams()[0].get('exam');
  const tab = useHere();
  const known = all.data?.exams ?? [];
  const one = (slug: string | null | undefined) => known.find((exam) => exam.slug === slug)?.slug;
  return {
    exam: one(asked) ?? one(tab) ?? one(all.data?.chosen) ?? known[0]?.slug,
    exams: known,
    error: all.error,
    isPending: all.isPending,
    retry: () => void all.refetch(),
  };
}

/** The same for a screen of one exam, whose address says which: sent on or kept, it is the same for whoever opens it. */
export function useExamOfScreen() {
  const found = useExam();
  const { exam } = found;
  const { pathname, search, hash, state } = useLocation();
  const navigate = useNavigate();
  useEffect(() => {
    if (!exam) return;
    goTo(exam);
    const told = new URLSearchParams(search);
    // While another screen is being fetched this one is still shown, and the address is that one's already.
    if (told.has('exam') || window.location.pathname !== pathname) return;
    told.set('exam', exam);
    void navigate({ search: told.toString(), hash }, { replace: true, state: { ...(state as object), ours: true } });
  }, [exam, pathname, search, hash, state, navigate]);
  return found;
}

/** A screen that is of an exam by what it shows, such as a result: the rest of this tab goes on with that. */
export function useExamIs(exam: string | undefined): void {
  useEffect(() => {
    if (exam) goTo(exam);
  }, [exam]);
}

/** Chooses the exam one studies for, here and, with the account, wherever one signs in. */
export function useChooseExam() {
  const keeping = useMutation({
    mutationFn: (exam: string) => ask(api.PUT('/api/exams/{exam}/chosen', { params: { path: { exam } } })),
  });
  return (exam: string) => {
    goTo(exam);
    queries.setQueryData(exams.queryKey, (old) => old && { ...old, chosen: exam });
    keeping.mutate(exam);
  };
}
