import { arrow, circle, line, n, path, poly, rect, smooth, text, wide } from './sheet.mjs';
import { claim } from './claims.mjs';
import { KM, MapSheet, Terrain } from './terrain.mjs';

export const hallin = new Terrain({
  base: 180, tilt: [0, 10],
  hills: [[350, 0.75, 1.35, 0.42, 0.36, 20], [305, 2.2, 1.22, 0.38, 0.36], [110, 1.5, 1.28, 0.55, 0.2, 95], [130, 0.62, 0.62, 0.42, 0.15, 8], [110, 2.55, 0.7, 0.4, 0.16, 150], [70, 1.42, 0.3, 0.13, 0.12], [90, 2.3, 2.0, 0.3, 0.16, 170]],
});
export const brann = new Terrain({
  base: 180, tilt: [0, 150],
  hills: [[240, 1.5, 1.75, 0.5, 0.45], [130, 0.75, 1.15, 0.55, 0.15, 225], [130, 2.25, 1.2, 0.55, 0.15, 130], [130, 1.5, 0.95, 0.55, 0.14, 180]],
});
export const teal = new Terrain({
  base: 150, tilt: [12, 95],
  hills: [[220, 0.6, 1.7, 0.5, 0.4, 60], [180, 2.5, 1.6, 0.4, 0.4], [30, 1.5, 0.55, 0.35, 0.22, 80]],
});
const tealTop = teal.level(2.5, 1.68);
/** What bearings are taken of: the top itself, and a mast at the same northing. */
export const fix = { mast: [0.45, tealTop[1]], peak: tealTop };
export const shoulder = new Terrain({
  base: 450, tilt: [-45, 20],
  hills: [[360, 0.55, 1.2, 0.75, 0.3, 0], [110, 1.5, 1.3, 0.6, 0.45, 80], [60, 2.3, 0.7, 0.5, 0.3, 110]],
});
export const plateau = new Terrain({
  base: 320, tilt: [15, 45],
  hills: [[260, 1.2, 1.15, 0.62, 0.55, 70], [120, 1.55, 1.25, 0.5, 0.42, 90], [70, 2.35, 1.75, 0.3, 0.25], [-60, 1.9, 0.45, 0.5, 0.13, 160], [-60, 0.3, 1.6, 0.4, 0.12, 100]],
});

const mark = ([x, y], words, { dx = 8, dy = 4, anchor = 'start', dot = 3 } = {}) => circle(x, y, dot, 'ink') + text(x + dx, y + dy, words, { size: 11, bold: true, halo: true, anchor });
const fits = (sheet, x, words) => x + 8 + wide(words, 11, true) <= sheet.left + sheet.w;
// A name stands to the right of its place, or to the left of it where the sheet ends.
const named = (sheet, x, y, words) => (fits(sheet, x, words) ? text(x + 8, y + 4, words, { size: 11, bold: true, halo: true }) : text(x - 8, y + 4, words, { size: 11, bold: true, halo: true, anchor: 'end' }));
const top = (sheet, place, name, lift = 0) => {
  const [x, y] = sheet.px(place[0], place[1] + lift);
  const height = Math.round(sheet.terrain.at(...place));
  const inOne = name ? `${name} ${height}` : String(height);
  const lines = !fits(sheet, x, inOne) && fits(sheet, x, name) ? [name, height] : [inOne];
  return poly([[x - 4, y + 3], [x, y - 4], [x + 4, y + 3], [x - 4, y + 3]]) + lines.map((words, i) => named(sheet, x, y - 10 - 15 * (lines.length - 1 - i), words)).join('');
};
const hut = (sheet, place, name) => {
  const [x, y] = sheet.px(...place);
  return rect(x - 4, y - 4, 8, 8, 'ink') + named(sheet, x, y, name);
};
const stream = (sheet, x, y) => path(sheet.pathOf(sheet.terrain.stream(x, y)), 'blue', 1.8);
const track = (sheet, places, width = 2) => path(smooth(sheet.line(places)), 'line', width, 'stroke-dasharray="7 4"');
const road = (sheet, places) => path(smooth(sheet.line(places)), 'line', 5) + path(smooth(sheet.line(places)), 'halo', 2.4);
const wall = (sheet, places) => poly(sheet.line(places), 'line', 2.2) + sheet.line(places).slice(0, -1).map(([x, y], i, all) => { const [u, v] = sheet.line(places)[i + 1]; const k = Math.max(1, Math.round(Math.hypot(u - x, v - y) / 9)); return Array.from({ length: k }, (_, j) => circle(x + ((u - x) * (j + 0.5)) / k, y + ((v - y) * (j + 0.5)) / k, 2.4, 'ink')).join(''); }).join('');
const letter = (sheet, place, name) => { const [x, y] = sheet.px(...place); return circle(x, y, 10, 'paper', 'stroke="#96301f" stroke-width="2"') + text(x, y + 4.5, name, { anchor: 'middle', bold: true, cls: 'redink' }); };

