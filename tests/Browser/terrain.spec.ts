import { expect, test } from '@playwright/test';
import { execFileSync } from 'node:child_process';
import { mkdtempSync, readdirSync, readFileSync } from 'node:fs';
import { tmpdir } from 'node:os';

// What the demo's questions ask of its maps must be true of the ground they were drawn from.

interface Ground {
  width: number;
  height: number;
  at(x: number, y: number): number;
  slope(x: number, y: number): number;
  aspect(x: number, y: number): number;
  level(x: number, y: number): [number, number];
  stream(x: number, y: number): [number, number][];
}
type Place = [number, number];

const PICTURES = 'database/demo/licence/pictures/';
const regions = JSON.parse(readFileSync(`${PICTURES}regions.json`, 'utf8')) as Record<
  string,
  Record<string, { circle?: number[]; rectangle?: number[]; polygon?: number[][] }>
>;
const grounds = async () =>
  (await import('../../database/demo/draw/maps.mjs' as string)) as Record<
    'hallin' | 'brann' | 'teal' | 'shoulder' | 'plateau',
    Ground
  > & { fix: { mast: Place; peak: Place } };

/** The place in km that a region's middle has on a sheet of 3 × 2.25 km (as MapSheet draws it). */
function placeOf(picture: string, name: string): Place {
  const { circle } = regions[picture]?.[name] ?? {};
  const [x = 0, y = 0] = circle ?? [];
  const [width, height] = [3 * 160 + 34, 2.25 * 160 + 52];
  return [(x * width - 26) / 160, 2.25 - (y * height - 8) / 160];
}

test('the saddle of Vorrin lies between two tops, and the ground falls away from it on two sides', async () => {
  const { hallin } = await grounds();
  const [x, y] = placeOf('map-hallin.svg', 'saddle');
  const west = hallin.at(...placeOf('map-hallin.svg', 'west'));
  const east = hallin.at(...placeOf('map-hallin.svg', 'east'));
  const saddle = hallin.at(x, y);
  expect([Math.round(west), Math.round(east)]).toEqual([616, 579]);
  expect(saddle).toBeLessThan(Math.min(west, east) - 150);
  expect(hallin.slope(x, y)).toBeLessThan(2);
  // Up along the ridge, down across it.
  for (const dx of [-0.2, 0.2]) expect(hallin.at(x + dx, y)).toBeGreaterThan(saddle);
  for (const dy of [-0.2, 0.2]) expect(hallin.at(x, y + dy)).toBeLessThan(saddle);
});

test('water gathers where the re-entrants of Brann are asked for, and leaves its spurs', async () => {
  const { brann } = await grounds();
  const across = (name: string) => {
    const [x, y] = placeOf('map-brann.svg', name);
    // Higher on both sides: a re-entrant. Lower on both sides: a spur. Taken along the contour.
    const fall = (brann.aspect(x, y) * Math.PI) / 180;
    const [u, v] = [Math.cos(fall), -Math.sin(fall)];
    return (brann.at(x + 0.12 * u, y + 0.12 * v) + brann.at(x - 0.12 * u, y - 0.12 * v)) / 2 - brann.at(x, y);
  };
  for (const name of ['west', 'east']) expect(across(name)).toBeGreaterThan(2);
  for (const name of ['spur', 'westspur', 'eastspur']) expect(across(name)).toBeLessThan(-2);
});

test('of the five legs the fourth is by far the steepest', async () => {
  const { shoulder } = await grounds();
  const spots: Place[] = [
    [2.6, 0.3],
    [2.0, 0.75],
    [1.5, 1.25],
    [1.0, 1.25],
    [0.6, 1.25],
    [0.55, 1.75],
  ];
  const degrees = spots.slice(0, -1).map((from, i) => {
    const to = spots[i + 1] ?? from;
    const rise = Math.abs(shoulder.at(...from) - shoulder.at(...to));
    return Math.round((Math.atan(rise / (1000 * Math.hypot(to[0] - from[0], to[1] - from[1]))) * 180) / Math.PI);
  });
  expect(degrees).toEqual([7, 6, 11, 28, 10]);
});

test('P, Q and R of Cold Shoulder have the angles and aspects that the case states', async () => {
  const { shoulder } = await grounds();
  const [p, q, r]: [Place, Place, Place] = [
    [0.9, 1.05],
    [0.55, 0.5],
    [1.62, 0.9],
  ];
  expect([p, q, r].map((place) => Math.round(shoulder.slope(...place)))).toEqual([33, 19, 9]);
  expect(Math.abs(shoulder.aspect(...p) - 90)).toBeLessThan(20);
  for (const place of [q, r]) expect(Math.abs(shoulder.aspect(...place) - 180)).toBeLessThan(20);
});

