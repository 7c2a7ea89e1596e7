// Map sheets whose contours are computed from a height function, so that what a question asks can be computed too.
import { contours } from 'd3-contour';
import { n, line, path, rect, text, wordsOf } from './sheet.mjs';

/** Pixels for a kilometre: at 1:25 000 a kilometre takes 4 cm. */
export const KM = 160;
const MARGIN = 0.25;
const STEP = 0.0125;

/**
 * A hill: height (m), place (km from the south-west corner), spread (km) along and across, and the direction it runs in
 * (degrees clockwise from north). A negative height makes a hollow or a re-entrant.
 */
export class Terrain {
  constructor({ width = 3, height = 2.25, base = 200, tilt = [0, 0], hills }) {
    Object.assign(this, { width, height, base, tilt, hills });
  }

  at(x, y) {
    let h = this.base + this.tilt[0] * x + this.tilt[1] * y;
    for (const [up, cx, cy, along, across, turn = 0] of this.hills) {
      const a = (turn * Math.PI) / 180;
      const u = (x - cx) * Math.sin(a) + (y - cy) * Math.cos(a);
      const v = (x - cx) * Math.cos(a) - (y - cy) * Math.sin(a);
      h += up * Math.exp(-((u / along) ** 2 + (v / across) ** 2) / 2);
    }
    return h;
  }

  /** Metres a metre, to the east and to the north. */
  gradient(x, y, d = 0.004) {
    return [(this.at(x + d, y) - this.at(x - d, y)) / (2000 * d), (this.at(x, y + d) - this.at(x, y - d)) / (2000 * d)];
  }

  slope(x, y) {
    return (Math.atan(Math.hypot(...this.gradient(x, y))) * 180) / Math.PI;
  }

  /** Direction of steepest fall, in degrees from north. */
  aspect(x, y) {
    const [gx, gy] = this.gradient(x, y);
    return ((Math.atan2(-gx, -gy) * 180) / Math.PI + 360) % 360;
  }

  /** The level place (top, saddle or hollow) nearest to a guess, by Newton's method. */
  level(x, y) {
    for (let i = 0; i < 60; i++) {
      const d = 0.01;
      const [gx, gy] = this.gradient(x, y);
      const [ax, ay] = this.gradient(x + d, y);
      const [bx, by] = this.gradient(x, y + d);
      const [hxx, hxy, hyy] = [(ax - gx) / d, (ay - gy + bx - gx) / (2 * d), (by - gy) / d];
      const det = hxx * hyy - hxy * hxy;
      x -= Math.max(-0.02, Math.min(0.02, (gx * hyy - gy * hxy) / det));
      y -= Math.max(-0.02, Math.min(0.02, (gy * hxx - gx * hxy) / det));
    }
    return [x, y];
  }

  /** Where water runs from here: steepest descent to the edge of the sheet. */
  stream(x, y) {
    const run = [[x, y]];
    for (let i = 0; i < 4000 && x > -MARGIN && y > -MARGIN && x < this.width + MARGIN && y < this.height + MARGIN; i++) {
      const [gx, gy] = this.gradient(x, y);
      const steep = Math.hypot(gx, gy);
      if (steep < 0.002) break;
      x -= (0.006 * gx) / steep;
      y -= (0.006 * gy) / steep;
      if (i % 4 === 3) run.push([x, y]);
    }
    return run;
  }
}

function simplified(ring, tolerance = 0.3) {
  if (ring.length < 3) return ring;
  const [a, b] = [ring[0], ring[ring.length - 1]];
  const length = Math.hypot(b[0] - a[0], b[1] - a[1]);
  let far = 0;
  let index = 0;
  for (let i = 1; i < ring.length - 1; i++) {
    const [x, y] = ring[i];
    const away = length < 1e-9 ? Math.hypot(x - a[0], y - a[1]) : Math.abs((b[0] - a[0]) * (a[1] - y) - (a[0] - x) * (b[1] - a[1])) / length;
    if (away > far) [far, index] = [away, i];
  }
  if (far <= tolerance) return [a, b];
  return [...simplified(ring.slice(0, index + 1), tolerance).slice(0, -1), ...simplified(ring.slice(index), tolerance)];
}

/** Half of what a contour's figure takes on a phone, in pixels. */
const FIGURE = 16;

/** A map sheet of a terrain with grid, contours, and whatever is drawn on top. */
export class MapSheet {
  constructor(terrain, { east = 41, north = 17, interval = 10, labels = true } = {}) {
    Object.assign(this, { terrain, east, north, interval, labels });
    this.w = terrain.width * KM;
    this.h = terrain.height * KM;
    this.left = 26;
    this.top = 8;
    this.full = [this.w + this.left + 8, this.h + this.top + 44];
  }

  /** Pixels of a place in km from the south-west corner. */
  px = (x, y) => [this.left + x * KM, this.top + this.h - y * KM];
  /** The same as shares of the picture, for regions. */
  share = (x, y) => this.px(x, y).map((value, i) => Math.round((value / this.full[i]) * 10000) / 10000);
  /** A circle round a place, radius in km. */
  spot = (x, y, radius = 0.1) => ({ circle: [...this.share(x, y), Math.round(((radius * KM) / this.full[0]) * 10000) / 10000] });
  line = (places) => places.map(([x, y]) => this.px(x, y));
  pathOf = (places) => 'M' + this.line(places).map(([x, y]) => `${n(x)} ${n(y)}`).join('L');

