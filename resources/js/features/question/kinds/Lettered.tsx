import { Markdown } from '../../../ui/Markdown';
import { letter } from './letters';

/** What can be chosen, on paper, each with its letter. */
export function Lettered({ of }: { of: readonly { id: string; text: string }[] }) {
  return (
    <ul className={of.length > 10 ? 'columns-2 gap-x-8' : 'grid gap-1'}>
      {of.map((one, i) => (
        <li key={one.id} className="grid grid-cols-[1.8rem_1fr]">
          <span className="font-bold">{letter(i)}</span>
          <span>
            <Markdown inline>{one.text}</Markdown>
          </span>
        </li>
      ))}
    </ul>
  );
}
