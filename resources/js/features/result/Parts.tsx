import clsx from 'clsx';
import type { View } from '../../api/client';
import { Chip } from '../../ui/Chip';
import { Markdown } from '../../ui/Markdown';
import { percent } from '../../ui/words';
import { isKey, partName, partSaid } from './partWords';
import { ShownPicture } from './ShownPicture';

type Part = View<'Part'>;

/** Every part of a question: what was answered, what is right, and why. */
export function Parts({
  explanation,
  unmarked = false,
}: {
  explanation: View<'Explanation'>;
  /** Nobody has said yet what of the answer is right: only the key is shown. */
  unmarked?: boolean;
}) {
  const { question, parts, tolerance } = explanation;
  const main = parts.filter(({ role }) => role !== 'slip');
  const slips = parts.filter(({ role }) => role === 'slip');
  return (
    <div className="grid gap-4">
      {question.body.kind === 'picture' && <ShownPicture explanation={explanation} picture={question.body.picture} />}
      {main.length > 0 && (
        <List
          parts={unmarked ? main.map((part) => ({ ...part, mine: null, ruledOut: false })) : main}
          tolerance={tolerance}
          others={explanation.cohort?.options}
          unmarked={unmarked}
        />
      )}
      {slips.length > 0 && (
        <section className="grid gap-3">
          <h2 className="font-bold">How people come to other numbers</h2>
          <List parts={slips} tolerance={null} />
        </section>
      )}
    </div>
  );
}

function List({
  parts,
  tolerance,
  others,
  unmarked = false,
}: {
  parts: Part[];
  unmarked?: boolean;
  tolerance: string | null;
  others?: Record<string, number> | undefined;
}) {
  return (
    <ul className="grid max-w-[75ch] gap-2">
      {parts.map((part) => (
        <One
          key={part.id}
          part={part}
          name={partName(part, parts)}
          tolerance={part.role === 'number' ? tolerance : null}
          others={part.role === 'option' ? others?.[part.id] : undefined}
          unmarked={unmarked}
        />
      ))}
    </ul>
  );
}

function One({
  part,
  name,
  tolerance,
  others,
  unmarked,
}: {
  unmarked: boolean;
  part: Part;
  name: string;
  tolerance: string | null;
  /** Share of the cohort that chose it. */
  others: number | undefined;
}) {
  const { role, verdict } = part;
  return (
    <li
      className={clsx(
        'rounded-field border px-3 py-2',
        isKey(part) ? 'border-2 border-success' : verdict === 'wrong' ? 'border-2 border-error' : 'border-base-300',
      )}
    >
      <div className="flex flex-wrap items-center gap-x-3 gap-y-1">
        {role === 'item' && <span className="font-mono font-bold">{name}</span>}
        <span className="font-bold" data-part={role === 'option' || role === 'row' ? `${role}:${part.id}` : undefined}>
          <Markdown inline>{part.text || name}</Markdown>
        </span>
        {partSaid(part, tolerance, unmarked).map((said) => (
          <Chip key={said}>
            <Markdown inline>{said}</Markdown>
          </Chip>
        ))}
        {others !== undefined && <span className="text-sm text-base-content/75">{percent(others)} chose it</span>}
      </div>
      {part.why && (
        <div>
          <Markdown>{part.why}</Markdown>
        </div>
      )}
    </li>
  );
}
