import { useRef } from 'react';
import { orNothing } from '../response';
import type { KindProps } from './kind';
import { useDraft } from './useDraft';

/** A number, with a unit where one is asked for. */
export function NumberField({ question, response, locked, labelledBy, onAnswer }: KindProps) {
  const now = useRef({ text: response?.text ?? '', unit: response?.unit ?? '' });
  const keep = (part: { text?: string; unit?: string }) => {
    now.current = { ...now.current, ...part };
    const { text, unit } = now.current;
    onAnswer(text.trim() === '' ? null : orNothing(unit.trim() === '' ? { text } : { text, unit }));
  };
  const number = useDraft(now.current.text, (text) => keep({ text }));
  const unit = useDraft(now.current.unit, (unit) => keep({ unit }));
  return (
    <div className="grid gap-1">
      <div className="flex flex-wrap items-center gap-2">
        <input
          inputMode="decimal"
          aria-labelledby={labelledBy}
          className="input min-h-12 w-44 border-base-content/50 text-right font-mono text-lg"
          autoComplete="off"
          maxLength={40}
          value={number.text}
          disabled={locked}
          onChange={(event) => number.type(event.target.value)}
          onBlur={number.flush}
        />
        {question.suffix && <span className="text-lg">{question.suffix}</span>}
        {question.asksUnit && (
          <input
            aria-label="Unit"
            placeholder="unit"
            className="input min-h-12 w-24 border-base-content/50 text-lg"
            autoCapitalize="off"
            autoComplete="off"
            spellCheck={false}
            maxLength={20}
            value={unit.text}
            disabled={locked}
            onChange={(event) => unit.type(event.target.value)}
            onBlur={unit.flush}
          />
        )}
      </div>
      <p className="text-base-content/75">
        {question.asksUnit
          ? 'A number and its unit; without a unit it does not count.'
          : 'Figures, with a comma or a point; 5/4 and 1.2e3 are read too.'}
      </p>
    </div>
  );
}
