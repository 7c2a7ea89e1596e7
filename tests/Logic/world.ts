import { Refused, Unreachable, type View } from '../../resources/js/api/client';
import type { Along } from '../../resources/js/features/sitting/packs/along';
import { SittingStore } from '../../resources/js/features/sitting/sittingStore';
import type { SittingEvent } from '../../resources/js/features/sitting/sync/events';
import type { QueueStorage } from '../../resources/js/features/sitting/sync/queueStorage';
import type { Server } from '../../resources/js/features/sitting/sync/server';
import type { Time } from '../../resources/js/features/sitting/sync/time';
import type { QuestionState } from '../../resources/js/features/sitting/sync/view';

/** The world as a test wants it: a server that is a list of answers, a storage that is a map, a time that stands. */

export const NOW = 1_800_000_000_000;

export type Answer = object | Error | 'down';

/** Time that passes when it is told to. */
export class ToyTime implements Time {
  private at = 0;
  private set = 0;
  private due: { at: number; run: () => void; every: number | null }[] = [];

  wall = () => NOW + this.at + this.set;
  steady = () => this.at;

  after(ms: number, run: () => void): () => void {
    return this.plan({ at: this.at + ms, run, every: null });
  }

  every(ms: number, run: () => void): () => void {
    return this.plan({ at: this.at + ms, run, every: ms });
  }

  /** Somebody fiddles with the computer's clock. */
  setWall(by: number): void {
    this.set += by;
  }

  /** The lid is closed: no timer runs, and the clock that nobody can set goes on. */
  sleep(ms: number): void {
    this.at += ms;
    this.due = this.due.map((one) => ({ ...one, at: Math.max(one.at, this.at) }));
  }

  async pass(ms: number): Promise<void> {
    const until = this.at + ms;
    for (;;) {
      const next = this.due.filter(({ at }) => at <= until).sort((one, other) => one.at - other.at)[0];
      if (!next) break;
      this.at = next.at;
      this.due = this.due.filter((one) => one !== next);
      if (next.every !== null) this.plan({ ...next, at: next.at + next.every });
      next.run();
      await settle();
    }
    this.at = until;
    await settle();
  }

  private plan(one: { at: number; run: () => void; every: number | null }): () => void {
    this.due.push(one);
    return () => {
      this.due = this.due.filter(({ run }) => run !== one.run);
    };
  }
}

/** Lets all that waits for nothing but its turn have it. */
export async function settle(): Promise<void> {
  for (let turn = 0; turn < 30; turn++) await Promise.resolve();
}

export class ToyStorage implements QueueStorage {
  readonly kept = new Map<string, SittingEvent[]>();
  broken = false;

  async read(owner: string): Promise<SittingEvent[]> {
    if (this.broken) throw new Error('no storage here');
    return this.kept.get(owner) ?? [];
  }

  async write(owner: string, add: readonly SittingEvent[], drop: readonly string[]): Promise<void> {
    if (this.broken) throw new Error('no storage here');
    const left = (this.kept.get(owner) ?? []).filter(({ id }) => !drop.includes(id));
    this.kept.set(owner, [...left, ...add]);
  }
}

export interface Asked {
  what: 'open' | 'record' | 'handIn' | 'leave' | 'next';
  letter: View<'EventsRequest'>;
}

export class ToyServer implements Server {
  readonly asked: Asked[] = [];
  /** After which positions the next question was asked for. */
  readonly nexts: number[] = [];
  renewed = 0;

  constructor(readonly answers: Answer[]) {}

  async open(
    ...[tab, , , events = []]: [tab: string, take?: boolean, awake?: [number, number][], left?: SittingEvent[]]
  ): Promise<View<'OpenedSitting'>> {
    return this.answer('open', { tab, events }, opened()) as View<'OpenedSitting'>;
  }

  async record(letter: View<'EventsRequest'>): Promise<View<'SittingState'>> {
    return this.answer('record', letter, state()) as View<'SittingState'>;
  }

  async handIn(letter: View<'EventsRequest'>): Promise<View<'HandedIn'>> {
    return this.answer('handIn', letter, { sitting: 's', refused: {} }) as View<'HandedIn'>;
  }

  async next({ tab, after }: View<'NextRequest'>): Promise<View<'Next'>> {
    this.nexts.push(after);
    return this.answer('next', { tab, events: [] }, { questions: [], units: [], state: state() }) as View<'Next'>;
  }

  leave(letter: View<'EventsRequest'>): void {
    this.asked.push({ what: 'leave', letter });
  }

  renew(): void {
    this.renewed++;
  }

  /** The events of the letters of one sort. */
  sent(what: Asked['what']): SittingEvent[][] {
    return this.asked.filter((one) => one.what === what).map(({ letter }) => letter.events);
  }

  private answer(what: Asked['what'], letter: View<'EventsRequest'>, otherwise: object): object {
    this.asked.push({ what, letter: structuredClone(letter) });
    const answer = this.answers.shift() ?? otherwise;
    if (answer === 'down') throw new Unreachable();
    if (answer instanceof Error) throw answer;
    return answer;
  }
}

export function question(position: number, part: Partial<QuestionState> = {}): QuestionState {
  return {
    position,
    response: null,
    flagged: false,
    struck: [],
    sureness: null,
    seen: false,
    checked: false,
    locked: false,
    closed: false,
    outcome: null,
    tries: [],
    activeMs: 0,
    ...part,
  };
}

export function state(part: object = {}) {
  return {
    status: 'active',
    now: NOW,
    deadline: NOW + 600_000,
    remainingMs: 600_000,
    activeMs: 0,
    current: null,
    answered: 0,
    breaksLeft: 0,
    readingUntil: null,
    lastSeq: 5,
    score: null,
    questions: [],
    refused: {},
    ...part,
  };
}

export function opened(part: object = {}, questionMs: number | null = null) {
  const questions = [0, 1, 2].map((position) => ({
    position,
    marks: '1',
    stem: 'S',
    body: { kind: 'single', options: [] },
  }));
  return {
    briefing: { id: 's', mode: 'timed', questionMs, pausable: true },
    questions,
    units: [],
    topics: [],
    state: state({ questions: [0, 1, 2].map((position) => question(position)), ...part }),
  };
}

export function refusal(status: number, reason: string): Refused {
  return new Refused(status, { message: 'No.', reason, fields: {} });
}

/** A store with a world of its own. */
export function made(answers: Answer[], storage = new ToyStorage(), along?: Along) {
  const time = new ToyTime();
  const server = new ToyServer(answers);
  const world = { time, storage, server, ...(along && { along }) };
  return { store: new SittingStore('s', 'tab', 'me', world), time, server, storage };
}

/** The same, opened. */
export async function openStore(answers: Answer[], first: object = {}) {
  const world = made([opened(first), ...answers]);
  await world.store.open();
  await settle();
  return world;
}
