export type Theme = 'day' | 'dusk' | 'clear' | '';

export interface Look {
  theme: Theme;
  size: 1 | 2 | 3 | 4;
}

const COOKIE = 'uplandia_look';
const YEAR = 60 * 60 * 24 * 365;

/** How this device shows the pages. In a cookie, so that the server can send the right page before any script runs. */
export function readLook(): Look {
  const raw = new RegExp(`(?:^|; )${COOKIE}=([^;]+)`).exec(document.cookie)?.[1];
  try {
    const look = JSON.parse(decodeURIComponent(raw ?? '')) as Partial<Look>;
    return { theme: look.theme ?? '', size: look.size ?? 2 };
  } catch {
    return { theme: '', size: 2 };
  }
}

export function applyLook(look: Look): void {
  const html = document.documentElement;
  if (look.theme) html.dataset.theme = look.theme;
  else delete html.dataset.theme;
  html.dataset.size = String(look.size);
  document.cookie = `${COOKIE}=${encodeURIComponent(JSON.stringify(look))}; path=/; max-age=${YEAR}; samesite=lax`;
}
