import { MouseSensor, TouchSensor, useSensor, useSensors } from '@dnd-kit/core';
import { useLayoutEffect } from 'react';
import type { Holds } from './useHolds';

// The same each time, or what goes by them would never come to rest.
const MOUSE = { activationConstraint: { distance: 4 } };
// A finger that only passes by scrolls the page.
const TOUCH = { activationConstraint: { delay: 150, tolerance: 6 } };
const NONE: never[] = [];

/** How a mouse and a finger take hold of something. */
export function useGrips(locked: boolean) {
  const sensors = useSensors(useSensor(MouseSensor, MOUSE), useSensor(TouchSensor, TOUCH));
  return locked ? NONE : sensors;
}

/** Takes hold of a place that is there. */
export function useNode({ nodeOf }: Holds, id: string, setNodeRef: (node: HTMLElement | null) => void): void {
  useLayoutEffect(() => setNodeRef(nodeOf(id)), [setNodeRef, nodeOf, id]);
}

/** What was moved is told by the question itself, in our words. */
export const SILENT = {
  screenReaderInstructions: { draggable: '' },
  announcements: {
    onDragStart: () => undefined,
    onDragOver: () => undefined,
    onDragEnd: () => undefined,
    onDragCancel: () => undefined,
  },
};
