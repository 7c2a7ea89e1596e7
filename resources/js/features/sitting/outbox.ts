import type { View } from '../../api/client';

export type SittingEvent = View<'SittingEvent'>;

/**
 * Events that the server has not acknowledged, kept on this device so that a crash or a closed lid loses none. Each
 * has an id, so sending one twice does no harm.
 */
export class Outbox {
  private events: SittingEvent[];
  private readonly key: string;

  constructor(sitting: string, user: string) {
    this.key = `uplandia.outbox.${user}.${sitting}`;
    this.events = this.read();
  }

  get all(): readonly SittingEvent[] {
    return this.events;
  }

  /** How many answers wait to be saved. */
  get answers(): number {
    return this.events.filter(({ kind }) => kind === 'answered').length;
  }

  put(event: SittingEvent): void {
    this.events = [...this.events, event];
    this.write();
  }

  /** Lets go of what the server has on its disk. */
  acknowledge(ids: ReadonlySet<string>): void {
    this.events = this.events.filter(({ id }) => !ids.has(id));
    this.write();
  }

  private read(): SittingEvent[] {
    try {
      return JSON.parse(localStorage.getItem(this.key) ?? '[]') as SittingEvent[];
    } catch {
      return [];
    }
  }

  private write(): void {
    try {
      if (this.events.length === 0) localStorage.removeItem(this.key);
      else localStorage.setItem(this.key, JSON.stringify(this.events));
    } catch {
      // Without storage (a private window, say) they stay in memory and are still sent.
    }
  }
}
