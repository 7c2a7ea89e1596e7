import { useRef } from 'react';
import { DraftInput } from '../DraftInput';
import type { KindProps } from '../kind';

/** A number, with a unit where one is asked for. */
export function NumberField({ body, response, locked, labelledBy, onAnswer }: KindProps<'number'>) {
  // Both fields are handed on at their own time, so each must know what the other holds by then.
  const now = useRef({ text: response?.text ?? '', unit: response?.unit ?? '' });
  const keep = (part: { text?: string; unit?: string }) => {
    now.current = { ...now.current, ...part };
    const { text, unit } = now.current;
    onAnswer(text.trim() === '' ? null : unit.trim() === '' ? { text } : { text, unit });
  };
  return (
    <div className="grid gap-1">
      <div className="flex flex-wrap items-center gap-2">
        <DraftInput
          inputMode="decimal"
          aria-labelledby={labelledBy}
          className="min-h-12 w-44 text-right font-mono text-lg"
          maxLength={40}
          stored={response?.text ?? ''}
          locked={locked}
          onType={(text) => keep({ text })}
        />
        {body.suffix && <span className="text-lg">{body.suffix}</span>}
        {body.asksUnit && (
          <DraftInput
            aria-label="Unit"
            placeholder="unit"
            className="min-h-12 w-24 text-lg"
            maxLength={20}
            stored={response?.unit ?? ''}
            locked={locked}
            onType={(unit) => keep({ unit })}
          />
        )}
      </div>
      <p className="text-base-content/75">
        {body.asksUnit
          ? 'A number and its unit; without a unit it does not count.'
          : 'Figures, with a comma or a point; 5/4 and 1.2e3 are read too.'}
      </p>
    </div>
  );
}
