import type { DBSchema } from 'idb';
import type { View } from '../../../api/client';
import { storeOf } from '../../../ui/store';
import { keyOfSpells } from './spells';

/** A sitting that was taken along on this device. Only its owner's pages ever read it. */
export interface Pack {
  owner: string;
  id: string;
  /** Under what name this device writes to it. */
  tab: string;
  title: string;
  opened: View<'OpenedSitting'>;
  /** Of each question, in tutor mode. */
  explanations: View<'Explanation'>[];
  tables: View<'ReferenceTables'>;
  kept: View<'KeptAll'>;
  /** Addresses of pictures, sounds and films. */
  media: string[];
  /** Unix milliseconds of this device when the state was told. */
  toldAt: number;
  takenAt: number;
  bytes: number;
  /** Whether the app itself starts here without a network. */
  starts: boolean;
}

interface Schema extends DBSchema {
  packs: { key: [string, string]; value: Pack; indexes: { owner: string } };
}

export const MEDIA = 'uplandia-taken-along';

const open = storeOf<Schema>('uplandia-packs', (made) =>
  made.createObjectStore('packs', { keyPath: ['owner', 'id'] }).createIndex('owner', 'owner'),
);

export async function packOf(owner: string, id: string): Promise<Pack | null> {
  try {
    return (await (await open()).get('packs', [owner, id])) ?? null;
  } catch {
    // A private window may have no storage.
    return null;
  }
}

export async function packsOf(owner: string): Promise<Pack[]> {
  try {
    return await (await open()).getAllFromIndex('packs', 'owner', owner);
  } catch {
    return [];
  }
}

/** @throws when the device has no room */
export async function keepPack(pack: Pack): Promise<void> {
  await (await open()).put('packs', pack);
}

/** What the server has told since. */
export async function keepState(owner: string, id: string, state: View<'SittingState'>, toldAt: number): Promise<void> {
  const change = (await open()).transaction('packs', 'readwrite');
  const pack = await change.store.get([owner, id]);
  if (pack) await change.store.put({ ...pack, opened: { ...pack.opened, state }, toldAt });
  await change.done;
}

/** Clears one away, with what only it had. */
export async function dropPack(owner: string, id: string): Promise<void> {
  const all = await packsOf(owner);
  await (await open()).delete('packs', [owner, id]);
  localStorage.removeItem(keyOfSpells(id));
  const needed = new Set(all.filter((pack) => pack.id !== id).flatMap(({ media }) => media));
  const cache = await caches.open(MEDIA);
  for (const name of all.find((pack) => pack.id === id)?.media ?? []) if (!needed.has(name)) await cache.delete(name);
}

/** Clears away those of everybody but one; null: of everybody. */
export async function dropPacksBut(owner: string | null): Promise<void> {
  try {
    for (const pack of await (await open()).getAll('packs'))
      if (pack.owner !== owner) await dropPack(pack.owner, pack.id);
    if (owner === null) await caches.delete(MEDIA);
  } catch {
    // Without storage there is nothing.
  }
}
