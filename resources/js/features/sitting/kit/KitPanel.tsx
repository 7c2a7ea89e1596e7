import clsx from 'clsx';
import { Backpack, Calculator, Keyboard, NotebookPen, PencilRuler, SunMoon, Table2, Timer, X } from 'lucide-react';
import { memo, useCallback, useEffect, useRef, useState, type ReactNode } from 'react';
import type { Kit, Tool } from './kit';

// The marks are made once: the rail is drawn again when something is taken.
const RAIL: readonly [Tool, string, ReactNode][] = (
  [
    ['notes', 'Notes', NotebookPen],
    ['calculator', 'Calculator', Calculator],
    ['tables', 'Tables', Table2],
    ['scratch', 'Scratch', PencilRuler],
    ['look', 'Look', SunMoon],
    ['along', 'Offline', Backpack],
    ['clock', 'Clock', Timer],
    ['keys', 'Keys', Keyboard],
  ] as const
).map(([tool, name, Icon]) => [tool, name, <Icon key={tool} aria-hidden="true" className="size-5" />]);
/** Where a clock runs, there is no other. */
export const TIMED = RAIL.map(([tool]) => tool).filter((tool) => tool !== 'clock');
const ALL = RAIL.map(([tool]) => tool);
const TITLES: Record<Tool, string> = {
  notes: 'This question',
  calculator: 'Calculator',
  tables: 'Tables and formulas',
  scratch: 'Scratch pad',
  look: 'Look',
  keys: 'Keys',
  along: 'Without a connection',
  clock: 'My clock',
  handbook: 'Handbook',
};

const AWAY = <X aria-hidden="true" className="size-4.5" />;

/**
 * The kit: on a wide screen a rail at the edge, and what is open beside the question; on a narrow one from below. The
 * question is never covered.
 */
export function KitPanel({
  kit,
  open,
  tools = ALL,
  children,
}: {
  kit: Kit;
  /** Those that can be taken here. */
  tools?: readonly Tool[];
  /** What is open now, where nothing was chosen too. */
  open: Tool | null;
  children: (tool: Tool) => ReactNode;
}) {
  const panel = useRef<HTMLElement>(null);
  const asked = useRef(false);
  useEffect(() => {
    if (asked.current && open) panel.current?.focus({ preventScroll: true });
    asked.current = false;
  }, [open]);
  // What lay open once stays as it is, though nobody took it: beside a case it is put away, and comes back after it.
  const [laid, setLaid] = useState<readonly Tool[]>([]);
  if (open && !laid.includes(open)) setLaid([...laid, open]);
  const now = useRef({ kit, open });
  useEffect(() => {
    now.current = { kit, open };
  });
  const use = useCallback((tool: Tool) => {
    asked.current = true;
    const { kit, open } = now.current;
    if (open === tool) kit.close();
    else kit.take(tool);
  }, []);
  return (
    <div className="contents lg:sticky lg:top-(--head) lg:flex lg:h-[calc(100dvh-var(--head)-var(--foot))] lg:self-start">
      {/* Escape puts away what holds the focus. */}
      {/* eslint-disable-next-line jsx-a11y/no-noninteractive-element-interactions */}
      <aside
        ref={panel}
        tabIndex={-1}
        aria-label={open ? TITLES[open] : 'Kit'}
        hidden={!open}
        onKeyDown={(event) => {
          if (event.key !== 'Escape' || event.defaultPrevented) return;
          kit.close();
        }}
        className="order-last z-10 overflow-y-auto overscroll-contain border-base-300 bg-base-100 outline-none max-lg:sticky max-lg:bottom-(--foot) max-lg:max-h-[55dvh] max-lg:border-t-2 max-lg:px-4 max-lg:pb-3 lg:order-none lg:w-88 lg:border-l lg:px-5 lg:py-4"
      >
        <div className="sticky top-0 z-10 flex items-center justify-between bg-base-100 lg:hidden">
          <Rail tools={tools} open={open} onUse={use} low />
        </div>
        <div className="mb-2 flex items-center justify-between gap-2">
          <h2 className="font-bold">{open && TITLES[open]}</h2>
          <button
            type="button"
            aria-label="Close"
            className="grid size-11 cursor-pointer place-items-center rounded-field hover:bg-base-content/10 pointer-fine:size-8"
            onClick={() => kit.close()}
          >
            {AWAY}
          </button>
        </div>
        {laid.map((tool) => (
          <div key={tool} hidden={tool !== open}>
            {children(tool)}
          </div>
        ))}
      </aside>
      <div className="hidden w-17 shrink-0 border-l border-base-300 py-3 lg:block">
        <Rail tools={tools} open={open} onUse={use} />
      </div>
    </div>
  );
}

const Rail = memo(function Rail({
  tools,
  open,
  onUse,
  low,
}: {
  tools: readonly Tool[];
  open: Tool | null;
  onUse: (tool: Tool) => void;
  low?: boolean;
}) {
  return (
    <ul aria-label="Kit" className={clsx('flex', low ? 'w-full overflow-x-auto' : 'flex-col gap-1')}>
      {RAIL.filter(([tool]) => tools.includes(tool)).map(([tool, name, icon]) => (
        <li key={tool} className={clsx(tool === 'keys' && 'max-sm:hidden', low && 'flex-1')}>
          <button
            type="button"
            aria-expanded={open === tool}
            onClick={() => onUse(tool)}
            className={clsx(
              'grid min-h-12 w-full cursor-pointer justify-items-center gap-0.5 px-1 py-1.5 text-xs',
              low ? 'border-b-4' : 'border-r-4',
              open === tool ? 'border-primary font-bold' : 'border-transparent hover:bg-base-content/10',
            )}
          >
            {icon}
            {name}
          </button>
        </li>
      ))}
    </ul>
  );
});
