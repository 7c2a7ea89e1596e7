import clsx from 'clsx';
import { scaleLinear } from 'd3-scale';
import type { View } from '../../api/client';
import { Figure } from '../../ui/Figure';
import { AsTable } from '../../ui/Fold';
import { Picture } from '../../ui/Picture';
import { Table } from '../../ui/Table';
import { points } from '../../ui/points';
import { count } from '../../ui/words';
import { whenWell } from './whenWell';

type Spell = View<'Spell'>;

const HIGH = 130;
/** Answers lie within so many points of what was expected, or are drawn at the edge. */
const MOST = 0.5;

/** Answers against what was expected of them, by hour of the day and minute of the session. */
export function DoingWell({ progress: { hours, minutes } }: { progress: View<'Progress'> }) {
  if (hours.length === 0) return null;
  return (
    <Figure
      title="When you do well"
      evidence="How often you were right, less what your mastery let expect of those very questions, with its range of 95 %. Called only on twenty answers and more, where that leaves out nothing at all."
    >
      <p className="mb-2">{whenWell(hours, minutes)}</p>
      <Strip spells={hours} from={0} to={24} step={1} unit="By hour of the day" name={clockHour} every={6} />
      <Strip spells={minutes} from={0} to={130} step={10} unit="By minute of the session" name={minute} every={30} />
      <AsTable>
        <Table
          caption="When you do well"
          tight
          head={
            <tr>
              <th scope="col">When</th>
              <th scope="col">Better by</th>
              <th scope="col">Likely</th>
              <th scope="col">Answers</th>
            </tr>
          }
        >
          {[
            ...hours.map((spell) => [`${clockHour(spell.from)} to ${clockHour(spell.from + 1)}`, spell] as const),
            ...minutes.map(
              (spell) =>
                [
                  spell.from >= 120 ? 'minute 120 and later' : `minute ${spell.from} to ${spell.from + 9}`,
                  spell,
                ] as const,
            ),
          ].map(([when, spell]) => (
            <tr key={when}>
              <th scope="row" className={clsx('whitespace-nowrap', !spell.clear && 'font-normal')}>
                {when}
              </th>
              <td>{points(spell.off)}</td>
              <td className="whitespace-nowrap">
                {points(spell.low)} to {points(spell.high)}
              </td>
              <td>{spell.n}</td>
            </tr>
          ))}
        </Table>
      </AsTable>
    </Figure>
  );
}

const clockHour = (hour: number) => `${hour}:00`;
const minute = (at: number) => String(at);

function Strip(props: {
  spells: readonly Spell[];
  from: number;
  to: number;
  step: number;
  every: number;
  unit: string;
  name: (at: number) => string;
}) {
  const { spells, from, to, step, every, unit, name } = props;
  if (spells.length === 0) return null;
  const [left, right, top, bottom] = [44, 8, 8, 22];
  const ticks = Array.from({ length: Math.floor((to - from) / every) + 1 }, (_, i) => from + i * every);
  return (
    <div className="mb-2">
      <p className="text-sm text-base-content/75">{unit}</p>
      <Picture height={HIGH} told={`${unit}: ${count(spells.length, 'part')}; the table below has each.`}>
        {(width) => {
          const x = scaleLinear([from, to], [left, Math.max(left + 1, width - right)]);
          const y = scaleLinear([-MOST, MOST], [HIGH - bottom, top]).clamp(true);
          return (
            <>
              {[-MOST, 0, MOST].map((at) => (
                <g key={at}>
                  <line
                    x1={left}
                    x2={width - right}
                    y1={y(at)}
                    y2={y(at)}
                    className={at === 0 ? 'stroke-base-content/60' : 'stroke-base-300'}
                    strokeDasharray={at === 0 ? '6 5' : undefined}
                  />
                  <text x={left - 6} y={y(at) + 4} textAnchor="end">
                    {points(at)}
                  </text>
                </g>
              ))}
              {ticks.map((at) => (
                <text key={at} x={x(at)} y={HIGH - 5} textAnchor={at === from ? 'start' : at >= to ? 'end' : 'middle'}>
                  {name(at)}
                </text>
              ))}
              {spells.map((spell) => {
                const middle = x(spell.from + step / 2);
                return (
                  <g key={spell.from} className={spell.clear ? 'text-base-content' : 'text-base-content/40'}>
                    <line
                      x1={middle}
                      x2={middle}
                      y1={y(spell.low)}
                      y2={y(spell.high)}
                      stroke="currentColor"
                      strokeWidth="2"
                    />
                    <circle
                      cx={middle}
                      cy={y(spell.off)}
                      r={spell.clear ? 5.5 : 3.5}
                      className={spell.clear ? 'fill-primary' : 'fill-base-100'}
                      stroke="currentColor"
                      strokeWidth="1.5"
                    />
                  </g>
                );
              })}
            </>
          );
        }}
      </Picture>
    </div>
  );
}
