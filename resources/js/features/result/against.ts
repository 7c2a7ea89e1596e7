import type { View } from '../../api/client';
import { points } from '../../ui/points';
import { count } from '../../ui/words';

type Shift = View<'Shift'>;

/** What two results say of each other, in a sentence or two. */
export function shifted({
  adaptive,
  shift,
  topics,
}: Pick<View<'Against'>, 'adaptive' | 'shift'> & { topics: readonly { name: string; shift: Shift | null }[] }): string {
  if (adaptive)
    return 'One of them is adaptive: whoever knows more is asked what is harder, so shares are not compared. What stood in both is.';
  if (!shift) return 'One of them has nothing that is marked, so there is nothing to compare yet.';
  const clear = topics.filter((topic) => topic.shift?.clear);
  const up = clear.filter((topic) => (topic.shift?.by ?? 0) > 0).map(({ name }) => name);
  const down = clear.filter((topic) => (topic.shift?.by ?? 0) < 0).map(({ name }) => name);
  return [
    inAll(shift),
    up.length > 0 && `Clearly better: ${up.join(', ')}.`,
    down.length > 0 && `Clearly worse: ${down.join(', ')}.`,
  ]
    .filter(Boolean)
    .join(' ');
}

function inAll({ by, low, high, clear }: Shift): string {
  const n = Math.round(Math.abs(100 * by));
  const likely = `(${points(low)} to ${points(high)})`;
  if (n === 0) return `As good as before in all ${likely}.`;
  return clear
    ? `${by > 0 ? 'Up' : 'Down'} by ${count(n, 'point')} in all, more than chance would have it ${likely}.`
    : `${count(n, 'point')} ${by > 0 ? 'up' : 'down'} in all, which chance alone may do ${likely}.`;
}

/** A change in a cell of a table. */
export function changed({ by, clear }: Pick<Shift, 'by' | 'clear'>): string {
  if (Math.round(100 * by) === 0) return 'as before';
  return `${by > 0 ? '▲' : '▼'} ${points(by)}${clear ? '' : ', perhaps'}`;
}
