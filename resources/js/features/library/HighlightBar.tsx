import { Copy, Eraser, Highlighter, NotebookPen, StickyNote, Strikethrough } from 'lucide-react';
import type { RefObject } from 'react';
import { createPortal } from 'react-dom';
import { meets, withOne, without, type Highlight, type HighlightKind, type Place } from './highlights';

/** Some words of a text, and where the tools for them are shown. */
export interface Chosen {
  place: Place;
  text: string;
  top: number;
  left: number;
}

/** Half the width of all its tools side by side. */
const HALF = 270;

/** What can be done with the words that are chosen. */
export function HighlightBar(props: {
  bar: RefObject<HTMLDivElement | null>;
  chosen: Chosen;
  highlights: Highlight[];
  onKeep: (highlights: Highlight[]) => void;
  onCard?: ((words: string) => void) | undefined;
  /** Something is to be written beside words that are marked now. */
  onNote: (one: Highlight) => void;
  onDone: () => void;
}) {
  const { bar, chosen, highlights, onKeep, onCard, onNote, onDone } = props;
  const keep = (next: Highlight[]) => {
    onKeep(next);
    onDone();
  };
  const mark = (kind: HighlightKind) => keep(withOne(highlights, chosen.place, kind, chosen.text));
  // Half of what it is wide, so that it stays whole at the edge of the page.
  const half = Math.min(HALF, window.innerWidth / 2);
  const tool =
    'inline-flex min-h-11 cursor-pointer items-center gap-1.5 rounded-field px-2.5 hover:bg-base-content/10 pointer-fine:min-h-9';
  return createPortal(
    <div
      ref={bar}
      role="toolbar"
      aria-label="The chosen words"
      style={{
        top: Math.max(8, Math.min(chosen.top, window.innerHeight - 60)),
        left: Math.max(half, Math.min(chosen.left, window.innerWidth - half)),
      }}
      className="fixed z-40 flex max-w-[calc(100vw-1rem)] -translate-x-1/2 flex-wrap items-center rounded-box border border-base-content/40 bg-base-100 p-0.5"
      // The selection must outlive the press.
      onPointerDown={(event) => event.preventDefault()}
    >
      <button type="button" className={tool} onClick={() => mark('marked')}>
        <Highlighter aria-hidden="true" className="size-4" /> Mark
      </button>
      <button type="button" className={tool} onClick={() => mark('struck')}>
        <Strikethrough aria-hidden="true" className="size-4" /> Strike
      </button>
      <button
        type="button"
        className={tool}
        onClick={() => {
          const next = withOne(highlights, chosen.place, 'marked', chosen.text);
          const one = next.at(-1);
          keep(next);
          if (one) onNote(one);
        }}
      >
        <NotebookPen aria-hidden="true" className="size-4" /> Note
      </button>
      {highlights.some((one) => meets(one, chosen.place)) && (
        <button type="button" className={tool} onClick={() => keep(without(highlights, chosen.place, chosen.text))}>
          <Eraser aria-hidden="true" className="size-4" /> Clear
        </button>
      )}
      <button
        type="button"
        className={tool}
        onClick={() => {
          void navigator.clipboard?.writeText(chosen.place.quote);
          onDone();
        }}
      >
        <Copy aria-hidden="true" className="size-4" /> Copy
      </button>
      {onCard && (
        <button
          type="button"
          className={tool}
          onClick={() => {
            onCard(chosen.place.quote);
            onDone();
          }}
        >
          <StickyNote aria-hidden="true" className="size-4" /> Card
        </button>
      )}
    </div>,
    document.body,
  );
}
