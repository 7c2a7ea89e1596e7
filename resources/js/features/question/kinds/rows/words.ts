import { plain } from '../../../../ui/plain';
import type { InWords } from '../kind';
import { nameOf } from '../names';

export const inWords: InWords<'true_false_grid' | 'matching' | 'grouping' | 'dropdown_gaps'> = (body, response) =>
  body.rows
    .filter(({ id }) => response.rows?.[id])
    .map((row) => {
      const choice = nameOf(row.choices ?? body.choices, response.rows?.[row.id]);
      return row.text ? `${plain(row.text)}: ${choice}` : choice;
    })
    .join('; ');
