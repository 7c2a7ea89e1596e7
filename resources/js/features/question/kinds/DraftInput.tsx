import clsx from 'clsx';
import type { ComponentProps } from 'react';
import { useDraft } from './useDraft';

type Props = Omit<ComponentProps<'input'>, 'value' | 'onChange' | 'onBlur' | 'disabled'> & {
  stored: string;
  locked: boolean;
  onType: (text: string) => void;
};

/** A field for a few words or a number, handed on when the fingers rest. Nothing mends what is typed. */
export function DraftInput({ stored, locked, onType, className, ...input }: Props) {
  const draft = useDraft(stored, onType);
  return (
    <input
      autoCapitalize="off"
      autoComplete="off"
      spellCheck={false}
      {...input}
      className={clsx('input border-base-content/50', className)}
      value={draft.text}
      disabled={locked}
      onChange={(event) => draft.type(event.target.value)}
      onBlur={draft.flush}
    />
  );
}
