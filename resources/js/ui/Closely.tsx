import clsx from 'clsx';
import type { KeyboardEvent } from 'react';
import { HowClose } from './HowClose';
import { arrowOf, useZoom } from './useZoom';
import { zoomable } from './zoom';

/** How far an arrow key pushes what is looked at closely, in shares of the frame. */
const PUSH = 0.15;

/** A picture that can be looked at closely and pushed about: by fingers, by mouse, and by keys. */
export function Closely({ src, alt }: { src: string; alt: string }) {
  const zoom = useZoom(zoomable);
  const { times, x, y } = zoom.view;
  const press = (event: KeyboardEvent) => {
    const [dx, dy] = arrowOf(event) ?? [0, 0];
    const isPush = times > 1 && (dx !== 0 || dy !== 0);
    // The middle of what is in sight, in shares of the picture.
    const push = () => zoom.see((0.5 - x + dx * PUSH) / times, (0.5 - y + dy * PUSH) / times);
    const does = isPush ? push : zoom.keyed(event);
    if (!does) return;
    event.preventDefault();
    does();
  };
  return (
    <div className="grid gap-2">
      <div className="flex items-start justify-between gap-3">
        <p id="closely" className="text-sm text-base-content/75">
          <span className="pointer-coarse:hidden">Keys: + and − look closer or less close, arrows push it about.</span>
          <span className="pointer-fine:hidden">With two fingers it comes closer; then push it about with one.</span>
        </p>
        <HowClose zoom={zoom} />
      </div>
      {/* An application of one thing: looking. Its keys are told in the sentence above. */}
      {/* eslint-disable-next-line jsx-a11y/no-noninteractive-element-interactions */}
      <div
        ref={zoom.frame}
        role="application"
        // eslint-disable-next-line jsx-a11y/no-noninteractive-tabindex
        tabIndex={0}
        aria-label={alt}
        aria-describedby="closely"
        onKeyDown={press}
        className={clsx(
          'mx-auto w-fit max-w-full overflow-hidden rounded-box border border-base-content/50',
          times > 1 ? 'cursor-grab touch-none' : 'touch-pan-y',
        )}
      >
        <img
          src={src}
          alt=""
          draggable={false}
          className="block max-h-[65dvh] max-w-full origin-top-left select-none"
          style={zoom.style}
        />
      </div>
      <p role="status" className="sr-only">
        {times > 1 && `${times.toFixed(1)} times as large.`}
      </p>
    </div>
  );
}
