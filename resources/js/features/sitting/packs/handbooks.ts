import { queryOptions } from '@tanstack/react-query';
import type { DBSchema } from 'idb';
import { api, ask, type View } from '../../../api/client';
import { storeOf } from '../../../ui/store';
import { fetchFiles, filesIn } from './files';

/** A handbook that was taken along on this device, for one person. */
export interface KeptHandbook extends View<'WholeHandbook'> {
  owner: string;
  takenAt: number;
  bytes: number;
}

interface Schema extends DBSchema {
  handbooks: { key: [string, string]; value: KeptHandbook; indexes: { owner: string } };
}

const FILES = 'uplandia-taken-along-handbooks';

const open = storeOf<Schema>('uplandia-handbooks', (made) =>
  made.createObjectStore('handbooks', { keyPath: ['owner', 'exam'] }).createIndex('owner', 'owner'),
);

export async function handbooksOf(owner: string): Promise<KeptHandbook[]> {
  try {
    return await (await open()).getAllFromIndex('handbooks', 'owner', owner);
  } catch {
    // A private window may have no storage.
    return [];
  }
}

/** Those on this device, as the screens ask for them: with or without a connection. */
export const handbooksHere = (owner: string) =>
  queryOptions({ queryKey: ['handbooks', owner], queryFn: () => handbooksOf(owner), networkMode: 'always' });

/**
 * Fetches a handbook whole, with its pictures and sounds; one that was here before is replaced.
 *
 * @throws when the server cannot be reached, or the device has no room; then all is as it was
 */
export async function takeHandbook(owner: string, exam: string): Promise<void> {
  const whole = await ask(api.GET('/api/exams/{exam}/handbook-pages', { params: { path: { exam } } }));
  const text = JSON.stringify(whole);
  const bytes = text.length + (await fetchFiles(filesIn(text), FILES));
  await (await open()).put('handbooks', { ...whole, owner, takenAt: Date.now(), bytes });
}

/** Clears one away; its pictures go with the last. */
export async function dropHandbook(owner: string, exam: string): Promise<void> {
  const made = await open();
  await made.delete('handbooks', [owner, exam]);
  if ((await made.count('handbooks')) === 0) await caches.delete(FILES);
}

/** Clears away those of everybody but one; null: of everybody. */
export async function dropHandbooksBut(owner: string | null): Promise<void> {
  try {
    for (const kept of await (await open()).getAll('handbooks'))
      if (kept.owner !== owner) await dropHandbook(kept.owner, kept.exam);
  } catch {
    // Without storage there is nothing.
  }
}
