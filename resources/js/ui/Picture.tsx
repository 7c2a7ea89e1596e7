import type { ReactNode } from 'react';
import { useWidth } from './useWidth';

/** A picture that is drawn to the room there is, and told in a sentence to whoever cannot see it. */
export function Picture({
  height,
  told,
  children,
}: {
  height: number;
  told: string;
  /** Draws it, so many pixels wide. */
  children: (width: number) => ReactNode;
}) {
  const [box, width] = useWidth<HTMLDivElement>();
  return (
    <div ref={box} role="img" aria-label={told} className="text-[13px] [print-color-adjust:exact]">
      {width > 0 && (
        <svg
          width={width}
          height={height}
          viewBox={`0 0 ${width} ${height}`}
          aria-hidden="true"
          fill="currentColor"
          className="h-auto max-w-full"
        >
          {children(width)}
        </svg>
      )}
    </div>
  );
}
