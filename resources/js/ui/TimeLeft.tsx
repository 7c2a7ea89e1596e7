import { useEffect, useState } from 'react';
import { clock } from './words';

/** What is left of a clock that runs elsewhere, counted down from when the server told. */
export function TimeLeft({ ms }: { ms: number }) {
  const [told, setTold] = useState(() => ({ ms, at: performance.now() }));
  const [now, setNow] = useState(told.at);
  if (told.ms !== ms) setTold({ ms, at: now });
  useEffect(() => {
    const timer = window.setInterval(() => setNow(performance.now()), 1000);
    return () => window.clearInterval(timer);
  }, []);
  return (
    <span className="font-mono whitespace-nowrap tabular-nums">{clock(Math.max(0, told.ms - (now - told.at)))}</span>
  );
}
