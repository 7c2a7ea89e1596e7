import type { DBSchema } from 'idb';
import { storeOf } from '../../../ui/store';
import type { SittingEvent } from './events';

/** Where events wait that the server has not acknowledged. Whoever signs in next at this device sees only their own. */
export interface QueueStorage {
  read(owner: string): Promise<SittingEvent[]>;
  /** Adds some and drops others, both or neither. */
  write(owner: string, add: readonly SittingEvent[], drop: readonly string[]): Promise<void>;
}

interface Waiting {
  owner: string;
  id: string;
  event: SittingEvent;
}

interface Schema extends DBSchema {
  waiting: { key: [string, string]; value: Waiting; indexes: { owner: string } };
}

/** Waiting events in the browser's own database, which outlives the page, the tab and a crash. */
export class BrowserStorage implements QueueStorage {
  private readonly open = storeOf<Schema>('uplandia-sittings', (made) =>
    made.createObjectStore('waiting', { keyPath: ['owner', 'id'] }).createIndex('owner', 'owner'),
  );

  async read(owner: string): Promise<SittingEvent[]> {
    const database = await this.open();
    const rows = await database.getAllFromIndex('waiting', 'owner', owner);
    return rows.map(({ event }) => event).sort((one, other) => one.seq - other.seq);
  }

  async write(owner: string, add: readonly SittingEvent[], drop: readonly string[]): Promise<void> {
    const database = await this.open();
    const change = database.transaction('waiting', 'readwrite', { durability: 'strict' });
    for (const event of add) void change.store.put({ owner, id: event.id, event });
    for (const id of drop) void change.store.delete([owner, id]);
    await change.done;
  }
}
