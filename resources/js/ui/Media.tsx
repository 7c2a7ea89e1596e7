import { useQuery } from '@tanstack/react-query';
import { ZoomIn } from 'lucide-react';
import { createContext, lazy, Suspense, useContext, useState, type ReactNode, type RefObject } from 'react';
import { Dialog } from './Dialog';
import { part } from './part';
import type { Tells } from './Player';

/** Few questions can be heard: it is fetched for those. */
export const player = part('player', async () => (await import('./Player')).Player);

const Closely = lazy(async () => ({ default: (await import('./Closely')).Closely }));

/** Whether it is for paper: then nothing can be clicked or played, and words stand for sounds. */
export const OnPaper = createContext(false);

/** A picture that opens large on a click; in a narrow column the small print of a map would be lost. */
export function Picture({ src, alt }: { src: string; alt: string }) {
  const [large, setLarge] = useState(false);
  if (useContext(OnPaper)) return <img src={src} alt={alt} className="block max-h-[16cm] max-w-[15cm]" />;
  return (
    <span className="block max-w-xl">
      <button
        type="button"
        onClick={() => setLarge(true)}
        aria-label={`Enlarge: ${alt}`}
        className="group relative block min-h-11 w-full cursor-zoom-in rounded-box border border-base-300"
      >
        <img src={src} alt={alt} className="block w-full rounded-box" />
        <span className="absolute right-2 top-2 grid size-8 place-items-center rounded-field border border-base-300 bg-base-100">
          <ZoomIn aria-hidden="true" className="size-4" />
        </span>
      </button>
      {large && (
        <Dialog title="Picture" wide onClose={() => setLarge(false)}>
          <Suspense fallback={<img src={src} alt={alt} className="mx-auto max-h-[65dvh] object-contain" />}>
            <Closely src={src} alt={alt} />
          </Suspense>
          <p className="mt-3">{alt}</p>
        </Dialog>
      )}
    </span>
  );
}

/** A sound, with what is said in it for those who cannot hear it. */
export function Sound({ src, label, written }: { src: string; label: string; written: string }) {
  if (useContext(OnPaper)) return <Printed label={label} written={written} />;
  return (
    <span className="block max-w-xl rounded-box border border-base-300 bg-base-200 p-3">
      <span className="mb-2 block font-bold">{label}</span>
      <Played label={label}>
        {({ ref, ...tells }) => (
          // The written version below stands for captions.
          // eslint-disable-next-line jsx-a11y/media-has-caption
          <audio
            ref={ref as RefObject<HTMLAudioElement> | undefined}
            {...tells}
            preload="metadata"
            src={src}
            aria-label={label}
          />
        )}
      </Played>
      <Written words={written} />
    </span>
  );
}

/** A short film without sound. */
export function Film({ src, label, written }: { src: string; label: string; written: string }) {
  if (useContext(OnPaper)) return <Printed label={label} written={written} />;
  return (
    <span className="block max-w-xl rounded-box border border-base-300 bg-base-200 p-3">
      <Played label={label}>
        {({ ref, ...tells }) => (
          <video
            ref={ref as RefObject<HTMLVideoElement> | undefined}
            {...tells}
            muted
            playsInline
            preload="metadata"
            src={src}
            className="block w-full rounded-field"
            aria-label={label}
          />
        )}
      </Played>
      <Written words={written} />
    </span>
  );
}

/** With our own controls, or with the browser's where ours cannot be fetched. */
function Played({ label, children }: { label: string; children: (media: Tells) => ReactNode }) {
  const { data: Own, isError } = useQuery(player);
  if (Own) return <Own label={label}>{children}</Own>;
  return <span className="block min-h-11">{children({ controls: isError })}</span>;
}

function Printed({ label, written }: { label: string; written: string }) {
  return (
    <span className="block border border-base-content/50 p-2">
      <span className="font-bold">{label}: </span>
      {said(written)}
    </span>
  );
}

const said = (words: string) => words.replace(/^Written version:\s*/, '');

function Written({ words }: { words: string }) {
  const [open, setOpen] = useState(false);
  if (!said(words)) return null;
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
      {open && <span className="mt-1 block">{said(words)}</span>}
    </span>
  );
}
