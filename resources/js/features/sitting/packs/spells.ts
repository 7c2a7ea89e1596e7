/** A spell in which a page ran, from when until when, by the server's clock. */
export type Spell = [number, number];

const MOST = 400;

const KEY = 'uplandia.awake.';

export const keyOfSpells = (sitting: string) => `${KEY}${sitting}`;

/** Clears away those of all sittings. */
export function clearSpells(): void {
  for (const key of Object.keys(localStorage)) if (key.startsWith(KEY)) localStorage.removeItem(key);
}

/**
 * When the pages of a sitting ran on this device since the server last heard of it, each for as long as it did: so that
 * the server can tell the time in which somebody was there from the time in which the lid was closed.
 */
export class Spells {
  private earlier: Spell[];

  constructor(
    private readonly storage: Pick<Storage, 'getItem' | 'setItem' | 'removeItem'>,
    private readonly key: string,
  ) {
    this.earlier = read(storage.getItem(key));
  }

  /** The page has run without a gap since a moment, until now. */
  ran(since: number, now: number): void {
    const last = this.earlier.at(-1);
    if (last?.[0] === since) last[1] = now;
    else this.earlier.push([since, now]);
    if (this.earlier.length > MOST) this.join();
    this.keep();
  }

  /** The server has heard, by its own clock, of all until a moment. */
  heard(until: number): void {
    const left = this.earlier.filter(([, end]) => end > until);
    if (left.length === this.earlier.length) return;
    this.earlier = left;
    this.keep();
  }

  /** The sitting is over. */
  clear(): void {
    this.earlier = [];
    this.keep();
  }

  get all(): Spell[] {
    // The server's clock is an estimate here, and a later estimate may lie a little before an earlier one.
    return this.earlier.map(([from, until]) => [Math.round(from), Math.round(Math.max(from, until))]);
  }

  /** Where there are too many, the two that lie closest become one: no moment in which somebody was there is lost. */
  private join(): void {
    const between = (at: number) => this.earlier[at + 1]![0] - this.earlier[at]![1];
    let closest = 0;
    for (let at = 1; at < this.earlier.length - 1; at++) if (between(at) < between(closest)) closest = at;
    this.earlier.splice(closest, 2, [this.earlier[closest]![0], this.earlier[closest + 1]![1]]);
  }

  private keep(): void {
    try {
      if (this.earlier.length === 0) this.storage.removeItem(this.key);
      else this.storage.setItem(this.key, JSON.stringify(this.earlier));
    } catch {
      // Without storage only this page can speak for itself.
    }
  }
}

function read(kept: string | null): Spell[] {
  try {
    const spells: unknown = JSON.parse(kept ?? '[]');
    return Array.isArray(spells)
      ? spells.filter(
          (one): one is Spell => Array.isArray(one) && one.length === 2 && one.every((at) => typeof at === 'number'),
        )
      : [];
  } catch {
    return [];
  }
}
