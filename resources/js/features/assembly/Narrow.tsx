import clsx from 'clsx';
import { X } from 'lucide-react';
import { useEffect, useRef } from 'react';
import { toggled } from './recipe';

/** One filter: shut it says what is chosen, open it offers its values, each with what it would leave. Several may be open. */
export function Narrow(props: {
  label: string;
  values: readonly { value: string; label: string; n: number }[];
  chosen: readonly string[];
  onChange: (values: string[]) => void;
}) {
  const { label, values, chosen } = props;
  const menu = useRef<HTMLDetailsElement>(null);
  useEffect(() => {
    const here = menu.current;
    const shut = (event: KeyboardEvent) => {
      if (event.key !== 'Escape' || !here?.open) return;
      event.preventDefault();
      here.open = false;
      here.querySelector('summary')?.focus();
    };
    here?.addEventListener('keydown', shut);
    return () => here?.removeEventListener('keydown', shut);
  }, []);
  const words = values.filter(({ value }) => chosen.includes(value)).map((one) => one.label);
  if (values.length === 0 && chosen.length === 0) return null;
  return (
    <div
      className={clsx(
        'flex items-start self-start rounded-field border',
        chosen.length ? 'border-primary ring-1 ring-primary' : 'border-base-content/50',
      )}
    >
      <details ref={menu}>
        <summary className="flex min-h-11 cursor-pointer list-none items-center gap-1.5 px-3 pointer-fine:min-h-9">
          {words.length ? <strong>{words.join(', ')}</strong> : label}
          <span aria-hidden="true">▾</span>
        </summary>
        <fieldset className="max-h-64 min-w-48 overflow-y-auto border-t border-base-300 p-1.5">
          <legend className="sr-only">{label}</legend>
          {values.map(({ value, label: name, n }) => (
            <label key={value} className="flex min-h-11 cursor-pointer items-center gap-2 px-1 pointer-fine:min-h-9">
              <input
                type="checkbox"
                className="checkbox checkbox-sm checkbox-primary"
                checked={chosen.includes(value)}
                disabled={n === 0 && !chosen.includes(value)}
                onChange={(event) => props.onChange(toggled(chosen, value, event.target.checked))}
              />
              <span className="flex-1">{name}</span>
              <span className="tabular-nums text-base-content/75">{n}</span>
            </label>
          ))}
        </fieldset>
      </details>
      {chosen.length > 0 && (
        <button
          type="button"
          aria-label={`Drop ${label}`}
          onClick={() => props.onChange([])}
          className="flex min-h-11 min-w-9 cursor-pointer items-center justify-center border-l border-base-300 pointer-fine:min-h-9"
        >
          <X aria-hidden="true" className="size-4" />
        </button>
      )}
    </div>
  );
}
