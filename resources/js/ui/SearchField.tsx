import clsx from 'clsx';

/** A field for words that narrow what is listed. */
export function SearchField(props: {
  /** Said aloud, and shown while it is empty unless there are shorter words for that. */
  label: string;
  placeholder?: string;
  value: string;
  most?: number;
  /** How wide it is. */
  className: string;
  onChange: (words: string) => void;
}) {
  return (
    <input
      type="search"
      aria-label={props.label}
      placeholder={props.placeholder ?? props.label}
      value={props.value}
      maxLength={props.most ?? 200}
      onChange={(event) => props.onChange(event.target.value)}
      className={clsx('input border-base-content/50 text-base pointer-fine:h-9', props.className)}
    />
  );
}
