import type { View } from '../../api/client';
import type { CardSides } from '../library/CardForm';

type Explanation = Pick<View<'Explanation'>, 'question' | 'parts' | 'rationale' | 'model'>;

/** A card of a question: its stem, and what is right with the reason; or some words of it instead. */
export function cardOf(explanation: Explanation, words: string): CardSides {
  const front = explanation.question.stem.replace(/\[\[\w+\]\]/g, '…').trim();
  return { front, back: words === '' ? [right(explanation), explanation.rationale].join('\n\n').trim() : words };
}

function right({ parts, model }: Explanation): string {
  if (model) return model;
  const keys = parts.filter(({ role, verdict }) => role !== 'option' || verdict === 'right' || verdict === 'missing');
  const lines = keys
    .filter(({ role }) => role !== 'decoy' && role !== 'slip')
    .map(({ text, right }) => (right === null ? text : text === '' ? right : `${text}: ${right}`))
    .filter((line) => line !== '');
  return lines.length > 1 ? lines.map((line) => `- ${line}`).join('\n') : (lines[0] ?? '');
}
