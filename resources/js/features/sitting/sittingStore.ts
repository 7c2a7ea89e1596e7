import { api, ask, Refused, Unreachable, type View } from '../../api/client';
import { Awake } from './awake';
import { Outbox, type SittingEvent } from './outbox';
import type { Response } from '../question/response';
import { ServerClock } from './serverClock';

export type Sureness = NonNullable<View<'QuestionState'>['sureness']>;
export type QuestionState = View<'QuestionState'>;

/** How the page and the server stand with each other. */
export type Link =
  | { kind: 'opening' }
  | { kind: 'saved' }
  | { kind: 'saving' }
  | { kind: 'away'; waiting: number }
  | { kind: 'elsewhere'; message: string; waiting: number }
  | { kind: 'signedOut' }
  | { kind: 'failed'; error: Error }
  | { kind: 'handedIn' };

export interface Snapshot {
  link: Link;
  sitting: View<'OpenedSitting'> | null;
  status: View<'SittingState'>['status'];
  questions: readonly QuestionState[];
  current: number;
  deadline: number | null;
  remainingMs: number | null;
  breaksLeft: number;
  /** What the server would not take, in its words. */
  refused: string | null;
  /** How many answers came too late to count when it was handed in. */
  late: number;
}

const HEARTBEAT_MS = 15_000;
const GATHER_MS = 150;
const RETRY_MS = [1_000, 2_000, 4_000, 8_000, 15_000];

/**
 * One sitting as this page knows it: what the server said, with what the candidate has done since laid over it. Knows
 * nothing of React. Everything the candidate does goes to the outbox first and to the server as soon as it can.
 */
export class SittingStore {
  private snapshot: Snapshot = {
    link: { kind: 'opening' },
    sitting: null,
    status: 'not_started',
    questions: [],
    current: 0,
    deadline: null,
    remainingMs: null,
    breaksLeft: 0,
    refused: null,
    late: 0,
  };
  private readonly listeners = new Set<() => void>();
  private readonly outbox: Outbox;
  private readonly clock = new ServerClock(Date.now());
  private readonly awake = new Awake(() => this.clock.now());
  private seq = 0;
  private failures = 0;
  private timer: number | undefined;
  private sending: Promise<void> | null = null;
  private stopped = false;

  constructor(
    private readonly id: string,
    private readonly tab: string,
    user: string,
  ) {
    this.outbox = new Outbox(id, user);
  }

  readonly subscribe = (listener: () => void): (() => void) => {
    this.listeners.add(listener);
    return () => this.listeners.delete(listener);
  };

  readonly read = (): Snapshot => this.snapshot;

  /** Milliseconds left on the nearest clock; null when none runs. */
  remaining(): number | null {
    const { deadline, remainingMs } = this.snapshot;
    return deadline === null ? remainingMs : Math.max(0, deadline - this.clock.now());
  }

  async open(take = false): Promise<void> {
    this.change({ link: { kind: 'opening' } });
    try {
      const sitting = await ask(
        api.POST('/api/sittings/{sitting}/open', {
          params: { path: { sitting: this.id } },
          body: { tab: this.tab, take },
        }),
      );
      if (this.stopped) return;
      this.change({ sitting, link: { kind: 'saved' }, current: sitting.state.current ?? this.snapshot.current });
      this.hear(sitting.state);
      for (const event of this.outbox.all) this.lay(event);
      this.seq = Math.max(sitting.state.lastSeq, ...this.outbox.all.map(({ seq }) => seq));
      if (this.snapshot.status === 'active') this.show(this.snapshot.current);
      if (sitting.state.status === 'handed_in') this.endLater();
      else this.schedule(GATHER_MS);
    } catch (error) {
      this.stumble(error);
    }
  }

  show(position: number): void {
    if (!this.snapshot.questions[position]) return;
    this.change({ current: position });
    this.act('shown', position);
  }

  answer(position: number, response: Response | null): void {
    this.act('answered', position, response);
  }

  flag(position: number, on: boolean): void {
    this.act('flagged', position, on);
  }

  strike(position: number, struck: string[]): void {
    this.act('struck', position, struck);
  }

  beSure(position: number, sureness: Sureness | null): void {
    this.act('sureness', position, sureness);
  }

  /** Tutor mode: locks the answer and asks what came of it. */
  async check(position: number): Promise<void> {
    this.act('checked', position);
    await this.flush();
  }

  async pause(): Promise<void> {
    this.act('paused', null);
    await this.flush();
  }

  async resume(): Promise<void> {
    this.act('resumed', null);
    await this.flush();
    this.show(this.snapshot.current);
  }

  /** The clock of a break goes on, and what was seen before it stays as it is. */
  async takeBreak(): Promise<void> {
    this.act('break_began', null);
    await this.flush();
  }

  async endBreak(): Promise<void> {
    this.act('break_ended', null);
    await this.flush();
    this.show(this.snapshot.current);
  }

  /** Hands in for good, with what had not been sent yet. True when it is done. */
  async handIn(): Promise<boolean> {
    await this.sending;
    const events = [...this.outbox.all];
    try {
      const { refused } = await ask(
        api.POST('/api/sittings/{sitting}/hand-in', {
          params: { path: { sitting: this.id } },
          body: this.body(events),
        }),
      );
      this.outbox.acknowledge(new Set(events.map(({ id }) => id)));
      const late = events.filter(({ id, kind }) => kind === 'answered' && id in refused).length;
      this.change({ link: { kind: 'handedIn' }, status: 'handed_in', late });
      this.stop();
      return true;
    } catch (error) {
      this.stumble(error);
      return this.snapshot.link.kind === 'handedIn';
    }
  }

