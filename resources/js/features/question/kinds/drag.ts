import { MouseSensor, TouchSensor, useSensor, useSensors } from '@dnd-kit/core';

/** How a mouse and a finger take hold of something. */
export function useGrips(locked: boolean) {
  const sensors = useSensors(
    useSensor(MouseSensor, { activationConstraint: { distance: 4 } }),
    // A finger that only passes by scrolls the page.
    useSensor(TouchSensor, { activationConstraint: { delay: 150, tolerance: 6 } }),
  );
  return locked ? [] : sensors;
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
