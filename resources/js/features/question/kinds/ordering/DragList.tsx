import { closestCenter, DndContext } from '@dnd-kit/core';
import { SortableContext, useSortable, verticalListSortingStrategy } from '@dnd-kit/sortable';
import { useLayoutEffect } from 'react';
import { SILENT, useGrips, useNode } from '../drag';
import type { Holds } from '../useHolds';

/** Lets a pointer or a finger drag items to another place. The keyboard has buttons of its own in each. */
export default function DragList({
  ids,
  locked,
  holds,
  onMove,
}: {
  ids: readonly string[];
  locked: boolean;
  holds: Holds;
  onMove: (from: number, to: number) => void;
}) {
  const grips = useGrips(locked);
  return (
    <DndContext
      sensors={grips}
      collisionDetection={closestCenter}
      accessibility={SILENT}
      onDragEnd={({ active, over }) => {
        const [from, to] = [ids.indexOf(String(active.id)), ids.indexOf(String(over?.id))];
        if (from >= 0 && to >= 0 && from !== to) onMove(from, to);
      }}
    >
      <SortableContext items={[...ids]} strategy={verticalListSortingStrategy}>
        {ids.map((id) => (
          <Item key={id} id={id} locked={locked} holds={holds} />
        ))}
      </SortableContext>
    </DndContext>
  );
}

/** Draws nothing: it takes hold of an item that is there. */
function Item({ id, locked, holds }: { id: string; locked: boolean; holds: Holds }) {
  const { setNodeRef, listeners, transform, transition, isDragging } = useSortable({ id, disabled: locked });
  const { tell } = holds;
  const y = transform ? Math.round(transform.y) : null;
  useNode(holds, id, setNodeRef);
  useLayoutEffect(() => {
    const style = { transform: y === null ? undefined : `translateY(${y}px)`, transition: transition ?? undefined };
    tell(id, { listeners, isDragging, style });
  }, [tell, id, listeners, isDragging, y, transition]);
  return null;
}
