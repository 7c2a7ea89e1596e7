import clsx from 'clsx';
import type { ReactNode } from 'react';

/** A table that scrolls sideways by itself on a narrow screen. */
export function Table({
  caption,
  head,
  children,
  tight,
}: {
  caption: string;
  head: ReactNode;
  children: ReactNode;
  /** For long lists. */
  tight?: boolean;
}) {
  return (
    <div
      className="relative overflow-x-auto print:overflow-visible print:text-xs"
      role="region"
      aria-label={caption}
      // A region that scrolls must be reachable from the keyboard.
      // eslint-disable-next-line jsx-a11y/no-noninteractive-tabindex
      tabIndex={0}
    >
      <table
        className={clsx(
          'w-full border-collapse text-left [&_tbody_th]:border-t [&_tbody_th]:border-base-300 [&_td]:border-t [&_td]:border-base-300 [&_td]:pr-4 [&_th]:pr-4',
          tight ? '[&_td]:py-0.5 [&_th]:py-0.5' : '[&_td]:py-2 [&_th]:py-2',
        )}
      >
        <caption className="sr-only">{caption}</caption>
        <thead className="text-sm text-base-content/75">{head}</thead>
        <tbody>{children}</tbody>
      </table>
    </div>
  );
}

/** A row of the time that no line above has, or of all of it, in a table of times. */
export function TimeRow(props: { what: string; time: string; before: number; after?: number }) {
  return (
    <tr>
      <th scope="row">{props.what}</th>
      <td colSpan={props.before} />
      <td className="font-bold whitespace-nowrap">{props.time}</td>
      {props.after !== undefined && <td colSpan={props.after} />}
    </tr>
  );
}
