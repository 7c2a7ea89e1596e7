import type { InWords } from '../kind';

export const inWords: InWords<'typed_gaps'> = (_, response) => Object.values(response.gaps ?? {}).join('; ');
