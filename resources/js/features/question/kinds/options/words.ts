import { plain } from '../../../../ui/plain';
import type { InWords } from '../kind';
import { nameOf } from '../names';

export const inWords: InWords<'single' | 'several'> = (body, response) =>
  body.kind === 'single'
    ? nameOf(body.options, response.choice)
    : body.options
        .filter(({ id }) => response.choices?.includes(id))
        .map(({ text }) => plain(text))
        .join('; ');
