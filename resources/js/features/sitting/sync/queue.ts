import { answersIn, isMark, type SittingEvent } from './events';
import type { QueueStorage } from './queueStorage';

/** So many go in one letter. */
export const AT_ONCE = 500;

/**
 * What the candidate did and the server has not acknowledged, in the order of doing, here and on the device. Each event
 * has an id, so sending one twice does no harm.
 */
export class Queue {
  private events: SittingEvent[] = [];
  private readonly underway = new Set<string>();
  private written: Promise<void> = Promise.resolve();
  private kept = true;

  constructor(
    private readonly storage: QueueStorage,
    private readonly owner: string,
  ) {}

  get all(): readonly SittingEvent[] {
    return this.events;
  }

  /** How many questions have answers that wait to be saved. */
  get answers(): number {
    return answersIn(this.events);
  }

  /** Whether the device keeps them: if not, they live as long as this page. */
  get isKept(): boolean {
    return this.kept;
  }

  /** Brings back what an earlier page left. */
  async load(): Promise<void> {
    try {
      const left = await this.storage.read(this.owner);
      const known = new Set(this.events.map(({ id }) => id));
      this.events = [...left.filter(({ id }) => !known.has(id)), ...this.events];
    } catch {
      // A private window may have no storage: they stay in memory and are still sent.
      this.kept = false;
    }
  }

  /** Takes an event in. It stands for earlier ones of its kind that nobody has seen yet. */
  put(event: SittingEvent): void {
    const stale = this.standsFor(event);
    this.events = [...this.events.filter(({ id }) => !stale.includes(id)), event];
    this.write([event], stale);
  }

  /** The next to send. From now on the server may know them, so nothing takes their place. */
  next(): SittingEvent[] {
    const next = this.events.slice(0, AT_ONCE);
    for (const { id } of next) this.underway.add(id);
    return next;
  }

  /** Takes out what was not sent yet. */
  withdraw(kind: SittingEvent['kind']): boolean {
    const ids = this.events.filter((event) => event.kind === kind && !this.underway.has(event.id)).map(({ id }) => id);
    this.drop(ids);
    return ids.length > 0;
  }

  /** Lets go of what the server has on its disk. */
  acknowledge(ids: readonly string[]): void {
    this.drop(ids);
    for (const id of ids) this.underway.delete(id);
  }

  /** When all that was put in so far is on the device, or cannot be. */
  settled(): Promise<void> {
    return this.written;
  }

  private drop(ids: readonly string[]): void {
    const gone = new Set(ids);
    this.events = this.events.filter(({ id }) => !gone.has(id));
    this.write([], ids);
  }

  /**
   * Marks of the same kind on the same question, back to the last step that may have closed it: what was answered
   * before such a step must not fall with what was tried after it.
   */
  private standsFor(event: SittingEvent): string[] {
    if (!isMark(event)) return [];
    const stale: string[] = [];
    for (const earlier of [...this.events].reverse()) {
      if (!isMark(earlier) || this.underway.has(earlier.id)) break;
      if (earlier.kind === event.kind && earlier.position === event.position) stale.push(earlier.id);
    }
    return stale;
  }

  private write(add: readonly SittingEvent[], drop: readonly string[]): void {
    if (add.length + drop.length === 0) return;
    this.written = this.written
      .then(() => this.storage.write(this.owner, add, drop))
      .then(
        () => void (this.kept = true),
        () => void (this.kept = false),
      );
  }
}
