import { useEffect, useRef, type ReactNode } from 'react';

/** A question that must be answered before going on. The browser keeps the focus inside; Escape closes it. */
export function Dialog({
  title,
  onClose,
  children,
  actions,
}: {
  title: string;
  onClose: () => void;
  children: ReactNode;
  actions: ReactNode;
}) {
  const dialog = useRef<HTMLDialogElement>(null);
  useEffect(() => {
    const shown = dialog.current;
    shown?.showModal();
    return () => shown?.close();
  }, []);
  return (
    <dialog ref={dialog} className="modal" aria-label={title} onCancel={(event) => (event.preventDefault(), onClose())}>
      <div className="modal-box border border-base-300">
        <h2 className="mb-2 text-xl font-bold">{title}</h2>
        {children}
        <div className="mt-6 flex flex-wrap gap-3">{actions}</div>
      </div>
    </dialog>
  );
}
