import { api, ask, type View } from '../../../api/client';

/** The server as a sitting needs it. Each throws `Refused` or `Unreachable`. */
export interface Server {
  open(tab: string, take: boolean): Promise<View<'OpenedSitting'>>;
  record(letter: View<'SittingEvents'>): Promise<View<'SittingState'>>;
  handIn(letter: View<'SittingEvents'>): Promise<View<'HandedIn'>>;
  /** Sent by a page that goes away: nobody hears the answer. */
  leave(letter: View<'SittingEvents'>): void;
  /** Renews what a page that was open for long has let lapse. */
  renew(): void;
}

export function serverOf(sitting: string): Server {
  const params = { path: { sitting } };
  return {
    open: (tab, take) => ask(api.POST('/api/sittings/{sitting}/open', { params, body: { tab, take } })),
    record: (body) => ask(api.POST('/api/sittings/{sitting}/events', { params, body })),
    handIn: (body) => ask(api.POST('/api/sittings/{sitting}/hand-in', { params, body })),
    leave: (body) =>
      void api.POST('/api/sittings/{sitting}/events', { params, body, keepalive: true }).catch(() => undefined),
    renew: () => void api.GET('/api/session').catch(() => undefined),
  };
}
