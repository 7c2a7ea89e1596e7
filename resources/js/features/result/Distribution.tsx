import { scaleLinear } from 'd3-scale';
import type { View } from '../../api/client';
import { Figure } from '../../ui/Figure';
import { AsTable } from '../../ui/Fold';
import { Picture } from '../../ui/Picture';
import { Table } from '../../ui/Table';
import { count, percent } from '../../ui/words';

interface Standing {
  cohort: Pick<View<'CohortPlace'>, 'n' | 'median' | 'share' | 'steps'>;
  cut: number;
}

const HIGH = 190;

/** How others came out, with the cut and oneself among them. */
export function Distribution({ cohort, cut }: Standing) {
  const each = 1 / cohort.steps.length;
  return (
    <Figure
      title="How others came out"
      evidence={`${count(cohort.n, 'other')}, each once with the latest sitting that counts${cohort.median === null ? '' : `; half of them got less than ${percent(cohort.median)}`}.`}
    >
      <Picture
        height={HIGH}
        told={`Shares of marks of ${cohort.n} others, from 0 to 100 %${cohort.share === null ? '' : `; yours is ${percent(cohort.share)}`}; the cut is ${percent(cut)}.`}
      >
        {(width) => <Shares width={width} cohort={cohort} cut={cut} />}
      </Picture>
      <AsTable>
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
      </AsTable>
    </Figure>
  );
}

function Shares({ width, cohort, cut }: Standing & { width: number }) {
  const height = HIGH;
  const [left, right, top, bottom] = [10, 10, 34, 24];
  const x = scaleLinear([0, 1], [left, Math.max(left + 1, width - right)]);
  const y = scaleLinear([0, Math.max(...cohort.steps)], [height - bottom, top]);
  const each = 1 / cohort.steps.length;
  const steps = cohort.steps.map((n, i) => ({ n, from: x(i * each), to: x((i + 1) * each) }));
  const me = cohort.share === null ? null : x(Math.max(0, Math.min(1, cohort.share)));
  const near = me !== null && Math.abs(me - x(cut)) < 60;
  return (
    <>
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
        <text key={tick} x={x(tick)} y={height - 6} textAnchor={tick === 0 ? 'start' : tick === 1 ? 'end' : 'middle'}>
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
    </>
  );
}
