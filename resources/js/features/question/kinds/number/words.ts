import type { InWords } from '../kind';

export const inWords: InWords<'number'> = (_, response) => [response.text, response.unit].filter(Boolean).join(' ');
