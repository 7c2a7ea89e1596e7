import { createContext } from 'react';

/** Opens a page of the handbook beside what is on screen; null: there is no place for it, and a link leads there. */
export const OpenSection = createContext<((code: string) => void) | null>(null);
