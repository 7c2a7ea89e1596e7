import { Pause, Play, Square } from 'lucide-react';
import { useEffect, useState, type RefObject } from 'react';

/** Reads a page aloud by the browser's own voice; nothing where it has none. */
export function ReadAloud({ what, title }: { what: RefObject<HTMLElement | null>; title: string }) {
  const [voices, setVoices] = useState(() => ('speechSynthesis' in window ? speechSynthesis.getVoices().length : 0));
  const [state, setState] = useState<'still' | 'speaking' | 'paused'>('still');
  useEffect(() => {
    if (!('speechSynthesis' in window)) return;
    // Some browsers look for their voices only after they have been asked once.
    const look = () => setVoices(speechSynthesis.getVoices().length);
    speechSynthesis.addEventListener('voiceschanged', look);
    return () => {
      speechSynthesis.removeEventListener('voiceschanged', look);
      speechSynthesis.cancel();
    };
  }, []);
  if (voices === 0) return null;
  const speak = () => {
    speechSynthesis.cancel();
    const parts = [title, ...paragraphs(what.current)];
    parts.forEach((text, i) => {
      // A paragraph each: long texts break off in some browsers.
      const words = new SpeechSynthesisUtterance(text);
      words.lang = 'en';
      if (i === parts.length - 1) words.onend = () => setState('still');
      speechSynthesis.speak(words);
    });
    setState('speaking');
  };
  const button =
    'inline-flex min-h-11 cursor-pointer items-center gap-1.5 underline-offset-4 hover:underline pointer-fine:min-h-8';
  return (
    <div className="flex gap-4 text-sm print:hidden">
      {state === 'still' ? (
        <button type="button" className={button} onClick={speak}>
          <Play aria-hidden="true" className="size-4" /> Read it to me
        </button>
      ) : (
        <>
          <button
            type="button"
            className={button}
            onClick={() => {
              if (state === 'speaking') speechSynthesis.pause();
              else speechSynthesis.resume();
              setState(state === 'speaking' ? 'paused' : 'speaking');
            }}
          >
            {state === 'speaking' ? (
              <Pause aria-hidden="true" className="size-4" />
            ) : (
              <Play aria-hidden="true" className="size-4" />
            )}
            {state === 'speaking' ? 'Pause' : 'Go on'}
          </button>
          <button
            type="button"
            className={button}
            onClick={() => {
              speechSynthesis.cancel();
              setState('still');
            }}
          >
            <Square aria-hidden="true" className="size-4" /> Stop
          </button>
        </>
      )}
    </div>
  );
}

function paragraphs(page: HTMLElement | null): string[] {
  return [...(page?.querySelectorAll('p, li, th, td, h3, h4, figcaption') ?? [])]
    .map((part) => part.textContent.trim())
    .filter((text) => text !== '');
}
