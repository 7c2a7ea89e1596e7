import { useCallback, useState } from 'react';

export type Tool = 'notes' | 'calculator' | 'tables' | 'scratch' | 'look' | 'keys' | 'along' | 'handbook';

/** What lies beside the questions of one sitting, and is open on each of them until it is put away. */
export interface Kit {
  /** null: put away; undefined: nothing was chosen yet. */
  open: Tool | null | undefined;
  take(tool: Tool): void;
  toggle(tool: Tool): void;
  close(): void;
}

const TOOLS: readonly Tool[] = ['notes', 'calculator', 'tables', 'scratch', 'look', 'keys', 'along'];

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
