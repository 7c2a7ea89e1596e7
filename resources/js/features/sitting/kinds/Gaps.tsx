import { useMemo } from 'react';
import { GapContext } from '../../../ui/gaps';
import { Markdown } from '../../../ui/Markdown';
import { having, orNothing } from '../response';
import type { KindProps } from './kind';
import { useDraft } from './useDraft';

/** A text with gaps: menus to choose from, or fields to type in. The stem is the question itself. */
export function Gaps({ question, response, locked, labelledBy, onAnswer }: KindProps) {
  const order = useMemo(() => [...question.stem.matchAll(/\[\[(\w+)\]\]/g)].map(([, gap]) => gap), [question.stem]);
  const show = (gap: string) => {
    const name = `Gap ${order.indexOf(gap) + 1}`;
    const row = question.rows.find(({ id }) => id === gap);
    return row ? (
      <select
        aria-label={name}
        className="select mx-1 my-0.5 inline-flex min-h-10 w-auto max-w-full border-base-content/50 text-base"
        value={response?.rows?.[gap] ?? ''}
        disabled={locked}
        onChange={(event) => onAnswer(orNothing({ rows: having(response?.rows, gap, event.target.value) }))}
      >
        <option value="">choose…</option>
        {(row.choices ?? question.choices).map((choice) => (
          <option key={choice.id} value={choice.id}>
            {choice.text}
          </option>
        ))}
      </select>
    ) : (
      <TypedGap
        name={name}
        stored={response?.gaps?.[gap] ?? ''}
        locked={locked}
        onType={(text) => onAnswer(orNothing({ gaps: having(response?.gaps, gap, text) }))}
      />
    );
  };
  return (
    <div id={labelledBy} className="text-lg leading-loose">
      <GapContext value={show}>
        <Markdown>{question.stem}</Markdown>
      </GapContext>
    </div>
  );
}

function TypedGap({
  name,
  stored,
  locked,
  onType,
}: {
  name: string;
  stored: string;
  locked: boolean;
  onType: (text: string) => void;
}) {
  const draft = useDraft(stored, onType);
  return (
    <input
      aria-label={name}
      className="input mx-1 my-0.5 inline-flex min-h-10 w-36 border-base-content/50 text-base"
      autoCapitalize="off"
      autoComplete="off"
      spellCheck={false}
      maxLength={200}
      value={draft.text}
      disabled={locked}
      onChange={(event) => draft.type(event.target.value)}
      onBlur={draft.flush}
    />
  );
}
