import { useMutation } from '@tanstack/react-query';
import type { FormEvent } from 'react';
import { Refused } from '../../api/client';

/** What the fields of a form need of it. */
export interface Form {
  busy: boolean;
  fault(name?: string): string | undefined;
  onSubmit(event: FormEvent<HTMLFormElement>): void;
}

/** A form whose rules live on the server: sends its fields, and hands each fault back to its field. */
export function useForm<Fields extends Record<string, string>, Answer>(
  send: (fields: Fields) => Promise<Answer>,
  done: (answer: Answer) => void,
) {
  const sending = useMutation({ mutationFn: send, onSuccess: done });
  return {
    busy: sending.isPending,
    /** What is amiss with a field, or with the whole (no name). */
    fault(name?: keyof Fields & string): string | undefined {
      const { error } = sending;
      if (!error) return undefined;
      const known = error instanceof Refused && Object.keys(error.problem.fields).length > 0;
      if (!name) return known ? undefined : error.message;
      return error instanceof Refused ? error.field(name) : undefined;
    },
    onSubmit(event: FormEvent<HTMLFormElement>) {
      event.preventDefault();
      sending.mutate(Object.fromEntries(new FormData(event.currentTarget)) as Fields);
    },
  };
}
