import clsx from 'clsx';
import { useLayoutEffect, useRef, type RefObject } from 'react';
import type { View } from '../../api/client';
import { Button } from '../../ui/Button';
import { Markdown } from '../../ui/Markdown';
import { meaning, readShortcuts } from '../../ui/shortcuts';
import { useKeys } from '../../ui/useKeys';
import { SectionQuiz } from './SectionQuiz';

/** A section step by step, and a quiz at its end. */
export function Lesson(props: {
  exam: string;
  code: string;
  steps: View<'LessonStep'>[];
  /** From 0; after the last one comes the end. */
  at: number;
  onStep: (at: number) => void;
  /** What is read aloud. */
  page: RefObject<HTMLDivElement | null>;
}) {
  const { exam, code, steps, at, onStep, page } = props;
  const step = steps[at];
  const heading = useRef<HTMLHeadingElement>(null);
  const moved = useRef(false);
  const go = (to: number) => {
    if (to < 0 || to > steps.length) return;
    moved.current = true;
    onStep(to);
  };
  useLayoutEffect(() => {
    if (moved.current) heading.current?.focus();
  }, [at]);
  useKeys((event) => {
    const does = meaning(readShortcuts(), event.key);
    if (does === 'on') go(at + 1);
    if (does === 'back') go(at - 1);
  });
  return (
    <div className="grid gap-4">
      <ol aria-label="Steps" className="flex flex-wrap gap-1">
        {[...steps.map(({ title }) => title), 'The end'].map((title, i) => (
          <li key={title} className="flex-1">
            <button
              type="button"
              aria-current={i === at ? 'step' : undefined}
              aria-label={i === steps.length ? 'The end' : `Step ${i + 1}: ${title}`}
              title={title}
              onClick={() => go(i)}
              className="flex min-h-11 w-full min-w-6 cursor-pointer items-center pointer-fine:min-h-8"
            >
              <span
                className={clsx(
                  'w-full rounded-full',
                  i === at ? 'h-2 bg-primary' : i < at ? 'h-1 bg-primary/60' : 'h-1 bg-base-content/25',
                )}
              />
            </button>
          </li>
        ))}
      </ol>
      {step ? (
        <div ref={page} className="grid gap-3">
          <h3 ref={heading} tabIndex={-1} className="text-lg font-bold outline-none">
            {step.title}
          </h3>
          <div data-part={`step:${at}`}>
            <Markdown>{step.body}</Markdown>
          </div>
        </div>
      ) : (
        <div ref={page} className="grid gap-3">
          <h3 ref={heading} tabIndex={-1} className="text-lg font-bold outline-none">
            That was all of it
          </h3>
          <p>What one answers oneself stays longer than what one has read. See what has stayed:</p>
          <SectionQuiz exam={exam} code={code} />
        </div>
      )}
      <div className="flex flex-wrap items-center gap-3">
        <Button disabled={at === 0} onClick={() => go(at - 1)}>
          Back
        </Button>
        {step && (
          <Button weight="main" onClick={() => go(at + 1)}>
            {at === steps.length - 1 ? 'To the end' : 'Next step'}
          </Button>
        )}
        <span className="text-base-content/75">
          {step ? `Step ${at + 1} of ${steps.length}` : `${steps.length} of ${steps.length} steps`}
        </span>
      </div>
    </div>
  );
}