  /** @param words boxes of those that stand on the map: no figure goes there, nor to another figure */
  contourLines(words) {
    const taken = [...words];
    const { terrain, interval } = this;
    const [cols, rows] = [Math.round((terrain.width + 2 * MARGIN) / STEP), Math.round((terrain.height + 2 * MARGIN) / STEP)];
    const values = [];
    for (let r = 0; r < rows; r++) for (let c = 0; c < cols; c++) values.push(terrain.at((c + 0.5) * STEP - MARGIN, terrain.height + MARGIN - (r + 0.5) * STEP));
    const low = Math.ceil(Math.min(...values) / interval) * interval;
    const heights = [];
    for (let h = low; h < Math.max(...values); h += interval) heights.push(h);
    const toPx = ([c, r]) => [this.left + (c * STEP - MARGIN) * KM, this.top + (r * STEP - MARGIN) * KM];
    const out = [];
    const labels = [];
    for (const { value, coordinates } of contours().size([cols, rows]).thresholds(heights)(values)) {
      const index = value % (interval * 5) === 0;
      let best = null;
      for (const ring of coordinates.flat()) {
        const line = ring.map(toPx);
        if (line.length < 8) continue;
        const half = Math.floor(line.length / 2);
        const drawn = [...simplified(line.slice(0, half + 1)).slice(0, -1), ...simplified(line.slice(half))];
        out.push(path('M' + drawn.map(([x, y]) => `${n(x)} ${n(y)}`).join('L') + 'Z', 'brown', index ? 1.6 : 0.7));
        for (let i = 4; index && i < line.length - 4; i++) {
          const [x, y] = line[i];
          if (x < this.left + 40 || x > this.left + this.w - 40 || y < this.top + 24 || y > this.top + this.h - 24) continue;
          if (taken.some((box) => x > box.left - FIGURE && x < box.right + FIGURE && y > box.top - FIGURE && y < box.bottom + FIGURE)) continue;
          const [dx, dy] = [line[i + 4][0] - line[i - 4][0], line[i + 4][1] - line[i - 4][1]];
          const turn = Math.abs(Math.atan2(dy, dx));
          // A figure's top points uphill, so best where the ground rises up the page, and else upside down.
          const [, north] = terrain.gradient((x - this.left) / KM, terrain.height - (y - this.top) / KM);
          const score = Math.min(turn, Math.PI - turn) + Math.abs(x - this.left - this.w * 0.4) / 2000 + (north > 0 ? 0 : 3);
          const along = (Math.atan(dy / (dx || 1e-9)) * 180) / Math.PI;
          if (best === null || score < best.score) best = { score, x, y, turn: north > 0 ? along : along + 180 };
        }
      }
      if (!best || !this.labels) continue;
      taken.push({ left: best.x - FIGURE, right: best.x + FIGURE, top: best.y - FIGURE / 2, bottom: best.y + FIGURE / 2 });
      labels.push(text(best.x, best.y + (Math.abs(best.turn) > 90 ? -3.5 : 3.5), value, { size: 10, anchor: 'middle', cls: 'brownink', turn: best.turn, halo: true }));
    }
    return out.join('') + labels.join('');
  }

  grid() {
    const out = [];
    for (let x = 0; x <= this.terrain.width + 1e-9; x++) {
      const [px] = this.px(x, 0);
      out.push(line(px, this.top, px, this.top + this.h, 'blue', 0.6), x < this.terrain.width ? text(px, this.top + this.h + 14, this.east + x, { size: 11, anchor: 'middle', cls: 'blueink' }) : text(px + 7, this.top + this.h + 14, this.east + x, { size: 11, anchor: 'end', cls: 'blueink' }));
    }
    for (let y = 0; y <= this.terrain.height + 1e-9; y++) {
      const [, py] = this.px(0, y);
      out.push(line(this.left, py, this.left + this.w, py, 'blue', 0.6), text(this.left - 5, y === 0 ? py : py + 4, this.north + y, { size: 11, anchor: 'end', cls: 'blueink' }));
    }
    return out.join('');
  }

  /** Scale bar, interval and north. */
  margin() {
    const y = this.top + this.h + 32;
    return [
      line(this.left, y, this.left + KM / 2, y, 'line', 2),
      line(this.left, y - 4, this.left, y + 4),
      line(this.left + KM / 4, y - 3, this.left + KM / 4, y + 3),
      line(this.left + KM / 2, y - 4, this.left + KM / 2, y + 4),
      text(this.left + KM / 2 + 8, y + 4, '500 m', { size: 11 }),
      text(this.left + KM / 2 + 66, y + 4, `contours every ${this.interval} m`, { size: 11 }),
      text(this.left + this.w, y + 4, 'north is up', { size: 11, anchor: 'end' }),
    ].join('');
  }

  /** @param over what is drawn on the contours, inside the frame; @param above outside it too */
  svg(over = [], above = []) {
    const [width, height] = this.full;
    const clip = `<clipPath id="f"><rect x="${this.left}" y="${this.top}" width="${n(this.w)}" height="${n(this.h)}"/></clipPath>`;
    const frame = rect(this.left, this.top, this.w, this.h, 'line', 'stroke-width="1"');
    const drawn = over.flat(9).join('');
    return { width, height, parts: [clip, `<g clip-path="url(#f)">`, this.contourLines(wordsOf(drawn)), this.grid0(), drawn, '</g>', frame, this.grid(), this.margin(), above.flat(9).join('')] };
  }

  grid0 = () => '';
}
