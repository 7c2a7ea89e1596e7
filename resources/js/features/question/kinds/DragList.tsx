import { closestCenter, DndContext } from '@dnd-kit/core';
import { SortableContext, useSortable, verticalListSortingStrategy } from '@dnd-kit/sortable';
import type { ReactNode } from 'react';
import { SILENT, useGrips } from './drag';
import { Grip } from './Grip';

/** Items that a pointer or a finger can drag to another place. The keyboard has buttons of its own in each. */
export default function DragList({
  ids,
  locked,
  labelledBy,
  onMove,
  children,
}: {
  ids: readonly string[];
  locked: boolean;
  labelledBy: string;
  onMove: (from: number, to: number) => void;
  children: (id: string, place: number) => ReactNode;
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
        <ol aria-labelledby={labelledBy} className="grid gap-2">
          {ids.map((id, place) => (
            <Item key={id} id={id} locked={locked}>
              {children(id, place)}
            </Item>
          ))}
        </ol>
      </SortableContext>
    </DndContext>
  );
}

function Item({ id, locked, children }: { id: string; locked: boolean; children: ReactNode }) {
  const { setNodeRef, listeners, transform, transition, isDragging } = useSortable({ id, disabled: locked });
  return (
    <li
      ref={setNodeRef}
      style={{
        transform: transform ? `translateY(${Math.round(transform.y)}px)` : undefined,
        transition: transition ?? undefined,
      }}
      className={`flex items-stretch rounded-field border border-base-content/50 bg-base-100 ${isDragging ? 'relative z-10 border-primary ring-1 ring-primary' : ''}`}
    >
      {!locked && <Grip listeners={listeners} />}
      {children}
    </li>
  );
}
