import { api, ask, Refused } from '../../../api/client';
import { dropHandbooksBut } from './handbooks';
import { dropPack, dropPacksBut, packsOf } from './packs';
import { clearSpells } from './spells';

/** What somebody else took along on this device is nobody's to read: it goes, and so does what is over of one's own. */
export async function welcome(owner: string): Promise<void> {
  await leaveNothing(owner);
  await tidy(owner);
}

/** Clears away what was taken along on this device, of everybody but one; null: of everybody. */
export async function leaveNothing(owner: string | null = null): Promise<void> {
  if (owner === null) clearSpells();
  await Promise.all([dropPacksBut(owner), dropHandbooksBut(owner)]);
}

/**
 * Nobody is signed in, however that came: what was taken along is nobody's to read. Answers that wait, with the times
 * in which pages ran, are no text, and wait for whoever made them to sign in again.
 */
export async function nobodyHere(): Promise<void> {
  await Promise.all([dropPacksBut(null), dropHandbooksBut(null)]);
}

/** Clears away what is over: sittings that were handed in or deleted elsewhere since they were taken along. */
async function tidy(owner: string): Promise<void> {
  for (const { id } of await packsOf(owner)) {
    try {
      const { status } = await ask(api.GET('/api/sittings/{sitting}', { params: { path: { sitting: id } } }));
      if (status === 'handed_in') await dropPack(owner, id);
    } catch (error) {
      if (error instanceof Refused && error.status === 404) await dropPack(owner, id);
      // Without a connection nothing is known, so nothing goes.
      else return;
    }
  }
}
