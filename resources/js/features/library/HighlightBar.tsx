import { Copy, Eraser, Highlighter, StickyNote, Strikethrough } from 'lucide-react';
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

/** What can be done with the words that are chosen. */
export function HighlightBar(props: {
  bar: RefObject<HTMLDivElement | null>;
  chosen: Chosen;
  highlights: Highlight[];
  onKeep: (highlights: Highlight[]) => void;
  onCard?: ((words: string) => void) | undefined;
  onDone: () => void;
}) {
  const { bar, chosen, highlights, onKeep, onCard, onDone } = props;
  const keep = (next: Highlight[]) => {
    onKeep(next);
    onDone();
  };
  const mark = (kind: HighlightKind) => keep(withOne(highlights, chosen.place, kind, chosen.text));
  const tool =
    'inline-flex min-h-11 cursor-pointer items-center gap-1.5 rounded-field px-2.5 hover:bg-base-content/10 pointer-fine:min-h-9';
  return createPortal(
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
