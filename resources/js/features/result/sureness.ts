import type { View } from '../../api/client';

type Level = View<'SurenessLevel'>;

/** How sure one can say to be. */
export const SURENESS: Record<Level['sureness'], string> = { sure: 'Sure', leaning: 'Leaning', guess: 'Guess' };

/** How what was said stands to what came true; nothing where they agree as far as can be told. */
export const LEANING: Record<Level['leaning'], string> = {
  over_confident: 'surer than right',
  under_confident: 'more right than sure',
  neither: '',
};
