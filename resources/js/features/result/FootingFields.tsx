import clsx from 'clsx';
import { Link } from 'react-router';
import type { View } from '../../api/client';
import { Figure } from '../../ui/Figure';
import { Fold } from '../../ui/Fold';
import { OutcomeMark } from '../../ui/Outcome';
import { count } from '../../ui/words';
import { Calibration } from './Calibration';
import { CauseField } from './CauseField';
import type { Line } from './lines';
import { positionsOf, QuestionLinks } from './QuestionLinks';

type FootingName = NonNullable<Line['footing']>;

/** In the order in which they are read: what was sure above, what was guessed below. */
const FIELDS: [FootingName, string, string][] = [
  ['firm', 'Firm', 'sure, and right'],
  ['false_footing', 'False footing', 'sure, and wrong'],
  ['lucky_step', 'Lucky step', 'a guess, and right'],
  ['open_ground', 'Open ground', 'a guess, and wrong'],
];

/** Sureness against outcome: four fields with their questions, what it says of one’s judgement, and causes to name. */
export function FootingFields({ result }: { result: View<'Result'> }) {
  const { questions, calibration, sitting } = result;
  const falseOnes = questions.filter(({ footing }) => footing === 'false_footing');
  return (
    <section aria-labelledby="footing" className="grid gap-4">
      <div>
        <h2 id="footing" className="text-lg font-bold">
          Footing
        </h2>
        <p className="max-w-[75ch] text-base-content/75">
          {calibration === null
            ? 'You did not say how sure you were. Doing so during a test shows where you guess, and where you are sure and wrong.'
            : falseOnes.length > 0
              ? `${count(falseOnes.length, 'answer was', 'answers were')} sure and wrong: what one never looks at again. Name what lay behind each.`
              : 'No answer was sure and wrong.'}
        </p>
      </div>
      {calibration !== null && (
        <>
          {falseOnes.length > 0 && <FalseFootings sitting={sitting} lines={falseOnes} />}
          <div className="grid items-start gap-4 lg:grid-cols-[minmax(0,1fr)_minmax(0,1fr)]">
            <Fields result={result} />
            <Calibration levels={result.levels} calibration={calibration} />
          </div>
        </>
      )}
    </section>
  );
}

function Fields({ result: { questions, sitting } }: { result: View<'Result'> }) {
  const leaning = questions.filter(({ sureness, rapid }) => sureness === 'leaning' && !rapid);
  const rapid = questions.filter((line) => line.rapid && line.sureness !== null).length;
  const right = leaning.filter(({ outcome }) => outcome === 'right').length;
  return (
    <Figure
      title="Sureness against outcome"
      evidence={[
        leaning.length > 0 &&
          `Leaning, which stands between: ${right} right, ${leaning.length - right} not. Partly right answers stand in no field.`,
        rapid > 0 &&
          `Left out, here and above: ${count(rapid, 'answer')} that came faster than the question can be read.`,
      ]
        .filter(Boolean)
        .join(' ')}
    >
      <div className="grid grid-cols-2 gap-px bg-base-300">
        {FIELDS.map(([footing, name, meaning]) => {
          const positions = positionsOf(questions, (line) => line.footing === footing);
          return (
            <div
              key={footing}
              className={clsx('min-h-24 p-3', footing === 'false_footing' ? 'bg-base-200' : 'bg-base-100')}
            >
              <p>
                <strong>{name}</strong> <span className="text-sm text-base-content/75">{meaning}</span>
              </p>
              <p className="text-2xl font-bold">{positions.length}</p>
              <p className="text-sm">
                <QuestionLinks sitting={sitting} positions={positions} most={16} />
              </p>
            </div>
          );
        })}
      </div>
    </Figure>
  );
}

function FalseFootings({ sitting, lines }: { sitting: string; lines: readonly Line[] }) {
  const most = 6;
  const row = (line: Line) => (
    <li
      key={line.position}
      className="grid items-center gap-x-4 border-t border-base-300 py-1 sm:grid-cols-[minmax(0,1fr)_auto]"
    >
      <Link
        to={`/review/${sitting}/${line.position + 1}?show=false_footing`}
        className="flex min-h-11 min-w-0 items-center gap-2 pointer-fine:min-h-9"
      >
        <OutcomeMark outcome={line.outcome} />
        <span className="shrink-0 font-bold tabular-nums">{line.position + 1}</span>
        <span className="truncate underline-offset-4 hover:underline">{line.excerpt}</span>
      </Link>
      <CauseField sitting={sitting} line={line} />
    </li>
  );
  return (
    <div>
      <ul className="border-b border-base-300">{lines.slice(0, most).map(row)}</ul>
      {lines.length > most && (
        <Fold title={`${lines.length - most} more`}>
          <ul className="border-b border-base-300">{lines.slice(most).map(row)}</ul>
        </Fold>
      )}
    </div>
  );
}
