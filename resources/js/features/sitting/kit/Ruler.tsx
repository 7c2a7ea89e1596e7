import { useEffect, useRef } from 'react';

/** A band of a few lines that follows the pointer, the finger or the focus, with the rest of the page a little dimmed. */
export function Ruler() {
  const band = useRef<HTMLDivElement>(null);
  useEffect(() => {
    const lay = (y: number) => band.current?.style.setProperty('--y', `${Math.round(y)}px`);
    lay(window.innerHeight * 0.4);
    const follow = (event: PointerEvent) => lay(event.clientY);
    const focus = (event: FocusEvent) => {
      const box = event.target instanceof HTMLElement ? event.target.getBoundingClientRect() : null;
      if (box && box.height > 0) lay(box.top + box.height / 2);
    };
    window.addEventListener('pointermove', follow, { passive: true });
    window.addEventListener('focusin', focus);
    return () => {
      window.removeEventListener('pointermove', follow);
      window.removeEventListener('focusin', focus);
    };
  }, []);
  return <div ref={band} aria-hidden="true" className="reading-ruler" />;
}
