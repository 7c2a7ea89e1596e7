import { CAUSES, type Cause } from './causes';
import type { Line } from './lines';
import { useCause } from './useGap';

/** Names why a question went wrong; what is chosen is kept at once. */
export function CauseField(props: { sitting: string; line: Pick<Line, 'position' | 'cause'>; labelled?: boolean }) {
  const { sitting, line, labelled } = props;
  const naming = useCause(sitting, line.position);
  const chosen = naming.isPending ? naming.variables : line.cause;
  return (
    <span className="inline-flex flex-wrap items-center gap-2 print:hidden">
      <label className="inline-flex items-center gap-2">
        <span className={labelled ? '' : 'sr-only'}>
          {labelled ? 'What lay behind it' : `What lay behind question ${line.position + 1}`}
        </span>
        <select
          value={chosen ?? ''}
          onChange={(event) => naming.mutate((event.target.value || null) as Cause | null)}
          className="select w-52 border-base-content/50 text-base pointer-fine:h-9"
        >
          <option value="">Not named yet</option>
          {Object.entries(CAUSES).map(([cause, words]) => (
            <option key={cause} value={cause}>
              {words}
            </option>
          ))}
        </select>
      </label>
      {naming.isError && (
        <span role="alert" className="text-error">
          {naming.error.message}
        </span>
      )}
    </span>
  );
}
