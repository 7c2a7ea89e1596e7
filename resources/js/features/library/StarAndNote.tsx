import { Star } from 'lucide-react';
import { Note } from './Note';
import { useKept, useNoting, useStarring } from './useKept';

/** A star and a note, which stay with the question beyond this sitting. */
export function StarAndNote({
  sitting,
  position,
  asked,
}: {
  sitting: string;
  position: number;
  /** The note was asked for from elsewhere: its field opens, once. */
  asked?: { current: boolean };
}) {
  const { starred, note, ready } = useKept(sitting, position);
  const starring = useStarring(sitting, position);
  const noting = useNoting(sitting, position);
  return (
    <Note
      note={note}
      ready={ready}
      keep={noting.mutateAsync}
      fault={starring.error ?? noting.error}
      draft={`uplandia.note.${sitting}.${position}`}
      asked={asked}
    >
      <button
        type="button"
        aria-pressed={starred}
        disabled={!ready}
        className="inline-flex min-h-11 cursor-pointer items-center gap-1.5 underline-offset-4 hover:underline"
        onClick={() => starring.mutate(!starred)}
      >
        <Star aria-hidden="true" className="size-4.5" fill={starred ? 'currentColor' : 'none'} />
        {starred ? 'Starred' : 'Star'}
      </button>
    </Note>
  );
}
