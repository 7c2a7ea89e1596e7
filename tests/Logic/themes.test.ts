import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';

// Words can be read in every theme: WCAG 2.2, 1.4.3 (4.5 to 1) and 1.4.6 (7 to 1) where high contrast is asked for.

const css = readFileSync('resources/css/app.css', 'utf8');
const themes = [...css.matchAll(/@plugin 'daisyui\/theme' \{\s+name: '(\w+)';(.*?)\n\}/gs)].map(
  ([, name = '', body = '']) => ({
    name,
    colours: new Map(
      [...body.matchAll(/--color-([\w-]+): (#[0-9a-f]{6});/g)].map(([, key = '', hex = '']) => [key, hex]),
    ),
  }),
);

function luminance(hex: string): number {
  const [r = 0, g = 0, b = 0] = [1, 3, 5].map((at) => {
    const part = parseInt(hex.slice(at, at + 2), 16) / 255;
    return part <= 0.04045 ? part / 12.92 : ((part + 0.055) / 1.055) ** 2.4;
  });
  return 0.2126 * r + 0.7152 * g + 0.0722 * b;
}

function contrast(one: string, other: string): number {
  const [light = 0, dark = 0] = [luminance(one), luminance(other)].sort((a, b) => b - a);
  return (light + 0.05) / (dark + 0.05);
}

describe.each(themes)('the colours of $name', ({ name, colours }) => {
  const of = (key: string) => colours.get(key) ?? '';
  const least = name === 'clear' ? 7 : 4.5;

  it('have words on the ground, on what is raised, and on each colour', () => {
    const roles = [...colours.keys()].filter((key) => colours.has(`${key}-content`));
    expect(roles).toContain('primary');
    const pairs = [
      ...['base-100', 'base-200'].map((ground) => ['base-content', ground] as const),
      ...roles.map((role) => [`${role}-content`, role] as const),
      // What stands in a colour on the page itself.
      ...roles.flatMap((role) => ['base-100', 'base-200'].map((ground) => [role, ground] as const)),
    ];
    const weak = pairs.filter(([words, ground]) => contrast(of(words), of(ground)) < least);
    expect(
      weak.map(([words, ground]) => `${words} on ${ground}: ${contrast(of(words), of(ground)).toFixed(2)}`),
    ).toEqual([]);
  });
});

it('knows black on white, and a grey that is just too light', () => {
  expect(contrast('#000000', '#ffffff')).toBeCloseTo(21, 5);
  expect(contrast('#777777', '#ffffff')).toBeLessThan(4.5);
  expect(themes.map(({ name }) => name)).toEqual(['day', 'dusk', 'clear']);
});
