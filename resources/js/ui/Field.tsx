import { useId, type InputHTMLAttributes, type SelectHTMLAttributes } from 'react';

interface Said {
  label: string;
  hint?: string | undefined;
  fault?: string | undefined;
}

/** A labelled input with its hint and what is amiss, told to screen readers too. */
export function Field({ label, hint, fault, ...input }: Said & InputHTMLAttributes<HTMLInputElement>) {
  const id = useId();
  return (
    <div className="grid gap-1">
      <label htmlFor={id} className="font-bold">
        {label}
      </label>
      <input
        id={id}
        className="input w-full border-base-content/50 text-base aria-invalid:border-error"
        aria-invalid={fault ? true : undefined}
        aria-describedby={fault || hint ? `${id}-note` : undefined}
        {...input}
      />
      <FieldNote id={`${id}-note`} hint={hint} fault={fault} />
    </div>
  );
}

export function Choice({ label, hint, fault, children, ...select }: Said & SelectHTMLAttributes<HTMLSelectElement>) {
  const id = useId();
  return (
    <div className="grid gap-1">
      <label htmlFor={id} className="font-bold">
        {label}
      </label>
      <select
        id={id}
        className="select w-full border-base-content/50 text-base"
        aria-describedby={fault || hint ? `${id}-note` : undefined}
        {...select}
      >
        {children}
      </select>
      <FieldNote id={`${id}-note`} hint={hint} fault={fault} />
    </div>
  );
}

function FieldNote({ id, hint, fault }: { id: string; hint?: string | undefined; fault?: string | undefined }) {
  if (!fault && !hint) return null;
  return (
    <p id={id} className={fault ? 'text-error' : 'text-base-content/75'}>
      {fault ?? hint}
    </p>
  );
}
