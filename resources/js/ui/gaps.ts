import { createContext, type ReactNode } from 'react';

/** How a gap of a text is shown: an input while sitting, the answer afterwards. */
export const GapContext = createContext<(gap: string) => ReactNode>((gap) => `[${gap}]`);