export function maps() {
  const out = {};
  const regions = {};
  const add = (name, sheet, over, above = [], areas = {}) => {
    const { width, height, parts } = sheet.svg(over, above);
    out[name] = [width, height, parts];
    regions[`${name}.svg`] = areas;
  };

  { // Two tops, one saddle.
    const sheet = new MapSheet(hallin);
    const west = hallin.level(0.75, 1.38), east = hallin.level(2.2, 1.24), saddle = hallin.level(1.5, 1.4), knoll = hallin.level(1.42, 0.32);
    add('map-hallin', sheet, [top(sheet, west, 'Vorrin Head'), top(sheet, east, 'East Vorrin'), stream(sheet, 1.49, 1.0)], [], {
      saddle: sheet.spot(...saddle, 0.17), west: sheet.spot(...west, 0.15), east: sheet.spot(...east, 0.15), knoll: sheet.spot(...knoll, 0.13), spur: sheet.spot(0.6, 0.6, 0.2), reentrant: sheet.spot(1.47, 0.88, 0.15),
    });
    add('map-hallin-grid', sheet, [top(sheet, west), top(sheet, east), hut(sheet, [0.35, 0.4], 'Lower Hut'), track(sheet, [[0.35, 0.4], [0.55, 0.75], [0.66, 1.1], west, [1.2, 1.38], saddle, [1.9, 1.33], east, [2.5, 0.9], [2.75, 0.3]])], [], {
      asked: sheet.spot(1.75, 1.25, 0.1), swapped: sheet.spot(1.25, 1.75, 0.12), corner: sheet.spot(1, 1, 0.12), beyond: sheet.spot(2.75, 1.25, 0.12),
    });
    // From the saddle water runs south; a path keeps beside it down to the road.
    const water = [...hallin.stream(saddle[0], saddle[1] - 0.12), [1.5, 0.46], [1.6, 0.3], [1.64, 0.12], [1.66, 0]];
    const way = [saddle, ...water.filter(([, y], i) => i % 6 === 3 && y > 0.6).map(([x, y]) => [x + 0.06, y]), [1.56, 0.5], [1.7, 0.3], [1.74, 0.1]];
    console.error('map-hallin-route: the way down, km', way.slice(1).reduce((km, [x, y], i) => km + Math.hypot(x - way[i][0], y - way[i][1]), 0).toFixed(2), 'heights', way.map((place) => Math.round(hallin.at(...place))).join(' '));
    add('map-hallin-route', sheet, [top(sheet, west, 'Vorrin Head', 0.02), top(sheet, east, 'East Vorrin', 0.02), hut(sheet, [0.3, 0.25], 'Senn Hut'), hut(sheet, [2.78, 0.2], 'road end'), path(smooth(sheet.line(water)), 'blue', 1.8), road(sheet, [[0, 0.12], [0.6, 0.1], [1.2, 0.14], [1.8, 0.1], [2.4, 0.13], [2.78, 0.2]]), track(sheet, [[0.3, 0.25], [0.5, 0.55], [0.62, 0.95], west, [1.2, 1.38], saddle, [1.9, 1.33], east, [2.45, 0.85], [2.78, 0.2]]), track(sheet, way), letter(sheet, west, '1'), letter(sheet, saddle, '2'), letter(sheet, east, '3')]);
  }
  { // Three spurs with two re-entrants between them.
    const sheet = new MapSheet(brann, { east: 63, north: 28 });
    const summit = brann.level(1.5, 1.75);
    add('map-brann', sheet, [top(sheet, summit, 'Brann')], [], { spur: sheet.spot(1.5, 0.75, 0.16), west: sheet.spot(1.08, 0.82, 0.16), east: sheet.spot(1.96, 0.88, 0.16), summit: sheet.spot(...summit, 0.2), westspur: sheet.spot(0.6, 1.0, 0.18), eastspur: sheet.spot(2.42, 1.06, 0.18) });
    add('map-brann-lines', sheet, [top(sheet, summit, 'Brann'), ...[['A', [1.5, 1.35], [1.5, 0.55]], ['B', [1.08, 1.03], [1.00, 0.46]]].map(([name, from, to]) => arrow(...sheet.px(...from), ...sheet.px(...to), 'red', 2) + letter(sheet, from, name))]);
  }
  { // Two towers to take bearings from.
    const sheet = new MapSheet(teal, { east: 52, north: 8 });
    const { mast, peak } = fix;
    // Seen from the walker: mast at 315°, peak at 045° (grid), so that the walker stands where the back bearings cross.
    const place = [(mast[0] + peak[0]) / 2, peak[1] - (peak[0] - mast[0]) / 2];
    add('map-fix', sheet, [stream(sheet, 1.5, 1.9), mark(sheet.px(...mast), 'mast'), top(sheet, peak, 'Teal Top'), hut(sheet, [1.05, 0.3], 'Ash Hut'), hut(sheet, [2.6, 0.35], 'chapel')], [], { place: sheet.spot(...place, 0.12), mirrored: sheet.spot(1.45, 2.1, 0.15), hut: sheet.spot(1.05, 0.3, 0.1), chapel: sheet.spot(2.6, 0.35, 0.1), east: sheet.spot(peak[0], 0.95, 0.12), west: sheet.spot(mast[0], 0.95, 0.12) });
    const goal = [1.75, 1.05];
    add('map-catch', sheet, [wall(sheet, [[0.6, 0.05], [1.1, 0.75], [1.3, 1.0]]), hut(sheet, goal, 'Cairn Bothy'), track(sheet, [[2.1, 2.2], [2.12, 1.4], [2.2, 0.8], [2.3, 0.05]], 2), arrow(...sheet.px(0.7, 1.55), ...sheet.px(1.6, 1.12), 'red', 2.5), mark(sheet.px(0.62, 1.6), 'start', { dx: -8, anchor: 'end' }), stream(sheet, 1.5, 1.9)], [], { track: { polygon: [sheet.share(2.0, 2.15), sheet.share(2.25, 2.15), sheet.share(2.32, 0.9), sheet.share(2.42, 0.08), sheet.share(2.17, 0.08), sheet.share(2.07, 0.9)] }, wall: sheet.spot(1.1, 0.75, 0.2), bothy: sheet.spot(...goal, 0.1), start: sheet.spot(0.62, 1.6, 0.12) });
  }
  { // A route with four legs; one is far steeper than the others.
    const sheet = new MapSheet(shoulder, { east: 30, north: 44 });
    const legs = [[[2.6, 0.3], [2.0, 0.75]], [[2.0, 0.75], [1.5, 1.25]], [[1.5, 1.25], [1.0, 1.25]], [[1.0, 1.25], [0.6, 1.25]], [[0.6, 1.25], [0.55, 1.75]]];
    const steep = legs.map(([a, b]) => Math.round((Math.atan(Math.abs(shoulder.at(...a) - shoulder.at(...b)) / (1000 * Math.hypot(a[0] - b[0], a[1] - b[1]))) * 180) / Math.PI));
    const spots = [...legs.map(([a]) => a), legs[legs.length - 1][1]];
    add('map-legs', sheet, [poly(sheet.line(spots), 'red', 2), ...spots.map((place, i) => letter(sheet, place, 'ABCDEF'[i]))], [], { steep: { polygon: [sheet.share(0.95, 1.36), sheet.share(0.65, 1.36), sheet.share(0.65, 1.14), sheet.share(0.95, 1.14)] }, ab: sheet.spot(2.3, 0.52, 0.15), bc: sheet.spot(1.75, 1.0, 0.15), cd: sheet.spot(1.25, 1.25, 0.12), ef: sheet.spot(0.58, 1.52, 0.12) });
    regions['map-legs.svg'].slopes = undefined;
    console.error('map-legs: slope of legs', steep.join(' '));
    add('map-shoulder', sheet, [top(sheet, shoulder.level(0.55, 1.2), 'Cold Shoulder'), hut(sheet, [2.7, 0.2], 'Tarn Hut'), ...[['P', [0.9, 1.05]], ['Q', [0.55, 0.5]], ['R', [1.62, 0.9]]].map(([name, place]) => letter(sheet, place, name))]);
    console.error('map-shoulder: slope and aspect', ['P', 'Q', 'R'].map((name, i) => { const p = [[0.9, 1.05], [0.55, 0.5], [1.62, 0.9]][i]; return `${name} ${shoulder.slope(...p).toFixed(0)}° ${shoulder.aspect(...p).toFixed(0)}° ${shoulder.at(...p).toFixed(0)} m`; }).join('; '));
  }
  { // A plateau with few landmarks.
    const sheet = new MapSheet(plateau, { east: 15, north: 70 });
    add('map-search', sheet, [stream(sheet, 1.8, 0.62), stream(sheet, 0.5, 1.62), track(sheet, [[0.05, 0.3], [0.5, 0.7], [1.0, 1.05], [1.6, 1.25], [2.2, 1.6], [2.7, 1.9]]), track(sheet, [[1.6, 1.25], [1.75, 0.9], [1.85, 0.5], [2.1, 0.05]], 1.4), hut(sheet, [2.7, 1.9], 'Lode Hut'), letter(sheet, [1.6, 1.25], 'J'), letter(sheet, [2.2, 1.6], 'K'), letter(sheet, [1.84, 0.5], 'L'), letter(sheet, [0.6, 1.6], 'M')]);
    add('map-plateau', sheet, [track(sheet, [[0.05, 0.3], [0.5, 0.7], [1.0, 1.05], [1.6, 1.25], [2.2, 1.6], [2.7, 1.9]]), hut(sheet, [2.7, 1.9], 'Lode Hut'), hut(sheet, [0.12, 0.32], 'sheepfold'), letter(sheet, [1.25, 1.17], 'G')]);
    console.error('map-plateau heights', ['fold', 'G', 'hut'].map((w, i) => Math.round(plateau.at(...[[0.12, 0.32], [1.25, 1.17], [2.7, 1.9]][i]))).join(' '));
  }
  console.error('hallin', JSON.stringify({ west: hallin.level(0.75, 1.38).map(n), wh: Math.round(hallin.at(...hallin.level(0.75, 1.38))), east: hallin.level(2.2, 1.24).map(n), eh: Math.round(hallin.at(...hallin.level(2.2, 1.24))), saddle: hallin.level(1.5, 1.4).map((v) => v.toFixed(2)), sh: Math.round(hallin.at(...hallin.level(1.5, 1.4))), hut: Math.round(hallin.at(0.3, 0.25)), road: Math.round(hallin.at(2.78, 0.2)) }));
  delete regions['map-legs.svg'].slopes;
  const size = (name) => [out[name][0], out[name][1]];
  /** Measured on the ground, at a place in km. */
  const on = (name, measure, range, at) => claim(measure, range, regions[`${name}.svg`], size(name), (x, y, region) => at((x - 26) / KM, 2.25 - (y - 8) / KM, region));
  const bearing = ([x, y], [u, v]) => ((Math.atan2(u - x, v - y) * 180) / Math.PI + 360) % 360;
  const off = (degrees, wanted) => Math.abs(((degrees - wanted + 540) % 360) - 180);
  const goal = [1.75, 1.05], start = [0.62, 1.6];
  const along = [(goal[0] - start[0]) / Math.hypot(goal[0] - start[0], goal[1] - start[1]), (goal[1] - start[1]) / Math.hypot(goal[0] - start[0], goal[1] - start[1])];
  const legs = { ab: [[2.6, 0.3], [2.0, 0.75]], bc: [[2.0, 0.75], [1.5, 1.25]], cd: [[1.5, 1.25], [1.0, 1.25]], steep: [[1.0, 1.25], [0.6, 1.25]], ef: [[0.6, 1.25], [0.55, 1.75]] };
  const claims = {
    'nav-con-06': on('map-hallin', 'least rise to east and west and fall to north and south within 200 m, m', [1, 200], (x, y) => Math.min(...[-0.2, 0.2].flatMap((d) => [hallin.at(x + d, y) - hallin.at(x, y), hallin.at(x, y) - hallin.at(x, y + d)]))),
    'nav-con-07': on('map-brann', 'how much higher the ground is 120 m to both sides of the fall line, m', [2, 100], (x, y) => {
      const fall = (brann.aspect(x, y) * Math.PI) / 180;
      const [u, v] = [0.12 * Math.cos(fall), -0.12 * Math.sin(fall)];
      return (brann.at(x + u, y + v) + brann.at(x - u, y - v)) / 2 - brann.at(x, y);
    }),
    'nav-con-08': on('map-legs', 'slope of the leg, degrees', [20, 60], (x, y, leg) => (Math.atan(Math.abs(shoulder.at(...legs[leg][0]) - shoulder.at(...legs[leg][1])) / (1000 * Math.hypot(legs[leg][0][0] - legs[leg][1][0], legs[leg][0][1] - legs[leg][1][1]))) * 180) / Math.PI),
    'nav-map-06': on('map-hallin-grid', 'distance from the middle of square 427 182, km', [0, 0.1], (x, y) => Math.hypot(41 + x - 42.75, 17 + y - 18.25)),
    'nav-rel-06': on('map-fix', 'how far the bearings to mast and top are from 315 and 045, degrees', [0, 3], (x, y) => Math.max(off(bearing([x, y], fix.mast), 315), off(bearing([x, y], fix.peak), 45))),
    'nav-rel-07': on('map-catch', 'distance beyond the bothy along the bearing, km', [0.2, 1], (x, y) => (x - goal[0]) * along[0] + (y - goal[1]) * along[1]),
  };
  return { out, regions, claims };
}
