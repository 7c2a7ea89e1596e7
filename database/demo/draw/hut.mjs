import { claim } from './claims.mjs';
import { area, arrow, circle, ellipse, line, path, poly, rect, smooth, text } from './sheet.mjs';

const W = 480;
const round4 = (value) => Math.round(value * 10000) / 10000;
const regionsOf = (w, h) => ({
  spot: (x, y, r) => ({ circle: [round4(x / w), round4(y / h), round4(r / w)] }),
  box: (x1, y1, x2, y2) => ({ rectangle: [round4(x1 / w), round4(y1 / h), round4(x2 / w), round4(y2 / h)] }),
});
const label = (x, y, words, more = {}) => text(x, y, words, { size: 11, anchor: 'middle', halo: true, ...more });
const sheep = (x, y) => ellipse(x, y - 8, 9, 6, 'paper', 'stroke="#1f2c26"') + circle(x + 9, y - 11, 3, 'ink') + line(x - 4, y - 3, x - 4, y + 1) + line(x + 4, y - 3, x + 4, y + 1);
const house = (x, y, w, h) => rect(x, y - h, w, h, 'paper', 'stroke="#1f2c26" stroke-width="1.5"') + poly([[x - 6, y - h], [x + w / 2, y - h - 16], [x + w + 6, y - h]], 'line', 2);

