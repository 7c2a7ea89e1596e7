import { api, ask, type View } from '../../../api/client';
import { kept, queries, tables } from '../../../api/queries';
import { isKept } from '../../../worker/worker';
import { fetchFiles, filesIn } from './files';
import { keepPack, MEDIA, packOf, type Pack } from './packs';

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

/**
 * Takes a test along that no page has open: it begins with this, so it may have no clock. What is here already stays.
 *
 * @throws as `take` does
 */
export async function takeTest(owner: string, id: string, onProgress: (share: number) => void): Promise<Pack> {
  const here = await packOf(owner, id);
  if (here) return here;
  const tab = crypto.randomUUID();
  const opened = await ask(
    api.POST('/api/sittings/{sitting}/open', { params: { path: { sitting: id } }, body: { tab } }),
  );
  return take(owner, tab, opened, opened.state, onProgress);
}

function isFull(error: unknown): boolean {
  return error instanceof DOMException && error.name === 'QuotaExceededError';
}

/** Tells the server that this device has it no longer. */
export function giveBack(id: string): Promise<unknown> {
  return ask(api.DELETE('/api/sittings/{sitting}/pack', { params: { path: { sitting: id } } }));
}
