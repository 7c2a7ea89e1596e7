import type { View } from '../../api/client';
import { count, percent } from '../../ui/words';
import { positionsOf, QuestionLinks } from './QuestionLinks';

const WAYS = [
  ['to_right', 'from wrong to right', '↗'],
  ['to_wrong', 'from right to wrong', '↘'],
  ['still_wrong', 'from wrong to wrong', '→'],
] as const;

/** What changing answers did, and what ruling options out did. */
export function SecondThoughts({ result }: { result: View<'Result'> }) {
  const { questions, habits, sitting } = result;
  const net = habits.wrongToRight - habits.rightToWrong;
  const changed = questions.some(({ change }) => change !== null);
  return (
    <section aria-labelledby="changes" className="grid gap-6 lg:grid-cols-2">
      <div>
        <h2 id="changes" className="text-lg font-bold">
          Second thoughts
        </h2>
        <p className="text-base-content/75">
          {!changed
            ? 'No answer changed between right and wrong.'
            : net > 0
              ? `Changing helped: ${count(net, 'question')} more came right than went wrong by it.`
              : net < 0
                ? `Changing cost more than it gave: ${count(-net, 'question')} more went wrong than came right by it.`
                : 'Changing neither helped nor harmed.'}
        </p>
        {changed && (
          <ul className="mt-2">
            {WAYS.map(([change, words, sign]) => {
              const positions = positionsOf(questions, (line) => line.change === change);
              return (
                <li
                  key={change}
                  className="grid grid-cols-[1.5rem_2.5rem_minmax(0,12rem)_minmax(0,1fr)] items-center border-t border-base-300 py-1"
                >
                  <span aria-hidden="true">{sign}</span>
                  <strong className="text-lg">{positions.length}</strong>
                  <span>{words}</span>
                  <QuestionLinks sitting={sitting} positions={positions} most={12} />
                </li>
              );
            })}
          </ul>
        )}
      </div>
      <div>
        <h2 className="text-lg font-bold">Ruling out</h2>
        {habits.ruledOut === 0 ? (
          <p className="text-base-content/75">
            You ruled no option out. Striking what cannot be leaves fewer to choose from, and shows how sure you are.
          </p>
        ) : (
          <ul className="grid gap-1">
            <li>
              You ruled options out in {count(habits.ruledOut, 'question')}; the right one was among them in{' '}
              <strong>{habits.keyRuledOut}</strong>
              {habits.keyRuledOut > 0 && (
                <>
                  : <QuestionLinks sitting={sitting} positions={positionsOf(questions, (line) => line.keyRuledOut)} />
                </>
              )}
            </li>
            {habits.accuracyNarrowed !== null && (
              <li>
                Down to two, you were right in <strong>{percent(habits.accuracyNarrowed)}</strong> of{' '}
                {habits.narrowedToTwo}
                {habits.narrowedToTwo < 10 && ', which is few'}; a coin would be in half.
              </li>
            )}
          </ul>
        )}
        {habits.rapidGuesses > 0 && (
          <p className="mt-2">
            {count(habits.rapidGuesses, 'answer')} came faster than the question can be read. They earn their marks and
            say nothing else:{' '}
            <QuestionLinks sitting={sitting} positions={positionsOf(questions, ({ rapid }) => rapid)} most={12} />
          </p>
        )}
      </div>
    </section>
  );
}
