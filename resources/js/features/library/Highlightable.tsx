import { Copy, Eraser, Highlighter, Strikethrough } from 'lucide-react';
import { useEffect, useRef, useState, type ReactNode } from 'react';
import { createPortal } from 'react-dom';
import { meets, placed, tight, withOne, without, type Highlight, type HighlightKind, type Place } from './highlights';
import { rangeIn, selectedIn, textIn, unpainted } from './textPlaces';
import { useHighlighting, useKept } from './useKept';

interface Chosen {
  place: Place;
  text: string;
  top: number;
  left: number;
}

/**
 * Texts of a question (each `[data-part]` in it) in which words can be marked and struck through. What is kept is
 * painted over the text, which itself stays as it is.
 */
export function Highlightable({
  sitting,
  position,
  children,
}: {
  sitting: string;
  position: number;
  children: ReactNode;
}) {
  const around = useRef<HTMLDivElement>(null);
  const bar = useRef<HTMLDivElement>(null);
  const { highlights } = useKept(sitting, position);
  const highlighting = useHighlighting(sitting, position);
  const [chosen, setChosen] = useState<Chosen | null>(null);

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

  const done = () => {
    document.getSelection()?.removeAllRanges();
    setChosen(null);
  };
  const keep = (next: Highlight[]) => {
    highlighting.mutate(next);
    done();
  };
  const mark = (kind: HighlightKind) => chosen && keep(withOne(highlights, chosen.place, kind, chosen.text));
  const tool =
    'inline-flex min-h-11 cursor-pointer items-center gap-1.5 rounded-field px-2.5 hover:bg-base-content/10 pointer-fine:min-h-9';
  return (
    <div ref={around} className="contents">
      {children}
      {highlighting.isError && (
        <p role="alert" className="text-error">
          {highlighting.error.message}
        </p>
      )}
      {chosen &&
        createPortal(
          <div
            ref={bar}
            role="toolbar"
            aria-label="The chosen words"
            style={{
              top: Math.min(chosen.top, window.innerHeight - 60),
              left: Math.max(170, Math.min(chosen.left, window.innerWidth - 170)),
            }}
            className="fixed z-40 flex -translate-x-1/2 items-center rounded-box border border-base-content/40 bg-base-100 p-0.5"
            // The selection must outlive the press.
            onPointerDown={(event) => event.preventDefault()}
          >
            <button type="button" className={tool} onClick={() => mark('marked')}>
              <Highlighter aria-hidden="true" className="size-4" /> Mark
            </button>
            <button type="button" className={tool} onClick={() => mark('struck')}>
              <Strikethrough aria-hidden="true" className="size-4" /> Strike
            </button>
            {highlights.some((one) => meets(one, chosen.place)) && (
              <button
                type="button"
                className={tool}
                onClick={() => keep(without(highlights, chosen.place, chosen.text))}
              >
                <Eraser aria-hidden="true" className="size-4" /> Clear
              </button>
            )}
            <button
              type="button"
              className={tool}
              onClick={() => {
                void navigator.clipboard?.writeText(chosen.place.quote);
                done();
              }}
            >
              <Copy aria-hidden="true" className="size-4" /> Copy
            </button>
          </div>,
          document.body,
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
