import { useQuery } from '@tanstack/react-query';
import { useEffect } from 'react';
import type { View } from '../../api/client';
import { kept, queries, tables } from '../../api/queries';
import { prepare } from '../question/prepare';
import { haveAtHand } from './kit/parts';
import type { Snapshot } from './sittingStore';
import { useBuilt } from './useBuilt';

const AT_HAND_MS = 10_000;

/**
 * Has ready what is wanted next: the question after this one, and what may be asked for when the connection is gone (the
 * tables at once, the heavier tools once the page is at rest).
 *
 * @returns places of the questions that are built
 */
export function useAhead(id: string, sitting: View<'OpenedSitting'>, { current, pack }: Snapshot): number[] {
  const { exam } = sitting.briefing;
  useEffect(() => {
    if (!pack) return;
    queries.setQueryData(tables(exam).queryKey, pack.tables);
    queries.setQueryData(kept(id).queryKey, (known) => known ?? pack.kept);
  }, [pack, exam, id]);
  useQuery(tables(exam));
  useEffect(() => {
    const timer = window.setTimeout(() => haveAtHand(queries), AT_HAND_MS);
    return () => window.clearTimeout(timer);
  }, []);
  const next = sitting.questions[current + 1];
  const nextUnit = sitting.units.find((one) => one.id === next?.unit);
  useEffect(() => (next ? prepare(next, nextUnit) : undefined), [next, nextUnit]);
  return useBuilt(current, sitting.questions.length);
}
