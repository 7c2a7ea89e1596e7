import { scaleLinear } from 'd3-scale';
import type { View } from '../../api/client';
import { Figure } from '../../ui/Figure';
import { AsTable } from '../../ui/Fold';
import { Table } from '../../ui/Table';
import { capital, count, percent, signed } from '../../ui/words';
import { LEANING, SURENESS } from './sureness';

const SIZE = { width: 360, height: 264, left: 44, right: 16, top: 30, bottom: 40 };

/** What was said against what came true: on the slanting line they are the same. */
export function Calibration(props: { levels: readonly View<'SurenessLevel'>[]; calibration: View<'Calibration'> }) {
  const { calibration } = props;
  const levels = props.levels.filter(({ n }) => n > 0);
  return (
    <Figure
      title="What you said, and what came true"
      evidence={`On ${count(calibration.n, 'answer')}. Bars: where the truth lies nineteen times in twenty. Mean squared error ${calibration.brier.toFixed(2)} (0 is best).`}
    >
      <p className="mb-2">{sentence(calibration)}</p>
      <Picture levels={levels} />
      <AsTable>
        <Levels levels={levels} />
      </AsTable>
    </Figure>
  );
}

function sentence({ off, low, high, leaning, thin }: View<'Calibration'>): string {
  const points = (share: number) => signed(String(Math.round(100 * share)));
  const within = low !== null && high !== null ? ` (likely between ${points(low)} and ${points(high)})` : '';
  if (thin) return 'Too few answers to say how well you judge yourself.';
  if (leaning === 'over_confident') return `You were surer than right, by ${points(off)} points in a hundred${within}.`;
  if (leaning === 'under_confident')
    return `You were more often right than you said, by ${points(-off)} points in a hundred${within}.`;
  return `What you said and what came true agree as far as so many answers can tell${within}.`;
}

function Picture({ levels }: { levels: readonly View<'SurenessLevel'>[] }) {
  const { width, height, left, right, top, bottom } = SIZE;
  const x = scaleLinear([0, 1], [left, width - right]);
  const y = scaleLinear([0, 1], [height - bottom, top]);
  return (
    <svg viewBox={`0 0 ${width} ${height}`} aria-hidden="true" className="max-w-md text-[13px]" fill="currentColor">
      {[0, 0.5, 1].map((tick) => (
        <g key={tick}>
          <line x1={x(0)} x2={x(1)} y1={y(tick)} y2={y(tick)} className="stroke-base-300" />
          <text x={left - 6} y={y(tick) + 4} textAnchor="end">
            {100 * tick}
          </text>
          <text x={x(tick)} y={height - bottom + 17} textAnchor="middle">
            {100 * tick}
          </text>
        </g>
      ))}
      <line x1={x(0)} y1={y(0)} x2={x(1)} y2={y(1)} className="stroke-base-content/60" strokeDasharray="5 4" />
      <text x={x(1)} y={height - 6} textAnchor="end">
        said, of a hundred
      </text>
      <text x={x(0)} y={12}>
        right, of a hundred
      </text>
      {levels.map(({ sureness, stated, accuracy, low, high, n, leaning }) => {
        const at = { x: x(stated ?? 0), y: y(accuracy ?? 0) };
        const beside = at.x > width / 2 ? { x: at.x - 10, anchor: 'end' } : { x: at.x + 10, anchor: 'start' };
        return (
          <g key={sureness} className={leaning === 'over_confident' ? 'text-warning' : 'text-primary'}>
            <line x1={at.x} x2={at.x} y1={y(low)} y2={y(high)} stroke="currentColor" strokeWidth="2" />
            {[low, high].map((end) => (
              <line
                key={end}
                x1={at.x - 5}
                x2={at.x + 5}
                y1={y(end)}
                y2={y(end)}
                stroke="currentColor"
                strokeWidth="2"
              />
            ))}
            <circle cx={at.x} cy={at.y} r="5" fill="currentColor" />
            <text
              x={beside.x}
              y={at.y + 4}
              textAnchor={beside.anchor as 'start' | 'end'}
              className="fill-base-content stroke-base-100 font-bold"
              strokeWidth="4"
              paintOrder="stroke"
            >
              {SURENESS[sureness]}, {n}
            </text>
          </g>
        );
      })}
    </svg>
  );
}

function Levels({ levels }: { levels: readonly View<'SurenessLevel'>[] }) {
  return (
    <Table
      caption="Sureness against outcome"
      tight
      head={
        <tr>
          <th scope="col">You said</th>
          <th scope="col">Answers</th>
          <th scope="col">Stands for</th>
          <th scope="col">Right</th>
          <th scope="col">Likely between</th>
        </tr>
      }
    >
      {levels.map((level) => (
        <tr key={level.sureness}>
          <th scope="row" className="font-normal">
            {SURENESS[level.sureness]}
          </th>
          <td>{level.n}</td>
          <td>{percent(level.stated ?? 0)}</td>
          <td>{percent(level.accuracy ?? 0)}</td>
          <td>
            {percent(level.low)} and {percent(level.high)}
            {LEANING[level.leaning] && <span className="block font-bold">{capital(LEANING[level.leaning])}</span>}
          </td>
        </tr>
      ))}
    </Table>
  );
}
