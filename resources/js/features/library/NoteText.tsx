import { Markdown } from '../../ui/Markdown';

/** A note as it is read: Markdown of one’s own. */
export function NoteText({ children }: { children: string }) {
  return (
    <div className="border-l-4 border-accent pl-3">
      <Markdown>{children}</Markdown>
    </div>
  );
}
