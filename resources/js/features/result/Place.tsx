import { useMutation, useQueryClient } from '@tanstack/react-query';
import { scaleLinear } from 'd3-scale';
import { Link } from 'react-router';
import { api, ask, type View } from '../../api/client';
import { result as resultOf } from '../../api/queries';
import { Figure } from '../../ui/Figure';
import { Table } from '../../ui/Table';
import { Tick } from '../../ui/Tick';
import { useWidth } from '../../ui/useWidth';
import { count, dayTime, duration, percent } from '../../ui/words';

/** Where one stands: among the cohort, among one’s own attempts, among those who share the test. */
export function Place({ result }: { result: View<'Result'> }) {
  const { place, sitting } = result;
  const { cohort, questions, attempts, agrees } = place;
  if (!cohort && !questions && attempts.length < 2 && agrees === null) return null;
  return (
    <section aria-labelledby="place" className="grid gap-4">
      <div>
        <h2 id="place" className="text-lg font-bold">
          Beside others, and beside yourself
        </h2>
        <p className="max-w-[75ch] text-base-content/75">{sentence(result)}</p>
      </div>
      <div className="grid items-start gap-4 lg:grid-cols-2">
        {cohort && cohort.steps.length > 0 && <Distribution cohort={cohort} cut={Number(result.cut) / 100} />}
        {questions && (
          <Figure
            title="The very same questions"
            evidence={`On ${count(questions.questions, 'question')} that at least 20 others met first. Rapid guesses and sittings that were broken off are left out.`}
          >
            <Pair mine={questions.mine} cohort={questions.cohort} />
          </Figure>
        )}
        {attempts.length > 1 && (
          <Figure title="Your attempts at this test">
            <Attempts attempts={attempts} sitting={sitting} />
          </Figure>
        )}
        {agrees !== null && <Group result={result} agrees={agrees} />}
      </div>
    </section>
  );
}

function sentence({ place: { cohort, questions }, counts }: View<'Result'>): string {
  if (cohort && cohort.percentile !== null) {
    return `Of ${cohort.n} others who ${cohort.ofExam ? 'sat a whole paper or rehearsal of this exam' : 'sat this test'}, about ${Math.round(100 * cohort.percentile)} in a hundred came out below you.${cohort.leftOut > 0 ? ` ${cohort.leftOut} more did not answer enough to be counted.` : ''}`;
  }
  if (cohort && cohort.n < cohort.fewest) {
    return `${cohort.n === 0 ? 'Nobody else has' : `Only ${count(cohort.n, 'other has', 'others have')}`} sat this test so far; a place is shown from ${cohort.fewest} on.`;
  }
  if (cohort && !counts)
    return 'You answered fewer than 80 % of the questions, so this sitting has no place among others.';
  return questions
    ? 'The test is your own, but others have met its questions.'
    : 'The test is your own, and too little is known yet of how others do on its questions.';
}

function Distribution({ cohort, cut }: { cohort: View<'CohortPlace'>; cut: number }) {
  const [box, width] = useWidth<HTMLDivElement>();
  const height = 190;
  const [left, right, top, bottom] = [10, 10, 34, 24];
  const x = scaleLinear([0, 1], [left, Math.max(left + 1, width - right)]);
  const y = scaleLinear([0, Math.max(...cohort.steps)], [height - bottom, top]);
  const each = 1 / cohort.steps.length;
  const steps = cohort.steps.map((n, i) => ({ n, from: x(i * each), to: x((i + 1) * each) }));
  const me = cohort.share === null ? null : x(Math.max(0, Math.min(1, cohort.share)));
  const near = me !== null && Math.abs(me - x(cut)) < 60;
  return (
    <Figure
      title="How others came out"
      evidence={`${count(cohort.n, 'other')}, each once with the latest sitting that counts${cohort.median === null ? '' : `; half of them got less than ${percent(cohort.median)}`}.`}
    >
      <div
        ref={box}
        className="text-[13px]"
        role="img"
        aria-label={`Shares of marks of ${cohort.n} others, from 0 to 100 %${cohort.share === null ? '' : `; yours is ${percent(cohort.share)}`}; the cut is ${percent(cut)}.`}
      >
        {width > 0 && (
          <svg
            width={width}
            height={height}
            viewBox={`0 0 ${width} ${height}`}
            aria-hidden="true"
            fill="currentColor"
            className="h-auto max-w-full"
          >
            {steps.map(({ n, from, to }) => (
              <rect
                key={from}
                x={from + 0.5}
                width={Math.max(0, to - from - 1)}
                y={y(n)}
                height={y(0) - y(n)}
                className="fill-base-content/25"
              />
            ))}
            <line x1={left} x2={width - right} y1={y(0)} y2={y(0)} className="stroke-base-content/60" />
            {[0, 0.25, 0.5, 0.75, 1].map((tick) => (
              <text
                key={tick}
                x={x(tick)}
                y={height - 6}
                textAnchor={tick === 0 ? 'start' : tick === 1 ? 'end' : 'middle'}
              >
                {percent(tick)}
              </text>
            ))}
            <line
              x1={x(cut)}
              x2={x(cut)}
              y1={top - 6}
              y2={y(0)}
              className="stroke-error"
              strokeWidth="2"
              strokeDasharray="5 4"
            />
            <text x={x(cut)} y={near ? 12 : top - 12} textAnchor="middle" className="font-bold">
              cut {percent(cut)}
            </text>
            {me !== null && (
              <>
                <line x1={me} x2={me} y1={top - 6} y2={y(0)} className="stroke-primary" strokeWidth="3" />
                <text
                  x={Math.max(left + 20, Math.min(width - right - 20, me))}
                  y={top - 12}
                  dy={near ? 4 : 0}
                  textAnchor="middle"
                  className="fill-primary font-bold"
                >
                  you
                </text>
              </>
            )}
          </svg>
        )}
      </div>
      <details>
        <summary className="min-h-11 cursor-pointer content-center text-primary underline underline-offset-4 pointer-fine:min-h-9">
          As a table
        </summary>
        <Table
          caption="How others came out"
          tight
          head={
            <tr>
              <th scope="col">Share of marks</th>
              <th scope="col">Others</th>
            </tr>
          }
        >
          {cohort.steps.map((n, i) => (
            <tr key={i}>
              <th scope="row" className="font-normal">
                {percent(i * each)} to {percent((i + 1) * each)}
              </th>
              <td>{n}</td>
            </tr>
          ))}
        </Table>
      </details>
    </Figure>
  );
}

