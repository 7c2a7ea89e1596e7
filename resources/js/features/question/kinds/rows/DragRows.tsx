import { DndContext, pointerWithin, useDraggable, useDroppable } from '@dnd-kit/core';
import { useLayoutEffect } from 'react';
import { SILENT, useGrips, useNode } from '../drag';
import type { Holds } from '../useHolds';

/**
 * Lets rows and choices find each other by dragging: what belongs to a row is dragged onto it, and an item is dragged into
 * its group. The keyboard and screen readers have the field in each row, which says the same.
 */
export default function DragRows({
  dragged,
  taking,
  locked,
  holds,
  onHold,
  onDrop,
}: {
  /** Places that are dragged, and those that take them. */
  dragged: readonly string[];
  taking: readonly string[];
  locked: boolean;
  holds: Holds;
  onHold: (holding: boolean) => void;
  onDrop: (what: string, where: string) => void;
}) {
  const grips = useGrips(locked);
  return (
    <DndContext
      sensors={grips}
      collisionDetection={pointerWithin}
      accessibility={SILENT}
      onDragStart={() => onHold(true)}
      onDragCancel={() => onHold(false)}
      onDragEnd={({ active, over }) => {
        onHold(false);
        if (over) onDrop(String(active.id), String(over.id));
      }}
    >
      {dragged.map((id) => (
        <Dragged key={id} id={id} locked={locked} holds={holds} />
      ))}
      {taking.map((id) => (
        <Taking key={id} id={id} holds={holds} />
      ))}
    </DndContext>
  );
}

/** Draws nothing: it takes hold of what is there. */
function Dragged({ id, locked, holds }: { id: string; locked: boolean; holds: Holds }) {
  const { setNodeRef, listeners, transform, isDragging } = useDraggable({ id, disabled: locked });
  const { tell } = holds;
  const moved = transform ? `translate(${Math.round(transform.x)}px, ${Math.round(transform.y)}px)` : undefined;
  useNode(holds, id, setNodeRef);
  useLayoutEffect(
    () => tell(id, { listeners, isDragging, style: { transform: moved } }),
    [tell, id, listeners, isDragging, moved],
  );
  return null;
}

function Taking({ id, holds }: { id: string; holds: Holds }) {
  const { setNodeRef, isOver } = useDroppable({ id });
  const { tell } = holds;
  useNode(holds, id, setNodeRef);
  useLayoutEffect(() => tell(id, { isOver }), [tell, id, isOver]);
  return null;
}
