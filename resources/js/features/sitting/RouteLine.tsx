import clsx from 'clsx';
import { memo, useEffect, useRef } from 'react';
import { OUTCOMES, OutcomeMark } from '../../ui/Outcome';
import { isAmong, type Only } from './following';
import type { QuestionState } from './sittingStore';

/** So many have room side by side on a wide screen without small targets; more are folded, as far as that helps. */
const IN_A_ROW = 44;
const MOST_ROWS = 3;
/** Of still more, only the stretches that are in sight are drawn: so many are one. */
const STRETCH = 20;

/**
 * The strip that shows every question of a sitting and its state. Like a path on a map: a line with a mark for each
 * question, a pennant where it was flagged.
 */
export function RouteLine({
  questions,
  current,
  inTurn,
  only,
  sections,
  noted,
  barred,
  open,
  onGo,
}: {
  questions: readonly QuestionState[];
  current: number;
  /** One after the other: nobody jumps. */
  inTurn: boolean;
  /** The others are dimmed. */
  only: Only;
  /** Where sections begin: position => name. */
  sections: ReadonlyMap<number, string>;
  /** Those with a note. */
  noted: ReadonlySet<number>;
  /** Those that cannot be asked for yet: others of their series come first. */
  barred: ReadonlySet<number>;
  /** More may come, and nobody knows yet what. */
  open: boolean;
  onGo: (position: number) => void;
}) {
  const strip = useRef<HTMLDivElement>(null);
  const rows = Math.ceil(questions.length / IN_A_ROW);
  const folded = rows > 1 && rows <= MOST_ROWS;
  const far = rows > MOST_ROWS;
  const length = far ? STRETCH : Math.max(questions.length, 1);
  const stretches = Array.from({ length: Math.ceil(questions.length / length) }, (_, i) => i * length);
  useEffect(() => {
    const line = strip.current;
    const stretch = line?.children[Math.floor(current / length)];
    if (!line || !stretch) return;
    // Told by the browser after it has laid the page out: asking it would make it do so once more.
    const watch = new IntersectionObserver(
      ([seen]) => {
        if (!seen?.rootBounds) return;
        const { left, right } = seen.rootBounds;
        const box = seen.boundingClientRect;
        const wide = box.width / stretch.childElementCount;
        const mark = box.left + ((current % length) + 0.5) * wide;
        if (mark < left + wide || mark > right - wide) line.scrollLeft += mark - (left + right) / 2;
        watch.disconnect();
      },
      { root: line },
    );
    watch.observe(stretch);
    return () => watch.disconnect();
  }, [current, length]);
  return (
    <nav aria-label="Route line" className="relative">
      <div ref={strip} className={clsx('relative flex overflow-x-auto py-1', !far && 'lg:overflow-visible')}>
        {stretches.map((from) => (
          <ol
            key={from}
            start={from + 1}
            className={clsx(
              'flex shrink-0 grow',
              far ? '[content-visibility:auto]' : 'lg:grid lg:w-full',
              open && '*:not-last:grow-0',
            )}
            style={
              far
                ? { containIntrinsicSize: `${Math.min(length, questions.length - from) * 2.25}rem 3.5rem` }
                : {
                    gridTemplateColumns: `repeat(${Math.ceil(questions.length / rows)}, minmax(0, ${open ? '4rem' : '1fr'}))${open && rows === 1 ? ' minmax(0, 1fr)' : ''}`,
                  }
            }
          >
            {questions.slice(from, from + length).map((question) => (
              <Stop
                key={question.position}
                question={question}
                here={question.position === current}
                low={folded}
                dim={!isAmong(only, question)}
                section={sections.get(question.position)}
                noted={noted.has(question.position)}
                barred={barred.has(question.position)}
                off={(inTurn && question.position !== current) || barred.has(question.position)}
                onGo={onGo}
              />
            ))}
            {open && rows === 1 && (
              <li
                aria-hidden="true"
                className="mt-[1.8rem] h-0 grow border-t-2 border-dashed border-base-content/30 max-lg:min-w-9"
              />
            )}
          </ol>
        ))}
      </div>
    </nav>
  );
}

