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
  private lastSteady: number;
  private from: number;
  /** What it takes for the server's time is of before a gap, or of before the server was ever heard. */
  private lost = true;
  private asked = true;
  readonly stop: () => void;

  /**
   * @param now the server's time as far as the page knows it
   * @param onWake given for how many milliseconds the clock that nobody can set went on in the gap
   */
  constructor(
    private readonly time: Time,
    private readonly now: () => number,
    private readonly onWake: (wentOn: number) => void,
  ) {
    this.last = time.wall();
    this.lastSteady = time.steady();
    this.from = now();
    this.stop = time.every(TICK_MS, () => this.look());
  }

  /** Since when the page has run without a gap, on the server's clock as far as the page knows it. */
  get since(): number {
    this.look();
    return this.from;
  }

  /** What the server is told: since when it has run without a gap. Null: it has slept, and asks what time it is. */
  tell(): number | null {
    this.look();
    this.asked = this.lost;
    return this.lost ? null : this.from;
  }

  /** The server's time has been heard. An answer to what was asked before a gap may itself be from before it. */
  heard(): void {
    this.look();
    if (!this.lost || !this.asked) return;
    this.lost = false;
    this.from = this.now();
  }

  /** Looks whether there was a gap just now. */
  look(): void {
    const at = this.time.wall();
    const gap = Math.abs(at - this.last) > SLEPT_MS;
    const wentOn = Math.max(0, this.time.steady() - this.lastSteady - TICK_MS);
    this.last = at;
    this.lastSteady = this.time.steady();
    if (!gap) return;
    this.from = this.now();
    this.lost = true;
    this.asked = false;
    this.onWake(wentOn);
  }
}
