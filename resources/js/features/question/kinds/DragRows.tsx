import { DndContext, pointerWithin, useDraggable, useDroppable } from '@dnd-kit/core';
import clsx from 'clsx';
import { useState, type ComponentProps, type ReactNode } from 'react';
import { SILENT, useGrips } from './drag';
import { Grip } from './Grip';
import { Chip, Choices, Group, type Part } from './Places';

/**
 * Rows and choices that find each other by dragging: what belongs to a row is dragged onto it, and an item is dragged
 * into its group. The keyboard and screen readers have the field in each row, which says the same.
 */
export default function DragRows({
  into,
  rows,
  choices,
  chosen,
  locked,
  onChoose,
  children,
}: {
  /** What is dragged where: choices onto rows, or rows into groups. */
  into: 'rows' | 'groups';
  rows: readonly Part[];
  choices: readonly Part[];
  chosen: Readonly<Record<string, string>>;
  locked: boolean;
  onChoose: (row: string, choice: string) => void;
  children: (row: Part, grip: ReactNode) => ReactNode;
}) {
  const grips = useGrips(locked);
  const [held, setHeld] = useState<string | null>(null);
  const groups = into === 'groups';
  return (
    <DndContext
      sensors={grips}
      collisionDetection={pointerWithin}
      accessibility={SILENT}
      onDragStart={({ active }) => setHeld(String(active.id))}
      onDragCancel={() => setHeld(null)}
      onDragEnd={({ active, over }) => {
        setHeld(null);
        if (!over) return;
        const [row, choice] = groups ? [active.id, over.id] : [over.id, active.id];
        onChoose(bare(row), bare(choice));
      }}
    >
      <Choices groups={groups}>
        {choices.map((choice) => {
          const its = rows.filter(({ id }) => chosen[id] === choice.id);
          return groups ? (
            <TakingGroup key={choice.id} group={choice} items={its} waiting={held !== null} />
          ) : (
            <DraggedChip key={choice.id} choice={choice} used={its.length > 0} locked={locked} />
          );
        })}
      </Choices>
      {rows.map((row) =>
        groups ? (
          <DraggedRow key={row.id} id={row.id} locked={locked}>
            {(grip) => children(row, grip)}
          </DraggedRow>
        ) : (
          <TakingRow key={row.id} id={row.id} waiting={held !== null}>
            {children(row, null)}
          </TakingRow>
        ),
      )}
    </DndContext>
  );
}

const bare = (id: string | number) => String(id).slice(2);

function TakingGroup(props: { group: Part; items: readonly Part[]; waiting: boolean }) {
  const { setNodeRef, isOver } = useDroppable({ id: `c-${props.group.id}` });
  return <Group {...props} held={{ ref: setNodeRef, isOver, waiting: props.waiting }} />;
}

function DraggedChip(props: ComponentProps<typeof Chip>) {
  const { setNodeRef, listeners, transform, isDragging } = useDraggable({
    id: `c-${props.choice.id}`,
    disabled: props.locked,
  });
  return <Chip {...props} held={{ ref: setNodeRef, listeners, style: { transform: moved(transform) }, isDragging }} />;
}

function TakingRow({ id, waiting, children }: { id: string; waiting: boolean; children: ReactNode }) {
  const { setNodeRef, isOver } = useDroppable({ id: `r-${id}` });
  return (
    <div
      ref={setNodeRef}
      className={clsx('rounded-field', isOver ? 'ring-2 ring-primary' : waiting && 'ring-1 ring-primary/50')}
    >
      {children}
    </div>
  );
}

function DraggedRow(props: { id: string; locked: boolean; children: (grip: ReactNode) => ReactNode }) {
  const { id, locked } = props;
  const { setNodeRef, listeners, transform, isDragging } = useDraggable({ id: `r-${id}`, disabled: locked });
  return (
    <div
      ref={setNodeRef}
      style={{ transform: moved(transform) }}
      className={clsx('rounded-field bg-base-100', isDragging && 'relative z-10 ring-1 ring-primary')}
    >
      {props.children(!locked && <Grip listeners={listeners} />)}
    </div>
  );
}

function moved(by: { x: number; y: number } | null): string | undefined {
  return by ? `translate(${Math.round(by.x)}px, ${Math.round(by.y)}px)` : undefined;
}
