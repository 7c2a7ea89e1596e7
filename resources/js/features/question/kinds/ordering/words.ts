import type { InWords } from '../kind';
import { nameOf } from '../names';

export const inWords: InWords<'ordering'> = (body, response) =>
  (response.order ?? []).map((id) => nameOf(body.items, id)).join(' → ');
