import type { View } from '../../api/client';
import { count } from '../../ui/words';

type Spell = Pick<View<'Spell'>, 'from' | 'n' | 'off' | 'clear'>;

/** What can be said of the hours and minutes at which somebody does well, in a sentence or two. */
export function whenWell(hours: readonly Spell[], minutes: readonly Spell[]): string {
  const parts = [
    ...said(hours, (at) => `between ${at} and ${at + 1} o’clock`),
    ...said(minutes, (at) =>
      at >= 120 ? 'after two hours of a session' : `from minute ${at} to ${at + 10} of a session`,
    ),
  ];
  return parts.length === 0
    ? 'No hour and no part of a session stands out by more than chance.'
    : `Against what was expected you do ${parts.join('; ')}.`;
}

function said(spells: readonly Spell[], name: (at: number) => string): string[] {
  const clear = spells.filter((spell) => spell.clear);
  const by = (one: Spell, other: Spell) => Math.abs(other.off) - Math.abs(one.off);
  return [clear.filter(({ off }) => off > 0).sort(by)[0], clear.filter(({ off }) => off < 0).sort(by)[0]]
    .filter((spell) => spell !== undefined)
    .map(
      ({ from, off, n }) =>
        `${off > 0 ? 'better' : 'worse'} ${name(from)}, by ${count(Math.round(Math.abs(100 * off)), 'point')} in a hundred (${count(n, 'answer')})`,
    );
}
