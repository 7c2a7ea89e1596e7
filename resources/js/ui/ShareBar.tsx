import { percent } from './words';

/** A share with its name, as a bar; null: nothing is known. Several below each other lie on one scale. */
export function ShareBar({ name, share, others }: { name: string; share: number | null; others?: boolean }) {
  return (
    <li className="grid grid-cols-[4.5rem_minmax(0,1fr)_3.5rem] items-center gap-2">
      <span>{name}</span>
      <span aria-hidden="true" className="relative block h-4 bg-base-content/8 [print-color-adjust:exact]">
        {share !== null && (
          <span
            className={`absolute inset-y-0 left-0 ${others ? 'bg-base-content/25' : 'bg-primary/50'}`}
            style={{ width: `${100 * Math.max(0, share)}%` }}
          />
        )}
      </span>
      <span className="text-right font-bold tabular-nums">{share === null ? '–' : percent(share)}</span>
    </li>
  );
}
