/** "1 question", "12 questions". */
export function count(n: number, one: string, many = `${one}s`): string {
  return `${n.toLocaleString('en')} ${n === 1 ? one : many}`;
}

/** A number as the server tells it, with a real minus. */
export function signed(decimal: string): string {
  return decimal.replace('-', '\u2212');
}

/** A share of marks as the server tells it, beside the cut: the same in every place. */
export function toldPercent(percentage: string | null): string {
  return percentage === null ? '–' : `${signed(percentage)}\u202f%`;
}

/** A percentage as the server tells it, whole: nobody's ten questions know the hundredth part of one. */
export function wholePercent(percentage: string | null): string {
  return percentage === null ? '–' : percent(Number(percentage) / 100);
}

/**
 * A share from 0 to 1 as whole per cents, a half rounded up, with a real minus: "74 %".
 *
 * @param cut where that alone would hide on which side of it the share lies, one place more is told
 */
export function percent(share: number, cut?: number): string {
  // 0.285 times 100 lies a hair below 28.5.
  const of = (one: number) => Number((100 * one).toFixed(6));
  const whole = Math.round(of(share));
  if (cut === undefined || of(share) === of(cut) || whole !== Math.round(of(cut))) return signed(`${whole}\u202f%`);
  return signed(`${((share < cut ? Math.floor : Math.ceil)(10 * of(share)) / 10).toFixed(1)}\u202f%`);
}

/** A sentence of the server’s with its units kept to their numbers. */
export function tight(sentence: string): string {
  return sentence.replace(/(\d) (%|min|s|h|km|m)(?![\p{L}\d])/gu, '$1\u202f$2');
}

/** A duration in words: "45 s", "3 min 20 s", "2 h 5 min". */
export function duration(ms: number): string {
  const seconds = Math.round(ms / 1000);
  const parts = (...told: [number, string][]) =>
    told
      .filter(([n], i) => n > 0 || i === 0)
      .map(([n, unit]) => `${n}\u202f${unit}`)
      .join(' ');
  if (seconds < 60) return parts([seconds, 's']);
  const minutes = Math.floor(seconds / 60);
  if (minutes < 60) return parts([minutes, 'min'], [seconds % 60, 's']);
  return parts([Math.floor(minutes / 60), 'h'], [minutes % 60, 'min']);
}

/** Room on a device: "12 kB", "3.4 MB". */
export function bytes(n: number): string {
  return n < 1_000_000 ? `${Math.max(1, Math.round(n / 1000))}\u202fkB` : `${(n / 1_000_000).toFixed(1)}\u202fMB`;
}

/** A clock face: "1:04:09" or "4:09". Rounded up, so that zero means zero. */
export function clock(ms: number): string {
  const seconds = Math.max(0, Math.ceil(ms / 1000));
  const [h, m, s] = [Math.floor(seconds / 3600), Math.floor(seconds / 60) % 60, seconds % 60];
  const two = (n: number) => String(n).padStart(2, '0');
  return h > 0 ? `${h}:${two(m)}:${two(s)}` : `${m}:${two(s)}`;
}

const DAY_TIME = new Intl.DateTimeFormat('en-GB', {
  day: 'numeric',
  month: 'short',
  hour: '2-digit',
  minute: '2-digit',
});

export function dayTime(at: number): string {
  return DAY_TIME.format(at);
}

export const MODES = { tutor: 'Tutor', timed: 'Timed', untimed: 'Untimed' } as const;

/** With a capital at its beginning. */
export function capital(words: string): string {
  return words.charAt(0).toUpperCase() + words.slice(1);
}
