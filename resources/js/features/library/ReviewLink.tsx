import clsx from 'clsx';
import { Link } from 'react-router';

/** A question by its beginning, and where it may be read; plain where it stands in no test that is handed in. */
export function ReviewLink(props: {
  of: { excerpt: string; sitting: string | null; position: number | null };
  bold?: boolean;
}) {
  const { excerpt, sitting, position } = props.of;
  const words = (
    <span className="truncate" title={excerpt}>
      {excerpt}
    </span>
  );
  if (sitting === null) return <span className="flex min-w-0">{words}</span>;
  return (
    <Link
      to={`/review/${sitting}/${(position ?? 0) + 1}?show=all`}
      className={clsx(
        'flex min-h-11 min-w-0 items-center underline-offset-4 hover:underline pointer-fine:min-h-7',
        props.bold && 'font-bold',
      )}
    >
      {words}
    </Link>
  );
}
