import { RotateCcw } from 'lucide-react';
import { api, ask } from '../../api/client';
import { useBegin } from '../../api/useBegin';

/** Answers a question once more, in a test of its own: the key is covered, and the answer before stays as it was. */
export function Anew({ exam, question }: { exam: string; question: number }) {
  const begin = useBegin();
  return (
    <span className="inline-flex flex-wrap items-center gap-x-3">
      <button
        type="button"
        disabled={begin.isPending}
        title="In a small test of its own: the key is covered, and what you answered before stays"
        className="inline-flex min-h-11 cursor-pointer items-center gap-1.5 underline-offset-4 hover:underline"
        onClick={() =>
          begin.go(
            () =>
              ask(
                api.POST('/api/exams/{exam}/library/{question}/sittings', {
                  params: { path: { exam, question: String(question) } },
                }),
              ),
            true,
          )
        }
      >
        <RotateCcw aria-hidden="true" className="size-4.5" />
        Answer it anew
      </button>
      {begin.error && (
        <span role="alert" className="text-error">
          {begin.error.message}
        </span>
      )}
    </span>
  );
}
