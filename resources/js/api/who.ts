import type { View } from './client';

type User = NonNullable<View<'Session'>['user']>;

const KEY = 'uplandia.who';

/** Who is signed in on this device, as the server said last: so that their things can be found without it. */
export function rememberedWho(): User | null {
  try {
    const kept: unknown = JSON.parse(localStorage.getItem(KEY) ?? 'null');
    return typeof kept === 'object' && kept !== null && 'email' in kept ? (kept as User) : null;
  } catch {
    return null;
  }
}

export function rememberWho(user: User | null): void {
  try {
    if (user) localStorage.setItem(KEY, JSON.stringify(user));
    else localStorage.removeItem(KEY);
  } catch {
    // Without storage nothing is known without the server.
  }
}
