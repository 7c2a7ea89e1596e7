import type { Time } from './time';

const TICK_MS = 5_000;
/** Hidden tabs are woken once a minute; a longer gap means that the machine slept. */
const SLEPT_MS = 90_000;

/**
 * Watches for gaps in the page's own time, such as a closed lid. Whether the clock that nobody can set goes on while the
 * machine sleeps differs from one to the next, so after a gap only the server knows what time it is.
 */
export class Awake {
  private last: number;
  private from: number;
  /** What it takes for the server's time is of before a gap, or of before the server was ever heard. */
  private lost = true;
  private asked = true;
  readonly stop: () => void;

  constructor(
    private readonly time: Time,
    private readonly now: () => number,
    onWake: () => void,
  ) {
    this.last = time.wall();
    this.from = now();
    this.stop = time.every(TICK_MS, () => this.tick() && onWake());
  }

  /** Since when the page has run without a gap, on the server's clock as far as the page knows it. */
  get since(): number {
    this.tick();
    return this.from;
  }

  /** It has slept, and has not heard the time from the server since. */
  get slept(): boolean {
    this.tick();
    return this.lost;
  }

  /** What the server is told: since when it has run without a gap. Null: it has slept, and asks what time it is. */
  tell(): number | null {
    this.tick();
    this.asked = this.lost;
    return this.lost ? null : this.from;
  }

  /** The server's time has been heard. An answer to what was asked before a gap may itself be from before it. */
  heard(): void {
    if (!this.tick() && this.lost && this.asked) {
      this.lost = false;
      this.from = this.now();
    }
  }

  /** True when there was a gap just now. */
  private tick(): boolean {
    const at = this.time.wall();
    const gap = Math.abs(at - this.last) > SLEPT_MS;
    this.last = at;
    if (gap) {
      this.from = this.now();
      this.lost = true;
      this.asked = false;
    }
    return gap;
  }
}
