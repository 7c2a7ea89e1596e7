import { count } from '../../../../ui/words';
import type { KindProps } from '../kind';
import { useDraft } from '../useDraft';

/** A written answer, which the candidate marks against a rubric afterwards. */
export function WrittenField({ response, locked, labelledBy, onAnswer }: KindProps) {
  const draft = useDraft(response?.text ?? '', (text) => onAnswer(text.trim() === '' ? null : { text }));
  const words = draft.text.split(/\s+/).filter(Boolean).length;
  return (
    <div className="grid max-w-[75ch] gap-1">
      <textarea
        aria-labelledby={labelledBy}
        className="textarea min-h-48 w-full border-base-content/50 text-base"
        maxLength={18_000}
        value={draft.text}
        disabled={locked}
        onChange={(event) => draft.type(event.target.value)}
        onBlur={draft.flush}
      />
      <p className="text-base-content/75">
        {count(words, 'word')}. Once the answer is shown you mark this yourself, against a rubric and a model answer.
      </p>
    </div>
  );
}
