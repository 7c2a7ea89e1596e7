export type Theme = 'day' | 'dusk' | 'clear' | '';

export interface Look {
  theme: Theme;
  size: 1 | 2 | 3 | 4;
  /** Room between lines. */
  spacing: 1 | 2 | 3;
  /** A band of a few lines that follows the reader. */
  ruler: boolean;
  /** How long one has been at a question, while sitting. */
  ownTime: boolean;
  /** In tutor mode, an option that is chosen is checked at once. */
  checkAtOnce: boolean;
}

const COOKIE = 'uplandia_look';
const YEAR = 60 * 60 * 24 * 365;
const USUAL: Look = { theme: '', size: 2, spacing: 1, ruler: false, ownTime: false, checkAtOnce: false };

/** How this device shows the pages. In a cookie, so that the server can send the right page before any script runs. */
export function readLook(): Look {
  const raw = new RegExp(`(?:^|; )${COOKIE}=([^;]+)`).exec(document.cookie)?.[1];
  try {
    return { ...USUAL, ...(JSON.parse(decodeURIComponent(raw ?? '')) as Partial<Look>) };
  } catch {
    return USUAL;
  }
}

export function applyLook(look: Look): void {
  const html = document.documentElement;
  if (look.theme) html.dataset.theme = look.theme;
  else delete html.dataset.theme;
  html.dataset.size = String(look.size);
  html.dataset.spacing = String(look.spacing);
  document.cookie = `${COOKIE}=${encodeURIComponent(JSON.stringify(look))}; path=/; max-age=${YEAR}; samesite=lax`;
}
