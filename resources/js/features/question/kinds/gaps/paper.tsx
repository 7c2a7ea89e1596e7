import { asked } from '../asked';
import type { Paper } from '../kind';

/** The gaps stand in the stem; what goes into them is typed with semicolons between. */
export const paper: Paper<'typed_gaps'> = {
  Printed: () => null,
  code: {
    hint: ({ gaps }) => (gaps.length > 1 ? `${gaps.length}, with ; between` : ''),
    read(typed, body) {
      const parts = typed.split(';').map((part) => part.trim());
      if (parts.length > body.gaps.length) return { fault: `There are only ${body.gaps.length} gaps.` };
      const gaps = body.gaps.flatMap((gap, i): [string, string][] => (parts[i] ? [[gap, parts[i]]] : []));
      return { response: gaps.length ? { gaps: Object.fromEntries(gaps) } : null };
    },
    written: (response, { gaps }) => gaps.map((gap) => response.gaps?.[gap] ?? '').join('; '),
  },
  marks: () => new Map(),
  right: asked,
};
