const TICK_MS = 5_000;
/** Hidden tabs are woken once a minute; a longer gap means that the machine slept. */
const SLEPT_MS = 90_000;

/** Watches for gaps in the page's own time, such as a closed lid. */
export class Awake {
  private last = Date.now();
  private since: number;
  private readonly timer: number;

  constructor(private readonly now: () => number) {
    this.since = now();
    this.timer = window.setInterval(() => this.tick(), TICK_MS);
  }

  /** Since when, on the server's clock, the page has run without a gap. */
  get awakeSince(): number {
    this.tick();
    return this.since;
  }

  stop(): void {
    window.clearInterval(this.timer);
  }

  private tick(): void {
    const at = Date.now();
    if (Math.abs(at - this.last) > SLEPT_MS) this.since = this.now();
    this.last = at;
  }
}
