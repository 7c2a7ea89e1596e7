import { Markdown } from '../../../../ui/Markdown';
import { asked } from '../asked';
import type { Paper } from '../kind';
import { Lettered } from '../Lettered';
import { letter } from '../letters';

/** One letter a row, "-" for a row left blank. */
export const paper: Paper<'true_false_grid' | 'matching' | 'grouping' | 'dropdown_gaps'> = {
  Printed: ({ body }) => (
    <>
      {body.choices.length > 0 && <Lettered of={body.choices} />}
      <ol className="grid gap-1">
        {body.rows.map((row, i) => (
          <li key={row.id} className="grid grid-cols-[2.6rem_1fr] gap-x-2">
            <span>___ {i + 1}</span>
            <span>
              {body.kind === 'dropdown_gaps' ? `Gap ${i + 1}: ` : <Markdown inline>{row.text}</Markdown>}
              {row.choices?.map((one, place) => (
                <span key={one.id} className="mr-4">
                  <span className="font-bold">{letter(place)}</span> <Markdown inline>{one.text}</Markdown>
                </span>
              ))}
            </span>
          </li>
        ))}
      </ol>
    </>
  ),
  code: {
    hint: ({ rows }) => `${rows.length} letters, - for a blank`,
    read(typed, { rows, choices: shared }) {
      const codes = [...typed.toUpperCase().replace(/[\s,;]+/g, '')];
      if (codes.length > rows.length) return { fault: `There are only ${rows.length} rows.` };
      const chosen: [string, string][] = [];
      for (const [i, code] of codes.entries()) {
        const row = rows[i];
        if (code === '-' || !row) continue;
        const choices = row.choices ?? shared;
        const id = choices.find((_, place) => letter(place) === code)?.id;
        if (id === undefined) return { fault: `Row ${i + 1} goes from A to ${letter(choices.length - 1)}.` };
        chosen.push([row.id, id]);
      }
      return { response: chosen.length ? { rows: Object.fromEntries(chosen) } : null };
    },
    written: (response, { rows, choices }) =>
      rows
        .map((row) => {
          const place = (row.choices ?? choices).findIndex(({ id }) => id === response.rows?.[row.id]);
          return place < 0 ? '-' : letter(place);
        })
        .join(''),
  },
  marks: ({ rows }) => new Map(rows.map(({ id }, i) => [id, String(i + 1)])),
  right: asked,
};