test('from the place of the fix the mast bears 315° and Teal Top 045°', async () => {
  const { fix, teal } = await grounds();
  const bearing = ([x, y]: Place, to: Place) => ((Math.atan2(to[0] - x, to[1] - y) * 180) / Math.PI + 360) % 360;
  const place = placeOf('map-fix.svg', 'place');
  expect(bearing(place, fix.mast)).toBeCloseTo(315, 0);
  expect(bearing(place, fix.peak)).toBeCloseTo(45, 0);
  // The top is one.
  expect(teal.slope(...fix.peak)).toBeLessThan(1);
  // The wrong places are wrong by more than a careful reader would err.
  expect(Math.round(bearing(placeOf('map-fix.svg', 'hut'), fix.mast))).toBe(337);
});

test('the square of grid reference 427 182 is where it is asked for', () => {
  const [x, y] = placeOf('map-hallin-grid.svg', 'asked');
  expect([41 + x, 17 + y].map((value) => Math.round(value * 100) / 100)).toEqual([42.75, 18.25]);
});

test('streams run downhill all the way', async () => {
  const { hallin, teal, plateau } = await grounds();
  for (const [ground, x, y] of [
    [hallin, 1.49, 1.0],
    [teal, 1.5, 1.9],
    [plateau, 1.8, 0.62],
  ] as [Ground, number, number][]) {
    const heights = ground.stream(x, y).map((place) => ground.at(...place));
    expect(heights.length).toBeGreaterThan(10);
    for (let i = 1; i < heights.length; i++) expect(heights[i]).toBeLessThan(heights[i - 1] ?? 0);
  }
});

test('targets and decoys of a picture do not overlap in their middles', () => {
  for (const areas of Object.values(regions)) {
    const circles = Object.entries(areas).filter(([, { circle }]) => circle);
    for (const [name, { circle }] of circles) {
      for (const [other, { circle: away }] of circles) {
        if (name === other) continue;
        const [x = 0, y = 0] = circle ?? [];
        const [u = 0, v = 0, r = 0] = away ?? [];
        expect(Math.hypot(x - u, y - v), `${name} lies in ${other}`).toBeGreaterThan(r * 0.5);
      }
    }
  }
});

test('the pictures, their regions and what was measured are what is drawn now', () => {
  const folder = mkdtempSync(`${tmpdir()}/uplandia-pictures-`);
  execFileSync('node', ['database/demo/draw/draw.mjs', folder], { stdio: 'pipe' });
  for (const exam of ['licence', 'warden']) {
    const [drawn, kept] = [`${folder}/${exam}/pictures`, `database/demo/${exam}/pictures`];
    expect(readdirSync(kept).sort()).toEqual(readdirSync(drawn).sort());
    for (const file of readdirSync(drawn))
      expect(readFileSync(`${kept}/${file}`, 'utf8') === readFileSync(`${drawn}/${file}`, 'utf8'), file).toBe(true);
  }
});

test('a film of a solution says what its written version says', async () => {
  const { solutions, written } = (await import('../../database/demo/draw/solutions.mjs' as string)) as {
    solutions: Record<string, Record<string, unknown[]>>;
    written: (steps: unknown[]) => string;
  };
  let films = 0;
  for (const [exam, solved] of Object.entries(solutions)) {
    const files = readdirSync(`database/demo/${exam}/questions`);
    const bank = files.map((file) => readFileSync(`database/demo/${exam}/questions/${file}`, 'utf8')).join('');
    for (const [question, steps] of Object.entries(solved)) {
      expect(bank).toContain(`(solve-${question}.mp4 "Written version: ${written(steps)}")`);
      expect(bank).toContain(`- id: ${question}\n`);
      films++;
    }
  }
  expect(films).toBeGreaterThanOrEqual(20);
});

const drawings = ['licence', 'warden'].flatMap((exam) =>
  readdirSync(`database/demo/${exam}/pictures`)
    .filter((file) => file.endsWith('.svg'))
    .map((file) => `database/demo/${exam}/pictures/${file}`),
);

