import { GripVertical } from 'lucide-react';
import type { HTMLAttributes } from 'react';

/** Where a mouse or a finger takes hold of a row. */
export function Grip({ listeners }: { listeners?: HTMLAttributes<HTMLElement> | undefined }) {
  return (
    <span
      {...listeners}
      aria-hidden="true"
      title={listeners && 'Drag'}
      className="grid w-9 shrink-0 cursor-grab touch-none place-items-center self-stretch text-base-content/65 active:cursor-grabbing"
    >
      <GripVertical className="size-5" />
    </span>
  );
}
