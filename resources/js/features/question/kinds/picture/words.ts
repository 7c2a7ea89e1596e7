import { count } from '../../../../ui/words';
import type { InWords } from '../kind';

export const inWords: InWords<'picture'> = (_, response) => count(response.points?.length ?? 0, 'point');
