import { Link } from 'react-router';
import type { View } from '../../api/client';
import { Figure } from '../../ui/Figure';
import { Table } from '../../ui/Table';
import { count, percent } from '../../ui/words';

const SURENESS = { sure: 'Sure', leaning: 'Leaning', guess: 'Guess' };
const LEANING = { over_confident: 'Surer than right', under_confident: 'More right than sure', neither: '' };

/** How sureness, time, second thoughts and ruling out turned out. */
export function Habits({ result }: { result: View<'Result'> }) {
  const stated = result.levels.reduce((sum, { n }) => sum + n, 0);
  return (
    <section aria-labelledby="habits" className="grid gap-4">
      <h2 id="habits" className="text-lg font-bold">
        How you went about it
      </h2>
      <div className="grid items-start gap-4 lg:grid-cols-2">
        {stated > 0 ? (
          <Figure
            title="How sure you were, and how often right"
            evidence={`Based on ${count(stated, 'answer')} for which you said how sure you were.${result.habits.surenessThin ? ' Too few to say much yet.' : ''}`}
          >
            <Levels levels={result.levels} />
          </Figure>
        ) : (
          <Figure title="How sure you were">
            <p>
              You did not say how sure you were. Doing so during a test shows where you guess, and where you are sure
              and wrong.
            </p>
          </Figure>
        )}
        <div className="grid gap-4">
          {stated > 0 && <Footing footing={result.footing} />}
          <TimeAndChanges habits={result.habits} sitting={result.sitting} />
        </div>
      </div>
    </section>
  );
}

function Levels({ levels }: { levels: View<'SurenessLevel'>[] }) {
  return (
    <Table
      caption="Sureness against outcome"
      head={
        <tr>
          <th scope="col">You said</th>
          <th scope="col">Answers</th>
          <th scope="col">Right</th>
          <th scope="col">Likely between</th>
        </tr>
      }
    >
      {levels
        .filter(({ n }) => n > 0)
        .map((level) => (
          <tr key={level.sureness}>
            <th scope="row" className="border-t border-base-300 font-normal">
              {SURENESS[level.sureness]}
            </th>
            <td>{level.n}</td>
            <td>{percent(level.accuracy ?? 0)}</td>
            <td>
              {percent(level.low)} and {percent(level.high)}
              {LEANING[level.leaning] && <span className="block font-bold">{LEANING[level.leaning]}</span>}
            </td>
          </tr>
        ))}
    </Table>
  );
}

function Footing({ footing }: { footing: View<'Footing'> }) {
  const places: [string, string, number][] = [
    ['Firm', 'sure and right', footing.firm],
    ['False footing', 'sure and wrong', footing.falseFooting],
    ['Lucky step', 'a guess and right', footing.luckyStep],
    ['Open ground', 'a guess and wrong', footing.openGround],
  ];
  return (
    <Figure title="Footing">
      <dl className="grid grid-cols-2 gap-3">
        {places.map(([name, meaning, n]) => (
          <div key={name}>
            <dt>
              <strong>{name}</strong> <span className="text-sm text-base-content/75">{meaning}</span>
            </dt>
            <dd className="text-xl font-bold">{n}</dd>
          </div>
        ))}
      </dl>
    </Figure>
  );
}

function TimeAndChanges({ habits, sitting }: { habits: View<'Habits'>; sitting: string }) {
  const { slowest, wrongToRight, rightToWrong, wrongToWrong } = habits;
  const changed = wrongToRight + rightToWrong + wrongToWrong;
  return (
    <Figure title="Time, second thoughts, ruling out">
      <ul className="grid list-disc gap-1 pl-5">
        {slowest.length > 0 && (
          <li>
            Longest on screen: question{' '}
            {slowest.map((position, i) => (
              <span key={position}>
                {i > 0 && ', '}
                <Link to={`/review/${sitting}/${position + 1}`}>{position + 1}</Link>
              </span>
            ))}
            .
          </li>
        )}
        <li>
          {changed === 0
            ? 'No answer changed between right and wrong.'
            : `Changed answers: ${wrongToRight} from wrong to right, ${rightToWrong} from right to wrong, ${wrongToWrong} from wrong to wrong.`}
        </li>
        {habits.ruledOut > 0 && (
          <li>
            You ruled options out in {count(habits.ruledOut, 'question')}; the right one was among them in{' '}
            {habits.keyRuledOut}.
            {habits.accuracyNarrowed !== null &&
              ` Down to two, you were right in ${percent(habits.accuracyNarrowed)} of ${habits.narrowedToTwo}.`}
          </li>
        )}
        {habits.rapidGuesses > 0 && (
          <li>{count(habits.rapidGuesses, 'answer')} came faster than the question can be read.</li>
        )}
      </ul>
    </Figure>
  );
}
