import clsx from 'clsx';
import { GripVertical } from 'lucide-react';
import type { ReactNode, Ref } from 'react';
import { Markdown } from '../../../../ui/Markdown';
import type { Held } from '../useHolds';

export interface Part {
  id: string;
  text: string;
}

/** The choices, above their rows. The keyboard and screen readers have the field in each row, which says the same. */
export function Choices({ groups, children }: { groups: boolean; children: ReactNode }) {
  return (
    <ul
      aria-hidden="true"
      className={
        groups
          ? // Within reach however long the list below is.
            'sticky top-(--head) z-5 grid grid-cols-[repeat(auto-fit,minmax(6.5rem,1fr))] gap-2 bg-base-100 py-1 sm:grid-cols-[repeat(auto-fit,minmax(9rem,1fr))]'
          : 'flex flex-wrap gap-2'
      }
    >
      {children}
    </ul>
  );
}

/** A group, and what is in it. */
export function Group(props: {
  ref: Ref<HTMLLIElement>;
  group: Part;
  items: readonly Part[];
  held: Held | undefined;
  /** Something is being dragged that could be put here. */
  waiting: boolean;
}) {
  const { ref, group, items, held, waiting } = props;
  return (
    <li
      ref={ref}
      className={clsx(
        'min-h-12 rounded-field border border-dashed px-3 py-2 max-sm:text-sm sm:min-h-16',
        held?.isOver
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

/** A choice that can be dragged onto rows. */
export function Chip(props: {
  ref: Ref<HTMLLIElement>;
  choice: Part;
  used: boolean;
  locked: boolean;
  held: Held | undefined;
}) {
  const { ref, choice, used, locked, held } = props;
  return (
    <li
      ref={ref}
      {...held?.listeners}
      style={held?.style}
      title={held?.listeners && 'Drag'}
      className={clsx(
        'flex min-h-11 items-center gap-1.5 rounded-field border border-base-content/50 bg-base-100 py-1 pr-3 pl-1.5 pointer-fine:min-h-9',
        !locked && 'cursor-grab touch-none active:cursor-grabbing',
        held?.isDragging && 'relative z-10 border-primary ring-1 ring-primary',
        used && !held?.isDragging && 'text-base-content/65',
      )}
    >
      <GripVertical className="size-4 shrink-0 text-base-content/65" />
      <Markdown inline>{choice.text}</Markdown>
    </li>
  );
}
