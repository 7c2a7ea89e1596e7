import type { ReactNode } from 'react';

/** Nothing is here yet: says so, and what to do. */
export function Empty({ title, children }: { title: string; children?: ReactNode }) {
  return (
    <div className="rounded-box border border-dashed border-base-content/40 p-6">
      <p className="font-bold">{title}</p>
      {children && <div className="mt-2 grid justify-items-start gap-3">{children}</div>}
    </div>
  );
}
