import { useEffect, useState } from 'react';

/** A value as it was when the page was last painted: what may wait follows in the next picture. */
export function useAfterPaint<T>(value: T): T {
  const [painted, setPainted] = useState(() => value);
  useEffect(() => {
    let timer = 0;
    const frame = requestAnimationFrame(() => {
      timer = window.setTimeout(() => setPainted(() => value));
    });
    return () => {
      cancelAnimationFrame(frame);
      window.clearTimeout(timer);
    };
  }, [value]);
  return painted;
}
