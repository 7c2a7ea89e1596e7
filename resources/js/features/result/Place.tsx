import { Link } from 'react-router';
import { api, ask, type View } from '../../api/client';
import { result as resultOf } from '../../api/queries';
import { Figure } from '../../ui/Figure';
import { Table } from '../../ui/Table';
import { Tick } from '../../ui/Tick';
import { useKeptTick } from '../../ui/useKeptTick';
import { ShareBar } from '../../ui/ShareBar';
import { count, dayTime, duration, percent } from '../../ui/words';
import { Distribution } from './Distribution';

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
            evidence={`On ${count(questions.questions, 'question')} that at least 20 others met first${questions.answered < questions.questions ? `; you answered ${questions.answered}, and what was left blank counts as nothing` : ''}. Of the others, rapid guesses and sittings that were broken off are left out.`}
          >
            <ul className="grid gap-1">
              <ShareBar name="You" share={questions.mine} />
              <ShareBar name="Others" share={questions.cohort} others />
            </ul>
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
          <th scope="col">
            <span className="sr-only">What to do with it</span>
          </th>
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
          <td>
            {one.sitting !== sitting && (
              <Link
                to={`/against/${sitting}/${one.sitting}`}
                className="inline-flex min-h-11 items-center text-primary underline underline-offset-4 pointer-fine:min-h-7"
              >
                Compare
              </Link>
            )}
          </td>
        </tr>
      ))}
    </Table>
  );
}

/** Those who share the test. Each is seen only with their word, and only by those who have given theirs. */
function Group({ result, agrees }: { result: View<'Result'>; agrees: boolean }) {
  const { sitting, place } = result;
  const agreeing = useKeptTick(
    agrees,
    (yes) =>
      ask(api.PUT('/api/sittings/{sitting}/comparison', { params: { path: { sitting } }, body: { agrees: yes } })),
    { meta: { invalidates: [resultOf(sitting).queryKey] } },
  );
  return (
    <Figure title="Those who share this test">
      <Tick {...agreeing.box}>Compare me with the others who agree to it</Tick>
      {agreeing.error && (
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
