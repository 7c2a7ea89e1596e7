import { api, ask, type View } from '../../../api/client';
import { kept, queries, tables } from '../../../api/queries';
import { isKept } from '../../../worker/worker';
import { fetchFiles, filesIn } from './files';
import { keepPack, MEDIA, type Pack } from './packs';

/**
 * Fetches a sitting whole: what it asks, its pictures, sounds and films, and in tutor mode the reasons.
 *
 * @param onProgress told the share of the files that are here
 * @throws when the server refuses, cannot be reached, or the device has no room; then nothing is kept
 */
export async function take(
  owner: string,
  tab: string,
  opened: View<'OpenedSitting'>,
  state: View<'SittingState'>,
  onProgress: (share: number) => void,
): Promise<Pack> {
  const { id, exam, title } = opened.briefing;
  const path = { params: { path: { sitting: id } } };
  const { explanations } = await ask(api.POST('/api/sittings/{sitting}/pack', { ...path, body: { tab } }));
  try {
    const beside = {
      tables: await queries.fetchQuery(tables(exam)),
      kept: await queries.fetchQuery(kept(id)),
    };
    const whole = JSON.stringify([opened, explanations, beside.tables]);
    const media = filesIn(whole);
    const bytes = whole.length + (await fetchFiles(media, MEDIA, onProgress));
    const now = Date.now();
    const pack: Pack = {
      owner,
      id,
      tab,
      title,
      opened: { ...opened, state },
      explanations,
      ...beside,
      media,
      toldAt: now,
      takenAt: now,
      bytes,
      starts: await isKept(),
    };
    await keepPack(pack);
    // Asked for, so that the browser does not make room by clearing it away; it may say no.
    await navigator.storage?.persist?.().catch(() => false);
    return pack;
  } catch (error) {
    await giveBack(id).catch(() => undefined);
    throw isFull(error) ? new Error('This device has no room for it. Clear something away and try again.') : error;
  }
}

function isFull(error: unknown): boolean {
  return error instanceof DOMException && error.name === 'QuotaExceededError';
}

/** Tells the server that this device has it no longer. */
export function giveBack(id: string): Promise<unknown> {
  return ask(api.DELETE('/api/sittings/{sitting}/pack', { params: { path: { sitting: id } } }));
}
