import clsx from 'clsx';
import { memo, useState } from 'react';
import type { View } from '../../api/client';
import { Markdown } from '../../ui/Markdown';
import { Tabs } from '../../ui/Tabs';

const KINDS = { case: 'Case', passage: 'Text', series: 'Series' } as const;

/** What several questions share: the scenario and exhibits of a case, a text, or the lead of a series. */
export const UnitPanel = memo(function UnitPanel({
  unit,
  position,
  evidence = [],
}: {
  unit: View<'Unit'>;
  position: number;
  evidence?: string[];
}) {
  const [open, setOpen] = useState('0');
  const place = unit.positions.indexOf(position);
  // On a phone the panel would push the question off the screen, so it closes when one goes on within it.
  const [shownAt, setShownAt] = useState<number | null>(position);
  const shown = shownAt === position;
  const exhibit = unit.exhibits[Number(open)];
  // A function, since a text that replaces may hold "$&" and the like.
  const text = evidence.reduce((all, sentence) => all.replace(sentence, () => `[${sentence}](#evidence)`), unit.text);
  return (
    <section
      aria-label={unit.title}
      className="grid content-start gap-3 self-start rounded-box border border-base-300 bg-base-200 p-4 lg:sticky lg:top-36 lg:max-h-[calc(100dvh-var(--head,9rem)-var(--foot,0rem)-6rem)] lg:overflow-y-auto print:static print:max-h-none"
    >
      <div>
        <p className="text-base-content/75">
          {KINDS[unit.kind]}
          {unit.positions.length > 1 && `, question ${place + 1} of ${unit.positions.length}`}
        </p>
        <h2 className="text-lg font-bold">{unit.title}</h2>
      </div>
      <button
        type="button"
        aria-expanded={shown}
        className="min-h-11 cursor-pointer text-left text-primary underline underline-offset-4 lg:hidden"
        onClick={() => setShownAt(shown ? null : position)}
      >
        {shown ? 'Fold it up' : 'Open it'}
      </button>
      <div className={clsx('grid gap-3', !shown && 'max-lg:hidden')}>
        <div data-part="unit">
          <Markdown>{text}</Markdown>
        </div>
        {unit.kind === 'series' && unit.positions.length > 1 && (
          <p className="border-l-4 border-accent pl-3">
            There is no going back in a series: once you go on, your answer stands.
          </p>
        )}
        {exhibit && (
          <Tabs
            label="Exhibits"
            tabs={unit.exhibits.map(({ title }, i) => ({ key: String(i), label: title }))}
            open={open}
            onOpen={setOpen}
          >
            <div data-part={`exhibit:${open}`}>
              <Markdown>{exhibit.body}</Markdown>
            </div>
          </Tabs>
        )}
      </div>
    </section>
  );
});
