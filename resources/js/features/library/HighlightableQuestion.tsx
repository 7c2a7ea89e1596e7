import type { ReactNode } from 'react';
import { Highlightable } from './Highlightable';
import { useHighlighting, useKept } from './useKept';

/** Texts of a question, with the words that are marked in them. */
export function HighlightableQuestion(props: {
  sitting: string;
  position: number;
  onCard?: (words: string) => void;
  children: ReactNode;
}) {
  const { sitting, position, onCard, children } = props;
  const { highlights } = useKept(sitting, position);
  const highlighting = useHighlighting(sitting, position);
  return (
    <Highlightable
      highlights={highlights}
      draft={`${sitting}.${position}`}
      onKeep={highlighting.mutateAsync}
      fault={highlighting.error}
      onCard={onCard}
    >
      {children}
    </Highlightable>
  );
}
