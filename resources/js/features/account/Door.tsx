import type { ReactNode } from 'react';
import { LookMenu } from '../../ui/LookMenu';

/** The page round the forms before one is signed in. */
export function Door({ title, children, aside }: { title: string; children: ReactNode; aside?: ReactNode }) {
  return (
    <div className="relative min-h-dvh">
      <div aria-hidden="true" className="contours pointer-events-none absolute inset-x-0 top-0 h-64" />
      <header className="relative mx-auto flex max-w-4xl items-center justify-between px-4 pt-4 sm:px-6">
        <p className="flex items-center gap-2 text-xl font-bold tracking-tight">
          <img src="/icon.svg" alt="" width="30" height="30" /> Uplandia
        </p>
        <LookMenu />
      </header>
      <main className="relative mx-auto grid max-w-4xl items-start gap-x-12 gap-y-10 px-4 py-10 sm:px-6 md:grid-cols-2">
        <div className="grid gap-5">
          <h1 className="text-2xl font-bold">{title}</h1>
          {children}
        </div>
        {aside}
      </main>
    </div>
  );
}
