import { useQuery } from '@tanstack/react-query';
import { Link } from 'react-router';
import type { View } from '../../api/client';
import { insight } from '../../api/queries';
import { Failure } from '../../ui/Failure';
import { Figure } from '../../ui/Figure';
import { Loading } from '../../ui/Loading';
import { Table } from '../../ui/Table';
import { count } from '../../ui/words';

const SURENESS = { sure: 'Sure', leaning: 'Leaning', guess: 'Guess' };
const LEANING = { over_confident: 'Surer than right', under_confident: 'More right than sure', neither: '' };

/** The sentences at the head of a result. */
export function Headline({ sitting }: { sitting: string }) {
  const page = useQuery(insight(sitting));
  if (page.isPending) return <Loading what="Reading your answers" />;
  if (page.isError) return <Failure error={page.error} retry={() => void page.refetch()} />;
  const { opening, facts } = page.data;
  return (
    <section aria-label="In short" className="max-w-[75ch] border-l-4 border-accent pl-4 text-lg">
      <p className="font-bold">{opening}</p>
      {facts.map((fact) => (
        <p key={fact}>{fact}</p>
      ))}
    </section>
  );
}

/** How sureness, time, second thoughts and ruling out turned out. Says nothing where nothing was recorded. */
export function Insight({ sitting }: { sitting: string }) {
  const { data } = useQuery(insight(sitting));
  if (!data) return null;
  const stated = data.levels.reduce((sum, { n }) => sum + n, 0);
  return (
    <section aria-labelledby="insight" className="grid gap-4">
      <h2 id="insight" className="text-lg font-bold">
        How you went about it
      </h2>
      <div className="grid items-start gap-4 lg:grid-cols-2">
        {stated > 0 ? (
          <Figure
            title="How sure you were, and how often right"
            evidence={`Based on ${count(stated, 'answer')} for which you said how sure you were.${stated < 20 ? ' Too few to say much yet.' : ''}`}
          >
            <Levels levels={data.levels} />
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
          {stated > 0 && <Footing footing={data.footing} />}
          <Habits data={data} sitting={sitting} />
        </div>
      </div>
    </section>
  );
}

function Levels({ levels }: { levels: View<'SurenessLevel'>[] }) {
  const percent = (share: number) => `${Math.round(100 * share)} %`;
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

function Habits({ data, sitting }: { data: View<'Insight'>; sitting: string }) {
  const { changes, striking, slowest } = data;
  const changed = changes.wrongToRight + changes.rightToWrong + changes.wrongToWrong;
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
            : `Changed answers: ${changes.wrongToRight} from wrong to right, ${changes.rightToWrong} from right to wrong, ${changes.wrongToWrong} from wrong to wrong.`}
        </li>
        {striking.questions > 0 && (
          <li>
            You ruled options out in {count(striking.questions, 'question')}; the right one was among them in{' '}
            {striking.keyStruck}.
            {striking.accuracyNarrowed !== null &&
              ` Down to two, you were right in ${Math.round(100 * striking.accuracyNarrowed)} % of ${striking.narrowedToTwo}.`}
          </li>
        )}
      </ul>
    </Figure>
  );
}
