import type { View } from '../../../api/client';

export type Page = View<'Scratch'>;

export interface PadWorld {
  read(): Promise<Page>;
  keep(page: Page): Promise<unknown>;
  /** What is not kept yet, on this device. */
  draft: { get(): Page | null; set(page: Page | null): void };
  after(ms: number, then: () => void): () => void;
}

export interface PadView {
  page: Page | null;
  state: 'opening' | 'kept' | 'keeping' | 'waiting' | 'refused';
  /** Why it was refused, or cannot be opened. */
  why: string | null;
}

const SOON_MS = 800;
const AGAIN_MS = 5000;

/** A scratch pad that is kept as one writes: on this device at once, with the sitting as soon as the server is there. */
export class Pad {
  private view: PadView = { page: null, state: 'opening', why: null };
  private readonly listeners = new Set<() => void>();
  private cancel = () => {};
  private sending = false;

  constructor(
    private readonly world: PadWorld,
    private readonly refusal: (error: unknown) => string | null,
  ) {}

  readonly subscribe = (listener: () => void): (() => void) => {
    this.listeners.add(listener);
    return () => this.listeners.delete(listener);
  };

  readonly read = (): PadView => this.view;

  async open(): Promise<void> {
    const draft = this.world.draft.get();
    if (draft) {
      this.change({ page: draft, state: 'keeping' });
      return this.send();
    }
    try {
      const page = await this.world.read();
      // What was written meanwhile goes before what was there.
      if (!this.view.page) this.change({ page, state: 'kept', why: null });
    } catch (error) {
      if (this.view.page) return;
      const why = this.refusal(error);
      this.change({ why: why ?? 'The scratch pad cannot be fetched just now.' });
      if (!why) this.later(() => void this.open(), AGAIN_MS);
    }
  }

  write(part: Partial<Page>): void {
    const page = { words: '', strokes: [], ...this.view.page, ...part };
    this.world.draft.set(page);
    this.change({ page, state: 'keeping', why: null });
    if (!this.sending) this.later(() => void this.send(), SOON_MS);
  }

  /** Sends what is not kept yet, now. */
  async send(): Promise<void> {
    const { page } = this.view;
    this.cancel();
    if (!page || this.sending || !this.world.draft.get()) return;
    this.sending = true;
    try {
      await this.world.keep(page);
      this.sending = false;
      if (this.view.page !== page) return this.later(() => void this.send(), SOON_MS);
      this.world.draft.set(null);
      this.change({ state: 'kept', why: null });
    } catch (error) {
      this.sending = false;
      const why = this.refusal(error);
      this.change(why ? { state: 'refused', why } : { state: 'waiting', why: null });
      if (!why) this.later(() => void this.send(), AGAIN_MS);
    }
  }

  stop(): void {
    this.cancel();
  }

  private later(then: () => void, ms: number): void {
    this.cancel();
    this.cancel = this.world.after(ms, then);
  }

  private change(part: Partial<PadView>): void {
    this.view = { ...this.view, ...part };
    for (const listener of this.listeners) listener();
  }
}
