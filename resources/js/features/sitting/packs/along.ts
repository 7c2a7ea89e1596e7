import type { View } from '../../../api/client';
import { dropPack, keepState, packOf, type Pack } from './packs';
import { keyOfSpells, Spells } from './spells';

/** What a sitting needs to know of its being taken along on this device. */
export interface Along {
  find(): Promise<Pack | null>;
  /** Keeps other tabs of this device out, which would write under the same name. False: one was here before. */
  hold(): Promise<boolean>;
  release(): void;
  keep(state: View<'SittingState'>): void;
  drop(): void;
  readonly spells: Pick<Spells, 'ran' | 'heard' | 'clear' | 'all'>;
}

const AGAIN_MS = 150;

export class AlongHere implements Along {
  readonly spells: Spells;
  private letGo: (() => void) | null = null;

  constructor(
    private readonly id: string,
    private readonly owner: string,
  ) {
    this.spells = new Spells(localStorage, keyOfSpells(id));
  }

  find(): Promise<Pack | null> {
    return packOf(this.owner, this.id);
  }

  async hold(): Promise<boolean> {
    if (this.letGo) return true;
    // A page that has just gone may need a moment to let go.
    return (
      (await this.grasp()) ||
      (await new Promise<boolean>((tell) => setTimeout(() => void this.grasp().then(tell), AGAIN_MS)))
    );
  }

  release(): void {
    this.letGo?.();
    this.letGo = null;
  }

  keep(state: View<'SittingState'>): void {
    // Without room the device keeps what it had; the answers themselves wait in their own queue.
    void keepState(this.owner, this.id, state, Date.now()).catch(() => undefined);
  }

  drop(): void {
    void dropPack(this.owner, this.id).catch(() => undefined);
  }

  private grasp(): Promise<boolean> {
    const { locks } = navigator as { locks?: LockManager };
    if (!locks) return Promise.resolve(true);
    return new Promise((tell) => {
      void locks.request(`uplandia.along.${this.id}`, { ifAvailable: true }, (lock) => {
        tell(lock !== null);
        return lock && new Promise<void>((letGo) => (this.letGo = letGo));
      });
    });
  }
}
