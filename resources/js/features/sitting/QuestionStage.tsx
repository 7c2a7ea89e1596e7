import { useQuery } from '@tanstack/react-query';
import clsx from 'clsx';
import { lazy, memo, Suspense, useLayoutEffect, useRef, useState, type ReactNode } from 'react';
import { Refused, type View } from '../../api/client';
import { explanation } from '../../api/queries';
import { Failure } from '../../ui/Failure';
import { Loading } from '../../ui/Loading';
import { Notice } from '../../ui/Notice';
import { HighlightableQuestion } from '../library/HighlightableQuestion';
import type { Response } from '../question/response';
import { UnitPanel } from '../question/UnitPanel';
import { QuestionCard } from './QuestionCard';
import type { QuestionState, SittingStore } from './sittingStore';

const PackedReasons = lazy(async () => ({ default: (await import('./packs/PackedReasons')).PackedReasons }));
const Explained = lazy(async () => ({ default: (await import('../result/Explained')).Explained }));

interface Terms {
  sitting: string;
  owner: string;
  store: SittingStore;
  asksSureness: boolean;
  reading: boolean;
  tutor: boolean;
  /** Its reasons were taken along. */
  packed: boolean;
  /** What came of answers is out of sight again. */
  covered: boolean;
}

/**
 * The question on screen with what belongs to it, and those that are built out of sight. They are laid out there as they
 * will be seen, so moving on only shows them.
 */
export function QuestionStage({
  current,
  built,
  questions,
  states,
  units,
  narrow,
  below,
  filled,
  ...terms
}: Terms & {
  /** The place of the one that is looked at. */
  current: number;
  /** Places of those that are built. */
  built: readonly number[];
  questions: readonly View<'Question'>[];
  states: readonly QuestionState[];
  units: readonly View<'Unit'>[];
  /** Something lies open beside it. */
  narrow: boolean;
  /** What stands below the one that is looked at. */
  below: ReactNode;
  /** Counts what was filled or asked for from elsewhere: a field that knows of it only at first is made anew. */
  filled: number;
}) {
  const spreads = spreadsOf(built, units).map(({ unit, positions }) => {
    const [first = current] = positions;
    const here = positions.includes(current);
    // Of one that is out of sight, the question that is nearest.
    const seen = here ? current : first < current ? (positions.at(-1) ?? first) : first;
    return (
      <Built key={unit?.id ?? first} isShown={here}>
        <div
          className={clsx(
            'grid gap-x-8 gap-y-4',
            unit &&
              (narrow ? 'xl:grid-cols-[minmax(0,5fr)_minmax(0,6fr)]' : 'lg:grid-cols-[minmax(0,5fr)_minmax(0,6fr)]'),
          )}
        >
          {unit && (
            <HighlightableQuestion sitting={terms.sitting} position={unit.positions[0] ?? first}>
              <UnitPanel unit={unit} position={seen} />
            </HighlightableQuestion>
          )}
          <div id={here ? 'the-question' : undefined} className="grid content-start gap-5">
            <div>
              {positions.map((position) => {
                const question = questions[position];
                const state = states[position];
                if (!question || !state) return null;
                return (
                  <Built key={`${position}-${filled}`} isShown={position === seen}>
                    {state.checked && state.outcome && !terms.covered ? (
                      <Answered sitting={terms.sitting} position={position} />
                    ) : (
                      <ToAnswer question={question} state={state} {...terms} />
                    )}
                  </Built>
                );
              })}
            </div>
            {here && below}
          </div>
        </div>
      </Built>
    );
  });
  return <div className="min-w-0">{spreads}</div>;
}

/** Places that are built, those of a unit together with it. */
function spreadsOf(built: readonly number[], units: readonly View<'Unit'>[]) {
  const spreads = new Map<string | number, { unit: View<'Unit'> | undefined; positions: number[] }>();
  for (const position of built) {
    const unit = units.find(({ positions }) => positions.includes(position));
    const spread = spreads.get(unit?.id ?? position) ?? { unit, positions: [] };
    spread.positions.push(position);
    spreads.set(unit?.id ?? position, spread);
  }
  return [...spreads.values()];
}

/** What is looked at, was, or will be. */
function Built({ isShown, children }: { isShown: boolean; children: ReactNode }) {
  const box = useRef<HTMLDivElement>(null);
  // Laid out once as it will be seen, and then left alone: a browser keeps the layout of what it need not draw.
  useLayoutEffect(() => void box.current?.offsetHeight, []);
  useLayoutEffect(() => {
    if (!box.current || isShown) return;
    const { style } = box.current;
    style.contentVisibility = 'hidden';
    for (const sound of box.current.querySelectorAll<HTMLMediaElement>('audio, video')) sound.pause();
    return () => void (style.contentVisibility = '');
  }, [isShown]);
  return (
    <div ref={box} className={clsx('grid content-start gap-5', !isShown && 'h-0 overflow-clip')}>
      {children}
    </div>
  );
}

const ToAnswer = memo(
  function ToAnswer({ question, state, ...terms }: Terms & { question: View<'Question'>; state: QuestionState }) {
    const { sitting, owner, store, asksSureness, reading, tutor } = terms;
    const { position, response } = state;
    return (
      <HighlightableQuestion sitting={sitting} position={position}>
        <QuestionCard
          question={question}
          state={state}
          store={store}
          asksSureness={asksSureness}
          reading={reading}
          tutor={tutor}
          packed={terms.packed}
          covered={terms.covered}
        />
        {state.checked && terms.packed && response && (
          <Suspense fallback={<Loading what="Fetching the reasons" />}>
            <PackedReasons owner={owner} sitting={sitting} position={position} response={response as Response} />
          </Suspense>
        )}
      </HighlightableQuestion>
    );
  },
  ({ state: before, ...old }, { state: after, ...now }) => isSame(old, now) && isSame(drawn(before), drawn(after)),
);

/** What of a state is seen on the question itself: that it was seen, say, is not. */
function drawn({ response, struck, sureness, locked, closed, checked, tries, asked }: QuestionState) {
  return { response, struck, sureness, locked, closed, checked, tries, asked };
}

function isSame<T extends object>(a: T, b: T): boolean {
  return (Object.keys(b) as (keyof T)[]).every((name) => Object.is(a[name], b[name]));
}

function Answered({ sitting, position }: { sitting: string; position: number }) {
  const page = useQuery(explanation(sitting, position));
  const [words, setWords] = useState<string | null>(null);
  if (page.isPending) return <Loading what="Fetching the reasons" />;
  if (page.isError)
    return page.error instanceof Refused && page.error.problem.reason === 'held_back' ? (
      <Notice tone="warn">{page.error.message}</Notice>
    ) : (
      <Failure error={page.error} retry={() => void page.refetch()} />
    );
  return (
    <HighlightableQuestion sitting={sitting} position={position} onCard={setWords}>
      <Suspense fallback={<Loading what="Fetching the reasons" />}>
        <Explained sitting={sitting} explanation={page.data} card={{ words, onClose: () => setWords(null) }} />
      </Suspense>
    </HighlightableQuestion>
  );
}
