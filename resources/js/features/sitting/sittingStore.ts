import type { View } from '../../api/client';
import type { Response } from '../question/response';
import { Awake } from './sync/awake';
import type { Kind, SittingEvent } from './sync/events';
import { Post, type Late, type Link } from './sync/post';
import { Queue } from './sync/queue';
import type { QueueStorage } from './sync/queueStorage';
import type { Server } from './sync/server';
import { ServerClock } from './sync/serverClock';
import type { Time } from './sync/time';
import { begun, heard, laid, NOTHING_YET, type SittingView, type Sureness } from './sync/view';

export type { Late, Link } from './sync/post';
export type { QuestionState, Sureness } from './sync/view';

export interface Snapshot extends SittingView {
  link: Link;
  sitting: View<'OpenedSitting'> | null;
  /** What the server would not take, in its words. */
  refused: string | null;
  late: Late;
}

/** What a sitting needs of the world around it. */
export interface World {
  time: Time;
  storage: QueueStorage;
  server: Server;
}

/**
 * One sitting as this page knows it. Knows nothing of React. Everything the candidate does goes to the queue first and
 * to the server as soon as it can.
 */
export class SittingStore {
  private snapshot: Snapshot = {
    ...NOTHING_YET,
    link: { kind: 'opening' },
    sitting: null,
    refused: null,
    late: { answers: 0, why: null },
  };
  private readonly listeners = new Set<() => void>();
  private readonly queue: Queue;
  private readonly clock: ServerClock;
  private readonly awake: Awake;
  private readonly post: Post;
  private seq = 0;

  constructor(
    sitting: string,
    private readonly tab: string,
    user: string,
    world: World,
  ) {
    this.queue = new Queue(world.storage, `${user}/${sitting}`);
    this.clock = new ServerClock(world.time);
    this.awake = new Awake(world.time, () => this.clock.now());
    this.post = new Post(this.queue, world.server, world.time, (events) => this.letter(events), {
      heard: (state) => this.hear(state),
      stands: (link) => this.stand(link),
      refused: (refused) => this.change({ refused }),
    });
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
    const sitting = await this.post.open(this.tab, take);
    if (!sitting) return;
    const { state } = sitting;
    const { questionMs } = sitting.briefing;
    this.change({ sitting, questionMs, current: state.current ?? this.snapshot.current });
    this.seq = Math.max(state.lastSeq, ...this.queue.all.map(({ seq }) => seq));
    this.hear(state);
    if (state.status === 'handed_in') return void this.post.handIn(true);
    if (state.status === 'active' || state.status === 'reading') this.show(this.snapshot.current);
    else this.post.soon();
  }

  show(position: number): void {
    const { questions, current, questionMs } = this.snapshot;
    if (!questions[position] || (questionMs !== null && position !== current && position !== current + 1)) return;
    // With a time for each question, the event itself moves on.
    if (questionMs === null) this.change({ current: position });
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
    await this.post.flush();
  }

  /** Asks for a pause. The clock stands still when the server has heard of it. */
  async pause(): Promise<void> {
    this.act('paused', null);
    await this.post.flush();
  }

  /** Thinks better of a pause that the server has not heard of. */
  async stayOn(): Promise<void> {
    if (!this.queue.withdraw('paused')) this.act('resumed', null);
    else this.change({ asked: null });
    await this.post.flush();
  }

  async resume(): Promise<void> {
    await this.goOn('resumed');
  }

  /** The clock of a break goes on, and what was seen before it stays as it is. */
  async takeBreak(): Promise<void> {
    this.act('break_began', null);
    await this.post.flush();
  }

  async endBreak(): Promise<void> {
    await this.goOn('break_ended');
  }

  /** Milliseconds until answering begins by itself; null: it has begun. */
  readingLeft(): number | null {
    const { readingUntil } = this.snapshot;
    return readingUntil === null ? null : Math.max(0, readingUntil - this.clock.now());
  }

  /** Begins to answer before reading is over. The clock runs from when the server has heard of it. */
  async endReading(): Promise<void> {
    this.act('reading_ended', null);
    await this.post.flush();
  }

  /** Reading is over by itself: everybody knows without a word. */
  readingOver(): void {
    const { status, readingUntil } = this.snapshot;
    if (status === 'reading' && readingUntil !== null) this.change(begun(this.snapshot, readingUntil));
  }

  /** Time is up. True when that is the end: it hands in and keeps trying until it is done. Else the next has its turn. */
  timeUp(): boolean {
    const { questionMs, current, questions } = this.snapshot;
    if (questionMs !== null && current < questions.length - 1) {
      this.show(current + 1);
      return false;
    }
    void this.handIn(true);
    return true;
  }

  /** Hands in for good, with what had not been sent yet. True when it is done. */
  async handIn(untilDone = false): Promise<boolean> {
    const done = await this.post.handIn(untilDone);
    if (done) this.awake.stop();
    return done || this.snapshot.link.kind === 'handedIn';
  }

  /** Sends what waits. */
  flush(): Promise<void> {
    return this.post.flush();
  }

  /** The page goes away: the question is no longer on screen, and the pen is free. */
  leave(): void {
    if (this.snapshot.link.kind !== 'saved' && this.snapshot.link.kind !== 'saving') return;
    this.post.leave(this.put('left', null));
  }

  /** Stops all timers. */
  stop(): void {
    this.post.stop();
    this.awake.stop();
  }

  /** What was answered before the server knows that one goes on would not count, so the questions wait for its word. */
  private async goOn(kind: 'resumed' | 'break_ended'): Promise<void> {
    if (this.snapshot.asked !== 'going on') this.act(kind, null);
    await this.post.flush();
    if (this.snapshot.status === 'active') this.show(this.snapshot.current);
  }

  private act(kind: Kind, position: number | null, value?: unknown): void {
    this.change(laid(this.snapshot, this.put(kind, position, value)));
    const { link } = this.snapshot;
    if (link.kind === 'away') this.stand({ ...link, waiting: this.queue.answers });
    else {
      if (link.kind === 'saved') this.stand({ kind: 'saving' });
      this.post.soon();
    }
  }

  private put(kind: Kind, position: number | null, value?: unknown): SittingEvent {
    this.seq += 1;
    const event: SittingEvent = {
      id: crypto.randomUUID(),
      seq: this.seq,
      kind,
      madeAt: this.clock.now(),
      position,
      value,
    };
    this.queue.put(event);
    return event;
  }

  private hear(state: View<'SittingState'>): void {
    this.clock.hear(state.now);
    this.change(this.queue.all.reduce(laid, heard(this.snapshot, state)));
  }

  private stand(link: Link): void {
    this.change(link.kind === 'handedIn' ? { link, status: 'handed_in', late: this.post.late } : { link });
  }

  private letter(events: SittingEvent[]): View<'SittingEvents'> {
    return { tab: this.tab, awakeSince: this.awake.awakeSince, events };
  }

  private change(part: Partial<Snapshot>): void {
    this.snapshot = { ...this.snapshot, ...part };
    for (const listener of this.listeners) listener();
  }
}
