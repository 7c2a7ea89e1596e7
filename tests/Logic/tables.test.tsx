import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { renderToStaticMarkup } from 'react-dom/server';
import { expect, test } from 'vitest';
import { Markdown } from '../../resources/js/ui/Markdown';

const BANK = 'database/demo';

function files(folder: string): string[] {
  return readdirSync(folder, { withFileTypes: true }).flatMap((one) =>
    one.isDirectory() ? files(join(folder, one.name)) : /\.(ya?ml|md)$/.test(one.name) ? [join(folder, one.name)] : [],
  );
}

/** Every table that is written anywhere in the demo's exams, as it stands in its file. */
function tables(): { file: string; text: string }[] {
  return files(BANK).flatMap((file) => {
    const found: string[][] = [];
    let open = false;
    for (const line of readFileSync(file, 'utf8').split('\n')) {
      const isRow = /^\s*\|.*\|\s*$/.test(line);
      if (isRow && !open) found.push([]);
      if (isRow) found.at(-1)?.push(line.trim());
      open = isRow;
    }
    return found.filter((rows) => rows.length > 2).map((rows) => ({ file, text: rows.join('\n') }));
  });
}

test('every table of the bank scrolls in a frame with a name that the keyboard reaches', () => {
  const all = tables();
  expect(all.length).toBeGreaterThan(20);
  for (const { file, text } of all) {
    const shown = renderToStaticMarkup(<Markdown>{text}</Markdown>);
    const frames = [...shown.matchAll(/<div role="region" aria-label="([^"]+)" tabindex="0"[^>]*><table>/g)];
    expect(shown.match(/<table/g), file).toHaveLength(1);
    expect(frames, `${file}: ${text.slice(0, 60)}`).toHaveLength(1);
    expect(frames[0]?.[1], file).toMatch(/^Table: \S/);
  }
});
