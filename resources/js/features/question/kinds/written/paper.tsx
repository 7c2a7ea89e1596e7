import type { Paper } from '../kind';

const LINES = [0, 1, 2, 3, 4, 5];

/** Written in the booklet itself. */
export const paper: Paper<'written'> = {
  Printed: () => (
    <div aria-hidden="true" className="grid gap-6 pt-4">
      {LINES.map((line) => (
        <div key={line} className="border-b border-current" />
      ))}
    </div>
  ),
  code: null,
  marks: () => new Map(),
  right: () => 'For example:',
};
