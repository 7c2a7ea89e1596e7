import { claim, distance, lineAt } from './claims.mjs';
import { area, arrow, circle, ellipse, line, n, path, poly, rect, smooth, text } from './sheet.mjs';

const round4 = (value) => Math.round(value * 10000) / 10000;
const regionsOf = (w, h) => ({
  spot: (x, y, r) => ({ circle: [round4(x / w), round4(y / h), round4(r / w)] }),
  box: (x1, y1, x2, y2) => ({ rectangle: [round4(x1 / w), round4(y1 / h), round4(x2 / w), round4(y2 / h)] }),
  shape: (list) => ({ polygon: list.map(([x, y]) => [round4(x / w), round4(y / h)]) }),
});
const rad = (degrees) => (degrees * Math.PI) / 180;
/** The point at a bearing (degrees clockwise from north) and distance. */
const bear = (x, y, degrees, r) => [x + r * Math.sin(rad(degrees)), y - r * Math.cos(rad(degrees))];
const tag = (x, y, name) => circle(x, y, 10, 'paper', 'stroke="#96301f" stroke-width="2"') + text(x, y + 4.5, name, { anchor: 'middle', bold: true, cls: 'redink' });
const arc = (x, y, r, from, to, cls = 'line', width = 1.5) => { const a = bear(x, y, from, r), b = bear(x, y, to, r); return path(`M${n(a[0])} ${n(a[1])}A${r} ${r} 0 ${to - from > 180 ? 1 : 0} 1 ${n(b[0])} ${n(b[1])}`, cls, width); };
const walker = (x, y, s = 1, cls = 'line') => circle(x, y - 20 * s, 5 * s, 'ink') + line(x, y - 15 * s, x, y - 4 * s, cls, 2.5 * s) + line(x, y - 4 * s, x - 5 * s, y + 8 * s, cls, 2.5 * s) + line(x, y - 4 * s, x + 5 * s, y + 8 * s, cls, 2.5 * s) + line(x - 7 * s, y - 8 * s, x + 7 * s, y - 11 * s, cls, 2.5 * s);
const ground = (list, h, cls = 'earth') => area([...list, [list[list.length - 1][0], h], [list[0][0], h]], cls) + poly(list, 'line', 1.5);

// ---- knots: crossings are found on the curve itself and alternate, over and under, along the rope -------------------

function curve(list, per = 40) {
  const at = (i) => list[Math.max(0, Math.min(list.length - 1, i))];
  const out = [];
  for (let i = 0; i < list.length - 1; i++) {
    const [a, b, c, d] = [at(i - 1), at(i), at(i + 1), at(i + 2)];
    for (let k = 0; k < per; k++) {
      const t = k / per;
      out.push([0, 1].map((j) => 0.5 * (2 * b[j] + (c[j] - a[j]) * t + (2 * a[j] - 5 * b[j] + 4 * c[j] - d[j]) * t * t + (3 * b[j] - a[j] - 3 * c[j] + d[j]) * t ** 3)));
    }
  }
  return [...out, list[list.length - 1]];
}

function alternating(list, cls = 'rope') {
  const pts = curve(list);
  const crossings = [];
  for (let i = 0; i < pts.length - 1; i++) {
    for (let j = i + 2; j < pts.length - 1; j++) {
      const [a, b, c, d] = [pts[i], pts[i + 1], pts[j], pts[j + 1]];
      const side = (p, q, r) => (q[0] - p[0]) * (r[1] - p[1]) - (q[1] - p[1]) * (r[0] - p[0]);
      if (side(a, b, c) * side(a, b, d) < 0 && side(c, d, a) * side(c, d, b) < 0) crossings.push([i, j]);
    }
  }
  const passes = crossings.flat().sort((a, b) => a - b);
  const over = new Set(passes.filter((_, k) => k % 2 === 0));
  let out = poly(pts, 'line', 11) + poly(pts, cls, 8);
  for (const at of crossings.flat().filter((i) => over.has(i))) {
    const piece = pts.slice(Math.max(0, at - 14), at + 15);
    const butt = (klass, width) => `<polyline class="${klass}" points="${piece.map(([x, y]) => `${n(x)},${n(y)}`).join(' ')}" stroke-width="${width}"/>`;
    out += butt('halo', 17) + butt('line', 11) + butt(cls, 8);
  }
  return { svg: out, crossings: crossings.length };
}
const strand = (list, cls = 'rope') => poly(list, 'halo', 16) + poly(list, 'line', 11) + poly(list, cls, 8);

