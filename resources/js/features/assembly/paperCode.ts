import type { View } from '../../api/client';
import type { Response } from '../question/response';

/**
 * Answers as one copies them from paper: letters as the booklet prints them. "B" for one option, "ACD" for several or
 * for an order, one letter a row where there are rows ("-" for a row left blank), gaps with semicolons between them, a
 * number with its unit.
 */

type Body = View<'Question'>['body'];

/** What stands before the option at a place: A to Z, then AA, AB … */
export function letter(place: number): string {
  const last = String.fromCharCode(65 + (place % 26));
  return place < 26 ? last : letter(Math.floor(place / 26) - 1) + last;
}

export type Read = { response: Response | null; fault?: undefined } | { fault: string; response?: undefined };

/** Whether an answer of this kind can be typed as a code; the others have their own field. */
export function isCoded(body: Body): boolean {
  return body.kind !== 'picture' && body.kind !== 'written';
}

/** What to type, in a few words. */
export function hint(body: Body): string {
  switch (body.kind) {
    case 'single':
      return `A to ${letter(body.options.length - 1)}`;
    case 'several':
      return body.options.length > 26 ? 'such as A, C, AB' : 'such as ACD';
    case 'ordering':
      return `all ${body.items.length}, such as ${body.items.map((_, i) => letter(body.items.length - 1 - i)).join('')}`;
    case 'typed_gaps':
      return body.gaps.length > 1 ? `${body.gaps.length}, with ; between` : '';
    case 'number':
      return body.asksUnit ? 'number and unit' : 'number';
    case 'picture':
    case 'written':
      return '';
    default:
      return `${body.rows.length} letters, - for a blank`;
  }
}

export function read(body: Body, text: string): Read {
  const typed = text.trim();
  if (typed === '') return { response: null };
  switch (body.kind) {
    case 'single': {
      const [id, ...more] = idsOf(typed, body.options) ?? [];
      return id !== undefined && more.length === 0
        ? { response: { choice: id } }
        : { fault: `One letter from ${hint(body)}.` };
    }
    case 'several': {
      const ids = idsOf(typed, body.options);
      return ids && new Set(ids).size === ids.length
        ? { response: { choices: ids } }
        : { fault: `Letters from A to ${letter(body.options.length - 1)}, each once.` };
    }
    case 'ordering': {
      const ids = idsOf(typed, body.items);
      return ids && new Set(ids).size === body.items.length && ids.length === body.items.length
        ? { response: { order: ids } }
        : { fault: `Each of the ${body.items.length} letters once, in the order you chose.` };
    }
    case 'number':
      return numberOf(typed, body.asksUnit);
    case 'typed_gaps': {
      const parts = typed.split(';').map((part) => part.trim());
      if (parts.length > body.gaps.length) return { fault: `There are only ${body.gaps.length} gaps.` };
      const gaps = body.gaps.flatMap((gap, i): [string, string][] => (parts[i] ? [[gap, parts[i]]] : []));
      return { response: gaps.length ? { gaps: Object.fromEntries(gaps) } : null };
    }
    case 'picture':
    case 'written':
      return { fault: 'This is not typed as a code.' };
    default:
      return rowsOf(typed, body);
  }
}

/** The other way round: what one would have typed. */
export function written(body: Body, response: Response | null): string {
  if (!response) return '';
  const letters = (ids: readonly string[], of: readonly { id: string }[], between = of.length > 26 ? ', ' : '') =>
    ids.map((id) => letter(of.findIndex((one) => one.id === id))).join(between);
  switch (body.kind) {
    case 'single':
      return response.choice ? letters([response.choice], body.options) : '';
    case 'several':
      return letters(response.choices ?? [], body.options);
    case 'ordering':
      return letters(response.order ?? [], body.items);
    case 'number':
      return [response.text, response.unit].filter(Boolean).join(' ');
    case 'typed_gaps':
      return body.gaps.map((gap) => response.gaps?.[gap] ?? '').join('; ');
    case 'picture':
    case 'written':
      return '';
    default: {
      return body.rows
        .map((row) => {
          const place = (row.choices ?? body.choices).findIndex(({ id }) => id === response.rows?.[row.id]);
          return place < 0 ? '-' : letter(place);
        })
        .join('');
    }
  }
}

/** Ids that letters stand for; null: one of them stands for nothing. */
function idsOf(typed: string, of: readonly { id: string }[]): string[] | null {
  const signs = typed.toUpperCase();
  // Beyond Z a code has two letters, so they need something between them.
  const codes = of.length > 26 ? signs.split(/[\s,;]+/) : [...signs.replace(/[\s,;]+/g, '')];
  const ids = codes.filter(Boolean).map((code) => of.find((_, i) => letter(i) === code)?.id);
  return ids.every((id) => id !== undefined) && ids.length > 0 ? (ids as string[]) : null;
}

function numberOf(typed: string, asksUnit: boolean): Read {
  if (!asksUnit) return { response: { text: typed } };
  // The unit is what follows the last digit.
  const [, text = '', unit = ''] = /^(.*\d[.,)]?)\s*(.*)$/.exec(typed) ?? [];
  return text === ''
    ? { fault: 'A number, and behind it its unit.' }
    : { response: unit === '' ? { text } : { text, unit } };
}

function rowsOf(typed: string, body: Extract<Body, { rows: unknown }>): Read {
  const codes = [...typed.toUpperCase().replace(/[\s,;]+/g, '')];
  if (codes.length > body.rows.length) return { fault: `There are only ${body.rows.length} rows.` };
  const chosen: [string, string][] = [];
  for (const [i, code] of codes.entries()) {
    const row = body.rows[i];
    if (code === '-' || !row) continue;
    const choices = row.choices ?? body.choices;
    const id = choices.find((_, place) => letter(place) === code)?.id;
    if (id === undefined) return { fault: `Row ${i + 1} goes from A to ${letter(choices.length - 1)}.` };
    chosen.push([row.id, id]);
  }
  return { response: chosen.length ? { rows: Object.fromEntries(chosen) } : null };
}
