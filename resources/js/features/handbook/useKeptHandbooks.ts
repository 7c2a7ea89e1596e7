import { useMutation, useQuery } from '@tanstack/react-query';
import { session } from '../../api/queries';
import { dropHandbook, handbooksHere, takeHandbook } from '../sitting/packs/handbooks';

/** The handbooks on this device, and what takes one along or clears it away. */
export function useKeptHandbooks() {
  const owner = useQuery(session).data?.user?.email ?? '';
  const here = handbooksHere(owner);
  const all = useQuery(here);
  const meta = { invalidates: [here.queryKey] };
  return {
    all: all.data,
    isPending: all.isPending,
    taking: useMutation({
      mutationFn: (exam: string) => takeHandbook(owner, exam),
      meta,
      networkMode: 'always',
    }),
    clearing: useMutation({
      mutationFn: (exam: string) => dropHandbook(owner, exam),
      meta,
      networkMode: 'always',
    }),
  };
}
