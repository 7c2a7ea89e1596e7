import { useCallback, useRef, useState, type CSSProperties, type HTMLAttributes } from 'react';

/** What dragging knows of a place. */
export interface Held {
  listeners?: HTMLAttributes<HTMLElement> | undefined;
  style?: CSSProperties;
  /** It is what is being dragged. */
  isDragging?: boolean;
  /** What is dragged is over it. */
  isOver?: boolean;
}

/** What dragging is given of the places that it works on. */
export interface Holds {
  /** The element of a place. */
  nodeOf: (id: string) => HTMLElement | null;
  /** Tells what has become of a place. */
  tell: (id: string, held: Held) => void;
}

/**
 * Places that lie still until dragging has come, and stay the same elements then: a press must not be lost, nor the focus,
 * because something was put in the place of what one holds.
 */
export function useHolds() {
  const [held, setHeld] = useState<Readonly<Record<string, Held>>>({});
  const nodes = useRef(new Map<string, HTMLElement>());
  const nodeOf = useCallback((id: string) => nodes.current.get(id) ?? null, []);
  const tell = useCallback((id: string, one: Held) => setHeld((all) => ({ ...all, [id]: one })), []);
  const put = (id: string) => (node: HTMLElement | null) => {
    if (node) nodes.current.set(id, node);
    else nodes.current.delete(id);
  };
  return { held, put, holds: { nodeOf, tell } };
}
