import type { View } from '../../api/client';
import { plain } from '../../ui/plain';
import { count } from '../../ui/words';
import type { Response } from './response';

/** A response as one would say it. */
export function inWords(body: View<'Question'>['body'], response: Response): string {
  const named = (parts: readonly { id: string; text: string }[], id: string | undefined) =>
    plain(parts.find((part) => part.id === id)?.text ?? '?');
  switch (body.kind) {
    case 'single':
      return named(body.options, response.choice);
    case 'several':
      return body.options
        .filter(({ id }) => response.choices?.includes(id))
        .map(({ text }) => plain(text))
        .join('; ');
    case 'ordering':
      return (response.order ?? []).map((id) => named(body.items, id)).join(' → ');
    case 'true_false_grid':
    case 'matching':
    case 'grouping':
    case 'dropdown_gaps':
      return body.rows
        .filter(({ id }) => response.rows?.[id])
        .map((row) => {
          const choice = named(row.choices ?? body.choices, response.rows?.[row.id]);
          return row.text ? `${plain(row.text)}: ${choice}` : choice;
        })
        .join('; ');
    case 'typed_gaps':
      return Object.values(response.gaps ?? {}).join('; ');
    case 'number':
      return [response.text, response.unit].filter(Boolean).join(' ');
    case 'picture':
      return count(response.points?.length ?? 0, 'point');
    case 'written':
      return response.text ?? '';
  }
}
