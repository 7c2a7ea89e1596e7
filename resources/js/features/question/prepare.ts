import type { View } from '../../api/client';
import { readAhead } from '../../ui/Markdown';
import { haveAhead } from '../../ui/haveAhead';

/** Has a question, and what it shares with others, at hand before somebody looks at it. Gives what calls it off. */
export function prepare(question: View<'Question'>, unit: View<'Unit'> | undefined): () => void {
  const shared = unit ? [unit.text, ...unit.exhibits.map(({ body }) => body)] : [];
  const stop = readAhead([...textsOf(question), ...shared.map((text) => ({ text, inline: false }))]);
  const { body } = question;
  if (body.kind === 'picture') haveAhead(body.picture.file);
  return stop;
}

/** The texts of a question as they are shown. */
function textsOf({ stem, body }: View<'Question'>): { text: string; inline: boolean }[] {
  const texts = [{ text: stem, inline: false }];
  const add = (parts: readonly { text: string }[]) => {
    for (const { text } of parts) texts.push({ text, inline: true });
  };
  if ('options' in body) add(body.options);
  if ('items' in body) add(body.items);
  if ('rows' in body) {
    add(body.rows);
    add(body.choices);
  }
  return texts;
}
