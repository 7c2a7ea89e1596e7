import { useQuery } from '@tanstack/react-query';
import { useMemo, useRef, useState } from 'react';
import { Link, useNavigate, useParams } from 'react-router';
import type { View } from '../../../api/client';
import { briefing } from '../../../api/queries';
import { Failure } from '../../../ui/Failure';
import { Loading } from '../../../ui/Loading';
import { Notice } from '../../../ui/Notice';
import { useTitle } from '../../../ui/useTitle';
import { applyLook, readLook } from '../../../ui/look';
import { waysFrom, type Only } from '../following';
import { HandInCheck } from '../HandInCheck';
import { useKit, type Tool } from '../kit/kit';
import { KitPanel } from '../kit/KitPanel';
import { KitTool } from '../kit/KitTools';
import { Ruler } from '../kit/Ruler';
import { QuestionCard } from '../QuestionCard';
import { QuestionHeading } from '../QuestionHeading';
import { RouteLine } from '../RouteLine';
import { SittingFooter } from '../SittingFooter';
import type { QuestionState, SittingStore } from '../sittingStore';
import { samplesOf } from './samples';

/** The screen of a sitting, to try out before it: nothing is saved, and nothing counts. */
export function Component() {
  const { sitting = '' } = useParams();
  useTitle('Try-out');
  const page = useQuery(briefing(sitting));
  if (page.isPending) return <Loading />;
  if (page.isError) return <Failure error={page.error} retry={() => void page.refetch()} />;
  return <TryOut briefing={page.data} />;
}

const TOOLS: readonly Tool[] = ['calculator', 'tables', 'look', 'keys'];
const NOTHING: ReadonlySet<number> = new Set();
const ONE_PIECE: ReadonlyMap<number, string> = new Map();

function TryOut({ briefing }: { briefing: View<'Briefing'> }) {
  const back = `/briefing/${briefing.id}`;
  const questions = useMemo(() => samplesOf(briefing.kinds), [briefing.kinds]);
  const [states, setStates] = useState(() => questions.map(({ position }) => untouched(position)));
  const [current, setCurrent] = useState(0);
  const [handing, setHanding] = useState(false);
  const [only, setOnly] = useState<Only>('all');
  const [look, setLook] = useState(readLook);
  const heading = useRef<HTMLHeadingElement>(null);
  const noteAsked = useRef(false);
  const kit = useKit('try-out');
  const navigate = useNavigate();
  const change = (position: number, part: Partial<QuestionState>) =>
    setStates((all) => all.map((one) => (one.position === position ? { ...one, ...part } : one)));
  const store: Pick<SittingStore, 'answer' | 'strike' | 'beSure' | 'try'> = {
    answer: (position, response) => change(position, { response: response as QuestionState['response'] }),
    strike: (position, struck) => change(position, { struck }),
    beSure: (position, sureness) => change(position, { sureness }),
    try: () => Promise.resolve(),
  };
  const go = (position: number) => {
    setHanding(false);
    setCurrent(position);
    change(position, { seen: true });
    heading.current?.focus();
  };
  const question = questions[current];
  const state = states[current];
  if (!question || !state) return null;
  const open = handing ? null : (kit.open ?? null);
  return (
    <div className="flex min-h-dvh flex-col">
      {look.ruler && <Ruler />}
      <header className="sticky top-0 z-20 border-b border-base-300 bg-base-100 px-4 pt-2 sm:px-6">
        <div className="mx-auto max-w-7xl">
          <div className="flex min-h-11 flex-wrap items-center justify-between gap-x-4">
            <Link to={back}>Back to the briefing</Link>
            <p className="font-bold">Try-out: nothing counts</p>
            <button
              type="button"
              aria-expanded={open !== null}
              className="min-h-11 cursor-pointer lg:hidden"
              onClick={() => (open ? kit.close() : kit.take('calculator'))}
            >
              Kit
            </button>
          </div>
          <RouteLine
            open={false}
            questions={states}
            current={current}
            inTurn={false}
            only={only}
            sections={ONE_PIECE}
            noted={NOTHING}
            barred={NOTHING}
            onGo={go}
          />
        </div>
      </header>
      <div className="mx-auto flex w-full max-w-[90rem] flex-1 max-lg:flex-col">
        <main className="w-full min-w-0 flex-1 px-4 py-6 sm:px-6">
          {handing ? (
            <div className="grid gap-6">
              <Notice>This is how it is asked before you hand in. Here it leads back to the briefing.</Notice>
              <HandInCheck
                sections={ONE_PIECE}
                questions={states}
                noted={NOTHING}
                inTurn={false}
                busy={false}
                waiting={false}
                onGo={go}
                onBack={() => setHanding(false)}
                onHandIn={() => void navigate(back)}
              />
            </div>
          ) : (
            <article className="grid gap-4" aria-labelledby="question">
              <QuestionHeading
                most={null}
                heading={heading}
                position={current}
                questions={states}
                marks={question.marks}
                penalty={question.penalty}
                topic={undefined}
                inTurn={false}
                only={only}
                onOnly={setOnly}
                onGo={go}
                timeOf={null}
                checking={null}
              />
              <QuestionCard
                key={current}
                question={question}
                state={state}
                store={store}
                asksSureness={briefing.asksSureness}
                reading={false}
                tutor={false}
              />
            </article>
          )}
        </main>
        {!handing && (
          <KitPanel kit={kit} open={open} tools={TOOLS}>
            {(tool) => (
              <KitTool
                tool={tool}
                bench={{
                  sitting: 'try-out',
                  exam: briefing.exam,
                  position: current,
                  onUse: null,
                  noteAsked,
                  filled: 0,
                  page: null,
                  look,
                  onLook: (next) => (applyLook(next), setLook(next)),
                  onShortcuts: () => undefined,
                  along: null,
                }}
              />
            )}
          </KitPanel>
        )}
      </div>
      {!handing && (
        <SittingFooter
          next={null}
          state={state}
          ways={waysFrom(states, current, only)}
          onAll={() => setOnly('all')}
          inTurn={false}
          tutor={false}
          reading={false}
          onGo={go}
          onFlag={(flagged) => change(current, { flagged })}
          onCheck={() => undefined}
          onShow={() => undefined}
          onHandIn={() => setHanding(true)}
        />
      )}
    </div>
  );
}

function untouched(position: number): QuestionState {
  return {
    position,
    response: null,
    flagged: false,
    struck: [],
    sureness: null,
    seen: position === 0,
    checked: false,
    locked: false,
    closed: false,
    outcome: null,
    tries: [],
    activeMs: 0,
  };
}
