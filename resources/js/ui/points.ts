import { signed } from './words';

/** A difference of two shares in points of a hundred, with its sign: "+8", "−12". */
export function points(off: number): string {
  const n = Math.round(Number((100 * off).toFixed(6)));
  return n > 0 ? `+${n}` : signed(String(n));
}
