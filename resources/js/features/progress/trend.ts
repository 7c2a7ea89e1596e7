import type { View } from '../../api/client';
import { count, percent } from '../../ui/words';

type Sat = View<'TrendSitting'>;

/** From here on tests were easier or harder than the exam (computation.md, section 11). */
const APART = 0.03;

/** Where the line stands against the cut, and which way it went. */
export function lineSaid(sat: readonly Sat[], cut: number): string {
  const [first, last] = [sat.find(({ line }) => line !== null), sat.findLast(({ line }) => line !== null)];
  if (!first || !last || first.line === null || last.line === null)
    return `${count(sat.length, 'test')} so far: a line is drawn from five on.`;
  const change = Math.round(100 * last.line) - Math.round(100 * first.line);
  const stands = `The line stands at ${percent(last.line, cut)}, ${last.line >= cut ? 'above' : 'below'} the cut of ${percent(cut)}`;
  return change === 0
    ? `${stands}, where it began.`
    : `${stands}; it has ${change > 0 ? 'risen' : 'fallen'} by ${Math.abs(change)} points over ${sat.length} tests.`;
}

/**
 * Why the line and the pass outlook may say different things: what is expected today of these very questions, beside
 * what is expected of the exam. Nothing where there is too little evidence for an outlook.
 */
export function besideExam(
  sat: readonly Sat[],
  { outlook, cut }: Pick<View<'Progress'>, 'outlook' | 'cut'>,
): string | null {
  const known = sat.flatMap(({ expected, n, share }) => (expected === null ? [] : [{ expected, n, share }]));
  if (outlook === null || known.length === 0) return null;
  const answers = known.reduce((sum, { n }) => sum + n, 0);
  const mean = (of: (one: (typeof known)[number]) => number) =>
    known.reduce((sum, one) => sum + one.n * of(one), 0) / answers;
  const [expected, share, exam] = [
    mean((one) => one.expected),
    mean((one) => one.share),
    outlook.expected / outlook.questions,
  ];
  const apart = expected - exam;
  const ease =
    Math.abs(apart) > APART
      ? `these tests were ${apart > 0 ? 'easier' : 'harder'} than the exam by ${Math.round(100 * Math.abs(apart))} points.`
      : 'about as hard.';
  const off = share - expected;
  const why =
    Math.abs(off) > APART
      ? ` In fact they came out at ${percent(share)}: ${
          off > 0
            ? 'what is expected goes by first looks alone, and leans to the middle where there are few.'
            : 'you have learnt since, or did not show all you know.'
        }`
      : '';
  const end = sat.findLast(({ line }) => line !== null)?.line ?? null;
  const otherSide =
    end !== null && end >= cut !== outlook.chance >= 0.5
      ? ' The pass outlook lies on the other side of the cut: it goes by all your first looks, and the end of the line by your latest tests.'
      : '';
  return `Of these very questions ${percent(expected)} is expected of you today, of the exam ${percent(exam)}: ${ease}${why}${otherSide}`;
}
