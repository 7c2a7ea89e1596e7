import { ZoomIn } from 'lucide-react';
import { useState } from 'react';
import { Dialog } from './Dialog';

/** A picture that opens large on a click; in a narrow column the small print of a map would be lost. */
export function Picture({ src, alt }: { src: string; alt: string }) {
  const [large, setLarge] = useState(false);
  return (
    <span className="block max-w-xl">
      <button
        type="button"
        onClick={() => setLarge(true)}
        aria-label={`Enlarge: ${alt}`}
        className="group relative block w-full cursor-zoom-in rounded-box border border-base-300"
      >
        <img src={src} alt={alt} className="block w-full rounded-box" />
        <span className="absolute right-2 top-2 grid size-8 place-items-center rounded-field border border-base-300 bg-base-100">
          <ZoomIn aria-hidden="true" className="size-4" />
        </span>
      </button>
      {large && (
        <Dialog title="Picture" wide onClose={() => setLarge(false)}>
          <img src={src} alt={alt} className="mx-auto max-h-[70dvh] w-full object-contain" />
          <p className="mt-3">{alt}</p>
        </Dialog>
      )}
    </span>
  );
}

/** A sound, with what is said in it for those who cannot hear it. */
export function Sound({ src, label, written }: { src: string; label: string; written: string }) {
  return (
    <span className="block max-w-xl rounded-box border border-base-300 bg-base-200 p-3">
      <span className="mb-2 block font-bold">{label}</span>
      {/* The written version below stands for captions. */}
      {/* eslint-disable-next-line jsx-a11y/media-has-caption */}
      <audio controls preload="none" src={src} className="block w-full" aria-label={label} />
      <Written words={written} />
    </span>
  );
}

/** A short film without sound. */
export function Film({ src, label, written }: { src: string; label: string; written: string }) {
  return (
    <span className="block max-w-xl rounded-box border border-base-300 bg-base-200 p-3">
      <video
        controls
        muted
        playsInline
        preload="metadata"
        src={src}
        className="block w-full rounded-field"
        aria-label={label}
      />
      <Written words={written} />
    </span>
  );
}

function Written({ words }: { words: string }) {
  const [open, setOpen] = useState(false);
  const said = words.replace(/^Written version:\s*/, '');
  if (!said) return null;
  return (
    <span className="mt-2 block">
      <button
        type="button"
        aria-expanded={open}
        onClick={() => setOpen(!open)}
        className="min-h-11 cursor-pointer text-primary underline underline-offset-4"
      >
        {open ? 'Hide the written version' : 'Read it instead'}
      </button>
      {open && <span className="mt-1 block">{said}</span>}
    </span>
  );
}
