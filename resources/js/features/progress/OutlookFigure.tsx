import { scaleLinear } from 'd3-scale';
import { area, line } from 'd3-shape';
import type { View } from '../../api/client';
import { Figure } from '../../ui/Figure';
import { AsTable } from '../../ui/Fold';
import { Picture } from '../../ui/Picture';
import { Table } from '../../ui/Table';
import { count, percent } from '../../ui/words';

const DAY = 86_400_000;
const CURVE_HIGH = 110;

/** The chance of passing today, its course, and what would move it most. */
export function OutlookFigure({ progress }: { progress: View<'Progress'> }) {
  const { outlook, outlooks, topics, responses } = progress;
  if (!outlook) {
    return (
      <Figure title="Pass outlook">
        <p>{missing(progress)}</p>
      </Figure>
    );
  }
  const levers = topics
    .filter(({ lever }) => (lever ?? 0) >= 0.005)
    .sort((one, other) => (other.lever ?? 0) - (one.lever ?? 0))
    .slice(0, 3);
  return (
    <Figure
      title="Pass outlook"
      evidence={`Rests on ${count(responses, 'answer')} to questions met for the first time or long ago. ${Math.round(outlook.expected)} of ${outlook.questions} expected right; ${outlook.needed} pass.`}
    >
      <p className="text-4xl font-bold">
        {percent(outlook.chance)}
        <span className="text-lg font-normal">
          {' '}
          {percent(outlook.low)} to {percent(outlook.high)}
        </span>
      </p>
      <p>{moved(outlooks)}</p>
      {outlooks.length > 1 && (
        <Picture height={CURVE_HIGH} told={`The outlook on ${outlooks.length} days; the table below has each.`}>
          {(width) => <Curve width={width} days={outlooks} />}
        </Picture>
      )}
      {levers.length > 0 && (
        <>
          <p className="mt-2">What would move it most:</p>
          <dl>
            {levers.map(({ code, name, lever }) => (
              <div key={code} className="flex justify-between gap-4">
                <dt>{name} to the target</dt>
                <dd className="font-bold whitespace-nowrap">+{Math.round(100 * (lever ?? 0))} points</dd>
              </div>
            ))}
          </dl>
        </>
      )}
      {outlooks.length > 1 && (
        <AsTable>
          <Table
            caption="Pass outlook by day"
            tight
            head={
              <tr>
                <th scope="col">Day</th>
                <th scope="col">Chance</th>
                <th scope="col">Range</th>
                <th scope="col">Answers</th>
              </tr>
            }
          >
            {outlooks.map((day) => (
              <tr key={day.date}>
                <th scope="row" className="font-normal whitespace-nowrap">
                  {day.date}
                </th>
                <td>{percent(day.chance)}</td>
                <td className="whitespace-nowrap">
                  {percent(day.low)} to {percent(day.high)}
                </td>
                <td>{day.responses}</td>
              </tr>
            ))}
          </Table>
        </AsTable>
      )}
    </Figure>
  );
}

/** What is missing before an outlook can be told. */
export function missing(of: Pick<View<'Progress'>, 'responsesMissing' | 'untouched'>): string {
  const parts = [
    of.responsesMissing > 0 && `${count(of.responsesMissing, 'more question')} met for the first time`,
    of.untouched.length > 0 && `questions of ${of.untouched.slice(0, 2).join(' and ')}`,
  ].filter(Boolean);
  return parts.length === 0
    ? 'The bank does not hold questions of every topic, so no outlook can be told.'
    : `Too early to tell. Still wanted: ${parts.join(', and ')}.`;
}

function moved(days: readonly View<'OutlookDay'>[]): string {
  const [first, last] = [days[0], days.at(-1)];
  if (!first || !last || first === last) return 'The first estimate; it moves as you answer more.';
  const change = Math.round(100 * last.chance) - Math.round(100 * first.chance);
  const since = Math.round((Date.parse(last.date) - Date.parse(first.date)) / DAY);
  const ago = since < 14 ? count(since, 'day') : `${Math.round(since / 7)} weeks`;
  if (change === 0) return `As ${ago} ago.`;
  return `${change > 0 ? 'Up' : 'Down'} from ${percent(first.chance)} ${ago} ago.`;
}

function Curve({ width, days }: { width: number; days: readonly View<'OutlookDay'>[] }) {
  const times = days.map(({ date }) => Date.parse(date));
  const x = scaleLinear([times[0] ?? 0, times.at(-1) ?? 1], [6, Math.max(7, width - 10)]);
  const y = scaleLinear([0, 1], [CURVE_HIGH - 14, 8]);
  const at = (_: View<'OutlookDay'>, i: number) => x(times[i] ?? 0);
  const band = area<View<'OutlookDay'>>()
    .x(at)
    .y0(({ low }) => y(low))
    .y1(({ high }) => y(high));
  const curve = line<View<'OutlookDay'>>()
    .x(at)
    .y(({ chance }) => y(chance));
  const last = days.at(-1);
  return (
    <>
      <line x1="0" x2={width} y1={y(0)} y2={y(0)} className="stroke-base-300" />
      <line x1="0" x2={width} y1={y(1)} y2={y(1)} className="stroke-base-300" />
      <path d={band([...days]) ?? ''} className="fill-primary/20" />
      <path d={curve([...days]) ?? ''} fill="none" className="stroke-primary" strokeWidth="2.5" />
      {last && <circle cx={x(times.at(-1) ?? 0)} cy={y(last.chance)} r="5" className="fill-primary" />}
    </>
  );
}
