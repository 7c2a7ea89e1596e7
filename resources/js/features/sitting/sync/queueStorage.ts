import type { DBSchema } from 'idb';
import { storeOf } from '../../../ui/store';
import type { SittingEvent } from './events';

/** Where events wait that the server has not acknowledged. Whoever signs in next at this device sees only their own. */
export interface QueueStorage {
  read(owner: string): Promise<SittingEvent[]>;
  /** Adds some and drops others, both or neither. */
  write(owner: string, add: readonly SittingEvent[], drop: readonly string[]): Promise<void>;
}

/** What the server has acknowledged of a sitting stands under its own name: should the server be put back, it is sent again. */
export const toldOf = (owner: string) => `${owner}#told`;

interface Waiting {
  owner: string;
  id: string;
  event: SittingEvent;
}

interface Schema extends DBSchema {
  waiting: { key: [string, string]; value: Waiting; indexes: { owner: string } };
}

const open = storeOf<Schema>('uplandia-sittings', (made) =>
  made.createObjectStore('waiting', { keyPath: ['owner', 'id'] }).createIndex('owner', 'owner'),
);

/** How many answers of somebody wait on this device, in all their sittings. */
export async function answersWaitingOf(user: string): Promise<number> {
  const rows = await (await open()).getAll('waiting');
  const mine = rows.filter(({ owner, event }) => owner.startsWith(`${user}/`) && !owner.endsWith(toldOf('')) && event);
  return new Set(
    mine.filter(({ event }) => event.kind === 'answered').map(({ owner, event }) => `${owner} ${event.position}`),
  ).size;
}

/** Throws away what waits on this device of somebody, and what was kept of what they sent; of one sitting, or of all. */
export async function throwAwayOf(user: string, sitting = ''): Promise<void> {
  const change = (await open()).transaction('waiting', 'readwrite');
  for (const { owner, id } of await change.store.getAll())
    if (owner.startsWith(`${user}/${sitting}`)) void change.store.delete([owner, id]);
  await change.done;
}

/** Waiting events in the browser's own database, which outlives the page, the tab and a crash. */
export class BrowserStorage implements QueueStorage {
  async read(owner: string): Promise<SittingEvent[]> {
    const database = await open();
    const rows = await database.getAllFromIndex('waiting', 'owner', owner);
    return rows.map(({ event }) => event).sort((one, other) => one.seq - other.seq);
  }

  async write(owner: string, add: readonly SittingEvent[], drop: readonly string[]): Promise<void> {
    const database = await open();
    const change = database.transaction('waiting', 'readwrite', { durability: 'strict' });
    for (const event of add) void change.store.put({ owner, id: event.id, event });
    for (const id of drop) void change.store.delete([owner, id]);
    await change.done;
  }
}
