import { Refused, Unreachable, type View } from '../../../api/client';
import type { Spell } from '../packs/spells';
import { answersIn, type SittingEvent } from './events';
import { AT_ONCE, type Queue } from './queue';
import type { Server } from './server';
import type { Time } from './time';

/** How the page and the server stand with each other. */
export type Link =
  | { kind: 'opening' }
  | { kind: 'saved' }
  | { kind: 'saving' }
  /** No connection. `kept`: whether the device keeps what waits. */
  | { kind: 'away'; waiting: number; kept: boolean }
  /** The sitting takes no more; it can be handed in. */
  | { kind: 'full'; message: string }
  | { kind: 'elsewhere'; message: string; waiting: number }
  | { kind: 'signedOut' }
  | { kind: 'failed'; error: Error }
  | { kind: 'handedIn' };

/** What did not count of what was handed in, and why. */
export interface Late {
  answers: number;
  why: string | null;
}

const HEARTBEAT_MS = 15_000;
const GATHER_MS = 150;
const RETRY_MS = [1_000, 2_000, 4_000, 8_000, 15_000];
/** What a browser lets a page send while it closes. */
const PARTING_BYTES = 60_000;
const FULL = new Set(['too_many_events', 'too_large']);

/** Carries what waits in the queue to the server, and brings back its word. */
export class Post {
  private failures = 0;
  private callOff: (() => void) | undefined;
  private sending: Promise<void> | null = null;
  private handing: Promise<boolean> | null = null;
  private stopped = false;
  private ending = false;
  private isOpen = false;
  /** It goes on from what was taken along: the server has yet to open it for this name. */
  private toOpen: string | null = null;
  /** The highest sequence that the server has said it holds. */
  private holds = 0;
  /** The last answer to each question that was sent when all was over: why it does not count, or that it does. */
  private readonly afterwards = new Map<number, string | null>();

  constructor(
    private readonly queue: Queue,
    private readonly server: Server,
    private readonly time: Time,
    private readonly written: (events: SittingEvent[]) => View<'EventsRequest'>,
    private readonly told: {
      heard: (state: View<'SittingState'>) => void;
      stands: (link: Link) => void;
      refused: (why: string) => void;
      awake: () => Spell[];
      /** Answers that came into a pause which nobody here knew of yet. */
      heldOver: (answers: SittingEvent[]) => void;
      /** It did not open for want of contact, and should be tried again. */
      reopen: () => void;
    },
  ) {}

  get late(): Late {
    const refused = [...this.afterwards.values()].filter((why) => why !== null);
    return { answers: refused.length, why: refused[0] ?? null };
  }

  /**
   * Opens the sitting for this tab.
   *
   * @param packed what was taken along, to go on with where there is no server; null: nothing was
   * @param again it is tried again by itself, and what is shown meanwhile stays
   */
  async open(
    tab: string,
    take: boolean,
    packed: View<'OpenedSitting'> | null = null,
    again = false,
  ): Promise<View<'OpenedSitting'> | null> {
    this.callOff?.();
    if (!again) this.told.stands({ kind: 'opening' });
    try {
      // First what an earlier page left: if all is over, it is told of that too.
      await this.queue.load(this.time.wall());
      const opened = await this.openWith(tab, take);
      if (this.stopped) return null;
      this.isOpen = true;
      this.toOpen = null;
      this.failures = 0;
      this.told.stands({ kind: 'saved' });
      return opened;
    } catch (error) {
      const goesOn = packed !== null && error instanceof Unreachable && !this.stopped;
      if (goesOn) {
        this.isOpen = true;
        this.toOpen = tab;
      }
      this.stumble(error);
      return goesOn ? packed : null;
    }
  }

  /** A letter says what the server is thought to hold, so that nothing is put over a gap. */
  private letter(events: SittingEvent[]): View<'EventsRequest'> {
    return { ...this.written(events), ...(this.holds > 0 && { after: this.holds }) };
  }

  /** Sends soon, with what else is done in this moment. */
  soon(): void {
    this.schedule(GATHER_MS);
  }

