import clsx from 'clsx';
import { useRef, useState, type KeyboardEvent, type MouseEvent } from 'react';
import type { KindProps } from '../kind';
import { zoom as zooming } from '../parts';
import { useNear } from '../useNear';
import { HowClose } from '../../../../ui/HowClose';
import { arrowOf, useZoom } from '../../../../ui/useZoom';

interface Point {
  x: number;
  y: number;
}

const STEP = 0.02;
const FINE_STEP = 0.004;
const round = (value: number) => Math.round(Math.min(1, Math.max(0, value)) * 10_000) / 10_000;

/** A picture to point at, with a finger, a mouse, or a cross that the arrow keys move. */
export function PictureField({ body, response, locked, labelledBy, onAnswer }: KindProps<'picture'>) {
  const { picture, points: most } = body;
  const points = response?.points ?? [];
  const [cross, setCross] = useState<Point | null>(null);
  const inner = useRef<HTMLDivElement>(null);
  // Without it the picture is as large as it is.
  const [part, around] = useNear(zooming);
  const zoom = useZoom(part?.zoomable);
  const { view } = zoom;

  const place = (point: Point) => {
    if (locked) return;
    if (points.length < most) return onAnswer({ points: [...points, point] });
    // All are set: the nearest one is moved.
    const far = points.map(({ x, y }) => Math.hypot(x - point.x, ((y - point.y) * picture.height) / picture.width));
    const nearest = far.indexOf(Math.min(...far));
    onAnswer({ points: points.map((old, i) => (i === nearest ? point : old)) });
  };
  const click = (event: MouseEvent) => {
    const box = inner.current?.getBoundingClientRect();
    if (!box) return;
    setCross(null);
    place({ x: round((event.clientX - box.left) / box.width), y: round((event.clientY - box.top) / box.height) });
  };
  const press = (event: KeyboardEvent) => {
    const [dx, dy] = arrowOf(event) ?? [];
    const at = cross ?? { x: 0.5, y: 0.5 };
    if (dx !== undefined && dy !== undefined) {
      event.preventDefault();
      const step = event.shiftKey ? FINE_STEP : STEP;
      const next = { x: round(at.x + (dx * step) / view.times), y: round(at.y + (dy * step) / view.times) };
      setCross(next);
      if (view.times > 1) zoom.see(next.x, next.y);
    } else if (zoom.keyed(event)) {
      event.preventDefault();
      zoom.keyed(event)?.();
      if (cross) zoom.see(cross.x, cross.y);
    } else if (event.key === 'Enter' || event.key === ' ') {
      event.preventDefault();
      place(at);
    }
  };
  // Whole on the screen, with what is asked below it: what one points at should not have to be scrolled to.
  const maxWidth = `max(20rem, ${Math.round((44 * picture.width) / picture.height)}dvh)`;
  return (
    <div {...around} className="grid gap-2">
      <div className="flex items-start justify-between gap-3" style={{ maxWidth }}>
        <p id={`${labelledBy}-how`}>
          {most === 1 ? 'Point at one place.' : `Point at ${most} places; ${points.length} of ${most} set.`}
          <span className="text-base-content/75 pointer-coarse:sr-only">
            {' '}
            By keyboard: arrow keys move a cross, Enter sets the point, + and − look closer or less close.
          </span>
        </p>
        <HowClose zoom={zoom} />
      </div>
      {/* An application of one thing: pointing. Its keys are told in the sentence above. */}
      {/* eslint-disable-next-line jsx-a11y/no-noninteractive-element-interactions */}
      <div
        ref={zoom.frame}
        role="application"
        // eslint-disable-next-line jsx-a11y/no-noninteractive-tabindex
        tabIndex={0}
        aria-labelledby={labelledBy}
        aria-describedby={`${labelledBy}-how`}
        onClick={click}
        onKeyDown={press}
        onFocus={() => setCross((old) => old ?? (points.length ? null : { x: 0.5, y: 0.5 }))}
        onBlur={() => setCross(null)}
        className={clsx(
          'relative cursor-crosshair overflow-hidden rounded-box border border-base-content/50',
          view.times > 1 ? 'touch-none' : 'touch-pan-y',
        )}
        style={{ maxWidth }}
      >
        <div ref={inner} className="relative origin-top-left" style={zoom.style}>
          <img src={picture.file} alt={picture.alt} className="block w-full select-none" draggable={false} />
          <svg
            viewBox={`0 0 ${picture.width} ${picture.height}`}
            aria-hidden="true"
            className="absolute inset-0 size-full"
          >
            {points.map(({ x, y }, i) => (
              <PointMark
                key={`${x} ${y}`}
                x={x * picture.width}
                y={y * picture.height}
                name={most > 1 ? i + 1 : ''}
                times={view.times}
              />
            ))}
            {cross && (
              <path
                d={`M${-14 / view.times} 0h${28 / view.times}M0 ${-14 / view.times}v${28 / view.times}`}
                transform={`translate(${cross.x * picture.width} ${cross.y * picture.height})`}
                className="stroke-error"
                strokeWidth={2 / view.times}
              />
            )}
          </svg>
        </div>
      </div>
      <p role="status" className="sr-only">
        {cross
          ? `Cross at ${Math.round(cross.x * 100)} % from the left, ${Math.round(cross.y * 100)} % from the top.`
          : ''}
        {` ${points.length} of ${most} points set.`}
        {view.times > 1 && ` ${view.times.toFixed(1)} times as large.`}
      </p>
      {points.length > 0 && !locked && (
        <p className="flex flex-wrap gap-x-4">
          {points.map((point, i) => (
            <button
              key={`${point.x} ${point.y}`}
              type="button"
              className="min-h-11 cursor-pointer text-primary underline underline-offset-4"
              onClick={() => {
                const left = points.filter((_, other) => other !== i);
                onAnswer(left.length ? { points: left } : null);
              }}
            >
              {most > 1 ? `Take point ${i + 1} away` : 'Take the point away'}
            </button>
          ))}
        </p>
      )}
    </div>
  );
}

/** A ring with a dot in it, seen on light and dark ground alike, of one size however close the picture is. */
export function PointMark({ x, y, name, times = 1 }: { x: number; y: number; name: string | number; times?: number }) {
  return (
    <g transform={`translate(${x} ${y}) scale(${1 / times})`}>
      <circle r="11" fill="none" stroke="#fff" strokeWidth="5" />
      <circle r="11" fill="none" stroke="#7a1020" strokeWidth="2.5" />
      <circle r="2.5" fill="#7a1020" stroke="#fff" strokeWidth="1" />
      {name !== '' && (
        <text
          x="15"
          y="5"
          fontSize="15"
          fontWeight="700"
          fill="#7a1020"
          stroke="#fff"
          strokeWidth="3"
          paintOrder="stroke"
        >
          {name}
        </text>
      )}
    </g>
  );
}
