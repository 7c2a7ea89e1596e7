import { useMutation, type UseMutationOptions } from '@tanstack/react-query';
import { useState } from 'react';

type Ways = Pick<UseMutationOptions<unknown, Error, boolean>, 'networkMode' | 'onSuccess' | 'meta'>;

/** A box that is kept elsewhere: seen in the same moment as it is ticked, and taken back where it cannot be kept. */
export function useKeptTick(known: boolean, keep: (on: boolean) => Promise<unknown>, ways: Ways = {}) {
  const [on, show] = useState(known);
  const { mutate, isPending, error } = useMutation({ ...ways, mutationFn: keep, onError: (_, said) => show(!said) });
  const onChange = (said: boolean) => {
    show(said);
    mutate(said);
  };
  return { box: { on, disabled: isPending, onChange }, error };
}