  /** Sends what waits; an empty letter tells the server that the page is alive. */
  flush(): Promise<void> {
    // Handing in sends all that waits; a letter beside it would come after the end.
    if (this.handing) return this.handing.then(() => undefined);
    this.sending ??= this.send().finally(() => {
      this.sending = null;
    });
    return this.sending;
  }

  /**
   * Hands in for good, with all that waits. True when it is done.
   *
   * @param untilDone whether to keep trying until it is: when time is up there is nothing else to do
   */
  handIn(untilDone = false): Promise<boolean> {
    this.ending ||= untilDone;
    this.handing ??= this.sendAllAndEnd().finally(() => {
      this.handing = null;
    });
    return this.handing;
  }

  /**
   * Asks the server for something that goes by all that was done before. Null: it cannot be had just now, and why is
   * told as of any letter.
   */
  async afterAll<T>(ask: () => Promise<T>): Promise<T | null> {
    for (let waited = Infinity; this.queue.all.length > 0;) {
      if (this.queue.all.length >= waited) return null;
      waited = this.queue.all.length;
      await this.flush();
    }
    if (this.stopped) return null;
    try {
      return await ask();
    } catch (error) {
      this.stumble(error);
      return null;
    }
  }

  /** The sitting is over, by the server's own word. */
  over(): void {
    this.callOff?.();
    this.told.stands({ kind: 'handedIn' });
    this.stop();
  }

  /** The page goes away, with a last word. */
  leave(parting: SittingEvent): void {
    const all = [...this.queue.all];
    const whole = this.letter(all.slice(0, AT_ONCE));
    // A letter too long to send while closing would not go at all: the rest waits on the device.
    this.server.leave(JSON.stringify(whole).length < PARTING_BYTES ? whole : this.letter([parting]));
  }

  /** Stops all timers, for good. */
  stop(): void {
    this.stopped = true;
    this.callOff?.();
  }

  private async send(): Promise<void> {
    // What was never opened has nothing to say yet; opening it is tried again by itself.
    if (!this.isOpen) return;
    try {
      await this.openFirst();
    } catch (error) {
      return this.stumble(error);
    }
    const events = this.queue.next();
    try {
      const state = await this.server.record(this.letter(events));
      this.holds = state.lastSeq;
      this.failures = 0;
      this.acknowledge(events, state.refused);
      this.told.heard(state);
      const [why] = Object.values(state.refused);
      if (state.status === 'handed_in') {
        this.endLater();
        return;
      }
      const heldOver =
        state.status === 'paused' ? events.filter(({ id, kind }) => state.refused[id] && kind === 'answered') : [];
      if (heldOver.length > 0) this.told.heldOver(heldOver);
      else if (why) this.told.refused(why);
      const more = this.queue.all.length > 0;
      this.told.stands(more ? { kind: 'saving' } : { kind: 'saved' });
      this.schedule(more ? GATHER_MS : HEARTBEAT_MS);
    } catch (error) {
      this.stumble(error);
    }
  }

  private async sendAllAndEnd(): Promise<boolean> {
    this.callOff?.();
    await this.sending;
    this.callOff?.();
    try {
      await this.openFirst();
      await this.sendAhead();
      do {
        const events = this.queue.next();
        const { refused } = await this.server.handIn(this.letter(events));
        this.acknowledge(events, refused);
        // Whatever is left after the first letter did not make it: the server says so, letter by letter.
      } while (this.queue.all.length > 0);
    } catch (error) {
      this.stumble(error);
      return false;
    }
    this.queue.forget();
    await this.queue.settled();
    this.told.stands({ kind: 'handedIn' });
    this.stop();
    return true;
  }

  /** Opens it with what waits. What does not fit into one letter follows. */
  private async openWith(tab: string, take: boolean): Promise<View<'OpenedSitting'>> {
    const left = this.queue.next();
    const opened = await this.server.open(tab, take, this.told.awake(), left);
    this.acknowledge(left, opened.state.refused);
    // It holds less than it had acknowledged: it was put back to an earlier state.
    this.queue.again(opened.state.lastSeq);
    this.holds = opened.state.lastSeq;
    const [why] = Object.values(opened.state.refused);
    if (why) this.told.refused(why);
    return opened;
  }