export function craft() {
  const out = {};
  const regions = {};
  const claims = {};
  const W = 480;

  { // A base-plate compass with 235° set.
    const H = 330, { spot, box } = regionsOf(W, H), set = 235, cx = 240, cy = 190, r = 92;
    const ticks = Array.from({ length: 72 }, (_, i) => i * 5).map((d) => { const a = d - set; return line(...bear(cx, cy, a, r), ...bear(cx, cy, a, r - (d % 30 ? (d % 10 ? 5 : 8) : 12)), 'line', d % 30 ? 1 : 2) + (d % 30 ? '' : text(...bear(cx, cy, a, r - (d ? 27 : 24)).map((v, k) => v + 4 * k), d === 0 ? 'N' : d, { size: d ? 11 : 12, anchor: 'middle', bold: d === 0 })); });
    const needle = 28;
    out['compass'] = [W, H, [rect(140, 14, 200, 306, 'cloth', 'rx="14" stroke="#1f2c26"'), line(240, 22, 240, 84, 'red', 3), poly([[230, 40], [240, 22], [250, 40]], 'red', 3), circle(cx, cy, r + 8, 'paper', 'stroke="#1f2c26" stroke-width="2"'), ...ticks,
      poly([bear(cx, cy, -set - 9, 38), bear(cx, cy, -set, 50), bear(cx, cy, -set + 9, 38)], 'red', 2.5), line(...bear(cx, cy, -set, 48), ...bear(cx, cy, -set + 180, 62), 'red', 1.2),
      area([bear(cx, cy, needle, 56), bear(cx, cy, needle + 90, 7), bear(cx, cy, needle - 90, 7)], 'redink'), area([bear(cx, cy, needle + 180, 56), bear(cx, cy, needle + 90, 7), bear(cx, cy, needle - 90, 7)], 'paper', 'stroke="#1f2c26"'), circle(cx, cy, 4, 'ink'),
      ...Array.from({ length: 11 }, (_, i) => line(140, 40 + i * 25, i % 2 ? 146 : 150, 40 + i * 25)), text(30, 60, 'travel arrow', { size: 11 }), line(104, 56, 232, 40, 'faint', 1), text(30, 300, 'scale', { size: 11 }), line(62, 296, 142, 290, 'faint', 1)]];
    regions['compass.svg'] = { index: spot(240, 96, 18), needle: spot(...bear(cx, cy, needle, 46), 18), arrow: spot(...bear(cx, cy, -set, 44), 17), north: spot(...bear(cx, cy, -set, r - 10), 14), scale: box(138, 60, 156, 280) };
    claims['nav-bea-06'] = claim('angle from the travel arrow, seen from the middle of the dial, degrees', [-5, 5], regions['compass.svg'], [W, H], (x, y) => (Math.atan2(x - cx, cy - y) * 180) / Math.PI);
  }
  { // Two norths and an angle between them.
    const cx = 240, cy = 250;
    out['norths'] = [W, 290, [arrow(cx, cy, cx, 40), text(cx + 8, 46, 'grid north', { bold: true }), arrow(cx, cy, ...bear(cx, cy, -12, 212), 'blue'), text(cx - 52, 40, 'magnetic north', { bold: true, anchor: 'end', cls: 'blueink' }), arrow(cx, cy, ...bear(cx, cy, 74, 180), 'red', 2.5), text(472, 186, 'to the goal', { bold: true, cls: 'redink', anchor: 'end' }), arc(cx, cy, 70, 0, 74), text(cx + 16, cy - 72, '074°', { halo: true }), arc(cx, cy, 120, -12, 74, 'blue'), text(cx + 44, cy - 122, '078° on the compass', { cls: 'blueink' }), text(cx - 14, 120, '4° (drawn larger)', { size: 11, anchor: 'end' }), circle(cx, cy, 4, 'ink')]];
  }
  out['back-bearing'] = [W, 230, (() => { const a = [120, 180], b = bear(120, 180, 62, 290); return [arrow(...a, ...bear(120, 180, 62, 278), 'red', 2.5), circle(...a, 5, 'ink'), circle(...b, 5, 'ink'), text(a[0] - 12, a[1] + 24, 'you', { bold: true }), text(b[0] - 10, b[1] - 12, 'cairn', { bold: true }), line(...a, a[0], a[1] - 110, 'soft', 1.2, 'stroke-dasharray="4 4"'), line(...b, b[0], b[1] - 30, 'soft', 1.2, 'stroke-dasharray="4 4"'), arc(...a, 52, 0, 62), text(a[0] + 26, a[1] - 62, '062°'), arc(...b, 34, 0, 242, 'blue'), text(b[0] + 42, b[1] + 30, '242°', { cls: 'blueink' })]; })()];
  out['aiming-off'] = [W, 250, [path(smooth([[8, 60], [120, 66], [240, 56], [360, 64], [472, 58]]), 'blue', 4), rect(228, 48, 24, 18, 'paper', 'stroke="#1f2c26" stroke-width="2"'), text(240, 40, 'bridge', { anchor: 'middle', bold: true }), circle(240, 220, 5, 'ink'), text(252, 226, 'start', { bold: true }), line(240, 214, 240, 70, 'soft', 1.5, 'stroke-dasharray="5 5"'), arrow(240, 214, 160, 76, 'red', 2.5), text(128, 150, 'aim here', { bold: true, cls: 'redink', anchor: 'end' }), arrow(166, 82, 222, 76, 'line', 2), text(196, 100, 'turn right', { size: 11, anchor: 'middle', halo: true })]];
  out['fix-angles'] = [W, 220, [[110, 100, 80, 'good'], [350, 18, 14, 'poor']].map(([x, a, b, word]) => [line(...bear(x, 130, a - 50, 120), ...bear(x, 130, a + 130, 70), 'red', 2), line(...bear(x, 130, b - a - 50, 120), ...bear(x, 130, b - a + 130, 70), 'blue', 2), circle(x, 130, 5, 'ink'), text(x + 10, 196, word === 'good' ? 'lines that cross squarely' : 'lines that cross narrowly', { size: 11, anchor: 'middle' }), text(x + 10, 211, word === 'good' ? 'fix well' : 'fix badly', { size: 11, anchor: 'middle' })])];
  { // Slopes in profile, with the contours they would make.
    const profile = (x, f, inverse, name) => { const list = Array.from({ length: 41 }, (_, i) => [x + i * 4.6, 150 - 120 * f(i / 40)]); const at = Array.from({ length: 9 }, (_, k) => x + 184 * inverse((k + 0.5) / 9)); return [ground(list, 160), ...at.map((px) => line(px, 172, px, 206, 'brown', 1)), text(x + 92, 228, name, { anchor: 'middle', bold: true })]; };
    out['slopes'] = [W, 240, [profile(30, (t) => t ** 2.4, (h) => h ** (1 / 2.4), 'concave'), profile(266, (t) => 1 - (1 - t) ** 2.4, (h) => 1 - (1 - h) ** (1 / 2.4), 'convex')]];
  }
  out['slope-angles'] = [W, 250, [...[15, 25, 30, 35, 45, 55].map((d) => { const [x, y] = bear(60, 220, 90 - d, d > 44 ? 230 : 330); return line(60, 220, x, y, d >= 30 && d <= 45 ? 'red' : 'line', d >= 30 && d <= 45 ? 2.4 : 1.3) + text(x + 6, y + 4, `${d}°`, { bold: d >= 30 && d <= 45 }); }), line(60, 220, 440, 220, 'line', 2)]];
  { // A ridge in winter, with the wind from the left.
    const H = 280, { spot, shape } = regionsOf(W, H);
    const land = [[8, 240], [80, 220], [160, 160], [225, 90], [245, 86], [300, 150], [370, 200], [472, 235]];
    const drift = [[225, 90], [238, 80], [254, 75], [270, 80], [264, 88], [261, 98], [276, 118], [305, 142], [350, 176], [400, 203], [472, 232]];
    out['lee-slope'] = [W, H, [rect(8, 8, W - 16, 264, 'sky'), `<path class="snow" d="${smooth(drift)}L472 236L370 204L300 154L245 88L225 92Z" stroke="#6b756f"/>`, area([[8, 236], [80, 216], [160, 156], [225, 88], [225, 94], [160, 164], [80, 224], [8, 244]], 'snow', 'stroke="#6b756f"'), ground(land, 272), ...[60, 90, 120].map((y) => arrow(30, y, 130, y, 'blue', 2)), text(30, 46, 'wind for two days'), text(70, 186, 'blown thin', { size: 11, anchor: 'middle', halo: true }), line(96, 190, 122, 186, 'soft', 1)]];
    regions['lee-slope.svg'] = { lee: shape([[262, 78], [290, 78], [390, 180], [360, 204], [300, 156], [262, 112]]), windward: shape([[90, 196], [150, 140], [210, 80], [222, 96], [170, 160], [100, 214]]), crest: spot(236, 84, 13), runout: spot(440, 226, 28) };
    const thick = (x) => (x < 225 ? 4 : lineAt(land, x) - lineAt(drift.filter(([u], i) => i === 0 || u > Math.max(...drift.slice(0, i).map(([v]) => v))), x));
    claims['haz-sno-05'] = claim('thickness of the snow, px', [10, 60], regions['lee-slope.svg'], [W, H], thick);
  }
  out['snow-pit'] = [W, 280, [['new snow, loose', 34, 'paper'], ['wind slab, knife', 60, 'snow'], ['weak layer, fist, loose', 14, 'cold'], ['old snow, one finger', 70, 'snow'], ['ice crust', 8, 'water'], ['ground', 30, 'earth']].reduce(([y, parts], [name, h, cls]) => [y + h, [...parts, rect(40, y, 180, h, cls, 'stroke="#1f2c26" stroke-width="1"'), line(220, y + h / 2, 240, y + h / 2, 'soft', 1), text(246, y + h / 2 + 4, name)]], [24, []])[1]];
  { // A river with four places to cross.
    const H = 330, { spot, box } = regionsOf(W, H);
    const banks = [[[0, 120], [70, 110], [120, 128], [150, 170], [190, 190], [240, 176], [300, 120], [370, 96], [430, 120], [480, 130]], [[0, 176], [60, 168], [90, 184], [118, 222], [186, 240], [262, 222], [322, 196], [372, 204], [432, 178], [480, 180]]];
    out['river'] = [W, H, [rect(8, 8, W - 16, 314, 'wood'), `<path class="water" d="${smooth(banks[0])}L480 180${smooth([...banks[1]].reverse()).replace('M', 'L')}Z" stroke="#2c6a92"/>`, ellipse(330, 150, 26, 12, 'rock', 'stroke="#6b756f"'), ellipse(374, 150, 17, 9, 'rock', 'stroke="#6b756f"'), ...[[40, 140], [56, 152], [30, 156], [70, 140]].map(([x, y]) => ellipse(x, y, 7, 5, 'rock', 'stroke="#1f2c26"')), path('M128 196q8 -8 14 4', 'blue', 2), path('M140 212q8 -8 14 4', 'blue', 2), arrow(210, 206, 250, 200, 'blue', 2.5), ...[450, 458, 466].map((x) => line(x, 128, x, 182, 'line', 1.5)), text(452, 116, 'fall', { size: 11, anchor: 'end' }), text(44, 196, 'boulders', { size: 11, anchor: 'middle' }), text(350, 84, 'wide, gravel', { size: 11, anchor: 'middle' }), text(150, 262, 'undercut outer bank', { size: 11, anchor: 'middle' }), text(30, 40, 'the river flows to the right; width of the sheet: 800 m', { size: 11 })]];
    regions['river.svg'] = { braids: box(298, 100, 394, 200), bend: spot(160, 218, 36), boulders: spot(48, 148, 34), fall: box(436, 116, 478, 186) };
    claims['haz-riv-05'] = claim('width of the river, px', [75, 200], regions['river.svg'], [W, H], (x) => lineAt(banks[1], x) - lineAt(banks[0], x));
  }
  { // A splinted forearm.
    const H = 230, { spot, box } = regionsOf(W, H);
    out['splint'] = [W, H, [path('M20 86C70 70 120 76 150 82L330 92C352 92 366 84 384 82C420 78 452 84 452 92C452 98 430 98 420 98C446 98 462 104 460 112C458 118 436 116 424 114C448 118 458 124 454 132C450 138 430 132 418 130C436 136 442 142 438 148C430 154 406 146 390 142L340 140L150 146C110 152 60 156 20 146Z', 'skin', 1.5, 'stroke="#1f2c26"'), path('M376 84C372 66 384 54 396 52C404 54 398 66 396 80', 'skin', 1.5, 'stroke="#1f2c26"'), rect(34, 74, 362, 14, 'rock', 'rx="5" stroke="#1f2c26"'), rect(34, 140, 362, 14, 'rock', 'rx="5" stroke="#1f2c26"'), ...[44, 120, 240, 320, 366].map((x) => rect(x, 70, 20, 88, 'cloth', 'rx="2" stroke="#1f2c26"')), text(54, 190, 'elbow', { anchor: 'middle' }), text(230, 190, 'splints and bandages', { anchor: 'middle' }), text(376, 190, 'wrist', { anchor: 'middle' }), text(440, 190, 'fingers', { anchor: 'middle' })]];
    regions['splint.svg'] = { fingers: box(405, 78, 466, 154), elbow: box(20, 70, 104, 158), splint: box(118, 70, 394, 158), thumb: spot(390, 58, 12) };
    claims['med-inj-05'] = claim('beyond the end of the splint, px', [10, 100], regions['splint.svg'], [W, H], (x) => x - 396);
  }
  { // A lower over an edge.
    const H = 300, { spot } = regionsOf(W, H);
    out['lower'] = [W, H, [ground([[8, 150], [60, 140], [120, 140], [290, 140], [306, 148], [312, 290]], 292, 'rock'), ellipse(70, 118, 42, 34, 'rock', 'stroke="#1f2c26" stroke-width="1.5"'), path('M148 118C128 100 84 92 34 106', 'rope2', 4), path('M148 118C128 132 84 140 36 130', 'rope2', 4), circle(154, 118, 7, 'line', 'stroke-width="3" fill="none"'), walker(206, 128, 1.1), path('M206 118C192 132 172 130 158 122', 'rope2', 3), poly([[162, 116], [199, 119]], 'rope', 4), poly([[161, 114], [230, 112], [292, 130], [308, 146]], 'rope', 4), line(308, 146, 322, 236, 'rope', 4), walker(326, 258, 1.1), text(70, 76, 'boulder', { anchor: 'middle', size: 11 }), text(322, 140, 'bare, sharp edge', { size: 11 }), text(120, 92, 'karabiner', { size: 11 }), text(150, 158, 'clipped to it', { size: 11 })]];
    regions['lower.svg'] = { edge: spot(306, 144, 20), boulder: spot(66, 118, 34), karabiner: spot(154, 118, 16), client: spot(326, 246, 26), guide: spot(200, 116, 26) };
    claims['rope-anc-04'] = claim('distance from where the rope bends over rock, px', [0, 10], regions['lower.svg'], [W, H], (x, y) => Math.hypot(x - 308, y - 146));
  }
  out['anchor-angle'] = [W, 260, [[75, 30], [205, 90], [375, 120]].map(([x, d]) => { const l = bear(x, 190, -d / 2, 95), r = bear(x, 190, d / 2, 95); return [circle(...l, 6, 'ink'), circle(...r, 6, 'ink'), line(...l, x, 190, 'blue', 3), line(...r, x, 190, 'blue', 3), arc(x, 190, 40, -d / 2, d / 2), text(x, 142, `${d}°`, { anchor: 'middle', halo: true }), arrow(x, 190, x, 236, 'red', 3), text(x + 10, 232, '4 kN', { cls: 'redink' })]; })];
  { // Knots.
    const eight = [[0.06, -7], [0.04, -4.83], [0.03, -2], [-0.9, 1.2], [-1.6, 3], [-1.1, 4.5], [0.2, 5], [1.3, 4.4], [1.7, 3], [1, 1.2], [-0.7, -1.2], [-1.7, -3], [-1.2, -4.5], [0, -5], [1.2, -4.4], [1.7, -3], [0.9, -1.2], [0.1, 1.6], [0.07, 3.4], [0.05, 7]].map(([x, y]) => [240 + 26 * y, 110 + 26 * x]);
    const knot = alternating(eight);
    if (knot.crossings !== 4) throw new Error(`The figure of eight has ${knot.crossings} crossings.`);
    out['knot-eight'] = [W, 220, [knot.svg]];
    // A trefoil cut open at its top is an overhand knot: three crossings, over and under by turns, and both ends free.
    const trefoil = [];
    for (let t = Math.PI + 0.6; t <= 3 * Math.PI - 0.59; t += (2 * Math.PI - 1.2) / 24) trefoil.push([Math.sin(t) + 2 * Math.sin(2 * t), Math.cos(t) - 2 * Math.cos(2 * t)]);
    const over = alternating([[6.2, -2.75], [3.2, -2.95], [1.75, -2.7], ...trefoil, [-1.75, -2.7], [-3.2, -2.95], [-6.2, -2.75]].map(([x, y]) => [240 + 33 * x, 128 + 33 * y]));
    if (over.crossings !== 3) throw new Error(`The overhand knot has ${over.crossings} crossings.`);
    out['knot-overhand'] = [W, 230, [over.svg]];
    const bar = rect(60, 90, 360, 60, 'rock', 'stroke="#1f2c26" stroke-width="1.5"');
    // What runs behind the bar is drawn before it, and seen where it turns over its edges.
    const behind = ([x, y], [u, v]) => strand(curve([[x, y], [x + (u - x) * 0.08, y - 11], [x + (u - x) * 0.4, y + 4], [u - (u - x) * 0.4, v - 4], [u - (u - x) * 0.08, v + 11], [u, v]], 12));
    out['knot-clove'] = [W, 240, [behind([196, 88], [178, 152]), behind([302, 88], [284, 152]), bar, strand([[238, 260], [222, 152], [196, 88]]), strand([[284, 152], [258, 88], [246, -20]]), strand([[178, 152], [302, 88]])]];
    out['knot-girth'] = [W, 240, [behind([222, 88], [196, 152]), behind([258, 88], [284, 152]), bar, strand([[222, 88], [222, 260]]), strand([[258, 88], [258, 260]]), strand(curve([[196, 152], [199, 172], [212, 184], [240, 186], [268, 184], [281, 172], [284, 152]], 12))]];
  }
  out['signal-times'] = [W, 170, [...[['call', 10, 46], ['answer', 20, 106]].map(([name, gap, y]) => [text(63, y + 5, name, { size: 11, bold: true, anchor: 'end' }), line(70, y + 12, 460, y + 12, 'soft', 1), ...Array.from({ length: 130 / gap }, (_, i) => i * gap).filter((s) => s < 60 || s >= 120).map((s) => rect(70 + (s / 130) * 390, y - 12, 7, 24, 'ink'))]), ...[0, 30, 60, 90, 120].map((s) => text(72 + (s / 130) * 390, 150, `${s} s`, { size: 11, anchor: 'middle' }))]];
  out['signal-body'] = [W, 220, [[130, -40, 40, 'Y'], [350, -40, 140, 'N']].map(([x, left, right, name]) => [circle(x, 60, 16, 'skin', 'stroke="#1f2c26" stroke-width="2"'), line(x, 76, x, 140, 'line', 8), line(x, 140, x - 22, 190, 'line', 8), line(x, 140, x + 22, 190, 'line', 8), line(x, 92, ...bear(x, 92, left, 64), 'line', 8), line(x, 92, ...bear(x, 92, right, 64), 'line', 8), text(x, 214, name, { anchor: 'middle', bold: true, size: 15 })])];
  { // Where a helicopter might land.
    const H = 320, { spot, box } = regionsOf(W, H);
    out['landing'] = [W, H, [rect(8, 8, W - 16, 304, 'wood'), ...Array.from({ length: 9 }, (_, i) => { const r = 26 + i * 13; return path(`M8 ${8 + r}C${8 + r * 0.9} ${8 + r} ${8 + r * 1.5} ${8 + r * 0.6} ${8 + r * 1.5} 8`, 'brown', 1); }), rect(250, 150, 140, 90, 'earth', 'rx="14" stroke="#6b756f"'), ...[[60, 240], [84, 256], [104, 232], [76, 276], [122, 262], [140, 240]].map(([x, y]) => circle(x, y, 12, 'wood', 'stroke="#27612f" stroke-width="2"')), line(300, 10, 440, 130, 'line', 1.5), line(308, 8, 448, 126, 'line', 1.5), rect(326, 32, 6, 12, 'ink'), rect(424, 112, 6, 12, 'ink'), area([[180, 172], [196, 144], [212, 172]], 'warm', 'stroke="#1f2c26"'), area([[186, 204], [202, 176], [218, 204]], 'warm', 'stroke="#1f2c26"'), ellipse(410, 290, 60, 22, 'water', 'stroke="#2c6a92"'), arrow(20, 150, 90, 150, 'blue', 3), text(20, 140, 'wind', { cls: 'blueink' }), text(320, 200, 'level turf', { anchor: 'middle' }), text(196, 222, 'loose tents', { anchor: 'middle', size: 11 }), text(400, 74, 'wires', { size: 11 }), text(100, 300, 'wood', { size: 11, anchor: 'middle' }), text(44, 58, 'steep slope', { size: 11, halo: true }), text(410, 294, 'tarn', { size: 11, anchor: 'middle' })]];
    regions['landing.svg'] = { turf: box(252, 150, 392, 242), tents: spot(198, 178, 34), wires: spot(378, 66, 44), slope: box(10, 12, 180, 110), wood: spot(98, 250, 44) };
    claims['res-sig-04'] = claim('distance from wires, tents, trees and the slope, px', [60, 400], regions['landing.svg'], [W, H], (x, y) => Math.max(0, Math.min(distance([x, y], [[304, 9], [444, 128]]) - 4, Math.hypot(x - 198, y - 174) - 30, Math.hypot(x - 98, y - 250) - 40, Math.hypot(x - 8, (y - 8) * 1.4) - 195)));
  }
  out['order-of-march'] = [W, 170, [ground([[8, 140], [120, 132], [240, 118], [360, 98], [472, 84]], 160), ...[[420, 84, 'leader'], [366, 92, 'slowest'], [310, 102, ''], [256, 112, ''], [202, 120, ''], [148, 126, ''], [80, 132, 'strong, last']].map(([x, y, name]) => walker(x, y, 0.9) + text(x, y - 30, name, { size: 11, anchor: 'middle' }))]];
  out['leapfrog'] = [W, 170, [line(30, 90, 450, 90, 'soft', 1.2, 'stroke-dasharray="5 5"'), arrow(30, 150, 120, 150, 'line', 2), text(30, 142, 'bearing', { size: 11 }), walker(60, 90), walker(200, 90), walker(340, 90, 1, 'soft'), path('M206 70C240 40 300 40 334 66', 'red', 2), text(60, 116, '1 sights', { size: 11, anchor: 'middle' }), text(200, 116, '2 is lined up, stands', { size: 11, anchor: 'middle' }), text(340, 116, 'the next leap', { size: 11, anchor: 'middle' })]];
  out['search-circle'] = [W, 260, [circle(240, 130, 110, 'warm', 'stroke="#96301f" stroke-width="2"'), circle(240, 130, 55, 'line', 'stroke-width="1.2" stroke-dasharray="5 5"'), circle(240, 130, 5, 'ink'), text(248, 126, 'last seen', { bold: true, halo: true }), line(240, 130, 240, 20, 'red', 1.5), text(246, 40, 'r = v · t', { halo: true }), path(smooth([[120, 60], [200, 110], [240, 130], [300, 170], [390, 190]]), 'line', 2, 'stroke-dasharray="7 4"'), text(384, 208, 'path', { size: 11 })]];
  out['snow-hole'] = [W, 260, [rect(8, 8, W - 16, 244, 'sky'), `<path class="snow" d="${smooth([[8, 84], [120, 70], [260, 56], [360, 56], [408, 70], [422, 120], [426, 170], [432, 214], [472, 222]])}L472 252L8 252Z" stroke="#6b756f"/>`, '<path class="paper" d="M432 212L338 212C326 212 322 204 320 194L318 172L124 172C108 172 104 150 110 132C120 104 160 92 214 92C268 92 306 104 324 132C338 152 342 172 352 174L428 174Z" stroke="#1f2c26"/>', rect(128, 160, 184, 12, 'cloth', 'rx="3" stroke="#1f2c26"'), line(236, 94, 250, 50, 'blue', 4), text(220, 148, 'bench', { anchor: 'middle' }), text(376, 197, 'way in', { size: 11, anchor: 'middle' }), text(262, 44, 'air hole', { size: 11 })]];
  out['radio-shadow'] = [W, 240, [rect(8, 8, W - 16, 224, 'sky'), ground([[8, 210], [80, 196], [150, 90], [176, 84], [214, 156], [238, 108], [264, 182], [300, 204], [360, 150], [420, 120], [472, 130]], 232), line(176, 80, 176, 56, 'line', 3), circle(176, 52, 4, 'redink'), walker(290, 194, 0.8), walker(416, 112, 0.8), line(178, 54, 410, 100, 'green', 1.6, 'stroke-dasharray="6 4"'), line(178, 54, 233, 119, 'red', 1.6, 'stroke-dasharray="6 4"'), text(186, 44, 'relay'), text(300, 224, 'A', { bold: true }), text(424, 140, 'B', { bold: true })]];
  { // Three bends of one rope: each a band with its plait across it.
    const bent = (places, thick) => {
      const list = curve(places, 10);
      const edge = (side) => list.map(([x, y], i) => { const [a, b] = [list[Math.max(0, i - 1)], list[Math.min(list.length - 1, i + 1)]]; const l = Math.hypot(b[0] - a[0], b[1] - a[1]); const half = (thick(i / (list.length - 1)) / 2) * side; return [x - ((b[1] - a[1]) / l) * half, y + ((b[0] - a[0]) / l) * half]; });
      const [outer, inner] = [edge(-1), edge(1)];
      return { outer, svg: `<polygon class="ropefill" points="${[...outer, ...[...inner].reverse()].map(([x, y]) => `${n(x)},${n(y)}`).join(' ')}" fill="#b8602a" stroke="#1f2c26" stroke-width="1.5"/>` + outer.map((at, i) => (i % 3 || !inner[i + 3] ? '' : line(...at, ...inner[i + 3], 'line', 0.9))).join('') };
    };
    const round = (x) => [[x - 62, 112], [x - 44, 70], [x, 46], [x + 44, 70], [x + 62, 112]];
    const corner = (x) => [[x - 62, 112], [x - 34, 82], [x - 7, 50], [x, 45], [x + 7, 50], [x + 34, 82], [x + 62, 112]];
    const [sound, fluffed] = [bent(round(80), () => 18), bent(round(240), () => 18)];
    const hairs = fluffed.outer.slice(8, -8).flatMap(([x, y], i) => [line(x, y, x + ((i * 7) % 9) - 4, y - 7 - ((i * 5) % 6), 'brown', 1.1)]);
    out['rope-wear'] = [W, 160, [sound.svg, fluffed.svg, ...hairs, bent(corner(400), (t) => 18 - 10 * Math.exp(-(((t - 0.5) / 0.07) ** 2))).svg, ...[[80, 'sound'], [240, 'fluffed'], [400, 'flat place']].map(([x, name]) => text(x, 148, name, { anchor: 'middle' }))]];
  }
  { // Steps to come down with a rope.
// Ten pixels are a metre.
    out['dower-steps'] = [W, 320, [ground([[8, 60], [130, 60], [140, 120], [170, 124], [178, 224], [320, 234], [472, 250]], 312, 'rock'), path('M60 60c-6-20 10-30 22-26c14 2 20 16 14 26Z', 'rock', 1.5, 'stroke="#1f2c26"'), text(104, 48, 'block', { size: 11 }), line(20, 60, 20, 20, 'green', 3), path('M20 34c-14 0-10-20 0-18c12-2 14 18 0 18', 'wood', 1, 'stroke="#27612f"'), text(36, 20, 'dead birch', { size: 11 }), arrow(152, 62, 152, 119, 'red', 1.5), text(160, 86, '6 m', { cls: 'redink' }), arrow(196, 125, 196, 223, 'red', 1.5), text(204, 182, '10 m', { cls: 'redink' }), line(164, 121, 190, 110, 'soft', 1), text(194, 112, 'ledge, 3 m wide', { size: 11 }), text(380, 228, 'scree', { size: 11 }), ...[230, 262, 296, 336, 380].map((x, i) => circle(x, 226 + i * 3.2, 3, 'ink'))]];
  }
  { // The symbols of Corvane's sheets.
    const rows = [[(x, y) => line(x, y, x + 60, y, 'line', 2, 'stroke-dasharray="7 4"'), 'path'], [(x, y) => line(x, y, x + 60, y, 'line', 2) + [8, 20, 32, 44, 56].map((d) => circle(x + d, y, 2.6, 'ink')).join(''), 'wall'], [(x, y) => path(`M${x} ${y}q15 -8 30 0t30 0`, 'blue', 2), 'stream'], [(x, y) => rect(x + 24, y - 6, 12, 12, 'ink'), 'hut'], [(x, y) => poly([[x + 22, y + 6], [x + 30, y - 8], [x + 38, y + 6], [x + 22, y + 6]]), 'surveyed top'], [(x, y) => Array.from({ length: 7 }, (_, i) => line(x + i * 10, y - 6, x + 3 + i * 10, y + 5, 'line', 1.5)).join('') + line(x, y - 6, x + 64, y - 6), 'crag'], [(x, y) => [0, 20, 40].map((d) => path(`M${x + d} ${y + 5}h16M${x + d + 4} ${y + 5}v-8M${x + d + 8} ${y + 5}v-11M${x + d + 12} ${y + 5}v-8`, 'blue', 1.3)).join(''), 'bog'], [(x, y) => line(x, y, x + 60, y, 'brown', 1.8) + line(x, y + 6, x + 60, y + 6, 'brown', 0.7), 'contours']];
    out['symbols'] = [W, 210, rows.map(([draw, name], i) => { const x = 30 + (i % 2) * 230, y = 32 + Math.floor(i / 2) * 48; return draw(x, y) + text(x + 82, y + 5, name); })];
  }
  out['ground-insulation'] = [W, 210, [
    rect(8, 166, W - 16, 36, 'earth'), line(8, 166, W - 8, 166),
    rect(70, 156, 300, 10, 'cloth', 'rx="4" stroke="#1f2c26"'), ...Array.from({ length: 15 }, (_, i) => ellipse(82 + i * 19.8, 149, 10, 6, 'rope', 'stroke-width="4"')),
    ...[72, 148, 224, 300].map((x) => rect(x, 116, 70, 27, 'rock', 'rx="8" stroke="#1f2c26"')),
    '<path class="skin" d="M84 114C78 98 92 92 120 94C180 84 260 76 330 84C352 86 372 92 374 104C374 112 366 114 356 114Z" stroke="#1f2c26"/>', circle(352, 98, 12, 'warm', 'stroke="#1f2c26"'), line(346, 97, 349, 97, 'line', 1.5),
    path('M30 164C52 46 150 34 226 34C310 34 400 48 420 164', 'rope2', 3),
    ...[[161, 'mat', 164], [149, 'rope, laid flat', 150], [130, 'packs', 132]].map(([y, name, ty], i) => line(372, y, 428, [168, 150, 132][i], 'soft', 1) + text(430, [172, 154, 136][i], name === 'rope, laid flat' ? 'rope' : name, { size: 11 })),
    text(226, 26, 'shelter over all', { anchor: 'middle', size: 11 }), text(220, 106, 'bag', { anchor: 'middle', size: 11 })]];
  { // A fork of a river, for a case.
    out['senn-water'] = [W, 300, [rect(8, 8, W - 16, 284, 'wood'), path(smooth([[150, 8], [170, 80], [220, 150], [230, 220], [250, 292]]), 'blue', 12), path(smooth([[330, 8], [310, 70], [262, 120], [222, 156]]), 'blue', 8), line(214, 256, 262, 246, 'line', 6), text(270, 250, 'footbridge, 4 km round'), tag(168, 70, 'A'), tag(300, 76, 'B'), tag(226, 196, 'C'), rect(60, 120, 12, 12, 'ink'), text(52, 112, 'Senn Hut'), rect(410, 60, 12, 12, 'ink'), text(400, 52, 'camp', { anchor: 'end' }), text(20, 280, 'north is up; the water flows south', { size: 11 })]];
  }
  out['path-erosion'] = [W, 190, [ground([[8, 60], [150, 66], [170, 90], [200, 104], [240, 98], [280, 106], [310, 88], [330, 66], [472, 60]], 180), ...[30, 60, 90, 120, 350, 380, 410, 440].map((x) => line(x, 62, x - 3, 48, 'green', 1.5) + line(x, 62, x + 3, 48, 'green', 1.5)), path('M170 96q12 -6 24 6t26 -4t30 4t34 -6t26 -2', 'blue', 1.5), arrow(150, 40, 330, 40), arrow(330, 40, 150, 40), text(240, 32, '6 m', { anchor: 'middle' }), text(240, 140, 'mud where turf was', { anchor: 'middle' })]];
  return { out, regions, claims };
}
