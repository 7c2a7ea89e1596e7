import { SunMoon } from 'lucide-react';
import { useId, useState } from 'react';
import { applyLook, readLook, type Look } from './look';
import { LookFields } from './LookFields';

/** How pages look on this device. */
export function LookMenu() {
  const [look, setLook] = useState(readLook);
  const [open, setOpen] = useState(false);
  const id = useId();
  const change = (next: Look) => (applyLook(next), setLook(next));
  return (
    <div className="relative" onKeyDown={(event) => event.key === 'Escape' && setOpen(false)} role="presentation">
      <button
        type="button"
        aria-expanded={open}
        aria-controls={id}
        onClick={() => setOpen(!open)}
        className="flex min-h-11 cursor-pointer items-center gap-1.5 px-1 max-sm:min-w-9"
      >
        <SunMoon aria-hidden="true" className="size-4.5" /> <span className="max-sm:sr-only">Look</span>
      </button>
      {open && (
        <div
          id={id}
          className="absolute right-0 z-10 w-80 rounded-box border border-base-content/40 bg-base-100 p-4 max-sm:fixed max-sm:right-4"
        >
          <LookFields look={look} onChange={change} />
        </div>
      )}
    </div>
  );
}
