import { select } from 'd3-selection';
import { zoom, zoomIdentity } from 'd3-zoom';

/** How a picture lies in its frame: so many times as large, moved by shares of the frame. */
export interface Closeness {
  times: number;
  x: number;
  y: number;
}

export interface Zoomer {
  by: (factor: number) => void;
  whole: () => void;
  /** Brings a place, in shares of the picture, into the frame. */
  see: (x: number, y: number) => void;
  stop: () => void;
}

const within = (value: number, least: number, most: number) => Math.min(most, Math.max(least, value));

/**
 * Lets a picture be looked at closely: by two fingers, or with the wheel and Ctrl; then it can be pushed about. The
 * wheel alone, and one finger on the whole picture, go on scrolling the page.
 *
 * @param most times as large
 */
export function zoomable(frame: HTMLElement, most: number, onMove: (view: Closeness) => void): Zoomer {
  let times = 1;
  const behaviour = zoom<HTMLElement, unknown>()
    .scaleExtent([1, most])
    .extent(() => [
      [0, 0],
      [frame.clientWidth, frame.clientHeight],
    ])
    .constrain(({ k, x, y }, [, [width, height]]) =>
      zoomIdentity.translate(within(x, width * (1 - k), 0), within(y, height * (1 - k), 0)).scale(k),
    )
    .clickDistance(4)
    .filter((event: MouseEvent | TouchEvent) => {
      if (event.type === 'wheel') return event.ctrlKey;
      if ('touches' in event) return times > 1 || event.touches.length > 1;
      return times > 1 && event.button === 0 && !event.ctrlKey;
    })
    .on('zoom', ({ transform: { k, x, y } }) => {
      times = k;
      onMove({ times: k, x: x / frame.clientWidth, y: y / frame.clientHeight });
    });
  const picture = select(frame);
  // Two quick points are two points.
  picture.call(behaviour).on('dblclick.zoom', null);
  return {
    by: (factor) => picture.call(behaviour.scaleBy, factor),
    whole: () => picture.call(behaviour.transform, zoomIdentity),
    see: (x, y) => picture.call(behaviour.translateTo, x * frame.clientWidth, y * frame.clientHeight),
    stop: () => void picture.on('.zoom', null),
  };
}
