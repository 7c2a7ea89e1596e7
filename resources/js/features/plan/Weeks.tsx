import clsx from 'clsx';
import { useId, useState } from 'react';
import type { View } from '../../api/client';
import { Opener } from '../../ui/Opener';
import { weekday } from '../../ui/dates';
import { count } from '../../ui/words';
import { hours, spareSaid } from './planned';

type Week = View<'PlanWeek'>;
type Part = View<'PlanPart'>;

const total = (parts: readonly Part[]) => parts.reduce((sum, { questions }) => sum + questions, 0);

/** A row a week; its bar is as long as its hours, in parts. */
export function Weeks({ weeks, questionMs }: { weeks: readonly Week[]; questionMs: number }) {
  const [open, setOpen] = useState<string | null>(weeks[0]?.from ?? null);
  const most = Math.max(1, ...weeks.map(({ ms }) => ms));
  return (
    <div>
      <div className={clsx(COLUMNS, 'text-sm text-base-content/75')} aria-hidden="true">
        <span>Week</span>
        <span className="text-right">Revisits</span>
        <span className="text-right">New</span>
        <span className="text-right">At stake</span>
        <span className="max-sm:hidden" />
        <span className="text-right">Hours</span>
      </div>
      <ul className="border-b border-base-300">
        {weeks.map((week) => (
          <Row
            key={week.from}
            week={week}
            most={most}
            each={questionMs}
            open={open === week.from}
            onToggle={() => setOpen(open === week.from ? null : week.from)}
          />
        ))}
      </ul>
      <p aria-hidden="true" className="mt-2 flex flex-wrap gap-x-5 gap-y-1 text-sm">
        <Key className="bg-primary">revisits</Key>
        <Key className="bg-primary/55">new</Key>
        <Key className="bg-primary/25">where most is at stake</Key>
        <Key className="bg-accent">rehearsal</Key>
      </p>
    </div>
  );
}

function Key({ className, children }: { className: string; children: string }) {
  return (
    <span className="inline-flex items-center gap-1.5">
      <span className={clsx('block size-3', className)} />
      {children}
    </span>
  );
}

const COLUMNS =
  'grid grid-cols-[minmax(0,1fr)_2.6rem_2rem_2.6rem_3.9rem] items-center gap-x-2 sm:gap-x-3 sm:grid-cols-[11rem_4rem_3rem_4.5rem_minmax(0,1fr)_5.5rem]';

function Row(props: { week: Week; most: number; each: number; open: boolean; onToggle: () => void }) {
  const { week, most, each, open, onToggle } = props;
  const id = useId();
  const [fresh, weak] = [total(week.new), total(week.weak)];
  const asked = week.revisits + fresh + weak;
  const part = (ms: number) => ({ width: `${(100 * ms) / most}%` });
  return (
    <li className="border-t border-base-300">
      <div className={clsx(COLUMNS, 'min-h-10')}>
        <Opener open={open} controls={id} onToggle={onToggle} className="font-bold sm:whitespace-nowrap">
          {weekday(week.from)}
          <span className="sr-only">
            : {count(week.revisits, 'revisit')}, {fresh} new, {weak} where most is at stake
            {week.rehearsal && ', a rehearsal'}, {hours(week.plannedMs)}
          </span>
        </Opener>
        <span className="text-right tabular-nums">{week.revisits}</span>
        <span className="text-right tabular-nums">{fresh}</span>
        <span className="text-right tabular-nums">{weak}</span>
        <span aria-hidden="true" className="flex h-4 bg-base-content/8 max-sm:order-last max-sm:col-span-full">
          <span className="bg-primary" style={part(week.revisits * each)} />
          <span className="bg-primary/55" style={part(fresh * each)} />
          <span className="bg-primary/25" style={part(weak * each)} />
          <span className="bg-accent" style={part(week.plannedMs - asked * each)} />
        </span>
        <span className="text-right text-sm tabular-nums">{week.days === 0 ? 'off' : hours(week.plannedMs)}</span>
      </div>
      {open && (
        <dl
          id={id}
          className="mb-2 grid gap-x-4 gap-y-1 border-l-2 border-base-300 py-1 pl-3 sm:grid-cols-[8rem_minmax(0,1fr)]"
        >
          <Detail name="Days">
            {week.days === 0
              ? 'none: you are off'
              : `${count(week.days, 'day')}, ${weekday(week.from)} to ${weekday(week.to)}`}
          </Detail>
          {week.rehearsal && <Detail name="Rehearsal">{weekday(week.rehearsal)}, the whole exam</Detail>}
          {week.revisits > 0 && <Detail name="Revisits">{week.revisits} known to be due</Detail>}
          {fresh > 0 && <Detail name="New to you">{named(week.new)}</Detail>}
          {weak > 0 && <Detail name="At stake">{named(week.weak)}</Detail>}
          {spareSaid(week.spareMs) && <Detail name="Left over">{spareSaid(week.spareMs)}</Detail>}
        </dl>
      )}
    </li>
  );
}

function Detail({ name, children }: { name: string; children: string | (string | number)[] }) {
  return (
    <>
      <dt className="text-base-content/75">{name}</dt>
      <dd>{children}</dd>
    </>
  );
}

const named = (parts: readonly Part[]) => parts.map(({ name, questions }) => `${name} ${questions}`).join(', ');
