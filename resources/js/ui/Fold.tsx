import type { ReactNode } from 'react';

/** What is there for whoever asks for it. */
export function Fold({ title, children }: { title: ReactNode; children: ReactNode }) {
  return (
    <details>
      <summary className="min-h-11 cursor-pointer content-center text-primary underline underline-offset-4 pointer-fine:min-h-9">
        {title}
      </summary>
      {children}
    </details>
  );
}

/** The figures behind a picture. */
export function AsTable({ children }: { children: ReactNode }) {
  return <Fold title="As a table">{children}</Fold>;
}
