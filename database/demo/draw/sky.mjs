import { claim, distance, lineAt } from './claims.mjs';
import { area, arrow, circle, ellipse, line, n, path, poly, rect, smooth, text } from './sheet.mjs';

const share = (w, h) => (x, y) => [Math.round((x / w) * 10000) / 10000, Math.round((y / h) * 10000) / 10000];
const spot = (w, h) => (x, y, r) => ({ circle: [...share(w, h)(x, y), Math.round((r / w) * 10000) / 10000] });
const box = (w, h) => (x1, y1, x2, y2) => ({ rectangle: [...share(w, h)(x1, y1), ...share(w, h)(x2, y2)] });

/** A front: a curve with triangles (cold), half circles (warm), or both (occluded) on the side it moves to. */
function front(list, kind) {
  const cls = kind === 'cold' ? 'blue' : kind === 'warm' ? 'red' : 'soft';
  const out = [path(smooth(list), cls, 2.5)];
  const cumulative = [0];
  for (let i = 1; i < list.length; i++) cumulative.push(cumulative[i - 1] + Math.hypot(list[i][0] - list[i - 1][0], list[i][1] - list[i - 1][1]));
  const total = cumulative[cumulative.length - 1];
  const place = (s) => {
    const i = Math.max(1, cumulative.findIndex((v) => v >= s));
    const t = (s - cumulative[i - 1]) / (cumulative[i] - cumulative[i - 1]);
    return [list[i - 1][0] + t * (list[i][0] - list[i - 1][0]), list[i - 1][1] + t * (list[i][1] - list[i - 1][1]), Math.atan2(list[i][1] - list[i - 1][1], list[i][0] - list[i - 1][0])];
  };
  for (let s = 18, k = 0; s < total - 8; s += 28, k++) {
    const [x, y, a] = place(s);
    const round = kind === 'warm' || (kind === 'occluded' && k % 2 === 0);
    const [ux, uy, vx, vy] = [Math.cos(a), Math.sin(a), Math.sin(a), -Math.cos(a)];
    const [p, q] = [[x - 7 * ux, y - 7 * uy], [x + 7 * ux, y + 7 * uy]];
    const fill = cls === 'blue' ? 'blueink' : cls === 'red' ? 'redink' : 'ink';
    out.push(round ? `<path class="${fill}" d="M${n(p[0])} ${n(p[1])}A7 7 0 0 1 ${n(q[0])} ${n(q[1])}Z"/>` : area([p, q, [x + 11 * vx, y + 11 * vy]], fill));
  }
  return out.join('');
}

/** Its figure stands below, or at its left where fronts run below. */
const isobar = (x, y, rx, ry, value, left = false) => ellipse(x, y, rx, ry, 'soft', 'stroke-width="1.2" fill="none"') + text(left ? x - rx : x, left ? y + 4 : y + ry + 4, value, { size: 10, anchor: 'middle', halo: true });

const cloud = (x, y, s, more = '') => path(`M${n(x - 40 * s)} ${n(y)}c${n(-14 * s)} 0 ${n(-14 * s)} ${n(-20 * s)} ${n(2 * s)} ${n(-20 * s)}c0 ${n(-16 * s)} ${n(20 * s)} ${n(-20 * s)} ${n(26 * s)} ${n(-8 * s)}c${n(8 * s)} ${n(-14 * s)} ${n(30 * s)} ${n(-10 * s)} ${n(28 * s)} ${n(6 * s)}c${n(18 * s)} ${n(-2 * s)} ${n(20 * s)} ${n(22 * s)} ${n(2 * s)} ${n(22 * s)}Z`, 'cloud', 1, `stroke="#6b756f" ${more}`);
const hills = (list, height) => area([...list, [list[list.length - 1][0], height], [list[0][0], height]], 'earth') + poly(list, 'line', 1.5);
const axis = (x, y, w, h, xs, ys, xname, yname) => [
  line(x, y, x, y - h), line(x, y, x + w, y), text(x + w, y + 30, xname, { size: 11, anchor: 'end' }), text(x - 30, y - h - 8, yname, { size: 11 }),
  ...xs.map(([at, label]) => line(x + at * w, y, x + at * w, y + 4) + text(x + at * w, y + 16, label, { size: 10, anchor: 'middle' })),
  ...ys.map(([at, label]) => line(x - 4, y - at * h, x, y - at * h) + line(x, y - at * h, x + w, y - at * h, 'faint', 0.6) + text(x - 7, y - at * h + 4, label, { size: 10, anchor: 'end' })),
].join('');

