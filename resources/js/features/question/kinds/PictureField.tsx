import { useRef, useState, type KeyboardEvent, type PointerEvent } from 'react';
import type { KindProps } from './kind';

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
  const frame = useRef<HTMLDivElement>(null);

  const place = (point: Point) => {
    if (locked) return;
    if (points.length < most) return onAnswer({ points: [...points, point] });
    // All are set: the nearest one is moved.
    const far = points.map(({ x, y }) => Math.hypot(x - point.x, ((y - point.y) * picture.height) / picture.width));
    const nearest = far.indexOf(Math.min(...far));
    onAnswer({ points: points.map((old, i) => (i === nearest ? point : old)) });
  };
  const click = (event: PointerEvent<HTMLDivElement>) => {
    const box = frame.current?.getBoundingClientRect();
    if (!box) return;
    setCross(null);
    place({ x: round((event.clientX - box.left) / box.width), y: round((event.clientY - box.top) / box.height) });
  };
  const press = (event: KeyboardEvent) => {
    const [dx, dy] = { ArrowLeft: [-1, 0], ArrowRight: [1, 0], ArrowUp: [0, -1], ArrowDown: [0, 1] }[event.key] ?? [];
    const at = cross ?? { x: 0.5, y: 0.5 };
    if (dx !== undefined && dy !== undefined) {
      event.preventDefault();
      const step = event.shiftKey ? FINE_STEP : STEP;
      setCross({ x: round(at.x + dx * step), y: round(at.y + dy * step) });
    } else if (event.key === 'Enter' || event.key === ' ') {
      event.preventDefault();
      place(at);
    }
  };
  return (
    // Whole on the screen: what one points at should not have to be scrolled to.
    <div
      className="grid gap-2"
      style={{ maxWidth: `max(20rem, ${Math.round((52 * picture.width) / picture.height)}dvh)` }}
    >
      <p id={`${labelledBy}-how`}>
        {most === 1 ? 'Point at one place.' : `Point at ${most} places; ${points.length} of ${most} set.`}
        <span className="text-base-content/75"> By keyboard: arrow keys move a cross, Enter sets the point.</span>
      </p>
      {/* An application of one thing: pointing. Its keys are told in the sentence above. */}
      {/* eslint-disable-next-line jsx-a11y/no-noninteractive-element-interactions */}
      <div
        ref={frame}
        role="application"
        // eslint-disable-next-line jsx-a11y/no-noninteractive-tabindex
        tabIndex={0}
        aria-labelledby={labelledBy}
        aria-describedby={`${labelledBy}-how`}
        onPointerUp={click}
        onKeyDown={press}
        onFocus={() => setCross((old) => old ?? (points.length ? null : { x: 0.5, y: 0.5 }))}
        onBlur={() => setCross(null)}
        className="relative cursor-crosshair touch-manipulation rounded-box border border-base-content/50"
      >
        <img src={picture.file} alt={picture.alt} className="block w-full rounded-box select-none" draggable={false} />
        <svg
          viewBox={`0 0 ${picture.width} ${picture.height}`}
          aria-hidden="true"
          className="absolute inset-0 size-full"
        >
          {points.map(({ x, y }, i) => (
            <PointMark key={`${x} ${y}`} x={x * picture.width} y={y * picture.height} name={most > 1 ? i + 1 : ''} />
          ))}
          {cross && (
            <g className="stroke-error" strokeWidth="2">
              <path d={`M${cross.x * picture.width - 14} ${cross.y * picture.height}h28`} />
              <path d={`M${cross.x * picture.width} ${cross.y * picture.height - 14}v28`} />
            </g>
          )}
        </svg>
      </div>
      <p role="status" className="sr-only">
        {cross
          ? `Cross at ${Math.round(cross.x * 100)} % from the left, ${Math.round(cross.y * 100)} % from the top.`
          : ''}
        {` ${points.length} of ${most} points set.`}
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

/** A ring with a dot in it, seen on light and dark ground alike. */
export function PointMark({ x, y, name }: { x: number; y: number; name: string | number }) {
  return (
    <g>
      <circle cx={x} cy={y} r="11" fill="none" stroke="#fff" strokeWidth="5" />
      <circle cx={x} cy={y} r="11" fill="none" stroke="#7a1020" strokeWidth="2.5" />
      <circle cx={x} cy={y} r="2.5" fill="#7a1020" stroke="#fff" strokeWidth="1" />
      {name !== '' && (
        <text
          x={x + 15}
          y={y + 5}
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
