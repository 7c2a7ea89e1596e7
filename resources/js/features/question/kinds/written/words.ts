import type { InWords } from '../kind';

export const inWords: InWords<'written'> = (_, response) => response.text ?? '';
