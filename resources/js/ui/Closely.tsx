import clsx from 'clsx';
import { useEffect, useRef, useState, type KeyboardEvent } from 'react';
import { CLOSER, HowClose } from './HowClose';
import { MOST_CLOSE, zoomable, type Closeness, type Zoomer } from './zoom';

/** How far an arrow key pushes what is looked at closely, in shares of the frame. */
const PUSH = 0.15;

/** A picture that can be looked at closely and pushed about: by fingers, by mouse, and by keys. */
export function Closely({ src, alt }: { src: string; alt: string }) {
  const frame = useRef<HTMLDivElement>(null);
  const zoomer = useRef<Zoomer>(null);
  const [view, setView] = useState<Closeness>({ times: 1, x: 0, y: 0 });
  useEffect(() => {
    if (!frame.current) return;
    const own = zoomable(frame.current, MOST_CLOSE, setView);
    zoomer.current = own;
    return () => own.stop();
  }, []);
  const press = (event: KeyboardEvent) => {
    const [dx, dy] = { ArrowLeft: [-1, 0], ArrowRight: [1, 0], ArrowUp: [0, -1], ArrowDown: [0, 1] }[event.key] ?? [];
    const { times, x, y } = view;
    if (event.key === '+') zoomer.current?.by(CLOSER);
    else if (event.key === '-') zoomer.current?.by(1 / CLOSER);
    else if (event.key === '0') zoomer.current?.whole();
    else if (dx !== undefined && dy !== undefined && times > 1)
      // The middle of what is in sight, in shares of the picture.
      zoomer.current?.see((0.5 - x + dx * PUSH) / times, (0.5 - y + dy * PUSH) / times);
    else return;
    event.preventDefault();
  };
  return (
    <div className="grid gap-2">
      <div className="flex items-start justify-between gap-3">
        <p id="closely" className="text-sm text-base-content/75">
          <span className="pointer-coarse:hidden">Keys: + and − look closer or less close, arrows push it about.</span>
          <span className="pointer-fine:hidden">With two fingers it comes closer; then push it about with one.</span>
        </p>
        <HowClose times={view.times} most={MOST_CLOSE} zoomer={zoomer} />
      </div>
      {/* An application of one thing: looking. Its keys are told in the sentence above. */}
      {/* eslint-disable-next-line jsx-a11y/no-noninteractive-element-interactions */}
      <div
        ref={frame}
        role="application"
        // eslint-disable-next-line jsx-a11y/no-noninteractive-tabindex
        tabIndex={0}
        aria-label={alt}
        aria-describedby="closely"
        onKeyDown={press}
        className={clsx(
          'mx-auto w-fit max-w-full overflow-hidden rounded-box border border-base-content/50',
          view.times > 1 ? 'cursor-grab touch-none' : 'touch-pan-y',
        )}
      >
        <img
          src={src}
          alt=""
          draggable={false}
          className="block max-h-[65dvh] max-w-full origin-top-left select-none"
          style={{ transform: `translate(${view.x * 100}%, ${view.y * 100}%) scale(${view.times})` }}
        />
      </div>
      <p role="status" className="sr-only">
        {view.times > 1 && `${view.times.toFixed(1)} times as large.`}
      </p>
    </div>
  );
}
