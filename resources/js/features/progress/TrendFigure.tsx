import { scaleLinear, scaleTime } from 'd3-scale';
import { line } from 'd3-shape';
import { useState } from 'react';
import { Link } from 'react-router';
import type { View } from '../../api/client';
import { Figure } from '../../ui/Figure';
import { AsTable } from '../../ui/Fold';
import { Picture } from '../../ui/Picture';
import { Segments } from '../../ui/Segments';
import { Table } from '../../ui/Table';
import { dayTime, MODES, percent } from '../../ui/words';
import { besideExam, lineSaid } from './trend';

type Sat = View<'TrendSitting'>;

const HIGH = 210;

/** How sittings came out over time, one mode at a time: modes are not compared with each other. */
export function TrendFigure({ progress }: { progress: View<'Progress'> }) {
  const modes = (Object.keys(MODES) as (keyof typeof MODES)[]).filter((mode) =>
    progress.trend.some((one) => one.mode === mode),
  );
  const [chosen, setChosen] = useState<keyof typeof MODES | null>(null);
  const mode = chosen ?? (modes.includes('timed') ? 'timed' : modes[0]);
  if (!mode) return null;
  const sat = progress.trend.filter((one) => one.mode === mode);
  const beside = besideExam(sat, progress);
  return (
    <Figure
      title="How your tests came out"
      evidence="Share of the marks, with its band of 95 %; only tests of which at least 80 % were answered and all is marked. In the line a test weighs as many as its answers, rapid guesses left out."
    >
      <Segments
        label="Mode"
        options={modes.map((one) => [one, MODES[one]] as const)}
        chosen={mode}
        onChoose={setChosen}
      />
      <p>{lineSaid(sat, progress.cut)}</p>
      {beside && <p>{beside}</p>}
      <Picture height={HIGH} told={`${sat.length} tests; the table below has each.`}>
        {(width) => <Points width={width} sat={sat} cut={progress.cut} />}
      </Picture>
      <AsTable>
        <Table
          caption="Tests over time"
          tight
          head={
            <tr>
              <th scope="col">Handed in</th>
              <th scope="col">Answers</th>
              <th scope="col">Share</th>
              <th scope="col">Likely</th>
              <th scope="col">Expected today</th>
            </tr>
          }
        >
          {[...sat].reverse().map((one) => (
            <tr key={one.sitting}>
              <th scope="row" className="font-normal">
                <Link
                  to={`/result/${one.sitting}`}
                  className="inline-flex min-h-11 items-center text-primary underline underline-offset-4 pointer-fine:min-h-7"
                >
                  {dayTime(one.at)}
                </Link>
              </th>
              <td>{one.n}</td>
              <td>{percent(one.share, progress.cut)}</td>
              <td className="whitespace-nowrap">
                {percent(one.low)} to {percent(one.high)}
              </td>
              <td>{one.expected === null ? 'not known yet' : percent(one.expected)}</td>
            </tr>
          ))}
        </Table>
      </AsTable>
    </Figure>
  );
}

function Points({ width, sat, cut }: { width: number; sat: readonly Sat[]; cut: number }) {
  const height = HIGH;
  const [left, right, top, bottom] = [44, 64, 10, 24];
  const [from, to] = [sat[0]?.at ?? 0, sat.at(-1)?.at ?? 1];
  const x = scaleTime([from, to > from ? to : from + 1], [left + 8, Math.max(left + 9, width - right - 8)]);
  const y = scaleLinear([0, 1], [height - bottom, top]);
  const smooth = line<Sat>()
    .defined((one) => one.line !== null)
    .x(({ at }) => x(at))
    .y((one) => y(Math.max(0, one.line ?? 0)));
  return (
    <>
      {[0, 0.5, 1].map((tick) => (
        <g key={tick}>
          <line x1={left} x2={width - right} y1={y(tick)} y2={y(tick)} className="stroke-base-300" />
          <text x={left - 6} y={y(tick) + 4} textAnchor="end">
            {percent(tick)}
          </text>
        </g>
      ))}
      <line
        x1={left}
        x2={width - right}
        y1={y(cut)}
        y2={y(cut)}
        className="stroke-error"
        strokeWidth="2"
        strokeDasharray="6 5"
      />
      <text x={width - right + 6} y={y(cut) + 4} className="font-bold">
        cut {percent(cut)}
      </text>
      {sat.map((one) => (
        <g key={one.sitting}>
          <line
            x1={x(one.at)}
            x2={x(one.at)}
            y1={y(one.low)}
            y2={y(one.high)}
            className="stroke-base-content/40"
            strokeWidth="1.5"
          />
          <circle cx={x(one.at)} cy={y(Math.max(0, one.share))} r="4" className="fill-base-content" />
        </g>
      ))}
      <path d={smooth([...sat]) ?? ''} fill="none" className="stroke-primary" strokeWidth="3" />
      <text x={left + 8} y={height - 6}>
        {DAY.format(from)}
      </text>
      {to > from && (
        <text x={width - right - 8} y={height - 6} textAnchor="end">
          {DAY.format(to)}
        </text>
      )}
    </>
  );
}

const DAY = new Intl.DateTimeFormat('en-GB', { day: 'numeric', month: 'short' });
