import { lazy, Suspense, useEffect, useRef, useState, type ReactNode } from 'react';
import type { Chosen } from './HighlightBar';
import { placed, tight, type Highlight, type HighlightKind } from './highlights';
import { rangeIn, selectedIn, textIn, unpainted } from './textPlaces';

// What is done with chosen words is fetched once some are.
const WordNotes = lazy(async () => ({ default: (await import('./WordNotes')).WordNotes }));
const HighlightBar = lazy(async () => ({ default: (await import('./HighlightBar')).HighlightBar }));

/**
 * Texts (each `[data-part]` in it) in which words can be marked and struck through. What is kept is painted over the
 * text, which itself stays as it is.
 */
export function Highlightable({
  highlights,
  draft,
  onKeep,
  fault,
  onCard,
  children,
}: {
  highlights: Highlight[];
  /** Under which notes on its words are held while they are typed: of which text it is. */
  draft: string;
  /** Settles when they are kept; what fails is told by `fault`. */
  onKeep: (highlights: Highlight[]) => Promise<unknown>;
  fault: Error | null;
  /** Makes a card of some words; none: here none are made. */
  onCard?: ((words: string) => void) | undefined;
  children: ReactNode;
}) {
  const around = useRef<HTMLDivElement>(null);
  const bar = useRef<HTMLDivElement>(null);
  const [chosen, setChosen] = useState<Chosen | null>(null);
  const [noting, note] = useState<Highlight | null>(null);

  useEffect(() => {
    const root = around.current;
    if (!root || highlights.length === 0) return;
    let wipe = paint(root, highlights);
    // Formulas come a moment later, other tabs of a case when they are opened.
    const watch = new MutationObserver(() => {
      wipe();
      wipe = paint(root, highlights);
    });
    watch.observe(root, { childList: true, subtree: true, characterData: true });
    return () => {
      watch.disconnect();
      wipe();
    };
  }, [highlights]);

  useEffect(() => {
    let timer = 0;
    const look = () => {
      window.clearTimeout(timer);
      timer = window.setTimeout(() => {
        if (bar.current?.contains(document.activeElement)) return;
        const found = around.current && selectedIn(around.current);
        const place = found && tight(found.place);
        if (!found || !place) return setChosen(null);
        const box = found.range.getBoundingClientRect();
        setChosen({ place, text: found.text, top: box.bottom + 8, left: box.left + box.width / 2 });
      }, 180);
    };
    const away = () => setChosen(null);
    document.addEventListener('selectionchange', look);
    window.addEventListener('scroll', away, true);
    return () => {
      window.clearTimeout(timer);
      document.removeEventListener('selectionchange', look);
      window.removeEventListener('scroll', away, true);
    };
  }, []);

  return (
    <div ref={around} className="contents">
      {children}
      {(noting !== null || highlights.some((one) => one.note !== '')) && (
        <Suspense fallback={null}>
          <WordNotes highlights={highlights} draft={draft} open={noting} onOpen={note} onKeep={onKeep} />
        </Suspense>
      )}
      {fault && (
        <p role="alert" className="text-error">
          {fault.message}
        </p>
      )}
      {chosen && (
        <Suspense fallback={null}>
          <HighlightBar
            bar={bar}
            chosen={chosen}
            highlights={highlights}
            onKeep={(next) => void onKeep(next).catch(() => undefined)}
            onCard={onCard}
            onNote={note}
            onDone={() => {
              document.getSelection()?.removeAllRanges();
              setChosen(null);
            }}
          />
        </Suspense>
      )}
    </div>
  );
}

/** Paints highlights over a text; gives what wipes them off again. */
function paint(root: HTMLElement, highlights: readonly Highlight[]): () => void {
  const painted: [HighlightKind, Range][] = [];
  for (const one of highlights) {
    const part = root.querySelector<HTMLElement>(`[data-part="${CSS.escape(one.part)}"]`);
    const at = part && placed(one, textIn(part));
    const range = at && rangeIn(part, at.from, at.to);
    if (range) painted.push([one.kind, range]);
  }
  return unpainted(painted);
}
