import { scaleLinear, scaleSqrt } from 'd3-scale';
import { line } from 'd3-shape';
import type { View } from '../../api/client';
import { Figure } from '../../ui/Figure';
import { OutcomeMark } from '../../ui/Outcome';
import { Picture } from '../../ui/Picture';
import { ShareBar } from '../../ui/ShareBar';
import { duration, percent } from '../../ui/words';
import type { Line } from './lines';
import { positionsOf, QuestionLinks } from './QuestionLinks';

/** Of fewer questions neither a pace nor quarters say anything. */
const FEW = 4;

/** Where the time went: every question over the test’s course, the pace, the slowest, the quick misses, the quarters. */
export function TimeCourse({ result }: { result: View<'Result'> }) {
  const { questions, course, sitting } = result;
  const seen = questions.filter(({ outcome }) => outcome !== 'not_reached');
  if (seen.length === 0) return null;
  const fast = positionsOf(questions, ({ tempo, outcome }) => tempo === 'fast' && outcome === 'missed');
  const slow = positionsOf(questions, ({ tempo, outcome }) => tempo === 'slow' && outcome === 'missed');
  const known = seen.some(({ cohortMs }) => cohortMs !== null);
  const facts: [string, readonly number[]][] = [
    ['Longest on screen', course.slowest],
    ['Fast and missed', fast],
    ['Slow and missed', slow],
  ];
  return (
    <section aria-labelledby="time" className="grid gap-4">
      <div>
        <h2 id="time" className="text-lg font-bold">
          Time
        </h2>
        <p className="max-w-[75ch] text-base-content/75">{paceInWords(result)}</p>
      </div>
      <Figure
        title="Every question over the test’s course"
        evidence={
          known
            ? 'Shapes: the outcome, at the height of your time. Short lines: the time that half of the others need. Fast and slow are meant for you: under two thirds of what you usually take beside the others, or over one and a half times.'
            : 'Shapes: the outcome, at the height of your time. How long others need is not known of these questions yet.'
        }
      >
        <Picture height={MARKS_HIGH} told={told(seen)}>
          {(width) => <Marks width={width} lines={seen} questions={questions.length} slowest={course.slowest} />}
        </Picture>
        <Legend lines={seen} />
      </Figure>
      <div className="grid items-start gap-4 lg:grid-cols-[minmax(0,1.4fr)_minmax(0,1fr)]">
        {seen.length >= FEW && (
          <Figure title={course.aheadMs === null ? 'Your pace' : 'Your pace against the plan'}>
            <Picture height={PACE_HIGH} told={paceTold(course)}>
              {(width) => <PaceLines width={width} course={course} />}
            </Picture>
          </Figure>
        )}
        <div className="grid gap-4">
          {questions.length >= FEW && course.quarters.length > 0 && (
            <Figure title="Right, by quarter of the test">
              <Quarters course={course} />
            </Figure>
          )}
          <dl className="grid gap-x-4 gap-y-1">
            {facts
              .filter(([, positions]) => positions.length > 0)
              .map(([name, positions]) => (
                <div key={name} className="flex flex-wrap items-center gap-x-3">
                  <dt>{name}:</dt>
                  <dd>
                    <QuestionLinks sitting={sitting} positions={positions} most={12} />
                  </dd>
                </div>
              ))}
          </dl>
        </div>
      </div>
    </section>
  );
}

function paceInWords({ course, tally: { answered, questions } }: View<'Result'>): string {
  const { aheadMs, fades, quarters, asLong } = course;
  const pace =
    aheadMs === null
      ? 'No clock set a pace.'
      : Math.abs(aheadMs) < 30_000
        ? 'You kept to the plan.'
        : `With the ${answered} of ${questions} you answered you were ${duration(Math.abs(aheadMs))} ${aheadMs > 0 ? 'ahead of' : 'behind'} the plan.`;
  const [first, last] = [quarters[0], quarters[3]];
  const fading =
    fades && typeof first === 'number' && typeof last === 'number'
      ? `Towards the end less came right: ${percent(first)} in the first quarter, ${percent(last)} in the last.`
      : '';
  return [pace, asLong === null ? '' : tempoInWords(asLong), fading].filter(Boolean).join(' ');
}

