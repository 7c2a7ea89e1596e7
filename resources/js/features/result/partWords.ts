import type { View } from '../../api/client';

type Part = View<'Part'>;

/** What a right or wrong answer is called, by what kind of part it is. */
const RIGHT: Partial<Record<Part['role'], string>> = { option: 'Right answer', target: 'Found' };
const MISSING: Partial<Record<Part['role'], string>> = { option: 'Right answer', target: 'It was here' };
const WRONG: Partial<Record<Part['role'], string>> = {
  option: 'Your choice',
  slip: 'Yours',
  decoy: 'You pointed here',
};

/** What a part is called that has no text of its own: by its place among its like. */
export function partName(part: Part, all: readonly Part[]): string {
  const alike = all.filter(({ role }) => role === part.role);
  const place = alike.indexOf(part);
  switch (part.role) {
    case 'gap':
      return `Gap ${place + 1}`;
    case 'item':
      return String(place + 1);
    case 'number':
      return 'The number';
    case 'target':
      return alike.length > 1 ? `Place ${place + 1}` : 'The place';
    case 'decoy':
      return `Place ${String.fromCharCode(97 + place)}`;
    default:
      return '';
  }
}

/** These ask for something of their own; the others are themselves right or wrong to choose. */
function asks({ role }: Part): boolean {
  return role === 'row' || role === 'gap' || role === 'number' || role === 'item';
}

/** Whether it should have been chosen, or was answered rightly. */
export function isKey(part: Part): boolean {
  return part.verdict === 'right' || (part.verdict === 'missing' && !asks(part));
}

/**
 * What is to be said of a part, in a few words each, as Markdown: what was right, what was answered, what was ruled out.
 *
 * @param unmarked nobody has said yet what of the answer is right: only the key is told
 */
export function partSaid(part: Part, tolerance: string | null, unmarked = false): string[] {
  const { role, verdict, right, mine, ruledOut } = part;
  const said: (string | false | undefined)[] = [
    isKey(part) && !asks(part) && `✓ ${(verdict === 'right' ? RIGHT[role] : MISSING[role]) ?? 'Right'}`,
    role === 'option' && verdict === 'right' && 'Your choice',
    verdict === 'wrong' && !asks(part) && WRONG[role],
    right !== null && `✓ ${right}${tolerance && tolerance !== '0' ? ` give or take ${tolerance}` : ''}`,
    asks(part) &&
      verdict !== 'right' &&
      !unmarked &&
      `You: ${mine === null ? 'nothing' : role === 'item' ? `place ${mine}` : mine}`,
    ruledOut && 'You ruled it out',
  ];
  return said.filter((one) => typeof one === 'string');
}