function Pair({ mine, cohort }: { mine: number; cohort: number }) {
  return (
    <ul className="grid gap-1">
      {(
        [
          ['You', mine, 'bg-primary/50'],
          ['Others', cohort, 'bg-base-content/25'],
        ] as const
      ).map(([name, share, look]) => (
        <li key={name} className="grid grid-cols-[4.5rem_minmax(0,1fr)_3.5rem] items-center gap-2">
          <span>{name}</span>
          <span aria-hidden="true" className="relative block h-4 bg-base-content/8">
            <span className={`absolute inset-y-0 left-0 ${look}`} style={{ width: `${100 * share}%` }} />
          </span>
          <span className="text-right font-bold tabular-nums">{percent(share)}</span>
        </li>
      ))}
    </ul>
  );
}

function Attempts({ attempts, sitting }: { attempts: readonly View<'Attempt'>[]; sitting: string }) {
  return (
    <Table
      caption="Attempts"
      tight
      head={
        <tr>
          <th scope="col">Handed in</th>
          <th scope="col">Share</th>
          <th scope="col">Answered</th>
          <th scope="col">Time</th>
        </tr>
      }
    >
      {attempts.map((one) => (
        <tr key={one.sitting}>
          <th scope="row" className="font-normal">
            {one.sitting === sitting ? (
              <strong>{dayTime(one.endedAt)}, this one</strong>
            ) : (
              <Link
                to={`/result/${one.sitting}`}
                className="inline-flex min-h-11 items-center text-primary underline underline-offset-4 pointer-fine:min-h-7"
              >
                {dayTime(one.endedAt)}
              </Link>
            )}
          </th>
          <td>{one.share === null ? '–' : percent(one.share)}</td>
          <td>
            {one.answered} of {one.questions}
          </td>
          <td>{duration(one.activeMs)}</td>
        </tr>
      ))}
    </Table>
  );
}

/** Those who share the test. Each is seen only with their word, and only by those who have given theirs. */
function Group({ result, agrees }: { result: View<'Result'>; agrees: boolean }) {
  const { sitting, place } = result;
  const known = useQueryClient();
  const agreeing = useMutation({
    mutationFn: (yes: boolean) =>
      ask(api.PUT('/api/sittings/{sitting}/comparison', { params: { path: { sitting } }, body: { agrees: yes } })),
    onSuccess: () => known.invalidateQueries({ queryKey: resultOf(sitting).queryKey }),
  });
  return (
    <Figure title="Those who share this test">
      <Tick on={agrees} disabled={agreeing.isPending} onChange={(yes) => agreeing.mutate(yes)}>
        Compare me with the others who agree to it
      </Tick>
      {agreeing.isError && (
        <p role="alert" className="text-error">
          {agreeing.error.message}
        </p>
      )}
      {agrees ? (
        <Table
          caption="Those who share this test"
          tight
          head={
            <tr>
              <th scope="col">Who</th>
              <th scope="col">Share</th>
              <th scope="col">Answered</th>
            </tr>
          }
        >
          {place.members.map((member, i) => (
            <tr key={i}>
              <th scope="row" className={member.mine ? '' : 'font-normal'}>
                {member.mine ? 'You' : member.name}
              </th>
              <td>{member.share === null ? '–' : percent(member.share)}</td>
              <td>
                {member.answered} of {member.questions}
              </td>
            </tr>
          ))}
        </Table>
      ) : (
        <p className="text-base-content/75">Others see your name and share, and you theirs, only where both agree.</p>
      )}
    </Figure>
  );
}
