import { useEffect, useState } from 'react';
import { Button } from '../../ui/Button';
import { clock, duration } from '../../ui/words';
import type { SittingStore } from './sittingStore';

/** Before answering begins: how long one may still read, and a way to begin sooner. */
export function ReadingTime({ store, ms }: { store: SittingStore; ms: number | null }) {
  const [left, setLeft] = useState(() => store.readingLeft());
  const [sure, setSure] = useState(false);
  useEffect(() => {
    const timer = window.setInterval(() => {
      const now = store.readingLeft();
      setLeft(now);
      if (now === 0) store.readingOver();
    }, 250);
    return () => window.clearInterval(timer);
  }, [store]);
  if (left === null) return null;
  return (
    <section
      aria-label="Reading time"
      className="mb-4 flex flex-wrap items-center gap-x-5 gap-y-2 rounded-box border-2 border-accent px-4 py-2.5"
    >
      <p role="timer" aria-label="Reading time left" className="font-mono text-lg font-bold">
        {clock(left)}
      </p>
      <p className="min-w-0 flex-1 basis-72">
        {sure
          ? `The clock${ms === null ? '' : ` of ${duration(ms)}`} starts at once, and there is no way back to reading.`
          : 'Reading time: look at every question, flag and mark what you like. Answering begins by itself.'}
      </p>
      {sure ? (
        <>
          <Button small weight="main" onClick={() => void store.endReading()}>
            Start the clock
          </Button>
          <Button small onClick={() => setSure(false)}>
            Read on
          </Button>
        </>
      ) : (
        <Button small onClick={() => setSure(true)}>
          Begin to answer now
        </Button>
      )}
    </section>
  );
}
