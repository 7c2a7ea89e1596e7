import { useState } from 'react';
import { Link } from 'react-router';
import type { Line } from './lines';

/** Numbers of questions, each a way to its review. Of very many only the first, until the others are asked for. */
export function QuestionLinks(props: { sitting: string; positions: readonly number[]; most?: number }) {
  const { sitting, positions, most = 40 } = props;
  const [all, setAll] = useState(false);
  const shown = all ? positions : positions.slice(0, most);
  return (
    <span className="inline-flex flex-wrap items-center gap-x-1">
      {shown.map((position) => (
        <Link
          key={position}
          to={`/review/${sitting}/${position + 1}`}
          aria-label={`Question ${position + 1}`}
          className="inline-flex min-h-11 min-w-7 items-center justify-center px-1 text-primary underline underline-offset-4 pointer-fine:min-h-7"
        >
          {position + 1}
        </Link>
      ))}
      {shown.length < positions.length && (
        <button
          type="button"
          onClick={() => setAll(true)}
          className="min-h-11 cursor-pointer text-primary underline underline-offset-4 pointer-fine:min-h-7"
        >
          and {positions.length - shown.length} more
        </button>
      )}
    </span>
  );
}

export function positionsOf(lines: readonly Line[], fits: (line: Line) => boolean): number[] {
  return lines.filter(fits).map(({ position }) => position);
}
