import { useId } from 'react';
import { Markdown } from '../../../ui/Markdown';
import { plain } from '../../../ui/plain';
import { having, orNothing } from '../response';
import type { KindProps } from './kind';

/** Longer lists of choices open as a menu, short ones lie open. */
const LIE_OPEN = 3;

/** True/false grid, matching, sort into groups: each row wants one choice. */
export function Rows({
  body,
  response,
  locked,
  labelledBy,
  onAnswer,
}: KindProps<'true_false_grid' | 'matching' | 'grouping'>) {
  const choose = (row: string, choice: string) => onAnswer(orNothing({ rows: having(response?.rows, row, choice) }));
  return (
    <div role="group" aria-labelledby={labelledBy} className="grid max-w-[75ch] gap-2">
      {body.rows.map((row) => (
        <Row
          key={row.id}
          row={row.id}
          text={row.text}
          choices={row.choices ?? body.choices}
          chosen={response?.rows?.[row.id] ?? ''}
          locked={locked}
          onChoose={(choice) => choose(row.id, choice)}
        />
      ))}
    </div>
  );
}

function Row({
  row,
  text,
  choices,
  chosen,
  locked,
  onChoose,
}: {
  row: string;
  text: string;
  choices: { id: string; text: string }[];
  chosen: string;
  locked: boolean;
  onChoose: (choice: string) => void;
}) {
  const id = useId();
  return (
    <div className="grid gap-x-4 gap-y-1 rounded-field border border-base-content/50 px-3 py-2 sm:grid-cols-[1fr_auto] sm:items-center">
      <div id={id} data-part={`row:${row}`}>
        <Markdown inline>{text}</Markdown>
      </div>
      {choices.length > LIE_OPEN ? (
        <select
          aria-labelledby={id}
          className="select min-h-11 w-full border-base-content/50 text-base sm:w-64"
          value={chosen}
          disabled={locked}
          onChange={(event) => onChoose(event.target.value)}
        >
          <option value="">Choose…</option>
          {choices.map((choice) => (
            <option key={choice.id} value={choice.id}>
              {plain(choice.text)}
            </option>
          ))}
        </select>
      ) : (
        <div role="radiogroup" aria-labelledby={id} className="flex flex-wrap gap-x-4">
          {choices.map((choice) => (
            <label key={choice.id} className="flex min-h-11 cursor-pointer items-center gap-2">
              <input
                type="radio"
                name={id}
                className="radio radio-primary radio-sm"
                checked={chosen === choice.id}
                disabled={locked}
                onChange={() => onChoose(choice.id)}
              />
              <Markdown inline>{choice.text}</Markdown>
            </label>
          ))}
        </div>
      )}
    </div>
  );
}
