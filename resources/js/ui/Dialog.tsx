import clsx from 'clsx';
import { useEffect, useRef, type ReactNode } from 'react';
import { createPortal } from 'react-dom';
import { Button } from './Button';

/** What must be dealt with before going on. The browser keeps the focus inside; Escape closes it. */
export function Dialog({
  title,
  onClose,
  children,
  actions,
  wide,
}: {
  title: string;
  onClose: () => void;
  children: ReactNode;
  /** Without any, one button closes it. */
  actions?: ReactNode;
  wide?: boolean;
}) {
  const dialog = useRef<HTMLDialogElement>(null);
  useEffect(() => {
    const shown = dialog.current;
    shown?.showModal();
    return () => shown?.close();
  }, []);
  return createPortal(
    <dialog
      ref={dialog}
      className={clsx(
        'm-auto max-h-[calc(100dvh-2rem)] w-11/12 overflow-y-auto overscroll-contain rounded-box border border-base-300',
        'bg-base-100 p-6 text-base-content backdrop:bg-black/40',
        wide ? 'max-w-4xl' : 'max-w-lg',
      )}
      aria-label={title}
      onCancel={(event) => (event.preventDefault(), onClose())}
    >
      <h2 className="mb-2 text-xl font-bold">{title}</h2>
      {children}
      <div className="mt-6 flex flex-wrap gap-3">{actions ?? <Button onClick={onClose}>Close</Button>}</div>
    </dialog>,
    document.body,
  );
}
