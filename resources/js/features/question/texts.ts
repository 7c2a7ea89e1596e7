import type { View } from '../../api/client';

/** The texts of a question as they are shown, to be read before somebody looks at it. */
export function textsOf({ stem, body }: View<'Question'>): { text: string; inline: boolean }[] {
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
