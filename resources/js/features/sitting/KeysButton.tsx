import { Keyboard } from 'lucide-react';
import { useState } from 'react';
import { Dialog } from '../../ui/Dialog';
import type { Shortcuts } from './shortcuts';
import { ShortcutSettings } from './ShortcutSettings';

/** Tells which keys do what, and lets them be changed. There is none on a phone. */
export function KeysButton({ onChange }: { onChange: (shortcuts: Shortcuts) => void }) {
  const [open, setOpen] = useState(false);
  return (
    <>
      <button
        type="button"
        className="flex min-h-11 min-w-9 cursor-pointer items-center justify-center gap-1.5 max-sm:hidden"
        onClick={() => setOpen(true)}
      >
        <Keyboard aria-hidden="true" className="size-4.5" /> Keys
      </button>
      {open && (
        <Dialog title="Keys while sitting" onClose={() => setOpen(false)}>
          <ShortcutSettings onChange={onChange} />
        </Dialog>
      )}
    </>
  );
}
