import clsx from 'clsx';
import { ArrowDown, ArrowUp } from 'lucide-react';
import { useState, type ReactNode } from 'react';
import { Markdown } from '../../../../ui/Markdown';
import { plain } from '../../../../ui/plain';
import { Grip } from '../Grip';
import type { KindProps } from '../kind';
import { dragList } from '../parts';
import { useHolds } from '../useHolds';
import { useNear } from '../useNear';

/** Items to be put in order: dragged, or moved with buttons or with the arrow keys on them. */
export function Ordering({ body, response, locked, labelledBy, onAnswer }: KindProps<'ordering'>) {
  const [told, setTold] = useState('');
  // Without it there are the buttons.
  const [drag, around] = useNear(dragList, !locked);
  const DragList = drag?.default;
  const { held, put, holds } = useHolds();
  const ids = response?.order ?? body.items.map(({ id }) => id);
  const byId = new Map(body.items.map((item) => [item.id, item.text]));
  const move = (from: number, to: number) => {
    const id = ids[from];
    if (locked || id === undefined || to < 0 || to >= ids.length) return;
    const order = ids.filter((other) => other !== id);
    order.splice(to, 0, id);
    onAnswer({ order });
    setTold(`Now in place ${to + 1} of ${order.length}.`);
  };
  const item = (id: string, place: number) => (
    <>
      <span className="grid w-10 shrink-0 place-items-center font-mono font-bold">{place + 1}</span>
      <span className="min-w-0 flex-1 self-center py-2" data-part={`item:${id}`}>
        <Markdown inline>{byId.get(id) ?? ''}</Markdown>
      </span>
      <Mover
        label={`Move up: ${plain(byId.get(id) ?? '')}`}
        off={locked || place === 0}
        onMove={(step) => move(place, place + step)}
        step={-1}
      >
        <ArrowUp aria-hidden="true" className="size-5" />
      </Mover>
      <Mover
        label={`Move down: ${plain(byId.get(id) ?? '')}`}
        off={locked || place === ids.length - 1}
        onMove={(step) => move(place, place + step)}
        step={1}
      >
        <ArrowDown aria-hidden="true" className="size-5" />
      </Mover>
    </>
  );
  return (
    <div {...around} className="grid max-w-[75ch] gap-3">
      <ol aria-labelledby={labelledBy} className="grid gap-2">
        {ids.map((id, place) => (
          <li
            key={id}
            ref={put(id)}
            style={held[id]?.style}
            className={clsx(
              'flex items-stretch rounded-field border border-base-content/50 bg-base-100',
              held[id]?.isDragging && 'relative z-10 border-primary ring-1 ring-primary',
            )}
          >
            {!locked && <Grip listeners={held[id]?.listeners} />}
            {item(id, place)}
          </li>
        ))}
      </ol>
      {DragList && <DragList ids={ids} locked={locked} holds={holds} onMove={move} />}
      <p role="status" className="sr-only">
        {told}
      </p>
      {!response?.order && !locked && (
        <p className="flex flex-wrap items-center gap-x-4">
          The order above is a shuffled one.
          <button
            type="button"
            className="min-h-11 cursor-pointer text-primary underline underline-offset-4"
            onClick={() => onAnswer({ order: ids })}
          >
            It is right as it stands
          </button>
        </p>
      )}
    </div>
  );
}

function Mover({
  label,
  off,
  step,
  onMove,
  children,
}: {
  label: string;
  off: boolean;
  step: number;
  onMove: (step: number) => void;
  children: ReactNode;
}) {
  return (
    <button
      type="button"
      aria-label={label}
      // Not `disabled`: the focus stays where it is when an item reaches the end.
      aria-disabled={off}
      onClick={() => !off && onMove(step)}
      onKeyDown={(event) => {
        if (event.key !== 'ArrowUp' && event.key !== 'ArrowDown') return;
        event.preventDefault();
        onMove(event.key === 'ArrowUp' ? -1 : 1);
      }}
      className="grid w-12 shrink-0 cursor-pointer place-items-center rounded-field hover:bg-base-content/10 aria-disabled:cursor-default aria-disabled:opacity-30"
    >
      {children}
    </button>
  );
}