  /** The page goes away: the question is no longer on screen, and the pen is free. */
  leave(): void {
    if (this.snapshot.link.kind !== 'saved' && this.snapshot.link.kind !== 'saving') return;
    this.put('left', null);
    const body = this.body([...this.outbox.all]);
    void api
      .POST('/api/sittings/{sitting}/events', { params: { path: { sitting: this.id } }, body, keepalive: true })
      .catch(() => undefined);
  }

  /** Sends what waits; an empty letter tells the server that the page is alive. */
  flush(): Promise<void> {
    this.sending ??= this.send().finally(() => {
      this.sending = null;
    });
    return this.sending;
  }

  /** Stops all timers; `open` starts anew. */
  stop(): void {
    this.stopped = true;
    window.clearTimeout(this.timer);
    this.awake.stop();
  }

  private act(kind: SittingEvent['kind'], position: number | null, value?: unknown): void {
    this.lay(this.put(kind, position, value));
    if (this.snapshot.link.kind === 'saved') this.change({ link: { kind: 'saving' } });
    if (this.snapshot.link.kind !== 'away') this.schedule(GATHER_MS);
    else this.change({ link: { kind: 'away', waiting: this.outbox.answers } });
  }

  private put(kind: SittingEvent['kind'], position: number | null, value?: unknown): SittingEvent {
    this.seq += 1;
    const event: SittingEvent = {
      id: crypto.randomUUID(),
      seq: this.seq,
      kind,
      madeAt: this.clock.now(),
      position,
      value,
    };
    this.outbox.put(event);
    return event;
  }

  private async send(): Promise<void> {
    const events = [...this.outbox.all].slice(0, 500);
    try {
      const state = await ask(
        api.POST('/api/sittings/{sitting}/events', { params: { path: { sitting: this.id } }, body: this.body(events) }),
      );
      this.failures = 0;
      this.outbox.acknowledge(new Set(events.map(({ id }) => id)));
      this.hear(state);
      for (const event of this.outbox.all) this.lay(event);
      const [why] = Object.values(state.refused);
      this.change({
        link: this.outbox.all.length ? { kind: 'saving' } : { kind: 'saved' },
        ...(why ? { refused: why } : {}),
      });
      if (state.status === 'handed_in') this.endLater();
      else this.schedule(this.outbox.all.length ? GATHER_MS : HEARTBEAT_MS);
    } catch (error) {
      this.stumble(error);
    }
  }

  /** Time ran out while the server was away or nobody looked: what is here is handed in as it stands. */
  private endLater(): void {
    window.clearTimeout(this.timer);
    if (!this.stopped) this.timer = window.setTimeout(() => void this.handIn(), 0);
  }

  private stumble(error: unknown): void {
    if (this.stopped) return;
    if (error instanceof Refused) {
      const { reason, message } = error.problem;
      if (reason === 'handed_in') return this.change({ link: { kind: 'handedIn' }, status: 'handed_in' });
      if (reason === 'open_elsewhere')
        return this.change({ link: { kind: 'elsewhere', message, waiting: this.outbox.answers } });
      if (error.status === 401) return this.change({ link: { kind: 'signedOut' } });
      if (error.status < 500 && error.status !== 429 && error.status !== 419)
        return this.change({ link: { kind: 'failed', error } });
      // A stale token is renewed by any page read.
      if (error.status === 419) void api.GET('/api/session').catch(() => undefined);
    }
    if (this.snapshot.sitting === null)
      return this.change({ link: { kind: 'failed', error: error instanceof Error ? error : new Unreachable() } });
    this.change({ link: { kind: 'away', waiting: this.outbox.answers } });
    this.schedule(RETRY_MS[Math.min(this.failures++, RETRY_MS.length - 1)] ?? HEARTBEAT_MS);
  }

  /** Takes the server's word for what it knows. */
  private hear(state: View<'SittingState'>): void {
    this.clock.hear(state.now);
    const questions = [...this.snapshot.questions];
    for (const question of state.questions) questions[question.position] = question;
    this.change({
      questions,
      status: state.status,
      deadline: state.deadline,
      remainingMs: state.remainingMs,
      breaksLeft: state.breaksLeft,
    });
  }

  /** Lays an event over what the server said, until the server says it too. */
  private lay(event: SittingEvent): void {
    const { position, value } = event;
    if (event.kind === 'paused')
      return this.change({ remainingMs: this.remaining(), deadline: null, status: 'paused' });
    if (event.kind === 'break_began') return this.change({ status: 'on_break' });
    if (event.kind === 'resumed' || event.kind === 'break_ended') return this.change({ status: 'active' });
    const known = typeof position === 'number' ? this.snapshot.questions[position] : undefined;
    if (!known) return;
    const questions = [...this.snapshot.questions];
    questions[known.position] = { ...known, ...overlay(event.kind, value) };
    this.change({ questions });
  }

  private body(events: SittingEvent[]): View<'SittingEvents'> {
    return { tab: this.tab, awakeSince: this.awake.awakeSince, events };
  }

  private schedule(ms: number): void {
    window.clearTimeout(this.timer);
    if (!this.stopped) this.timer = window.setTimeout(() => void this.flush(), ms);
  }

  private change(part: Partial<Snapshot>): void {
    this.snapshot = { ...this.snapshot, ...part };
    for (const listener of this.listeners) listener();
  }
}

function overlay(kind: SittingEvent['kind'], value: unknown): Partial<QuestionState> {
  switch (kind) {
    case 'shown':
      return { seen: true };
    case 'answered':
      return { response: (value ?? null) as QuestionState['response'] };
    case 'flagged':
      return { flagged: value === true };
    case 'struck':
      return { struck: value as string[] };
    case 'sureness':
      return { sureness: (value ?? null) as QuestionState['sureness'] };
    default:
      return {};
  }
}
