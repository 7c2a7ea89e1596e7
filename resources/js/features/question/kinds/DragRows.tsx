import { DndContext, pointerWithin, useDraggable, useDroppable } from '@dnd-kit/core';
import clsx from 'clsx';
import { GripVertical } from 'lucide-react';
import { useState, type ReactNode } from 'react';
import { Markdown } from '../../../ui/Markdown';
import { SILENT, useGrips } from './drag';
import { Grip } from './DragGrip';

interface Part {
  id: string;
  text: string;
}

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
      <ul
        aria-hidden="true"
        className={
          groups
            ? // Within reach however long the list below is.
              'sticky top-(--head) z-5 grid grid-cols-[repeat(auto-fit,minmax(6.5rem,1fr))] gap-2 bg-base-100 py-1 sm:grid-cols-[repeat(auto-fit,minmax(9rem,1fr))]'
            : 'flex flex-wrap gap-2'
        }
      >
        {choices.map((choice) => {
          const its = rows.filter(({ id }) => chosen[id] === choice.id);
          return groups ? (
            <Group key={choice.id} group={choice} items={its} waiting={held !== null} />
          ) : (
            <Chip key={choice.id} choice={choice} used={its.length > 0} locked={locked} />
          );
        })}
      </ul>
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

function Group({ group, items, waiting }: { group: Part; items: readonly Part[]; waiting: boolean }) {
  const { setNodeRef, isOver } = useDroppable({ id: `c-${group.id}` });
  return (
    <li
      ref={setNodeRef}
      className={clsx(
        'min-h-12 rounded-field border border-dashed px-3 py-2 max-sm:text-sm sm:min-h-16',
        isOver
          ? 'border-primary bg-base-200 ring-1 ring-primary'
          : waiting
            ? 'border-primary'
            : 'border-base-content/50',
      )}
    >
      <span className="font-bold">
        <Markdown inline>{group.text}</Markdown>
      </span>
      {items.length > 0 && <span className="sm:hidden"> ({items.length})</span>}
      {items.map(({ id, text }) => (
        <span key={id} className="block truncate text-sm max-sm:hidden">
          <Markdown inline>{text}</Markdown>
        </span>
      ))}
    </li>
  );
}

function Chip({ choice, used, locked }: { choice: Part; used: boolean; locked: boolean }) {
  const { setNodeRef, listeners, transform, isDragging } = useDraggable({ id: `c-${choice.id}`, disabled: locked });
  return (
    <li
      ref={setNodeRef}
      {...listeners}
      style={{ transform: moved(transform) }}
      className={clsx(
        'flex min-h-11 items-center gap-1.5 rounded-field border border-base-content/50 bg-base-100 py-1 pr-3 pl-1.5 pointer-fine:min-h-9',
        !locked && 'cursor-grab touch-none active:cursor-grabbing',
        isDragging && 'relative z-10 border-primary ring-1 ring-primary',
        used && !isDragging && 'text-base-content/65',
      )}
    >
      <GripVertical className="size-4 shrink-0 text-base-content/65" />
      <Markdown inline>{choice.text}</Markdown>
    </li>
  );
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