test('every drawing has a size, its own dark colours, and nothing that runs or loads', () => {
  expect(drawings.length).toBeGreaterThan(50);
  for (const file of drawings) {
    const drawing = readFileSync(file, 'utf8');
    expect(drawing).toMatch(/viewBox="0 0 [\d.]+ [\d.]+"/);
    expect(drawing).toContain('prefers-color-scheme:dark');
    expect(drawing).not.toMatch(/<script|<image|<foreignObject|\son\w+=|href=|url\((?!#)/);
  }
});

for (const [where, width] of [
  ['on a phone', 328],
  ['at their full size', 640],
] as const)
  test(`words on drawings can be read ${where}: large enough, apart, and whole`, async ({ page }) => {
    await page.setViewportSize({ width, height: 800 });
    for (const file of drawings) {
      await page.setContent(
        `<style>body{margin:0}body>svg{display:block;width:100%;height:auto}</style>${readFileSync(file, 'utf8')}`,
      );
      const faults = await page.evaluate(() => {
        const scaleOf = (text: SVGTextElement) => {
          const { a, b } = text.getScreenCTM() ?? new DOMMatrix();
          return Math.hypot(a, b);
        };
        const words = [...document.querySelectorAll('text:not(.halo)')].map((text) => ({
          said: text.textContent,
          // The box of what is turned has empty corners.
          spare: text.hasAttribute('transform') ? 4 : 0.5,
          size: parseFloat(getComputedStyle(text).fontSize) * scaleOf(text as SVGTextElement),
          box: text.getBoundingClientRect(),
        }));
        const sheet = document.querySelector('svg')?.getBoundingClientRect() ?? new DOMRect();
        return words.flatMap((one, i) => [
          ...(one.size < 8 ? [`${one.said} is small: ${one.size}`] : []),
          ...(one.box.left < sheet.left ||
          one.box.right > sheet.right ||
          one.box.top < sheet.top ||
          one.box.bottom > sheet.bottom
            ? [`${one.said} leaves the sheet`]
            : []),
          ...words
            .slice(i + 1)
            .filter(({ box, spare }) => {
              const across = Math.min(one.box.right, box.right) - Math.max(one.box.left, box.left);
              const down = Math.min(one.box.bottom, box.bottom) - Math.max(one.box.top, box.top);
              // A line has air above and below its letters.
              const air = 0.3 * Math.min(one.box.height, box.height);
              return across > Math.max(one.spare, spare) && down > air;
            })
            .map(({ said }) => `${one.said} lies on ${said}`),
        ]);
      });
      expect(faults, file).toEqual([]);
    }
  });

type Point = [number, number];

/** The pieces of rope in a part of a drawing, in the order in which they are drawn. */
function piecesOf(drawing: string): Point[][] {
  return [...drawing.matchAll(/<polyline class="rope" points="([^"]+)"/g)].map(([, points = '']) =>
    points.split(' ').map((point) => point.split(',').map(Number) as Point),
  );
}

/** Whether two straight pieces cross: from a to b, and from c to d. */
function cross([a, b]: [Point, Point], [c, d]: [Point, Point]): boolean {
  const side = (p: Point, q: Point, r: Point) => (q[0] - p[0]) * (r[1] - p[1]) - (q[1] - p[1]) * (r[0] - p[0]);
  return side(a, b, c) * side(a, b, d) < 0 && side(c, d, a) * side(c, d, b) < 0;
}

const steps = (line: Point[]) => line.slice(1).map((to, i): [Point, Point] => [line[i] ?? to, to]);

/** How a rope runs along itself in a drawing, from one end to the other: over or under, at each crossing. */
function walked(file: string): string {
  const [rope = [], ...over] = piecesOf(readFileSync(PICTURES + file, 'utf8'));
  const passes: [number, number][] = [];
  for (const [i, here] of steps(rope).entries())
    for (const [j, there] of steps(rope).entries()) if (j > i + 1 && cross(here, there)) passes.push([i, j], [j, i]);
  // The piece that is drawn last where two pieces cross lies above.
  const above = (i: number) =>
    over.findLastIndex((piece) => piece.some(([x, y]) => x === rope[i]?.[0] && y === rope[i]?.[1]));
  return passes
    .sort(([i], [j]) => i - j)
    .map(([here, there]) => (above(here) > above(there) ? 'O' : 'U'))
    .join('');
}

/**
 * How a rope runs round a bar, from one end to the other: over or under itself at each crossing in front, and down or up
 * behind the bar.
 */
function wound(file: string): string {
  const [before = '', after = ''] = readFileSync(PICTURES + file, 'utf8').split('class="rock"');
  const [behind, front] = [piecesOf(before), piecesOf(after)];
  const same = ([x, y]: Point, [u, v]: Point) => Math.hypot(x - u, y - v) < 1;
  const ends = [...behind, ...front].flatMap((piece) => [piece[0] ?? [0, 0], piece.at(-1) ?? [0, 0]] as Point[]);
  let at = ends.find((end) => ends.filter((other) => same(end, other)).length === 1) ?? [0, 0];
  const left = new Set([...behind, ...front]);
  let walk = '';
  while (left.size > 0) {
    const piece = [...left].find((one) => [one[0], one.at(-1)].some((end) => end && same(end, at)));
    if (!piece) throw new Error(`${file}: the rope is in pieces.`);
    left.delete(piece);
    const way = piece[0] && same(piece[0], at) ? piece : [...piece].reverse();
    const start = at;
    at = way.at(-1) ?? at;
    if (behind.includes(piece)) walk += at[1] > start[1] ? '↓' : '↑';
    else
      for (const here of steps(way))
        for (const other of front)
          // What is drawn later lies above.
          if (other !== piece && steps(other).some((there) => cross(here, there)))
            walk += front.indexOf(piece) > front.indexOf(other) ? 'O' : 'U';
  }
  return walk;
}

test('each knot is the one that its name says', () => {
  // Both by turns over and under, from end to end: three crossings make an overhand, four a figure of eight.
  expect(walked('knot-overhand.svg')).toMatch(/^(OU){3}$|^(UO){3}$/);
  expect(walked('knot-eight.svg')).toMatch(/^(OU){4}$|^(UO){4}$/);
  // Both hold with one strand over the two others. A clove hitch turns twice the same way, a girth hitch there and back.
  expect(wound('knot-clove.svg')).toMatch(/^U↓OO↓U$|^U↑OO↑U$/);
  expect(wound('knot-girth.svg')).toMatch(/^U↓OO↑U$|^U↑OO↓U$/);
});
