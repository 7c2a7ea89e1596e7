import { asked } from '../asked';
import type { Paper } from '../kind';

/** A number with its unit. */
export const paper: Paper<'number'> = {
  Printed: ({ body }) => (
    <p>
      ______________ {body.suffix}
      {body.asksUnit && <span className="text-sm"> (number and unit)</span>}
    </p>
  ),
  code: {
    hint: ({ asksUnit }) => (asksUnit ? 'number and unit' : 'number'),
    read(typed, { asksUnit }) {
      if (!asksUnit) return { response: { text: typed } };
      // The unit is what follows the last digit.
      const [, text = '', unit = ''] = /^(.*\d[.,)]?)\s*(.*)$/.exec(typed) ?? [];
      return text === ''
        ? { fault: 'A number, and behind it its unit.' }
        : { response: unit === '' ? { text } : { text, unit } };
    },
    written: ({ text, unit }) => [text, unit].filter(Boolean).join(' '),
  },
  marks: () => new Map(),
  right: asked,
};
