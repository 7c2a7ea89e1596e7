import type { View } from '../../api/client';
import type { Response } from '../question/response';
import type { Along } from './packs/along';
import type { Pack } from './packs/packs';
import { Awake } from './sync/awake';
import type { Kind, SittingEvent } from './sync/events';
import { Post, type Late, type Link } from './sync/post';
import { Queue } from './sync/queue';
import type { QueueStorage } from './sync/queueStorage';
import type { Server } from './sync/server';
import { ServerClock } from './sync/serverClock';
import type { Time } from './sync/time';
import { firstOf, leftBlankBy } from './following';
import { begun, heard, isToCheck, laid, NOTHING_YET, type SittingView, type Sureness } from './sync/view';

export type { Late, Link } from './sync/post';
export { isToCheck, type QuestionState, type Sureness } from './sync/view';

export interface Snapshot extends SittingView {
  link: Link;
  sitting: View<'OpenedSitting'> | null;
  /** What the server would not take, in its words. */
  refused: string | null;
  late: Late;
  /** What this device took along of it. */
  pack: Pack | null;
  /** The next question of an adaptive test has been asked for. */
  asking: boolean;
  /** The clock stands at zero here, and what the server says of that is not known yet. */
  zero: boolean;
}

/** What a sitting needs of the world around it. */
export interface World {
  time: Time;
  storage: QueueStorage;
  server: Server;
  /** Without it nothing can be taken along. */
  along?: Along;
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
    pack: null,
    asking: false,
    zero: false,
  };
  private readonly listeners = new Set<() => void>();
  private readonly queue: Queue;
  private readonly clock: ServerClock;
  private readonly awake: Awake;
  private readonly post: Post;
  private seq = 0;
  /** When the question on screen came there, by the server's clock. */
  private shownAt = 0;
  private taking = false;
  /** The page has said that it goes; browsers call it hidden after that, which must not be its last word. */
  private gone = false;
  /** Answers that came into a pause which nobody here knew of: given again when one goes on. */
  private heldOver: SittingEvent[] = [];
  /** A pause or a break is over by the candidate's word, and the server has not said so yet. */
  private goingOn = false;
  /** In tutor mode, an option that is chosen is checked at once: as the candidate likes it. */
  checksAtOnce = false;
  /** The page is out of sight, so no question is on screen. */
  private hidden = false;

  constructor(
    sitting: string,
    private tab: string,
    user: string,
    private readonly world: World,
  ) {
    this.queue = new Queue(world.storage, `${user}/${sitting}`);
    this.clock = new ServerClock(world.time);
    this.awake = new Awake(
      world.time,
      () => this.clock.now(),
      (slept) => this.wake(slept),
    );
    this.post = new Post(this.queue, world.server, world.time, (events) => this.letter(events), {
      heard: (state) => {
        this.world.along?.spells.heard(state.now);
        this.hear(state);
      },
      stands: (link) => this.stand(link),
      refused: (refused) => this.change({ refused }),
      awake: () => this.spells(),
      heldOver: (answers) => this.holdOver(answers),
      reopen: () => void this.open(this.taking, true),
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

  /** Milliseconds for which the question on screen has been there, all spells of it. */
  ownTime(): number {
    const { questions, current, status } = this.snapshot;
    const { activeMs = 0, toldAt = 0 } = questions[current] ?? {};
    const since = status === 'active' ? this.clock.now() - Math.max(toldAt, this.shownAt) : 0;
    return activeMs + Math.max(0, since);
  }

  /** @param again by itself, after it could not be opened for want of contact */
  async open(take = false, again = false): Promise<void> {
    this.taking = take;
    this.gone = false;
    const pack = (await this.world.along?.find()) ?? null;
    if (pack && !(await this.world.along?.hold())) {
      const message = 'This sitting is open in another tab of this device. Go on there, or close it there first.';
      return this.stand({ kind: 'elsewhere', message, waiting: 0 });
    }
    if (pack) this.tab = pack.tab;
    this.change({ pack });
    const sitting = await this.post.open(this.tab, take, pack && this.sinceThen(pack), again);
    if (!sitting) return;
    const { state } = sitting;
    const { questionMs } = sitting.briefing;
    // An adaptive test is always at the last question it has asked.
    const last = sitting.briefing.most ? sitting.questions.length - 1 : null;
    const series = sitting.units.filter(({ kind }) => kind === 'series').map(({ positions }) => positions);
    this.change({ sitting, questionMs, series, current: last ?? state.current ?? this.snapshot.current });
    this.seq = Math.max(state.lastSeq, ...this.queue.all.map(({ seq }) => seq));
    this.hear(state);
    if (state.status === 'handed_in') return void this.post.handIn(true);
    if (state.status === 'active' || state.status === 'reading') this.show(this.snapshot.current);
    else this.post.soon();
  }

  /** A question that was never seen is not closed unseen: what comes before it in its series has its turn first. */
  show(asked: number): void {
    const { questions, current, questionMs } = this.snapshot;
    const position = firstOf(this.snapshot, asked);
    if (!questions[position] || (questionMs !== null && position !== current && position !== current + 1)) return;
    if (this.snapshot.sitting?.briefing.most && position < questions.length - 1) return;
    // With a time for each question, the event itself moves on.
    if (questionMs === null) this.change({ current: position });
    this.shownAt = this.clock.now();
    this.act('shown', position);
  }

  answer(position: number, response: Response | null): void {
    this.act('answered', position, response);
    const { sitting } = this.snapshot;
    const isChosen = response !== null && sitting?.questions[position]?.body.kind === 'single';
    if (this.checksAtOnce && isChosen && sitting?.briefing.mode === 'tutor') void this.check(position);
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

  /** Tutor mode: asks whether the answer is right, without the reasons. The first try counts. */
  async try(position: number): Promise<void> {
    this.act('tried', position);
    await this.post.flush();
  }

  /** Tutor mode: locks the answer and asks what came of it. */
  async check(position: number): Promise<void> {
    this.act('checked', position);
    await this.post.flush();
  }

  /** Locks all answers so far and asks what came of them. */
  async checkAll(): Promise<void> {
    for (const { position } of this.snapshot.questions.filter(isToCheck)) this.act('checked', position);
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
    this.turnBack();
  }

  /**
   * Time is up here. True when that is the end: the server is asked, and keeps being asked until it says so or that
   * there is time left. Else the next has its turn, or it is not so: the lid was closed.
   */
  timeUp(): boolean {
    this.awake.look();
    if (this.remaining() !== 0) return false;
    const { questionMs, current, questions } = this.snapshot;
    if (questionMs !== null && current < questions.length - 1) {
      this.show(current + 1);
      return false;
    }
    this.change({ zero: true });
    void this.post.flush();
    return true;
  }

  /** Asks an adaptive test for its next question, for good: there is no going back from it. */
  async next(): Promise<void> {
    const { sitting, current, asking } = this.snapshot;
    if (!sitting || asking) return;
    this.change({ asking: true });
    const told = await this.post.afterAll(() =>
      this.world.server.next({ tab: this.tab, after: current, awakeSince: this.awake.tell() }),
    );
    this.change({ asking: false });
    if (!told) return;
    if (told.questions.length === 0) return this.post.over();
    const questions = [...sitting.questions.slice(0, current + 1), ...told.questions];
    this.change({ sitting: { ...sitting, questions, units: [...sitting.units, ...told.units] } });
    this.hear(told.state);
    this.show(questions.length - 1);
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

  /** The device has a connection again. */
  online(): void {
    if (this.snapshot.sitting) void this.flush();
    else if (this.snapshot.link.kind === 'failed') void this.open(this.taking, true);
  }

  /** The page is out of sight, or in sight again: no question is on screen meanwhile, though the clock goes on. */
  hide(hidden: boolean): void {
    this.hidden = hidden;
    const { status, link, current } = this.snapshot;
    const goesOn = status === 'active' || status === 'reading';
    if (this.gone || !goesOn || !['saved', 'saving', 'away'].includes(link.kind)) return;
    if (!hidden) return this.show(current);
    this.act('hidden', null);
    void this.post.flush();
  }

  /** The page goes away: the question is no longer on screen, and the pen is free. */
  leave(): void {
    if (this.snapshot.link.kind !== 'saved' && this.snapshot.link.kind !== 'saving') return;
    this.gone = true;
    this.post.leave(this.put('left', null));
  }

  /** It was taken along on this device, or given back. */
  took(pack: Pack | null): void {
    this.change({ pack });
    if (pack) void this.world.along?.hold();
    else this.world.along?.drop();
  }

  /** The name under which this page writes. */
  get name(): string {
    return this.tab;
  }

  /** Where the sitting stands, as far as this page knows. */
  state(): View<'SittingState'> {
    const { questions, status, deadline, remainingMs, current, breaksLeft, readingUntil, score } = this.snapshot;
    return {
      questions: [...questions],
      status,
      now: Math.round(this.clock.now()),
      deadline,
      remainingMs,
      activeMs: 0,
      current,
      answered: questions.filter(({ response }) => response !== null).length,
      breaksLeft,
      readingUntil,
      lastSeq: this.seq,
      score,
      refused: {},
    };
  }

  /** Stops all timers. */
  stop(): void {
    this.world.along?.release();
    this.post.stop();
    this.awake.stop();
  }

  /**
   * What was answered before the server knows that one goes on would not count, so the questions wait for its word. It
   * may come with a later letter than the next: one that was under way already knows nothing of it.
   */
  private async goOn(kind: 'resumed' | 'break_ended'): Promise<void> {
    this.goingOn = true;
    if (this.snapshot.asked !== 'going on') this.act(kind, null);
    await this.post.flush();
  }

  /** Goes on where the server has said so: what was held over is given again, and the question is on screen again. */
  private wentOn(): void {
    const { status, asked, current } = this.snapshot;
    if (!this.goingOn || status !== 'active' || asked !== null) return;
    this.goingOn = false;
    const heldOver = this.heldOver;
    this.heldOver = [];
    for (const { kind: done, position = null, value } of heldOver) this.act(done, position, value);
    // Out of sight it comes on screen when the page does.
    if (!this.hidden) this.show(current);
  }

  private holdOver(answers: SittingEvent[]): void {
    const again = new Set(answers.map(({ position }) => position));
    this.heldOver = [...this.heldOver.filter(({ position }) => !again.has(position)), ...answers];
  }

  /** Whoever stands amid a series when reading is over begins with the first of it: going on closes what is before. */
  private turnBack(): void {
    const { status, current } = this.snapshot;
    const [first] = leftBlankBy(this.snapshot, current);
    if (status === 'active' && first !== undefined) this.show(first);
  }

  private act(kind: Kind, position: number | null, value?: unknown): void {
    // What is done first after a lid was opened was done after it, not in the gap.
    this.awake.look();
    this.change(laid(this.snapshot, this.put(kind, position, value)));
    this.spells();
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
    const wasReading = this.snapshot.status === 'reading';
    this.clock.hear(state.now);
    this.awake.heard();
    this.change(this.queue.all.reduce(laid, heard(this.snapshot, state)));
    if (state.status !== 'handed_in' && this.remaining() !== 0) this.change({ zero: false });
    // Who has found it wants to know why.
    for (const { position, tries } of state.questions)
      if (
        state.status === 'active' &&
        tries.at(-1)?.outcome === 'right' &&
        this.snapshot.questions[position]?.checked === false
      )
        this.act('checked', position);
    this.wentOn();
    if (wasReading) this.turnBack();
    if (this.snapshot.pack) this.world.along?.keep(this.state());
  }

  /** What was taken along, as if the server had told of it just now: its clock has gone on since. */
  private sinceThen(pack: Pack): View<'OpenedSitting'> {
    const { state } = pack.opened;
    return { ...pack.opened, state: { ...state, now: state.now + Math.max(0, this.world.time.wall() - pack.toldAt) } };
  }

  /** Spells in which pages of it ran on this device. */
  private spells(): [number, number][] {
    const { along } = this.world;
    const { sitting } = this.snapshot;
    if (!along) return [];
    // Before it is open, the clock says nothing yet.
    if (sitting) along.spells.ran(this.awake.since, this.clock.now());
    return along.spells.all;
  }

  /**
   * The page has slept. Where a closed lid stops the clock it stopped here too, and the server says how long.
   *
   * @param slept milliseconds for which this page's clock went on meanwhile
   */
  private wake(slept: number): void {
    const { sitting, status, deadline } = this.snapshot;
    if (!sitting) return;
    if (sitting.briefing.pausable && status === 'active' && deadline !== null)
      this.change({ deadline: deadline + slept });
    void this.flush();
  }

  private stand(link: Link): void {
    if (link.kind === 'handedIn') this.world.along?.spells.clear();
    if (link.kind === 'handedIn' && this.snapshot.pack) this.took(null);
    // What takes no more is handed in as it is.
    if (link.kind === 'full' && this.snapshot.zero) void this.handIn(true);
    this.change(link.kind === 'handedIn' ? { link, status: 'handed_in', late: this.post.late } : { link });
  }

  private letter(events: SittingEvent[]): View<'EventsRequest'> {
    const awake = this.spells();
    return { tab: this.tab, awakeSince: this.awake.tell(), events, ...(awake.length > 0 && { awake }) };
  }

  private change(part: Partial<Snapshot>): void {
    this.snapshot = { ...this.snapshot, ...part };
    for (const listener of this.listeners) listener();
  }
}
