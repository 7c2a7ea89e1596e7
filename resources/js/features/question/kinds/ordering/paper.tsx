import type { Paper } from '../kind';
import { Lettered } from '../Lettered';
import { idsOf, letter, lettersOf } from '../letters';

/** All letters in the order one chose. */
export const paper: Paper<'ordering'> = {
  Printed: ({ body }) => (
    <>
      <p className="text-sm">Put them in order.</p>
      <Lettered of={body.items} />
    </>
  ),
  code: {
    hint: ({ items }) => `all ${items.length}, such as ${items.map((_, i) => letter(items.length - 1 - i)).join('')}`,
    read(typed, { items }) {
      const ids = idsOf(typed, items);
      return ids && new Set(ids).size === items.length && ids.length === items.length
        ? { response: { order: ids } }
        : { fault: `Each of the ${items.length} letters once, in the order you chose.` };
    },
    written: ({ order }, { items }) => lettersOf(order ?? [], items),
  },
  marks: ({ items }) => new Map(items.map(({ id }, i) => [id, letter(i)])),
  right: ({ parts }, mark) =>
    parts
      .filter(({ role }) => role === 'item')
      .map(mark)
      .join(''),
};
