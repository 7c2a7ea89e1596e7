import clsx from 'clsx';
import { useId, useRef, type KeyboardEvent, type ReactNode } from 'react';

interface Tab<Key extends string> {
  key: Key;
  label: ReactNode;
}

/** One of a few views of the same thing, and the panel it is shown in. Arrow keys move between them. */
export function Tabs<Key extends string>({
  label,
  tabs,
  open,
  onOpen,
  children,
}: {
  label: string;
  tabs: Tab<Key>[];
  open: Key;
  onOpen: (key: Key) => void;
  children: ReactNode;
}) {
  const id = useId();
  const list = useRef<HTMLDivElement>(null);
  function move(event: KeyboardEvent) {
    const step = event.key === 'ArrowRight' ? 1 : event.key === 'ArrowLeft' ? -1 : 0;
    const at = tabs.findIndex((tab) => tab.key === open);
    const next = tabs[(at + step + tabs.length) % tabs.length];
    if (step === 0 || !next) return;
    event.preventDefault();
    onOpen(next.key);
    list.current?.querySelector<HTMLElement>(`[data-key="${next.key}"]`)?.focus();
  }
  return (
    <div className="grid gap-3">
      <div
        ref={list}
        role="tablist"
        tabIndex={-1}
        aria-label={label}
        onKeyDown={move}
        className="flex flex-wrap gap-x-5 border-b border-base-300"
      >
        {tabs.map((tab) => (
          <button
            key={tab.key}
            type="button"
            role="tab"
            id={`${id}-${tab.key}`}
            aria-controls={`${id}-panel`}
            data-key={tab.key}
            aria-selected={tab.key === open}
            tabIndex={tab.key === open ? 0 : -1}
            onClick={() => onOpen(tab.key)}
            className={clsx(
              '-mb-px min-h-11 min-w-11 cursor-pointer border-b-4 px-0.5',
              tab.key === open ? 'border-primary font-bold' : 'border-transparent hover:border-base-300',
            )}
          >
            {tab.label}
          </button>
        ))}
      </div>
      <div role="tabpanel" id={`${id}-panel`} aria-labelledby={`${id}-${open}`}>
        {children}
      </div>
    </div>
  );
}