  /** Opens what has been gone on with from what was taken along. */
  private async openFirst(): Promise<void> {
    if (this.toOpen === null) return;
    try {
      const { state } = await this.openWith(this.toOpen, false);
      this.toOpen = null;
      this.told.heard(state);
    } catch (error) {
      // All is over: what waits is sent after it, and the server tells what of it counts.
      if (error instanceof Refused && error.problem.reason === 'handed_in') this.toOpen = null;
      throw error;
    }
  }

  /** All but the last letter, as long as the sitting takes any. */
  private async sendAhead(): Promise<void> {
    while (this.queue.all.length > AT_ONCE) {
      const events = this.queue.next();
      try {
        const state = await this.server.record(this.letter(events));
        this.acknowledge(events, state.refused);
      } catch (error) {
        if (error instanceof Refused && (error.problem.reason === 'handed_in' || isFull(error))) return;
        throw error;
      }
    }
  }

  /** The server has them on its disk, whether they count or not. */
  private acknowledge(events: readonly SittingEvent[], refused: Record<string, string>): void {
    this.queue.acknowledge(
      events.map(({ id }) => id),
      new Set(Object.keys(refused)),
    );
    for (const { id, kind, position } of events)
      if (kind === 'answered' && typeof position === 'number') this.afterwards.set(position, refused[id] ?? null);
  }

  /** Time ran out while the server was away or nobody looked: what is here is handed in as it stands. */
  private endLater(): void {
    this.callOff?.();
    if (!this.stopped) this.callOff = this.time.after(0, () => void this.handIn(true));
  }

  private stumble(error: unknown): void {
    if (this.stopped) return;
    this.callOff?.();
    if (error instanceof Refused && error.problem.reason === 'behind') {
      // The server was put back: it gets again all that it had acknowledged, and what it still holds does no harm.
      this.holds = 0;
      this.queue.again(0);
      return this.schedule(GATHER_MS);
    }
    const link = this.linkAfter(error);
    // Handed in from elsewhere, or by the clock, before what waits here arrived: the server is told, and tells.
    if (link.kind === 'handedIn' && this.queue.all.length > 0) return this.endLater();
    this.told.stands(link);
    if (link.kind === 'failed' && !this.isOpen && isPassing(error)) {
      const wait = RETRY_MS[Math.min(this.failures++, RETRY_MS.length - 1)] ?? HEARTBEAT_MS;
      this.callOff = this.time.after(wait, () => this.told.reopen());
    }
    if (link.kind === 'away') this.schedule(RETRY_MS[Math.min(this.failures++, RETRY_MS.length - 1)] ?? HEARTBEAT_MS);
  }

  private linkAfter(error: unknown): Link {
    if (error instanceof Refused) {
      const { reason, message } = error.problem;
      if (reason === 'handed_in') return { kind: 'handedIn' };
      if (reason === 'open_elsewhere') return { kind: 'elsewhere', message, waiting: this.queue.answers };
      if (isFull(error)) return { kind: 'full', message };
      if (error.status === 401) return { kind: 'signedOut' };
      if (error.status === 419) this.server.renew();
      else if (error.status < 500 && error.status !== 429) return { kind: 'failed', error };
    }
    if (!this.isOpen)
      return { kind: 'failed', error: error instanceof Error ? error : new Error('The sitting did not open.') };
    return { kind: 'away', waiting: answersIn(this.queue.all), kept: this.queue.isKept };
  }

  private schedule(ms: number): void {
    this.callOff?.();
    if (!this.stopped) this.callOff = this.time.after(ms, () => void (this.ending ? this.handIn() : this.flush()));
  }
}

/** Whether it may go well another time. */
function isPassing(error: unknown): boolean {
  return error instanceof Unreachable || (error instanceof Refused && (error.status >= 500 || error.status === 429));
}

function isFull(error: Refused): boolean {
  return FULL.has(error.problem.reason ?? '');
}
