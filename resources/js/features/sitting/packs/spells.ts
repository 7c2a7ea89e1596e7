/** A spell in which a page ran, from when until when, by the server's clock. */
export type Spell = [number, number];

const MOST = 400;

/**
 * When the pages of a sitting that was taken along ran, each for as long as it did: so that the server can tell the
 * time in which somebody was there from the time in which the lid was closed.
 */
export class Spells {
  private readonly earlier: Spell[];

  constructor(
    private readonly storage: Pick<Storage, 'getItem' | 'setItem'>,
    private readonly key: string,
  ) {
    this.earlier = read(storage.getItem(key));
  }

  /** The page has run without a gap since a moment, until now. */
  ran(since: number, now: number): void {
    const last = this.earlier.at(-1);
    if (last?.[0] === since) last[1] = now;
    else this.earlier.push([since, now]);
    if (this.earlier.length > MOST) this.earlier.shift();
    try {
      this.storage.setItem(this.key, JSON.stringify(this.earlier));
    } catch {
      // Without storage only this page can speak for itself.
    }
  }

  get all(): Spell[] {
    // The server's clock is an estimate here, and a later estimate may lie a little before an earlier one.
    return this.earlier.map(([from, until]) => [Math.round(from), Math.round(Math.max(from, until))]);
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
