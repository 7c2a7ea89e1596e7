// What all drawings share: paper, ink, a pen, and a dark version of each.

/** Words are measured by it, so that all of them grow where a drawing is shown small (on a phone). */
const BASE = 13;
const PHONE = 17;
/** Width of a letter as a share of its size. */
const LETTER = 0.6;

const STYLE = `
svg{font-family:'Atkinson Hyperlegible',Verdana,sans-serif;font-size:${BASE}px}
.paper{fill:#fdfaf2}.ink{fill:#1f2c26}.line{stroke:#1f2c26;fill:none}.soft{stroke:#6b756f;fill:none}.faint{stroke:#b9b29d;fill:none}
.brown{stroke:#a3683a;fill:none}.brownink{fill:#7d4219}.blue{stroke:#2c6a92;fill:none}.blueink{fill:#23526f}.red{stroke:#96301f;fill:none}.redink{fill:#96301f}.green{stroke:#27612f;fill:none}
.water{fill:#cfe3ee}.wood{fill:#dfe9d3}.rock{fill:#d6cfc0}.earth{fill:#eee4cf}.snow{fill:#eef3f7}.cloud{fill:#dfe3e5}.sky{fill:#f2f5f4}.skin{fill:#f0dcc8}.cloth{fill:#d5dee0}.warm{fill:#f4d9c6}.cold{fill:#d3e1ec}.halo{stroke:#fdfaf2;fill:none}
.rope{stroke:#b8602a;fill:none}.rope2{stroke:#2c6a92;fill:none}
@media (prefers-color-scheme:dark){
.paper{fill:#1e2925}.ink{fill:#ebe5d4}.line{stroke:#ebe5d4}.soft{stroke:#a8b3ac}.faint{stroke:#4b5b54}
.brown{stroke:#c08a5c}.brownink{fill:#e5ae82}.blue{stroke:#7ab4d6}.blueink{fill:#9cc8e2}.red{stroke:#f2a594}.redink{fill:#f2a594}.green{stroke:#9fd6a3}
.water{fill:#24404f}.wood{fill:#2a3d2c}.rock{fill:#4a4a42}.earth{fill:#3a3427}.snow{fill:#35424a}.cloud{fill:#3e4a4d}.sky{fill:#202d2c}.skin{fill:#5c4a3a}.cloth{fill:#33454a}.warm{fill:#52392a}.cold{fill:#2a3d4d}.halo{stroke:#1e2925}
.rope{stroke:#e5a06c}.rope2{stroke:#7ab4d6}
[stroke="#1f2c26"]{stroke:#ebe5d4}[stroke="#6b756f"]{stroke:#a8b3ac}[stroke="#2c6a92"]{stroke:#7ab4d6}[stroke="#27612f"]{stroke:#9fd6a3}[stroke="#96301f"]{stroke:#f2a594}[stroke="#a3683a"]{stroke:#c08a5c}}
@media (prefers-contrast:more){.soft,.faint{stroke:currentColor}}
@media (max-width:400px){svg{font-size:${PHONE}px}}`.replaceAll('\n', '');

export const n = (value) => String(Math.round(value * 10) / 10);
export const points = (list) => list.map(([x, y]) => `${n(x)},${n(y)}`).join(' ');

export const path = (d, cls = 'line', width = 1.5, more = '') => `<path class="${cls}" d="${d}" stroke-width="${width}" ${more}/>`;
export const line = (x1, y1, x2, y2, cls = 'line', width = 1.5, more = '') => path(`M${n(x1)} ${n(y1)}L${n(x2)} ${n(y2)}`, cls, width, more);
export const poly = (list, cls = 'line', width = 1.5, more = '') => `<polyline class="${cls}" points="${points(list)}" stroke-width="${width}" stroke-linejoin="round" stroke-linecap="round" ${more}/>`;
export const area = (list, cls, more = '') => `<polygon class="${cls}" points="${points(list)}" ${more}/>`;
export const rect = (x, y, w, h, cls, more = '') => `<rect class="${cls}" x="${n(x)}" y="${n(y)}" width="${n(w)}" height="${n(h)}" ${more}/>`;
export const circle = (x, y, r, cls = 'line', more = '') => `<circle class="${cls}" cx="${n(x)}" cy="${n(y)}" r="${n(r)}" ${more}/>`;
export const ellipse = (x, y, rx, ry, cls, more = '') => `<ellipse class="${cls}" cx="${n(x)}" cy="${n(y)}" rx="${n(rx)}" ry="${n(ry)}" ${more}/>`;
export const group = (transform, ...parts) => `<g transform="${transform}">${parts.join('')}</g>`;

