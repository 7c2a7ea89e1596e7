import { useEffect, useState } from 'react';

/** The section of a handbook that was read last on this device, before the one that is open. */
export function useStopped(exam: string, open: string | undefined): string | null {
  const key = `uplandia.stopped.${exam}`;
  const [before] = useState(() => localStorage.getItem(key));
  useEffect(() => {
    if (open) localStorage.setItem(key, open);
  }, [key, open]);
  return before;
}
