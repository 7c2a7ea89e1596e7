import { useCallback, useState, type ReactNode } from 'react';
import type { Look } from '../../../ui/look';
import type { Shortcuts } from '../../../ui/shortcuts';

export type Tool = 'notes' | 'calculator' | 'tables' | 'scratch' | 'look' | 'keys' | 'along' | 'clock' | 'handbook';

/** What lies beside the questions of one sitting, and is open on each of them until it is put away. */
export interface Kit {
  /** null: put away; undefined: nothing was chosen yet. */
  open: Tool | null | undefined;
  take(tool: Tool): void;
  toggle(tool: Tool): void;
  close(): void;
}

const TOOLS: readonly Tool[] = ['notes', 'calculator', 'tables', 'scratch', 'look', 'keys', 'along', 'clock'];

export function useKit(sitting: string): Kit {
  const key = `uplandia.kit.${sitting}`;
  const [open, setOpen] = useState<Tool | null | undefined>(() => {
    const kept = sessionStorage.getItem(key);
    return kept === '' ? null : TOOLS.find((tool) => tool === kept);
  });
  const take = useCallback(
    (tool: Tool | null) => {
      setOpen(tool);
      if (tool !== 'handbook') sessionStorage.setItem(key, tool ?? '');
    },
    [key],
  );
  return { open, take, toggle: (tool) => take(open === tool ? null : tool), close: () => take(null) };
}

/** What the tools of the kit are given to work on. */
export interface Workbench {
  sitting: string;
  exam: string;
  position: number;
  /** Puts a figure into the field of the question; null: it has none. */
  onUse: ((value: string) => void) | null;
  /** Set when the note was asked for by a key. */
  noteAsked: { current: boolean };
  /** Counts what was filled or asked for from elsewhere: a field that knows of it only at first is made anew. */
  filled: number;
  /** Which page of the handbook is open. */
  page: string | null;
  look: Look;
  onLook: (look: Look) => void;
  onShortcuts: (shortcuts: Shortcuts) => void;
  /** What takes the sitting along; null: it cannot be. */
  along: ReactNode;
}