/** What a warden has to picture: where water comes from and goes to, what gas does, where things and people belong. */
export function hut() {
  const out = {};
  const regions = {};
  const claims = {};

  { // A slope with all that a hut's water passes.
    const H = 300, { spot } = regionsOf(W, H);
    const land = [[8, 70], [90, 78], [130, 96], [156, 136], [230, 158], [300, 176], [360, 206], [472, 240]];
    out['spring-site'] = [W, H, [rect(8, 8, W - 16, 284, 'sky'), area([...land, [472, 292], [8, 292]], 'earth'), poly(land, 'line', 1.5), area([[118, 90], [134, 98], [158, 138], [136, 134], [124, 112]], 'rock', 'stroke="#1f2c26"'),
      ...[[24, 66], [44, 70], [62, 68], [82, 74], [100, 80]].map(([x, y]) => circle(x, y, 4, 'rock', 'stroke="#1f2c26"')), label(60, 48, 'scree and rock'), path('M160 140c6 4 4 10 12 10c8 0 6 6 14 6', 'blue', 3), label(178, 124, 'spring', { cls: 'blueink' }), house(222, 158, 40, 26), label(242, 106, 'hut'), house(284, 174, 16, 20), label(296, 132, 'dry toilet'),
      ellipse(332, 200, 24, 9, 'wood', 'stroke="#27612f" stroke-dasharray="4 3"'), label(322, 232, 'soakaway'), path(smooth([[360, 206], [370, 211], [380, 213], [390, 217]]), 'blue', 3), label(376, 192, 'wet place', { cls: 'blueink' }), sheep(420, 222), sheep(450, 232), label(436, 204, 'pasture')]];
    regions['spring-site.svg'] = { spring: spot(172, 146, 24), pasture: spot(436, 224, 30), soakaway: spot(330, 198, 22), wet: spot(376, 210, 18) };
    claims['water-sou-06'] = claim('height above the toilet, the highest source of waste, px', [10, 200], regions['spring-site.svg'], [W, H], (x, y) => 174 - y);
  }
  { // A store that should not hold gas.
    const H = 280, { spot, box } = regionsOf(W, H);
    out['gas-store'] = [W, H, [rect(60, 30, 320, 200, 'paper', 'stroke="#1f2c26" stroke-width="3"'), rect(8, 228, 292, 44, 'earth'), rect(376, 228, 96, 44, 'earth'), area([[300, 228], [376, 228], [376, 268], [300, 268]], 'paper'), poly([[60, 229], [300, 229], [300, 268], [376, 268], [376, 229]], 'line', 2.5), line(326, 266, 350, 266, 'soft', 4, 'stroke-dasharray="3 3"'), text(338, 260, 'drain', { size: 10, anchor: 'middle' }),
      rect(118, 150, 44, 78, 'cloth', 'rx="12" stroke="#1f2c26" stroke-width="1.5"'), rect(132, 138, 16, 12, 'rock', 'stroke="#1f2c26"'), text(140, 196, 'gas', { anchor: 'middle', size: 11 }), rect(150, 52, 60, 36, 'water', 'stroke="#1f2c26"'), label(180, 106, 'window'), circle(270, 40, 8, 'warm', 'stroke="#1f2c26"'), label(270, 66, 'lamp'), rect(376, 110, 10, 110, 'rock', 'stroke="#1f2c26"'), ...[150, 156, 162, 168].map((y) => line(372, y, 390, y, 'line', 1.5)), label(420, 164, 'vent'), path('M150 144c12 -4 18 6 26 2', 'red', 1.5)]];
    regions['gas-store.svg'] = { pit: box(300, 222, 378, 270), ceiling: spot(270, 46, 24), window: box(148, 50, 212, 90), vent: spot(381, 159, 20) };
    claims['fire-sto-06'] = claim('depth below the floor, px', [5, 60], regions['gas-store.svg'], [W, H], (x, y) => y - 229);
  }
  { // The upper floor, and two ways out.
    const H = 300, { box } = regionsOf(W, H);
    out['floor-plan'] = [W, H, [rect(40, 40, 400, 220, 'paper', 'stroke="#1f2c26" stroke-width="4"'), line(130, 40, 130, 260, 'line', 3), line(130, 190, 440, 190, 'line', 3), ...Array.from({ length: 9 }, (_, i) => line(50, 80 + i * 16, 120, 80 + i * 16, 'soft', 1)), label(85, 64, 'stairs'), path('M70 210c-8-16 14-20 4-36c-8-14 12-20 6-36c-6-14 10-18 6-30M98 204c-8-16 14-20 4-36c-8-14 12-20 6-36', 'soft', 3), label(85, 244, 'smoke'),
      line(130, 96, 130, 136, 'halo', 5), line(130, 96, 104, 126, 'line', 1.5), line(440, 96, 440, 136, 'halo', 6), line(440, 96, 466, 126, 'line', 1.5), text(432, 84, 'outer stair', { size: 11, anchor: 'end' }), ...[448, 456, 464, 472].map((x) => line(x, 98, x, 134, 'soft', 1)), ...[170, 220, 270, 320].map((x) => line(x, 40, x + 30, 40, 'blue', 5)), label(262, 62, 'small windows'), ...[[160, 100], [160, 140], [230, 100], [230, 140], [300, 100], [300, 140]].map(([x, y]) => rect(x, y, 50, 24, 'cloth', 'rx="3" stroke="#1f2c26"')), label(255, 184, 'dormitory'), line(250, 190, 290, 190, 'halo', 5), label(280, 232, 'store')]];
    regions['floor-plan.svg'] = { outer: box(396, 84, 474, 146), stairs: box(40, 40, 134, 260), windows: box(160, 30, 354, 70), store: box(134, 194, 440, 260) };
    claims['fire-esc-06'] = claim('distance from the stairs that fill with smoke, px', [250, 400], regions['floor-plan.svg'], [W, H], (x) => x - 130);
  }
  { // An open refrigerator.
    const H = 330, { box } = regionsOf(W, H);
    const bowl = (x, y) => path(`M${x - 26} ${y - 22}h52c-2 16-12 22-26 22s-24-6-26-22Z`, 'paper', 1.3, 'stroke="#1f2c26"') + line(x - 28, y - 25, x + 28, y - 25, 'line', 2.5);
    out['fridge'] = [W, H, [rect(90, 14, 210, 304, 'cloth', 'rx="8" stroke="#1f2c26" stroke-width="2"'), rect(104, 28, 182, 52, 'cold', 'stroke="#1f2c26"'), label(195, 60, 'freezing'), rect(104, 88, 182, 218, 'paper', 'stroke="#1f2c26"'), ...[160, 228].map((y) => line(104, y, 286, y, 'line', 2)), rect(112, 292, 166, 10, 'rock', 'stroke="#1f2c26"'), label(195, 286, 'free, with a tray'),
      bowl(146, 159), bowl(236, 159), label(191, 118, 'salad, covered'), area([[124, 226], [160, 226], [160, 206]], 'warm', 'stroke="#1f2c26"'), rect(200, 186, 20, 40, 'paper', 'stroke="#1f2c26"'), rect(232, 186, 20, 40, 'paper', 'stroke="#1f2c26"'), label(196, 178, 'cheese, milk'), rect(320, 14, 66, 304, 'cloth', 'rx="8" stroke="#1f2c26" stroke-width="2"'), ...[130, 220, 300].map((y) => line(326, y, 380, y, 'line', 2)), ...[[336, 92, 128], [354, 96, 128], [338, 182, 218], [360, 186, 218], [344, 262, 298]].map(([x, y, to]) => rect(x, y, 12, to - y, 'water', 'rx="3" stroke="#1f2c26"')), label(353, 50, 'door')]];
    regions['fridge.svg'] = { low: box(104, 230, 286, 306), upper: box(104, 90, 286, 158), middle: box(104, 162, 286, 226), door: box(320, 14, 386, 318) };
    claims['food-sto-06'] = claim('below the lowest shelf of food that is eaten as it is, px', [10, 100], regions['fridge.svg'], [W, H], (x, y) => y - 228);
  }
  { // A grease trap: fat stays above, water leaves from beneath.
    out['grease-trap'] = [W, 220, [rect(90, 60, 300, 130, 'paper'), rect(90, 92, 300, 98, 'water'), rect(182, 76, 126, 22, 'warm', 'stroke="#6b756f"'), poly([[90, 60], [90, 190], [390, 190], [390, 60]], 'line', 2), rect(84, 50, 312, 8, 'rock', 'stroke="#1f2c26"'), line(180, 58, 180, 140, 'line', 3), line(310, 58, 310, 160, 'line', 3), label(245, 91, 'fat'), label(245, 128, 'water'), rect(16, 70, 74, 14, 'paper', 'stroke="#1f2c26"'), arrow(24, 77, 84, 77, 'blue', 2), rect(390, 94, 76, 14, 'paper', 'stroke="#1f2c26"'), arrow(396, 101, 458, 101, 'blue', 2), path(smooth([[110, 84], [130, 130], [180, 160], [245, 168], [310, 176], [350, 150], [382, 102]]), 'blue', 1.6, 'stroke-dasharray="5 4"'), text(12, 100, 'from the sink', { size: 11 }), text(468, 124, 'to the ground', { size: 11, anchor: 'end' }), label(240, 42, 'lid, opened to skim')]];
  }
  { // Six days of a battery: what comes in, what goes out, what is left.
    const x = 60, y = 200, w = 380, h = 160, all = 40;
    const left = [];
    let charge = 34;
    for (const sun of [15, 15, 3, 3, 3, 15]) {
      charge = Math.min(all, charge + sun - 4.3);
      left.push([sun, charge]);
    }
    out['charge'] = [W, 250, [line(x, y, x + w, y), line(x, y, x, y - h), ...[0, 10, 20, 30, 40].map((v) => line(x, y - (v / all) * h, x + w, y - (v / all) * h, 'faint', 0.7) + text(x - 8, y - (v / all) * h + 4, v, { size: 10, anchor: 'end' })), line(x, y - 0.5 * h, x + w, y - 0.5 * h, 'red', 1.5, 'stroke-dasharray="6 4"'), ...left.flatMap(([sun, v], i) => [rect(x + 12 + i * 62, y - (sun / all) * h, 18, (sun / all) * h, 'warm', 'stroke="#a3683a"'), rect(x + 32 + i * 62, y - (v / all) * h, 18, (v / all) * h, 'water', 'stroke="#2c6a92"'), text(x + 31 + i * 62, y + 16, `day ${i + 1}`, { size: 10, anchor: 'middle' })]), text(x - 30, 28, 'Ah: from the sun by day (left), in the battery at night (right)', { size: 11 }), text(x, y + 38, 'each day takes 4.3 Ah; dashed: half of 40 Ah, the limit', { size: 11 })]];
  }
  return { out, regions, claims };
}