/** One of five hundred: drawn again only when it is another. */
const Stop = memo(function Stop({
  question,
  here,
  low,
  dim,
  section,
  noted,
  barred,
  off,
  onGo,
}: {
  question: QuestionState;
  here: boolean;
  /** One of several rows, on a wide screen. */
  low: boolean;
  dim: boolean;
  /** The section that begins here. */
  section: string | undefined;
  noted: boolean;
  /** Others of its series come first. */
  barred: boolean;
  off: boolean;
  onGo: (position: number) => void;
}) {
  const told = `${words(question)}${noted ? ', with a note' : ''}${barred ? ', comes in its turn' : ''}`;
  return (
    // The line is its background: of five hundred, each box more would be felt with every question.
    <li className={clsx('route-line relative shrink-0 grow basis-9', low && 'lg:[--line:0.65rem]')}>
      {/* A section begins at a boundary stone. */}
      {section && (
        <span
          aria-hidden="true"
          className={clsx('absolute top-4 bottom-1 left-0 border-l-2 border-base-content/60', low && 'lg:top-0')}
        />
      )}
      <button
        type="button"
        aria-current={here ? 'step' : undefined}
        aria-label={`Question ${question.position + 1}: ${told}${section ? `, ${section} begins` : ''}`}
        title={`${section ? `${section}: ` : ''}${told}`}
        disabled={off}
        onClick={() => onGo(question.position)}
        className={clsx(
          'relative grid h-14 w-full min-w-9 content-start justify-items-center gap-0.5 rounded-field pt-[1.3rem] lg:min-w-6',
          low && 'lg:h-11 lg:pt-[0.15rem]',
          !off && 'cursor-pointer',
          here ? 'bg-base-content/10 font-bold' : !off && 'hover:bg-base-200',
        )}
      >
        {question.flagged && (
          <svg
            viewBox="0 0 12 12"
            width="12"
            height="12"
            aria-hidden="true"
            className={clsx('absolute top-1.5 text-secondary', low && 'lg:top-0.5 lg:left-[calc(50%+0.65rem)]')}
          >
            <path d="M2 12V0l9 3.500-9 3.500" fill="currentColor" stroke="currentColor" strokeWidth="1.500" />
          </svg>
        )}
        {/* Only the mark: a number must stay legible. */}
        <span className={clsx(dim && !here && 'opacity-35')}>
          <Mark question={question} />
        </span>
        <span className={clsx('text-sm leading-none', noted && 'border-b-2 border-accent')}>
          {question.position + 1}
        </span>
      </button>
    </li>
  );
});

function Mark({ question }: { question: QuestionState }) {
  if (question.outcome) {
    return (
      <span className="block rounded-full bg-base-100">
        <OutcomeMark outcome={question.outcome} size={18} />
      </span>
    );
  }
  return (
    <svg
      viewBox="0 0 18 18"
      width="18"
      height="18"
      aria-hidden="true"
      stroke="currentColor"
      strokeWidth="1.8"
      className="block"
    >
      {question.response ? (
        <circle cx="9" cy="9" r="6.500" fill="currentColor" />
      ) : question.seen ? (
        <circle
          cx="9"
          cy="9"
          r="6.500"
          className="fill-base-100"
          strokeDasharray={question.closed ? '2.900 2.200' : undefined}
        />
      ) : (
        <circle cx="9" cy="9" r="3" className="fill-base-100" />
      )}
      {/* Not sure-footed: a wave in the disc. */}
      {question.response && question.sureness === 'guess' && (
        <path d="M5 9.700q2-3.200 4 -0.500t4 -0.900" className="stroke-base-100" fill="none" strokeLinecap="round" />
      )}
      {/* A bar across the way: nobody comes back to it. */}
      {question.closed && <path d="M1.500 17.100h15" strokeWidth="1.800" />}
    </svg>
  );
}

export function words(question: QuestionState): string {
  const state = question.outcome
    ? OUTCOMES[question.outcome].toLowerCase()
    : question.response
      ? question.sureness === 'guess'
        ? 'answered, a guess'
        : 'answered'
      : question.closed
        ? question.seen
          ? 'left blank'
          : 'not reached'
        : question.seen
          ? 'not answered'
          : 'not seen yet';
  return [state, question.closed && 'closed', question.flagged && 'flagged'].filter(Boolean).join(', ');
}
