import { StickyNote } from 'lucide-react';
import { useState } from 'react';
import { Link } from 'react-router';
import { api, ask } from '../../api/client';
import { meaning, readShortcuts } from '../../ui/shortcuts';
import { useKeys } from '../../ui/useKeys';
import { CardForm, type CardSides } from './CardForm';

/** What a card is made from: a question of a sitting, or a page of the handbook. */
type From = { sitting: string; position: number } | { section: string };

/** Makes a card with one key: of the words that are chosen, or of what the whole comes to. */
export function MakeCard(props: {
  exam: string;
  from: From;
  /** What it says to begin with; given some words, with those on its back. */
  draft: (words: string) => CardSides;
  /** Words to make one of at once, chosen elsewhere. */
  asked?: string | null;
  onClose?: () => void;
}) {
  const { exam, from, draft, asked } = props;
  const [words, setWords] = useState<string | null>(null);
  const [kept, setKept] = useState(false);
  const [shortcuts] = useState(readShortcuts);
  const open = asked ?? words;
  useKeys((event) => {
    if (meaning(shortcuts, event.key) !== 'card') return;
    event.preventDefault();
    setWords(document.getSelection()?.toString().trim() ?? '');
  });
  const close = () => {
    setWords(null);
    props.onClose?.();
  };
  const key = shortcuts.active ? shortcuts.keys.card : undefined;
  return (
    <div className="flex flex-wrap items-center gap-x-4">
      <button
        type="button"
        aria-keyshortcuts={key}
        title={key && `Key ${key}`}
        onClick={() => setWords('')}
        className="inline-flex min-h-11 cursor-pointer items-center gap-1.5 underline-offset-4 hover:underline"
      >
        <StickyNote aria-hidden="true" className="size-4.5" /> Make a card
      </button>
      {kept && (
        <span role="status">
          It is among{' '}
          <Link to="/cards" className="text-primary underline underline-offset-4">
            your cards
          </Link>
          .
        </span>
      )}
      {open !== null && (
        <CardForm
          title="A new card"
          sides={draft(open)}
          keep={(sides) =>
            ask(api.POST('/api/exams/{exam}/cards', { params: { path: { exam } }, body: { ...sides, ...from } })).then(
              () => setKept(true),
            )
          }
          onClose={close}
        />
      )}
    </div>
  );
}
