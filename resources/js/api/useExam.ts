import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { exams } from './queries';

const KEY = 'uplandia.exam';

/**
 * The exam that is being studied for: the one last chosen on this device, else the first.
 *
 * @param asked that of an address, which stands above both
 */
export function useExam(asked?: string | null) {
  const all = useQuery(exams);
  const [chosen, setChosen] = useState(() => localStorage.getItem(KEY));
  const known = all.data?.exams ?? [];
  const one = (slug: string | null | undefined) => known.find((exam) => exam.slug === slug)?.slug;
  const exam = one(asked) ?? one(chosen) ?? known[0]?.slug;
  return {
    exam,
    exams: known,
    error: all.error,
    isPending: all.isPending,
    retry: () => void all.refetch(),
    choose(slug: string) {
      localStorage.setItem(KEY, slug);
      setChosen(slug);
    },
  };
}
