import { useEffect, useRef, useState, type KeyboardEvent } from 'react';
import type { Closeness, zoomable, Zoomer } from './zoom';

/** With one press a picture is so many times as large. */
const CLOSER = 1.6;
/** Times as large, at most. */
const MOST = 6;

/** A picture that is looked at closely, and pushed about. */
export type Zoom = ReturnType<typeof useZoom>;

/** @param can what zooms; without it the picture is as large as it is */
export function useZoom(can: typeof zoomable | undefined) {
  const frame = useRef<HTMLDivElement>(null);
  const zoomer = useRef<Zoomer>(null);
  const [view, setView] = useState<Closeness>({ times: 1, x: 0, y: 0 });
  useEffect(() => {
    if (!can || !frame.current) return;
    const own = can(frame.current, MOST, setView);
    zoomer.current = own;
    return () => own.stop();
  }, [can]);
  const closer = () => zoomer.current?.by(CLOSER);
  const lessClose = () => zoomer.current?.by(1 / CLOSER);
  const whole = () => zoomer.current?.whole();
  const does: Partial<Record<string, () => void>> = { '+': closer, '-': lessClose, '0': whole };
  return {
    frame,
    view,
    canCloser: can !== undefined && view.times < MOST,
    closer,
    lessClose,
    whole,
    /** Brings a place, in shares of the picture, into the frame. */
    see: (x: number, y: number) => zoomer.current?.see(x, y),
    /** What a key does here; undefined: nothing. */
    keyed: (event: KeyboardEvent) => does[event.key],
    /** How the picture lies in its frame. */
    style: { transform: `translate(${view.x * 100}%, ${view.y * 100}%) scale(${view.times})` },
  };
}

/** Which way an arrow key leads. */
export function arrowOf({ key }: KeyboardEvent): readonly [number, number] | undefined {
  const ways: Partial<Record<string, readonly [number, number]>> = {
    ArrowLeft: [-1, 0],
    ArrowRight: [1, 0],
    ArrowUp: [0, -1],
    ArrowDown: [0, 1],
  };
  return ways[key];
}
