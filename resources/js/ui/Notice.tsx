import clsx from 'clsx';
import { CircleCheck, Info, OctagonAlert, TriangleAlert } from 'lucide-react';
import type { ReactNode } from 'react';

type Tone = 'note' | 'good' | 'warn' | 'bad';

const TONES = {
  note: { Icon: Info, word: 'Note', style: 'border-info' },
  good: { Icon: CircleCheck, word: 'Done', style: 'border-success' },
  warn: { Icon: TriangleAlert, word: 'Take care', style: 'border-warning' },
  bad: { Icon: OctagonAlert, word: 'Not done', style: 'border-error' },
} satisfies Record<Tone, unknown>;

/** Something to know now. Shape and word first, colour second. */
export function Notice({ tone = 'note', children, action }: { tone?: Tone; children: ReactNode; action?: ReactNode }) {
  const { Icon, word, style } = TONES[tone];
  return (
    <div
      role={tone === 'bad' || tone === 'warn' ? 'alert' : 'status'}
      className={clsx(
        'flex flex-wrap items-center gap-x-3 gap-y-2 rounded-field border border-l-8 bg-base-100 px-4 py-3',
        style,
      )}
    >
      <Icon aria-hidden="true" className="size-6 shrink-0" />
      <div className="min-w-48 flex-1">
        <span className="sr-only">{word}: </span>
        {children}
      </div>
      {action}
    </div>
  );
}