/** @param asLong how many times as long as others the answers took */
function tempoInWords(asLong: number): string {
  const times = asLong.toFixed(1).replace(/\.0$/, '');
  return asLong > 1
    ? `Over the whole you took about ${times} times as long as others.`
    : `Over the whole you took about ${percent(asLong)} of the time that others take.`;
}

const MARKS_HIGH = 230;
const PACE_HIGH = 190;

const TICKS = [0, 10_000, 30_000, 60_000, 120_000, 300_000, 600_000, 1_200_000, 3_600_000];

function Marks(props: { width: number; lines: readonly Line[]; questions: number; slowest: readonly number[] }) {
  const { width, lines, questions, slowest } = props;
  const height = MARKS_HIGH;
  const [left, right, top, bottom] = [52, 14, 16, 24];
  const most = Math.max(30_000, ...lines.map(({ activeMs, cohortMs }) => Math.max(activeMs, cohortMs ?? 0)));
  const x = scaleLinear([0, Math.max(1, questions - 1)], [left + 8, Math.max(left + 9, width - right)]);
  // Roots: between ten seconds and half a minute there is as much to see as between five minutes and ten.
  const y = scaleSqrt([0, most], [height - bottom, top]);
  const step = Math.max(1, Math.ceil(questions / Math.max(1, Math.floor(width / 60)) / 5) * 5);
  const room = (width - left - right) / Math.max(1, questions);
  const size = Math.max(6, Math.min(16, room * 0.9));
  return (
    <>
      {TICKS.filter((tick) => tick <= most).map((tick) => (
        <g key={tick}>
          <line x1={left} x2={width - right} y1={y(tick)} y2={y(tick)} className="stroke-base-300" />
          <text x={left - 6} y={y(tick) + 4} textAnchor="end">
            {tick === 0 ? '0' : duration(tick)}
          </text>
        </g>
      ))}
      {Array.from({ length: Math.ceil(questions / step) }, (_, i) => (i === 0 ? 1 : i * step)).map((question) => (
        <text key={question} x={x(question - 1)} y={height - 6} textAnchor="middle">
          {question}
        </text>
      ))}
      {lines.map(({ position, cohortMs }) =>
        cohortMs === null ? null : (
          <line
            key={position}
            x1={x(position) - size / 2 - 1}
            x2={x(position) + size / 2 + 1}
            y1={y(cohortMs)}
            y2={y(cohortMs)}
            className="stroke-base-content"
            strokeWidth="2"
          />
        ),
      )}
      {lines.map(({ position, outcome, activeMs }) => (
        <OutcomeMark
          key={position}
          outcome={outcome}
          size={size}
          at={{ x: x(position), y: y(Math.min(activeMs, most)) }}
        />
      ))}
      {slowest.map((position) => {
        const one = lines.find((line) => line.position === position);
        return (
          one && (
            <text
              key={position}
              x={x(position) + (x(position) > width - 40 ? -size / 2 - 3 : size / 2 + 3)}
              y={y(one.activeMs) + 4}
              textAnchor={x(position) > width - 40 ? 'end' : 'start'}
              className="fill-base-content stroke-base-100 font-bold"
              strokeWidth="3"
              paintOrder="stroke"
            >
              {position + 1}
            </text>
          )
        );
      })}
    </>
  );
}

function paceTold({ legs }: View<'Course'>): string {
  const end = legs.at(-1);
  return end
    ? `After question ${end.position + 1} you had spent ${duration(end.spentMs)}${end.plannedMs === null ? '' : `; the plan gave ${duration(end.plannedMs)}`}.`
    : '';
}

