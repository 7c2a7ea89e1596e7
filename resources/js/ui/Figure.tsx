import type { ReactNode } from 'react';

/** A picture or chart with its title and, below, what it rests on. */
export function Figure({ title, evidence, children }: { title: string; evidence?: ReactNode; children: ReactNode }) {
  return (
    <figure className="break-inside-avoid rounded-box border border-base-300 p-4 [print-color-adjust:exact]">
      <figcaption className="mb-3 font-bold">{title}</figcaption>
      {children}
      {evidence && <p className="mt-3 text-sm text-base-content/75">{evidence}</p>}
    </figure>
  );
}
