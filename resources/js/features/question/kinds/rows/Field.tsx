import clsx from 'clsx';
import { useId, useState, type ReactNode } from 'react';
import { Markdown } from '../../../../ui/Markdown';
import { plain } from '../../../../ui/plain';
import { having, orNothing } from '../../response';
import { Grip } from '../Grip';
import type { KindProps } from '../kind';
import { dragRows } from '../parts';
import { Chip, Choices, Group } from './Places';
import { useHolds } from '../useHolds';
import { useNear } from '../useNear';

/** Longer lists of choices open as a menu, short ones lie open. */
const LIE_OPEN = 3;
/** So many letters of choices have room beside a text. */
const SHORT = 28;

/** True/false grid, matching, sort into groups: each row wants one choice. */
export function Rows({
  body,
  response,
  locked,
  labelledBy,
  onAnswer,
}: KindProps<'true_false_grid' | 'matching' | 'grouping'>) {
  const drags = body.kind !== 'true_false_grid';
  const groups = body.kind === 'grouping';
  const [drag, around] = useNear(dragRows, drags && !locked);
  const DragRows = drag?.default;
  const { held, put, holds } = useHolds();
  const [waiting, setWaiting] = useState(false);
  const chosen = response?.rows ?? {};
  const choiceIds = body.choices.map(({ id }) => `c-${id}`);
  const rowIds = body.rows.map(({ id }) => `r-${id}`);
  const choose = (row: string, choice: string) => onAnswer(orNothing({ rows: having(response?.rows, row, choice) }));
  const show = (row: (typeof body.rows)[number], grip: ReactNode = null) => (
    <Row
      key={row.id}
      row={row.id}
      text={row.text}
      grip={grip}
      choices={row.choices ?? body.choices}
      chosen={response?.rows?.[row.id] ?? ''}
      locked={locked}
      onChoose={(choice) => choose(row.id, choice)}
    />
  );
  return (
    <div {...around} role="group" aria-labelledby={labelledBy} className="grid max-w-[75ch] gap-2">
      {drags && (
        <Choices groups={groups}>
          {body.choices.map((choice) => {
            const id = `c-${choice.id}`;
            const its = body.rows.filter((row) => chosen[row.id] === choice.id);
            return groups ? (
              <Group key={id} ref={put(id)} group={choice} items={its} held={held[id]} waiting={waiting} />
            ) : (
              <Chip key={id} ref={put(id)} choice={choice} used={its.length > 0} locked={locked} held={held[id]} />
            );
          })}
        </Choices>
      )}
      {body.rows.map((row) => {
        const id = `r-${row.id}`;
        const hold = held[id];
        return (
          <div
            key={id}
            ref={put(id)}
            style={hold?.style}
            className={clsx(
              'rounded-field bg-base-100',
              hold?.isDragging && 'relative z-10 ring-1 ring-primary',
              hold?.isOver ? 'ring-2 ring-primary' : waiting && !groups && 'ring-1 ring-primary/50',
            )}
          >
            {show(row, groups && !locked && <Grip listeners={hold?.listeners} />)}
          </div>
        );
      })}
      {DragRows && (
        <DragRows
          dragged={groups ? rowIds : choiceIds}
          taking={groups ? choiceIds : rowIds}
          locked={locked}
          holds={holds}
          onHold={setWaiting}
          onDrop={(what, where) => {
            const [row, choice] = groups ? [what, where] : [where, what];
            choose(row.slice(2), choice.slice(2));
          }}
        />
      )}
    </div>
  );
}

function Row({
  row,
  text,
  grip,
  choices,
  chosen,
  locked,
  onChoose,
}: {
  row: string;
  text: string;
  /** By which it can be dragged. */
  grip: ReactNode;
  choices: { id: string; text: string }[];
  chosen: string;
  locked: boolean;
  onChoose: (choice: string) => void;
}) {
  const id = useId();
  const menu = choices.length > LIE_OPEN;
  // Long choices would leave no room for what they are chosen for.
  const beside = menu || choices.reduce((letters, choice) => letters + choice.text.length, 0) <= SHORT;
  return (
    <div className="flex rounded-field border border-base-content/50">
      {grip}
      <div
        className={clsx(
          'grid min-w-0 flex-1 gap-x-4 gap-y-1 py-2 pr-3',
          !grip && 'pl-3',
          beside && 'sm:grid-cols-[1fr_auto] sm:items-center',
        )}
      >
        <div id={id} data-part={`row:${row}`}>
          <Markdown inline>{text}</Markdown>
        </div>
        {menu ? (
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
    </div>
  );
}