function told(lines: readonly Line[]): string {
  const times = lines.map(({ activeMs }) => activeMs).sort((one, other) => one - other);
  const median = times[Math.floor(times.length / 2)] ?? 0;
  return `${lines.length} questions, half of them in less than ${duration(median)}, the longest ${duration(times.at(-1) ?? 0)}. The table of all questions below has each time.`;
}

const WORDS = { right: 'right', partly: 'partly', missed: 'missed', left_blank: 'left blank', pending: 'to be marked' };

function Legend({ lines }: { lines: readonly Line[] }) {
  const kinds = (Object.keys(WORDS) as (keyof typeof WORDS)[]).filter((outcome) =>
    lines.some((line) => line.outcome === outcome),
  );
  return (
    <ul className="flex flex-wrap gap-x-4 text-sm">
      {kinds.map((outcome) => (
        <li key={outcome} className="flex items-center gap-1.5">
          <OutcomeMark outcome={outcome} size={14} /> {WORDS[outcome]}
        </li>
      ))}
    </ul>
  );
}

function PaceLines({ width, course }: { width: number; course: View<'Course'> }) {
  const { legs } = course;
  const height = PACE_HIGH;
  const [left, right, top, bottom] = [62, 76, 12, 24];
  const end = legs.at(-1);
  if (!end) return null;
  const most = Math.max(end.spentMs, end.plannedMs ?? 0, 60_000);
  const x = scaleLinear([0, end.position + 1], [left, Math.max(left + 1, width - right)]);
  const y = scaleLinear([0, most], [height - bottom, top]);
  const path = line<[number, number]>()
    .x(([question]) => x(question))
    .y(([, ms]) => y(ms));
  const spent: [number, number][] = [[0, 0], ...legs.map((leg): [number, number] => [leg.position + 1, leg.spentMs])];
  const planned = legs.flatMap((leg): [number, number][] =>
    leg.plannedMs === null ? [] : [[leg.position + 1, leg.plannedMs]],
  );
  const ends = { you: y(end.spentMs), plan: end.plannedMs === null ? null : y(end.plannedMs) };
  // Two names that would lie on each other move apart.
  const apart = ends.plan === null ? 0 : Math.max(0, 17 - Math.abs(ends.you - ends.plan)) / 2;
  const below = ends.plan !== null && ends.you > ends.plan ? apart : -apart;
  return (
    <>
      {y.ticks(4).map((tick) => (
        <line key={tick} x1={left} x2={width - right} y1={y(tick)} y2={y(tick)} className="stroke-base-300" />
      ))}
      {[0, most / 2, most].map((ms) => (
        <text key={ms} x={left - 6} y={y(ms) + 4} textAnchor="end">
          {ms === 0 ? '0' : `${Math.round(ms / 60_000)} min`}
        </text>
      ))}
      <text x={x(1)} y={height - 6}>
        question 1
      </text>
      <text x={x(end.position + 1)} y={height - 6} textAnchor="middle">
        {end.position + 1}
      </text>
      {planned.length > 0 && (
        <path
          d={path([[0, 0], ...planned]) ?? ''}
          fill="none"
          className="stroke-base-content/70"
          strokeWidth="2"
          strokeDasharray="6 4"
        />
      )}
      <path d={path(spent) ?? ''} fill="none" className="stroke-primary" strokeWidth="3" />
      <text x={width - right + 6} y={ends.you + 4 + below} className="fill-primary font-bold">
        you
      </text>
      {ends.plan !== null && (
        <text x={width - right + 6} y={ends.plan + 4 - below}>
          the plan
        </text>
      )}
    </>
  );
}

function Quarters({ course }: { course: View<'Course'> }) {
  const names = ['First', 'Second', 'Third', 'Last'];
  return (
    <ul className="grid gap-1">
      {course.quarters.map((share, i) => (
        <ShareBar key={i} name={names[i] ?? ''} share={share} />
      ))}
    </ul>
  );
}
