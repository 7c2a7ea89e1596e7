import { api, ask, type View } from '../../../api/client';
import type { Spell } from '../packs/spells';
import type { SittingEvent } from './events';

/** The server as a sitting needs it. Each throws `Refused` or `Unreachable`. */
export interface Server {
  /**
   * @param awake spells in which pages of this device ran
   * @param left what an earlier page could not send: it arrives with the word that contact is back
   */
  open(tab: string, take: boolean, awake: Spell[], left: SittingEvent[]): Promise<View<'OpenedSitting'>>;
  record(letter: View<'EventsRequest'>): Promise<View<'SittingState'>>;
  handIn(letter: View<'EventsRequest'>): Promise<View<'HandedIn'>>;
  /** What an adaptive test asks after a question. */
  next(after: View<'NextRequest'>): Promise<View<'Next'>>;
  /** Sent by a page that goes away: nobody hears the answer. */
  leave(letter: View<'EventsRequest'>): void;
  /** Renews what a page that was open for long has let lapse. */
  renew(): void;
}

export function serverOf(sitting: string): Server {
  const params = { path: { sitting } };
  return {
    open: (tab, take, awake, left) =>
      ask(
        api.POST('/api/sittings/{sitting}/open', {
          params,
          body: { tab, take, ...(awake.length > 0 && { awake }), ...(left.length > 0 && { events: left }) },
        }),
      ),
    record: (body) => ask(api.POST('/api/sittings/{sitting}/events', { params, body })),
    handIn: (body) => ask(api.POST('/api/sittings/{sitting}/hand-in', { params, body })),
    next: (body) => ask(api.POST('/api/sittings/{sitting}/next', { params, body })),
    leave: (body) =>
      void api.POST('/api/sittings/{sitting}/events', { params, body, keepalive: true }).catch(() => undefined),
    renew: () => void api.GET('/api/session').catch(() => undefined),
  };
}