const escaped = (text) => String(text).replaceAll('&', '&amp;').replaceAll('<', '&lt;');
export const text = (x, y, words, { size = 13, anchor = 'start', cls = 'ink', bold = false, turn = 0, halo = false } = {}) => {
  const place = `x="${n(x)}" y="${n(y)}" font-size="${Math.round((100 * size) / BASE) / 100}em" text-anchor="${anchor}"${bold ? ' font-weight="700"' : ''}${turn ? ` transform="rotate(${n(turn)} ${n(x)} ${n(y)})"` : ''}`;
  return (halo ? `<text class="halo" stroke-width="4" stroke-linejoin="round" ${place}>${escaped(words)}</text>` : '') + `<text class="${cls}" ${place}>${escaped(words)}</text>`;
};

/** About how wide words are at most, in pixels: on a phone, in a face that runs wide. */
export const wide = (words, size, bold = false) => ((String(words).length * LETTER * size) / BASE) * PHONE * (bold ? 1.1 : 1);

/** Boxes of the words of a drawing and of its letters in a ring, as they are on a phone, in pixels. */
export const wordsOf = (shapes) => [...written(shapes), ...ringed(shapes)];
const ringed = (shapes) =>
  [...shapes.matchAll(/<circle class="paper" cx="([\d.]+)" cy="([\d.]+)" r="([\d.]+)"/g)].map(([, ...ring]) => {
    const [x, y, r] = ring.map(Number);
    return { left: x - r, right: x + r, top: y - r, bottom: y + r };
  });
const written = (shapes) =>
  [...shapes.matchAll(/<text class="(?!halo)\w+" x="([\d.]+)" y="([\d.]+)" font-size="([\d.]+)em" text-anchor="(\w+)"[^>]*>([^<]*)/g)].map(([, x, y, size, anchor, words]) => {
    const height = Number(size) * PHONE;
    const width = words.length * LETTER * height;
    const left = Number(x) - { start: 0, middle: width / 2, end: width }[anchor];
    return { left, right: left + width, top: Number(y) - height, bottom: Number(y) };
  });

/** A line with a head at its end. */
export function arrow(x1, y1, x2, y2, cls = 'line', width = 2, head = 9) {
  const angle = Math.atan2(y2 - y1, x2 - x1);
  const barb = (turn) => [x2 - head * Math.cos(angle + turn), y2 - head * Math.sin(angle + turn)];
  return line(x1, y1, x2, y2, cls, width) + poly([barb(0.45), [x2, y2], barb(-0.45)], cls, width);
}

/** A smooth curve through points (Catmull–Rom as Bézier). */
export function smooth(list, closed = false) {
  const at = (i) => (closed ? list[(i + list.length) % list.length] : list[Math.max(0, Math.min(list.length - 1, i))]);
  let d = `M${n(list[0][0])} ${n(list[0][1])}`;
  for (let i = 0; i < list.length - (closed ? 0 : 1); i++) {
    const [a, b, c, e] = [at(i - 1), at(i), at(i + 1), at(i + 2)];
    d += `C${n(b[0] + (c[0] - a[0]) / 6)} ${n(b[1] + (c[1] - a[1]) / 6)} ${n(c[0] - (e[0] - b[0]) / 6)} ${n(c[1] - (e[1] - b[1]) / 6)} ${n(c[0])} ${n(c[1])}`;
  }
  return d + (closed ? 'Z' : '');
}

export const drawing = (width, height, ...parts) =>
  `<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 ${width} ${height}" width="${width}" height="${height}"><style>${STYLE}</style>${rect(0, 0, width, height, 'paper', 'rx="6"')}${parts.flat(9).join('')}</svg>\n`;