export function sky() {
  const out = {};
  const regions = {};
  const claims = {};
  const W = 480, H = 330;
  const sp = spot(W, H), bx = box(W, H);

  const cold = [[205, 130], [190, 180], [160, 235], [110, 290]];
  const warm = [[205, 130], [270, 165], [330, 215], [375, 270]];
  out['chart-fronts'] = [W, H, [
    isobar(205, 110, 38, 26, '980', true), isobar(205, 118, 82, 56, '988', true), isobar(208, 128, 132, 92, '996', true), isobar(210, 140, 185, 132, '1004', true),
    text(225, 120, 'L', { size: 24, bold: true, anchor: 'middle' }), front(cold, 'cold'), front([...warm], 'warm'), front([[190, 60], [196, 95], [205, 130]].reverse().reverse(), 'occluded'),
    circle(255, 240, 4, 'ink'), text(263, 252, 'Corvane', { bold: true, halo: true }), arrow(16, 314, 66, 314, 'line', 2), text(16, 304, 'the low moves east', { size: 11 }),
  ]];
  regions['chart-fronts.svg'] = { cold: { polygon: [[190, 135], [222, 140], [210, 190], [180, 245], [125, 300], [95, 285], [145, 228], [175, 175]].map(([x, y]) => share(W, H)(x, y)) }, warm: { polygon: [[222, 130], [345, 200], [392, 268], [362, 280], [318, 225], [258, 175], [222, 150]].map(([x, y]) => share(W, H)(x, y)) }, low: sp(225, 110, 16), occlusion: bx(178, 50, 214, 96) };
  claims['wx-sys-06'] = claim('distance from the line with triangles, px', [0, 20], regions['chart-fronts.svg'], [W, H], (x, y) => distance([x, y], cold));

  out['chart-wind'] = [W, H, [
    isobar(90, 160, 50, 40, '996'), isobar(90, 165, 82, 72, '1000'), isobar(94, 165, 112, 100, '1004'), isobar(98, 165, 142, 128, '1008'),
    path('M268 20C276 110 272 230 262 318', 'soft', 1.2), path('M292 20C304 110 300 230 286 318', 'soft', 1.2), path('M316 20C332 110 328 230 310 318', 'soft', 1.2), path('M338 20C358 110 354 230 332 318', 'soft', 1.2), path('M420 20C440 110 436 230 416 318', 'soft', 1.2),
    text(90, 168, 'L', { size: 26, bold: true, anchor: 'middle' }), text(462, 172, 'H', { size: 26, bold: true, anchor: 'middle' }),
    ...[[269, '1012', 300], [296, '1016', 270], [324, '1020', 300], [349, '1024', 270], [430, '1028', 300]].map(([x, v, y]) => text(x, y, v, { size: 10, anchor: 'middle', halo: true })),
    ...[['A', 205, 60], ['B', 315, 150], ['C', 395, 150], ['D', 42, 200]].map(([name, x, y]) => circle(x, y, 11, 'paper', 'stroke="#96301f" stroke-width="2"') + text(x, y + 4.5, name, { anchor: 'middle', bold: true, cls: 'redink' })),
  ]];
  regions['chart-wind.svg'] = { windy: bx(272, 30, 352, 290), calm: bx(360, 30, 425, 290), low: sp(90, 160, 45), gap: bx(180, 30, 262, 290) };
  // Where isobars cross the middle of the chart, from the low to the high.
  const across = [[90, 992], [140, 996], [172, 1000], [206, 1004], [240, 1008], [274, 1012], [299, 1016], [325, 1020], [351, 1024], [434, 1028]];
  claims['wx-sys-07'] = claim('change of pressure in 100 px, hPa', [14, 30], regions['chart-wind.svg'], [W, H], (x) => Math.abs(lineAt(across, x + 12) - lineAt(across, x - 12)) / 0.24);

  // A pixel is a kilometre; at the height of Corvane the front is 180 km away, as the handbook reckons.
  out['chart-before'] = [W, 240, [front([[215, 20], [207, 90], [191, 160], [165, 222]], 'cold'), circle(380, 120, 5, 'ink'), text(380, 142, 'Corvane', { bold: true, anchor: 'middle' }), text(20, 26, '06:00', { size: 16, bold: true }), line(300, 215, 400, 215, 'line', 2), text(350, 208, '100 km', { size: 11, anchor: 'middle' })]];

  // Clouds by height, over a ridge.
  out['clouds'] = [W, H, [
    rect(8, 8, W - 16, H - 16, 'sky'), hills([[8, 284], [90, 280], [150, 270], [200, 258], [250, 262], [300, 276], [472, 284]], H - 8),
    ...[[60, 9], [130, 6], [200, 3]].map(([y, km]) => line(8, y + 5, 472, y + 5, 'faint', 0.7, 'stroke-dasharray="3 5"') + text(14, y, `${km} km`, { size: 10 })),
    path('M60 42c30-12 60 4 90-8M70 52c30-12 60 4 90-8M95 34c30-10 50 6 80-6', 'soft', 1.6), ellipse(250, 148, 52, 9, 'cloud', 'stroke="#6b756f"'), ellipse(250, 134, 36, 6, 'cloud', 'stroke="#6b756f"'),
    path('M365 250c-26-2-22-30 0-30c-20-22 2-40 14-30c-14-30 0-66 14-56c-4-30 -44-36-74-44c40-8 112-8 144 0c-30 6-54 10-48 44c18-2 20 40 4 52c22 4 18 36-2 38c16 8 8 26-6 26Z', 'cloud', 1.2, 'stroke="#6b756f"'), ...[370, 382, 394, 406].map((x) => line(x, 253, x - 6, 276, 'blue', 1.2)),
    cloud(100, 236, 0.55), cloud(164, 222, 0.4), rect(18, 272, 96, 9, 'cloud', 'rx="4" stroke="#6b756f"'), rect(34, 262, 60, 7, 'cloud', 'rx="3" stroke="#6b756f"'),
  ]];
  regions['clouds.svg'] = { lens: bx(190, 122, 308, 162), thunder: { polygon: [[318, 82], [478, 82], [470, 140], [440, 140], [440, 270], [355, 270], [355, 200], [385, 130]].map(([x, y]) => share(W, H)(x, y)) }, veil: bx(50, 22, 182, 62), fairweather: bx(68, 186, 190, 246), fog: bx(18, 252, 126, 284) };
  claims['wx-clo-06'] = claim('distance from the stacked almonds over the ridge, px', [0, 15], regions['clouds.svg'], [W, H], (x, y) => Math.hypot(x - 250, y - 141));

  const warmFront = [[20, 240], [120, 215], [230, 175], [350, 120], [472, 54]];
  out['front-warm'] = [W, 280, [rect(8, 8, W - 16, 232, 'sky'), area([[8, 240], ...warmFront, [472, 8], [8, 8]], 'warm'), area([[8, 240], ...warmFront, [472, 240]], 'cold'), path(smooth(warmFront), 'red', 2.5), rect(8, 240, W - 16, 26, 'earth'), line(8, 240, 472, 240),
    // Layers, thinner and higher the further ahead.
    ...[[142, 190, 96, 15], [246, 146, 84, 10], [338, 104, 60, 6]].map(([x, y, rx, ry]) => `<g transform="rotate(-21 ${x} ${y})">${rect(x - rx, y - ry, 2 * rx, 2 * ry, 'cloud', `rx="${ry}" stroke="#6b756f"`)}</g>`), path('M392 62c18-10 34-4 50-16M400 52c18-10 34-4 50-16', 'soft', 1.6), ...[110, 130, 150, 170, 190, 210].map((x) => line(x, 208, x - 5, 234, 'blue', 1.2)), text(70, 60, 'warm air rides up', { bold: true }), text(330, 218, 'cold air before it'), arrow(60, 100, 130, 90, 'red', 2), text(16, 257, 'rain here now'), text(464, 257, 'veil and halo here', { anchor: 'end' })]];
  out['front-cold'] = [W, 280, [rect(8, 8, W - 16, 232, 'sky'), area([[8, 8], [150, 8], [230, 90], [262, 160], [270, 240], [8, 240]], 'cold'), path(smooth([[150, 8], [230, 90], [262, 160], [270, 240]]), 'blue', 2.5), rect(8, 240, W - 16, 26, 'earth'), line(8, 240, 472, 240),
    path('M300 220c-24-4-20-34 0-36c-16-24 4-46 16-36c-12-30 6-60 18-50c-2-28 -30-30-44-36c40-8 96-6 116 2c-26 6-40 12-36 36c16 0 18 40 4 50c18 6 16 36-2 38c12 12 4 32-12 32Z', 'cloud', 1.2, 'stroke="#6b756f"'), ...[306, 318, 330, 342, 354].map((x) => line(x, 222, x - 5, 238, 'blue', 1.4)), text(26, 70, 'cold air pushes under', { bold: true, halo: true }), arrow(60, 110, 140, 120, 'blue', 2), text(16, 257, 'clearing, wind veered'), text(464, 257, 'gusts, heavy rain at the front', { anchor: 'end' })]];
  out['inversion'] = [W, 280, [rect(8, 8, W - 16, 258, 'sky'), `<path class="cloud" d="${smooth([[8, 184], [70, 180], [140, 186], [215, 181], [290, 186], [360, 181], [472, 184]])}L472 266L8 266Z"/>`, hills([[8, 110], [60, 160], [110, 215], [170, 248], [260, 250], [320, 210], [380, 130], [430, 90], [472, 80]], 266), text(210, 232, 'cold air and fog', { anchor: 'middle', bold: true }), text(215, 90, 'warmer, dry and clear', { anchor: 'middle', bold: true }), line(8, 178, 472, 178, 'red', 1.5, 'stroke-dasharray="6 4"'), text(215, 171, 'lid of the inversion', { cls: 'redink', size: 11, anchor: 'middle' }), rect(388, 116, 10, 9, 'ink'), text(380, 126, 'hut, 900 m, +4 °C', { size: 11, anchor: 'end' })]];
  out['foehn'] = [W, 280, [rect(8, 8, W - 16, 258, 'sky'), hills([[8, 250], [90, 225], [170, 160], [235, 90], [265, 84], [320, 150], [390, 222], [472, 248]], 266), path('M60 200c-18-4-10-26 6-24c4-22 34-18 40-30c14-24 40-20 52-36c24-26 60-44 92-34c10 6 6 14-4 16c-30 30-60 60-100 84c-30 20-60 28-86 24Z', 'cloud', 1, 'stroke="#6b756f"'), ...[90, 110, 130, 150].map((x, i) => line(x, 206 - i * 16, x - 6, 226 - i * 20, 'blue', 1.2)), arrow(20, 236, 80, 208, 'blue', 2), arrow(300, 112, 380, 196, 'red', 2), text(30, 40, 'windward: wet, cools about 6 °C in a km', { size: 11 }), text(464, 60, 'lee: dry, warms 9.8 °C in a km', { size: 11, anchor: 'end' }), text(14, 262, '10 °C', { bold: true }), text(466, 262, 'warmer', { bold: true, anchor: 'end' })]];
  { // Temperature against height, with a lapse of 6.5 °C in a km.
    const x = 60, y = 250, w = 380, h = 200;
    const t = (value) => (value + 10) / 30, z = (m) => m / 2500;
    out['lapse'] = [W, 300, [axis(x, y, w, h, [-10, -5, 0, 5, 10, 15, 20].map((v) => [t(v), v]), [0, 500, 1000, 1500, 2000, 2500].map((m) => [z(m), m]), 'temperature, °C', 'height, m'), line(x + t(14) * w, y - z(300) * h, x + t(14 - 6.5 * 2.2) * w, y - z(2500) * h, 'red', 2.5), circle(x + t(14) * w, y - z(300) * h, 4, 'redink'), text(x + t(14) * w + 8, y - z(300) * h + 1, 'hut, 300 m,', { size: 11 }), text(x + t(14) * w + 8, y - z(300) * h + 15, '14 °C', { size: 11 }), line(x + t(0) * w, y, x + t(0) * w, y - h, 'blue', 1, 'stroke-dasharray="4 4"'), text(x + t(0) * w - 6, y - h + 12, 'freezing', { size: 11, cls: 'blueink', anchor: 'end' })]];
  }
  { // Wind chill at -5 °C: 13.12 + 0.6215 T - 11.37 v^0.16 + 0.3965 T v^0.16, v in km/h.
    const x = 60, y = 240, w = 380, h = 190;
    const chill = (T, v) => 13.12 + 0.6215 * T - 11.37 * v ** 0.16 + 0.3965 * T * v ** 0.16;
    const c = (value) => (value + 30) / 35;
    const curve = (T, cls) => path(smooth(Array.from({ length: 15 }, (_, i) => [x + ((5 + i * 5) / 80) * w, y - c(chill(T, 5 + i * 5)) * h])), cls, 2.2) + text(x + w - 20, y - c(chill(T, 75)) * h - 6, `${String(T).replace('-', '−')} °C`, { size: 11, anchor: 'end' });
    out['windchill'] = [W, 290, [axis(x, y, w, h, [0, 20, 40, 60, 80].map((v) => [v / 80, v]), [-30, -20, -10, 0].map((v) => [c(v), String(v).replace('-', '−')]), 'wind, km/h', 'feels like, °C'), curve(5, 'red'), curve(0, 'line'), curve(-5, 'blue'), curve(-10, 'brown')]];
  }
  { // A storm over ground with six places to be.
    out['storm-places'] = [W, 300, [rect(8, 8, W - 16, 284, 'sky'), path('M60 60c-20 0-20-26 4-26c4-20 36-22 44-8c20-16 60-10 64 6c40-14 90-10 100 8c30-8 60 2 56 20Z', 'cloud', 1, 'stroke="#6b756f"'), poly([[210, 62], [196, 92], [212, 92], [196, 128]], 'red', 2.5), hills([[8, 230], [60, 205], [120, 150], [170, 120], [200, 130], [250, 175], [300, 196], [350, 200], [392, 214], [430, 208], [472, 214]], 292),
      line(318, 197, 318, 158, 'line', 3), path('M318 166c-22 2-18-30 0-30c20 0 22 32 0 30Z', 'wood', 1.2, 'stroke="#27612f"'), path('M118 152c6 8 14 10 16 2c-2-8-8-14-16-2Z', 'rock', 1.2, 'stroke="#1f2c26"'), ...[[170, 106, 'A'], [104, 142, 'B'], [290, 150, 'C'], [418, 194, 'D'], [230, 148, 'E']].map(([cx, cy, name]) => circle(cx, cy, 10, 'paper', 'stroke="#96301f" stroke-width="2"') + text(cx, cy + 4.5, name, { anchor: 'middle', bold: true, cls: 'redink' })),
      text(412, 236, 'dip', { size: 11, anchor: 'middle' }), text(16, 130, 'hollow in', { size: 11 }), text(16, 143, 'the rock', { size: 11 }), text(318, 216, 'lone tree', { size: 11, anchor: 'middle' }), text(190, 150, 'top', { size: 11, anchor: 'middle' })]];
    const sp3 = spot(W, 300);
    regions['storm-places.svg'] = { dip: { rectangle: [...share(W, 300)(372, 180), ...share(W, 300)(462, 262)] }, summit: sp3(170, 112, 18), cave: sp3(118, 150, 18), tree: sp3(318, 160, 34), slope: sp3(230, 150, 16), foot: sp3(352, 212, 16) };
    // Below the line of the ground towards both sides, and out of reach of the tree and the top.
    claims['wx-sto-06'] = claim('least distance from top, tree and rock, px', [90, 300], regions['storm-places.svg'], [W, 300], (x, y) => Math.min(Math.hypot(x - 170, y - 120), Math.hypot(x - 318, y - 180), Math.hypot(x - 118, y - 150)));
  }
  { // Hours of rain and the level of a stream.
    const x = 60, y = 220, w = 380, h = 160;
    const rain = [2, 8, 12, 9, 4, 1, 0, 0, 0, 0, 0, 0], level = [35, 37, 45, 60, 78, 86, 80, 70, 61, 54, 49, 45, 42];
    out['hydrograph'] = [W, 270, [axis(x, y, w, h, [0, 2, 4, 6, 8, 10, 12].map((v) => [v / 12, `${8 + v}:00`]), [0, 20, 40, 60, 80, 100].map((v) => [v / 100, v]), 'time', 'level of the stream, cm (line) · rain, mm in the hour (bars)'), ...rain.map((mm, i) => rect(x + (i / 12) * w + 6, y - (mm / 100) * h * 4, w / 12 - 12, (mm / 100) * h * 4, 'water', 'stroke="#2c6a92"') + (mm ? text(x + ((i + 0.5) / 12) * w, y - (mm / 100) * h * 4 + (mm > 3 ? 11 : -4), mm, { size: 10, anchor: 'middle' }) : '')), path(smooth(level.map((v, i) => [x + (i / 12) * w, y - (v / 100) * h])), 'blue', 2.5)]];
  }
  { // A tide: high water 14:40, low water 8:30 and 20:50.
    const x = 60, y = 220, w = 380, h = 160;
    const tide = (t) => 3 + 2.4 * Math.cos((2 * Math.PI * (t - 14.667)) / 12.333);
    out['tide'] = [W, 270, [axis(x, y, w, h, [8, 10, 12, 14, 16, 18, 20].map((t) => [(t - 8) / 13, `${t}:00`]), [0, 1, 2, 3, 4, 5, 6].map((v) => [v / 6, v]), 'time', 'height of tide, m'), path(smooth(Array.from({ length: 27 }, (_, i) => [x + (i / 26) * w, y - (tide(8 + i / 2) / 6) * h])), 'blue', 2.5), line(x, y - (3.5 / 6) * h, x + w, y - (3.5 / 6) * h, 'red', 1.5, 'stroke-dasharray="6 4"'), text(x + w, y - (3.5 / 6) * h - 6, 'causeway, 3.5 m', { size: 11, anchor: 'end', cls: 'redink', halo: true })]];
  }
  return { out, regions, claims };
}
