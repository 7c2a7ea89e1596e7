import { answersIn, isMark, type SittingEvent } from './events';
import { toldOf, type QueueStorage } from './queueStorage';

/** So many go in one letter. */
export const AT_ONCE = 500;

/** So long what was acknowledged is kept, unless the sitting is over sooner. */
const KEPT_MS = 48 * 3_600_000;

/**
 * What the candidate did and the server has not acknowledged, in the order of doing, here and on the device. Each event
 * has an id, so sending one twice does no harm.
 */
export class Queue {
  private events: SittingEvent[] = [];
  /** What the server has acknowledged, kept in case it is put back to an earlier state. */
  private told: SittingEvent[] = [];
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

  /**
   * Brings back what an earlier page left.
   *
   * @param now milliseconds on the computer's clock
   */
  async load(now: number): Promise<void> {
    try {
      const left = await this.storage.read(this.owner);
      const known = new Set(this.events.map(({ id }) => id));
      this.events = [...left.filter(({ id }) => !known.has(id)), ...this.events];
      const told = await this.storage.read(toldOf(this.owner));
      const old = told.filter(({ madeAt }) => (madeAt ?? 0) < now - KEPT_MS);
      this.told = told.filter((event) => !old.includes(event));
      this.keep(
        [],
        old.map(({ id }) => id),
      );
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

  /**
   * Lets go of what the server has on its disk.
   *
   * @param refused ids of what it would not take
   */
  acknowledge(ids: readonly string[], refused: ReadonlySet<string> = new Set()): void {
    const gone = new Set(ids);
    const told = this.events.filter(({ id }) => gone.has(id) && !refused.has(id));
    this.told.push(...told);
    this.drop(ids);
    this.keep(told, []);
    for (const id of ids) this.underway.delete(id);
  }

  /** Sends again what was acknowledged after a sequence: the server does not hold it any more. True: there is some. */
  again(after: number): boolean {
    const lost = this.told.filter(({ seq }) => seq > after);
    if (lost.length === 0) return false;
    this.told = this.told.filter(({ seq }) => seq <= after);
    this.events = [...lost, ...this.events];
    this.write(lost, []);
    this.keep(
      [],
      lost.map(({ id }) => id),
    );
    return true;
  }

  /** The sitting is over: nothing of it stays here. */
  forget(): void {
    this.keep(
      [],
      this.told.map(({ id }) => id),
    );
    this.told = [];
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
    this.store(this.owner, add, drop);
  }

  private keep(add: readonly SittingEvent[], drop: readonly string[]): void {
    this.store(toldOf(this.owner), add, drop);
  }

  private store(owner: string, add: readonly SittingEvent[], drop: readonly string[]): void {
    if (add.length + drop.length === 0) return;
    this.written = this.written
      .then(() => this.storage.write(owner, add, drop))
      .then(
        () => void (this.kept = true),
        () => void (this.kept = false),
      );
  }
}
