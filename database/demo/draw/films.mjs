// Writes the frames of the demo's two films as SVG: node films.mjs <folder>. Called by record.sh.
import { writeFileSync } from 'node:fs';
import { area, circle, drawing, line, n, path, poly, rect, smooth, text } from './sheet.mjs';

const folder = process.argv[2];
const write = (name, i, parts) => writeFileSync(`${folder}/${name}-${String(i).padStart(3, '0')}.svg`, drawing(480, 270, parts));

// Lightning at 3 s, thunder heard at 15 s: 12 seconds, 4 km.
for (let i = 0; i < 90; i++) {
  const second = i / 5;
  const flash = second >= 3 && second < 3.6;
  const thunder = second >= 15 && second < 17.4;
  write('film-lightning', i, [
    rect(0, 0, 480, 270, flash ? 'paper' : 'cold'),
    area([[0, 230], [90, 190], [170, 120], [230, 160], [320, 210], [480, 226], [480, 270], [0, 270]], 'earth'),
    path('M60 70c-20 0-20-30 6-30c6-22 40-24 48-8c20-14 60-6 62 10c22 0 22 28-2 28Z', 'cloud', 1, 'stroke="#6b756f"'),
    flash ? poly([[120, 72], [108, 104], [124, 104], [104, 150]], 'red', 4) : '',
    circle(410, 206, 5, 'ink'), line(410, 211, 410, 226, 'line', 3),
    thunder ? [14, 22, 30].map((r) => path(`M${410 - r} ${206 - r}A${r * 1.4} ${r * 1.4} 0 0 0 ${410 - r} ${206 + r}`, 'red', 2)).join('') + text(400, 176, 'thunder is heard', { anchor: 'end', bold: true, cls: 'redink', halo: true }) : '',
    text(464, 34, `${n(Math.floor(second))} s`, { size: 22, anchor: 'end', bold: true }),
  ]);
}

// A cold front: 120 km west of Corvane at 06:00, moving 30 km in an hour; a pixel is a kilometre. Stops at 08:00.
for (let i = 0; i < 60; i++) {
  const hours = Math.min(2, (i / 50) * 2);
  const at = 360 - 120 + 30 * hours;
  const front = [[at + 20, 30], [at + 10, 80], [at, 130], [at - 18, 190], [at - 40, 240]];
  write('film-front', i, [
    path(smooth(front), 'blue', 3),
    ...front.slice(0, 4).map(([x, y], k) => { const [u, v] = front[k + 1]; const [mx, my] = [(x + u) / 2, (y + v) / 2]; const l = Math.hypot(u - x, v - y); const [dx, dy] = [(u - x) / l, (v - y) / l]; return area([[mx - 8 * dx, my - 8 * dy], [mx + 8 * dx, my + 8 * dy], [mx + 12 * dy, my - 12 * dx]], 'blueink'); }),
    circle(360, 130, 5, 'ink'), text(368, 150, 'Corvane', { bold: true }),
    line(40, 240, 140, 240, 'line', 2), line(40, 235, 40, 245), line(140, 235, 140, 245), text(90, 230, '100 km', { size: 12, anchor: 'middle' }),
    text(464, 34, `0${6 + Math.floor(hours)}:${String(Math.round((hours % 1) * 60)).padStart(2, '0')}`, { size: 22, anchor: 'end', bold: true }),
  ]);
}
