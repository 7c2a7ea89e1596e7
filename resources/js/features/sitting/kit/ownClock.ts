import { useEffect, useState, useSyncExternalStore } from 'react';

/** A clock of one's own where no clock runs: it counts nothing for the sitting, and stays on this device. */
export interface OwnClock {
  way: 'up' | 'down';
  /** From which it counts down. */
  ofMs: number;
  /** What has gone in the spells that are over. */
  goneMs: number;
  /** When the spell began that is not over, by this device's clock; null: it stands. */
  since: number | null;
}

const STANDS: OwnClock = { way: 'up', ofMs: 30 * 60_000, goneMs: 0, since: null };
const heard = new Set<() => void>();
const keyOf = (sitting: string) => `uplandia.clock.${sitting}`;

/** Milliseconds to show: what has gone, or what is left. */
export function shown({ way, ofMs, goneMs, since }: OwnClock, now: number): number {
  const gone = goneMs + (since === null ? 0 : Math.max(0, now - since));
  return way === 'up' ? gone : Math.max(0, ofMs - gone);
}

export function started(clock: OwnClock, now: number): OwnClock {
  return clock.since === null ? { ...clock, since: now } : clock;
}

export function stopped(clock: OwnClock, now: number): OwnClock {
  if (clock.since === null) return clock;
  return { ...clock, goneMs: clock.goneMs + Math.max(0, now - clock.since), since: null };
}

export function reset(clock: OwnClock): OwnClock {
  return { ...clock, goneMs: 0, since: null };
}

function read(kept: string | null): OwnClock {
  try {
    return { ...STANDS, ...(JSON.parse(kept ?? '{}') as Partial<OwnClock>) };
  } catch {
    return STANDS;
  }
}

/** The clock of a sitting, and what changes it. */
export function useOwnClock(sitting: string): [OwnClock, (clock: OwnClock) => void] {
  const kept = useSyncExternalStore(
    (tell) => (heard.add(tell), () => heard.delete(tell)),
    () => localStorage.getItem(keyOf(sitting)),
  );
  const keep = (clock: OwnClock) => {
    localStorage.setItem(keyOf(sitting), JSON.stringify(clock));
    for (const tell of heard) tell();
  };
  return [read(kept), keep];
}

/** What it shows, looked at a few times a second while it runs. */
export function useShown(clock: OwnClock): number {
  const [now, setNow] = useState(() => Date.now());
  const runs = clock.since !== null;
  useEffect(() => {
    if (!runs) return;
    const timer = window.setInterval(() => setNow(Date.now()), 250);
    return () => window.clearInterval(timer);
  }, [runs]);
  return shown(clock, Math.max(now, clock.since ?? 0));
}
