import { useEffect, useRef, useState } from 'react';

const IDLE_MS = 300;

/**
 * Text while it is being typed. It is handed on when the fingers rest, when the field is left, and when the page goes
 * away, so that typing makes few events and loses none of its words.
 */
export function useDraft(stored: string, commit: (text: string) => void) {
  const [text, setText] = useState(stored);
  const waiting = useRef<{ text: string; timer: number } | null>(null);
  const send = useRef(commit);
  useEffect(() => {
    send.current = commit;
  });
  const flush = () => {
    if (!waiting.current) return;
    window.clearTimeout(waiting.current.timer);
    send.current(waiting.current.text);
    waiting.current = null;
  };
  useEffect(() => {
    window.addEventListener('pagehide', flush);
    return () => {
      window.removeEventListener('pagehide', flush);
      flush();
    };
  }, []);
  return {
    text,
    type: (next: string) => {
      setText(next);
      if (waiting.current) window.clearTimeout(waiting.current.timer);
      waiting.current = { text: next, timer: window.setTimeout(flush, IDLE_MS) };
    },
    flush,
  };
}
