import { useMemo, useRef } from 'react';
import { GapContext } from '../../../../ui/gaps';
import { Markdown } from '../../../../ui/Markdown';
import { plain } from '../../../../ui/plain';
import { having, orNothing } from '../../response';
import { DraftInput } from '../DraftInput';
import type { KindProps } from '../kind';

/** A text with gaps: menus to choose from, or fields to type in. The stem is the question itself. */
export function Gaps({
  body,
  stem,
  response,
  locked,
  labelledBy,
  onAnswer,
}: KindProps<'dropdown_gaps' | 'typed_gaps'>) {
  const order = useMemo(() => [...stem.matchAll(/\[\[(\w+)\]\]/g)].map(([, gap]) => gap), [stem]);
  // Two gaps may be handed on in the same moment, when the page goes away: each must know of the other.
  const typed = useRef(response?.gaps ?? {});
  const show = (gap: string) => {
    const name = `Gap ${order.indexOf(gap) + 1}`;
    const row = body.kind === 'dropdown_gaps' ? body.rows.find(({ id }) => id === gap) : undefined;
    const choices = row?.choices ?? (body.kind === 'dropdown_gaps' ? body.choices : []);
    return row ? (
      <select
        aria-label={name}
        className="select mx-1 my-0.5 inline-flex min-h-10 w-auto max-w-full border-base-content/50 text-base"
        value={response?.rows?.[gap] ?? ''}
        disabled={locked}
        onChange={(event) => onAnswer(orNothing({ rows: having(response?.rows, gap, event.target.value) }))}
      >
        <option value="">choose…</option>
        {choices.map((choice) => (
          <option key={choice.id} value={choice.id}>
            {plain(choice.text)}
          </option>
        ))}
      </select>
    ) : (
      <DraftInput
        aria-label={name}
        className="mx-1 my-0.5 inline-flex min-h-10 w-36 text-base"
        maxLength={200}
        stored={response?.gaps?.[gap] ?? ''}
        locked={locked}
        onType={(text) => {
          typed.current = having(typed.current, gap, text);
          onAnswer(orNothing({ gaps: typed.current }));
        }}
      />
    );
  };
  return (
    <div id={labelledBy} className="text-lg leading-loose">
      <GapContext value={show}>
        <Markdown>{stem}</Markdown>
      </GapContext>
    </div>
  );
}
