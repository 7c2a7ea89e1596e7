import type { Time } from './time';

const TICK_MS = 5_000;
/** Hidden tabs are woken once a minute; a longer gap means that the machine slept. */
const SLEPT_MS = 90_000;

/** Watches for gaps in the page's own time, such as a closed lid. */
export class Awake {
  private last: number;
  private since: number;
  readonly stop: () => void;

  constructor(
    private readonly time: Time,
    private readonly now: () => number,
  ) {
    this.last = time.wall();
    this.since = now();
    this.stop = time.every(TICK_MS, () => this.tick());
  }

  /** Since when, on the server's clock, the page has run without a gap. */
  get awakeSince(): number {
    this.tick();
    return this.since;
  }

  private tick(): void {
    const at = this.time.wall();
    if (Math.abs(at - this.last) > SLEPT_MS) this.since = this.now();
    this.last = at;
  }
}
