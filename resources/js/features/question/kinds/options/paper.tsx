import { plain } from '../../../../ui/plain';
import type { Paper } from '../kind';
import { Lettered } from '../Lettered';
import { idsOf, letter, lettersOf } from '../letters';

/** "B" for one option, "ACD" for several. */
export const paper: Paper<'single' | 'several'> = {
  Printed: ({ body }) => (
    <>
      {body.kind === 'several' && (
        <p className="text-sm">{body.limit === null ? 'As many as apply.' : `Up to ${body.limit}.`}</p>
      )}
      <Lettered of={body.options} />
    </>
  ),
  code: {
    hint: ({ kind, options }) =>
      kind === 'single'
        ? `A to ${letter(options.length - 1)}`
        : options.length > 26
          ? 'such as A, C, AB'
          : 'such as ACD',
    read(typed, { kind, options }) {
      const ids = idsOf(typed, options) ?? [];
      const last = letter(options.length - 1);
      if (kind === 'single')
        return ids[0] !== undefined && ids.length === 1
          ? { response: { choice: ids[0] } }
          : { fault: `One letter from A to ${last}.` };
      return ids.length > 0 && new Set(ids).size === ids.length
        ? { response: { choices: ids } }
        : { fault: `Letters from A to ${last}, each once.` };
    },
    written: ({ choice, choices }, { kind, options }) =>
      kind === 'single' ? (choice ? lettersOf([choice], options) : '') : lettersOf(choices ?? [], options),
  },
  marks: ({ options }) => new Map(options.map(({ id }, i) => [id, letter(i)])),
  // Whatever is right or was missed of the options is a key.
  right: ({ parts }, mark) =>
    parts
      .filter(({ verdict }) => verdict === 'right' || verdict === 'missing')
      .map((part) => `${mark(part)} ${plain(part.text)}`)
      .sort()
      .join(' · '),
};
