import type { View } from '../../api/client';

type Part = View<'Part'>;

/** What a part is called that has no text of its own: by its place among its like. */
export function partName(part: Part, all: Part[]): string {
  const alike = all.filter(({ role }) => role === part.role);
  const place = alike.indexOf(part);
  switch (part.role) {
    case 'gap':
      return `Gap ${place + 1}`;
    case 'item':
      return String(place + 1);
    case 'number':
      return 'The number';
    case 'target':
      return alike.length > 1 ? `Place ${place + 1}` : 'The place';
    case 'decoy':
      return `Place ${String.fromCharCode(97 + place)}`;
    default:
      return '';
  }
}
