import { useMutation } from '@tanstack/react-query';
import { useNavigate } from 'react-router';
import type { View } from './client';
import { TESTS } from './queries';

type Make = () => Promise<View<'Built'>>;

/** Makes a sitting and goes to its briefing, or to question one at once. */
export function useBegin() {
  const navigate = useNavigate();
  const { mutate, isPending, isError, error } = useMutation({
    mutationFn: ({ make }: { make: Make; atOnce: boolean }) => make(),
    meta: { invalidates: TESTS, leaves: true },
    onSuccess: ({ sitting }, { atOnce }) => void navigate(atOnce ? `/sit/${sitting}` : `/briefing/${sitting}`),
  });
  return { go: (make: Make, atOnce = false) => mutate({ make, atOnce }), isPending, isError, error };
}
