import { plain } from '../../../ui/plain';

/** The text of a part, in one line. */
export function nameOf(parts: readonly { id: string; text: string }[], id: string | undefined): string {
  return plain(parts.find((part) => part.id === id)?.text ?? '?');
}
