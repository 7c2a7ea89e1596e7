// Short films that go through the solution of a hard question, a step at a time. `node solutions.mjs <folder>` writes their
// frames as SVG, one a step; record.sh makes films of them. What each step says is its written version too.
import { mkdirSync, writeFileSync } from 'node:fs';
import { pathToFileURL } from 'node:url';
import { arrow, circle, drawing, line, path, poly, rect, text } from './sheet.mjs';

const rad = (degrees) => (degrees * Math.PI) / 180;
const bear = (x, y, degrees, r) => [x + r * Math.sin(rad(degrees)), y - r * Math.cos(rad(degrees))];
const say = (x, y, words, more = {}) => text(x, y, words, { size: 12, halo: true, ...more });
const bar = (x, y, w, words, cls = 'water') => rect(x, y, w, 22, cls, 'stroke="#1f2c26"') + text(x + w / 2, y + 15, words, { size: 11, anchor: 'middle' });

/** Each step: what is said (a line each), and what is drawn with it. */
export const solutions = {
  licence: {
    'nav-con-04': [
      [['Five intervals of 10 m', 'are 50 m of height.'], line(190, 190, 190, 110, 'red', 2.5) + say(198, 154, '50 m', { cls: 'redink' })],
      [['4 mm at 1:25 000 are', '4 × 25 m = 100 m.'], line(30, 190, 190, 190, 'line', 2.5) + say(96, 210, '100 m')],
      [['The slope is the long side:', 'its steepness is 50 in 100.'], line(30, 190, 190, 110, 'brown', 3)],
      [['tan α = 0.5,', 'so α is about 27°.'], path('M70 190A40 40 0 0 0 66 172', 'blue', 2) + say(76, 182, '27°', { cls: 'blueink' })],
    ],
    'nav-ang-01': [
      [['Thick lines are every fifth:', '5 × 10 m = 50 m apart.'], [60, 160].map((x) => line(x, 70, x, 130, 'brown', 3)).join('') + [80, 100, 120, 140].map((x) => line(x, 70, x, 130, 'brown', 1)).join('')],
      [['3 mm at 1:25 000 are', '3 × 25 m = 75 m.'], arrow(62, 146, 158, 146) + say(96, 164, '75 m')],
      [['50 m up in 75 m along.'], poly([[60, 230], [160, 230], [160, 164], [60, 230]], 'red', 2) + say(166, 204, '50 m', { cls: 'redink' })],
      [['arctan(50 ÷ 75) ≈ 34°:', 'steep enough for a slab.'], say(86, 226, '34°', { cls: 'redink', bold: true })],
    ],
    'nav-bac-01': [
      [['From the cairn your line', 'runs on 060°.'], circle(40, 220, 5, 'ink') + say(24, 244, 'cairn') + arrow(40, 220, ...bear(40, 220, 60, 180), 'line', 2)],
      [['On it, the cairn would bear', '060 + 180 = 240°.'], say(120, 150, '240° back', { turn: -30 })],
      [['It bears 246°, so seen from', 'the cairn you are at 066°.'], arrow(40, 220, ...bear(40, 220, 72, 180), 'red', 2.5) + circle(...bear(40, 220, 72, 180), 6, 'redink')],
      [['066° is clockwise of 060°:', 'you are to the right.'], arrow(...bear(40, 220, 71, 150), ...bear(40, 220, 62, 150), 'blue', 2.5)],
      [['Walk left until', 'it bears 240° again.'], ''],
    ],
    'nav-bea-08': [
      [['You walk d = 2 500 m', 'and trust it to α = 3°.'], line(30, 200, 220, 200, 'line', 2) + say(104, 220, '2 500 m')],
      [['The two lines part', 'by an angle of 3°.'], line(30, 200, 220, 170, 'red', 2.5) + say(90, 180, '3°, drawn larger', { cls: 'redink' })],
      [['e = d · tan α', '= 2 500 m × 0.0524'], line(220, 200, 220, 170, 'blue', 3)],
      [['e ≈ 131 m to one side.'], say(196, 158, '131 m', { cls: 'blueink', bold: true })],
      [['Check: 17 × 3 × 2.5 ≈ 128.'], ''],
    ],
    'nav-sat-02': [
      [['424 185 and 421 181:', 'the first three go along.'], circle(170, 90, 5, 'ink') + say(150, 76, '424 185')],
      [['421 is three tenths less:', '300 m to the west.'], arrow(170, 90, 65, 90, 'red', 2) + say(96, 80, '300 m', { cls: 'redink' })],
      [['181 is four tenths less:', '400 m to the south.'], arrow(65, 90, 65, 230, 'blue', 2) + say(20, 166, '400 m', { cls: 'blueink' }) + circle(65, 230, 5, 'ink')],
      [['A right angle: 3, 4 and 5,', 'so 500 m between them.'], line(170, 90, 65, 230, 'line', 2.5) + say(124, 172, '500 m', { bold: true })],
    ],
    'nav-pac-08': [
      [['On a track: 65 double paces', 'for 100 m.'], bar(20, 80, 130, '65')],
      [['On snow two fifths more:', '65 × 1.4 = 91.'], bar(20, 120, 182, '91', 'snow')],
      [['300 m are three times that:', '3 × 91 = 273.'], [0, 1, 2].map((i) => bar(20 + i * 66, 170, 62, '91', 'snow')).join('')],
      [['A pebble for each hundred', 'keeps the count.'], [0, 1].map((i) => circle(40 + i * 24, 222, 7, 'ink')).join('')],
    ],
    'nav-rel-02': [
      [['Each line may be off', 'by a degree or two.'], line(20, 150, 220, 110, 'red', 2) + line(20, 160, 220, 104, 'red', 1) + line(20, 140, 220, 116, 'red', 1)],
      [['A second line that crosses', 'it narrowly, at 15°.'], line(20, 104, 220, 152, 'blue', 2) + line(20, 98, 220, 158, 'blue', 1) + line(20, 110, 220, 146, 'blue', 1)],
      [['Where the bands overlap', 'you may be: a long thin area.'], `<ellipse class="red" cx="122" cy="129" rx="74" ry="10" stroke-width="3"/>`],
      [['At a right angle the same', 'bands make a small square.'], line(170, 180, 170, 250, 'red', 2) + line(120, 215, 222, 215, 'blue', 2) + rect(163, 208, 14, 14, 'warm', 'stroke="#96301f" stroke-width="2"')],
    ],
    'wx-foe-01': [
      [['Up to 700 m without cloud:', '0.4 × 9.8 = 3.9 °C cooler.'], poly([[16, 230], [120, 80], [224, 230]], 'line', 2) + arrow(24, 210, 50, 172, 'blue', 2) + say(10, 250, '8 °C')],
      [['8 − 3.9 = 4.1 °C', 'where the cloud begins.'], line(20, 176, 110, 176, 'soft', 1, 'stroke-dasharray="4 4"') + say(24, 168, '4.1 °C')],
      [['Up to 1 500 m in cloud:', '0.8 × 6 = 4.8 °C cooler.'], arrow(56, 164, 108, 88, 'blue', 2) + say(98, 70, '−0.7 °C')],
      [['Down 1 200 m without cloud:', '1.2 × 9.8 = 11.8 °C warmer.'], arrow(132, 88, 214, 208, 'red', 2.5)],
      [['−0.7 + 11.8 ≈ 11 °C:', '3 °C warmer than it set out.'], say(196, 250, '11 °C', { bold: true, cls: 'redink' })],
    ],
    'wx-clo-07': [
      [['Temperature less dew point', 'is the gap: 7 °C.'], line(60, 40, 60, 240) + circle(60, 220, 5, 'redink') + say(70, 224, 'farm, 400 m')],
      [['It closes by 1 °C in 125 m', 'as the air rises.'], arrow(40, 214, 40, 100, 'red', 2)],
      [['7 × 125 m = 875 m', 'above the farm.'], say(70, 160, '875 m')],
      [['400 + 875 = 1 275 m:', 'there the heaps begin.'], path('M50 84c-16 0-16-20 4-20c4-16 30-18 36-6c16-8 34 2 30 12c14 0 14 14-2 14Z', 'cloud', 1, 'stroke="#6b756f"') + line(20, 84, 200, 84, 'soft', 1, 'stroke-dasharray="4 4"') + say(130, 78, '1 275 m', { bold: true })],
    ],
    'wx-sys-08': [
      [['At 06:00 the front', 'is 120 km away.'], line(30, 60, 30, 200, 'blue', 3) + circle(210, 130, 5, 'ink') + arrow(34, 220, 206, 220) + say(96, 240, '120 km')],
      [['At 08:00 it is 60 km away:', '60 km in two hours.'], line(120, 60, 120, 200, 'blue', 3) + arrow(36, 90, 114, 90, 'blue', 2)],
      [['That is 30 km in an hour.'], say(46, 82, '30 km/h', { cls: 'blueink' })],
      [['60 km that are left', '÷ 30 km/h = 2 hours.'], arrow(126, 150, 204, 150, 'red', 2) + say(148, 142, '2 h', { cls: 'redink' })],
      [['08:00 + 2 h = 10:00.'], say(176, 118, '10:00', { bold: true })],
    ],
    'wx-tem-07': [
      [['By noon the freezing level', 'falls to 900 m.'], line(20, 180, 220, 180, 'blue', 2, 'stroke-dasharray="6 4"') + say(24, 172, '0 °C at 900 m', { cls: 'blueink' })],
      [['The top is at 1 300 m,', '400 m above that.'], poly([[40, 250], [140, 90], [220, 250]], 'line', 2) + say(150, 92, '1 300 m') + arrow(120, 178, 120, 110, 'red', 2)],
      [['0.4 × 6.5 = 2.6 °C colder.'], say(60, 140, '−2.6 °C', { cls: 'redink' })],
      [['So about −2.6 °C there,', 'with the wind still to come.'], ''],
    ],
    'haz-bog-04': [
      [['High water at 14:40; covered', 'two hours before: 12:40.'], line(20, 150, 224, 150, 'line', 2) + line(200, 140, 200, 160, 'blue', 4) + say(182, 132, '12:40', { cls: 'blueink' })],
      [['Half an hour in hand:', 'across by 12:10.'], rect(150, 144, 50, 12, 'warm') + line(150, 140, 150, 160, 'line', 2) + say(132, 180, '12:10')],
      [['25 minutes to cross:', 'on to it by 11:45.'], rect(108, 144, 42, 12, 'water') + line(108, 136, 108, 164, 'red', 3) + say(88, 128, '11:45', { bold: true, cls: 'redink' })],
      [['Always count back from', 'when it is covered.'], arrow(196, 206, 112, 206, 'line', 2)],
    ],
    'haz-tid-01': [
      [['Covered from 13:10.'], line(16, 150, 226, 150, 'line', 2) + line(210, 138, 210, 162, 'blue', 4) + say(192, 130, '13:10', { cls: 'blueink' })],
      [['The wind: 15 minutes less.', '12:55.'], rect(182, 144, 28, 12, 'cold') + say(180, 180, 'wind', { size: 11 })],
      [['40 minutes in hand: 12:15.'], rect(108, 144, 74, 12, 'warm') + say(124, 180, 'in hand', { size: 11 })],
      [['35 minutes to cross: 11:40.'], rect(44, 144, 64, 12, 'water') + say(56, 180, 'to cross', { size: 11 }) + line(44, 134, 44, 166, 'red', 3)],
      [['11:40 is 40 minutes', 'after 11:00.'], say(26, 126, '11:40', { bold: true, cls: 'redink' })],
    ],
    'haz-riv-03': [
      [['A leg in the stream:', 'water pushes on it.'], arrow(30, 110, 90, 110, 'blue', 2) + rect(110, 70, 16, 90, 'skin', 'stroke="#1f2c26"')],
      [['At twice the speed twice', 'as much water arrives …'], [96, 124].map((y) => arrow(20, y, 96, y, 'blue', 3)).join('')],
      [['… and each litre of it', 'comes twice as fast.'], [82, 138].map((y) => arrow(20, y, 96, y, 'blue', 5)).join('')],
      [['2 × 2 = 4:', 'four times the push.'], [0, 1, 2, 3].map((i) => rect(20 + i * 46, 200, 40, 30, i ? 'warm' : 'water', 'stroke="#1f2c26"')).join('')],
    ],
    'rope-ang-01': [
      [['Half of 90° is 45°.'], circle(60, 70, 6, 'ink') + circle(180, 70, 6, 'ink') + line(60, 70, 120, 130, 'rope2', 4) + line(180, 70, 120, 130, 'rope2', 4) + line(120, 130, 120, 60, 'soft', 1, 'stroke-dasharray="4 4"') + say(126, 100, '45°')],
      [['cos 45° ≈ 0.707,', 'and 2 × 0.707 = 1.414.'], ''],
      [['3 kN ÷ 1.414', '≈ 2.12 kN on each.'], arrow(120, 130, 120, 200, 'red', 3) + say(130, 196, '3 kN', { cls: 'redink' }) + say(30, 110, '2.12', { cls: 'blueink', bold: true }) + say(184, 110, '2.12', { cls: 'blueink', bold: true })],
      [['At 0° it would be 1.5 kN:', 'the angle costs two fifths.'], ''],
    ],
    'res-sea-03': [
      [['Of 100 such cases', '70 are found at once.'], Array.from({ length: 100 }, (_, i) => circle(24 + (i % 10) * 20, 50 + Math.floor(i / 10) * 20, 6, i < 70 ? 'ink' : 'warm', 'stroke="#1f2c26"')).join('')],
      [['30 are missed. The second', 'search finds 70 % of these:'], ''],
      [['0.7 × 30 = 21,', 'and 9 are missed again.'], Array.from({ length: 21 }, (_, i) => circle(24 + (i % 10) * 20, 190 + Math.floor(i / 10) * 20, 6, 'redink')).join('')],
      [['70 + 21 = 91 of 100.', 'Or 1 − 0.3 × 0.3 = 0.91.'], ''],
    ],
  },
  warden: {
    'radio-set-06': [
      [['New and warm: 50 Ah.'], bar(20, 60, 200, '50 Ah')],
      [['In the cold 70 % of it:', '35 Ah.'], bar(20, 100, 140, '35 Ah', 'cold')],
      [['Not below half of that:', '17.5 Ah may be used.'], bar(20, 140, 70, '17.5 Ah', 'warm')],
      [['17.5 ÷ 3.5 Ah a day', '= 5 days.'], [0, 1, 2, 3, 4].map((i) => rect(20 + i * 14, 180, 12, 22, 'warm', 'stroke="#1f2c26"')).join('') + say(100, 196, '5 days', { bold: true })],
    ],
    'water-tre-07': [
      [['1 200 litres,', '3 mg for each.'], rect(30, 60, 120, 90, 'water', 'stroke="#1f2c26"') + say(62, 110, '1 200 l')],
      [['1 200 × 3 = 3 600 mg', '= 3.6 g of chlorine.'], say(40, 176, '3.6 g', { bold: true })],
      [['The solution holds', '12 g in each litre.'], rect(180, 70, 36, 80, 'warm', 'stroke="#1f2c26"') + say(176, 170, '12 g/l')],
      [['3.6 ÷ 12 = 0.3 litres.'], rect(180, 126, 36, 24, 'rock') + arrow(176, 138, 154, 138, 'red', 2) + say(176, 196, '0.3 l', { bold: true, cls: 'redink' })],
    ],
    'water-sou-05': [
      [['The tank stands 15 m', 'above the tap.'], rect(30, 30, 60, 40, 'water', 'stroke="#1f2c26"') + path('M60 70V210H180', 'blue', 5) + rect(176, 200, 16, 20, 'rock', 'stroke="#1f2c26"')],
      [['Each metre of water weighs', '1 000 × 9.81 N on 1 m².'], arrow(110, 74, 110, 204, 'line', 2) + say(118, 144, '15 m')],
      [['1 000 × 9.81 × 15', '≈ 147 000 Pa.'], ''],
      [['100 000 Pa are one bar:', 'about 1.5 bar.'], say(150, 190, '1.5 bar', { bold: true, cls: 'blueink' })],
    ],
    'book-pla-07': [
      [['30 nights with 40:', '1 200 nights of guests.'], rect(30, 50, 60, 160, 'water', 'stroke="#1f2c26"') + say(40, 134, '1 200')],
      [['60 nights with 22:', '1 320 nights of guests.'], rect(90, 122, 120, 88, 'warm', 'stroke="#1f2c26"') + say(132, 170, '1 320')],
      [['Together 2 520', 'on 90 nights.'], line(30, 216, 210, 216, 'line', 2) + say(92, 236, '90 nights')],
      [['2 520 ÷ 90 = 28.'], line(24, 98, 216, 98, 'red', 2.5) + say(186, 90, '28', { bold: true, cls: 'redink' })],
      [['Not 31: quiet nights', 'were twice as many.'], ''],
    ],
  },
};

/** What a film says, for those who do not see it. */
export const written = (steps) => steps.map(([words]) => words.join(' ')).join(' ');

/** The frames of a film, one a step. */
export const frames = (steps) => steps.map((_, k) => drawing(480, 270, [
  rect(236, 12, 1, 246, 'soft'),
  ...steps.slice(0, k + 1).map(([, shapes]) => shapes),
  ...steps.slice(0, k + 1).map(([words], i) => words.map((word, j) => text(252, 36 + i * 48 + j * 18, word, { size: 14, bold: i === k })).join('')),
]));

if (import.meta.url === pathToFileURL(process.argv[1] ?? '').href) {
  for (const [exam, films] of Object.entries(solutions)) {
    mkdirSync(`${process.argv[2]}/${exam}`, { recursive: true });
    for (const [question, steps] of Object.entries(films)) {
      frames(steps).forEach((frame, k) => writeFileSync(`${process.argv[2]}/${exam}/solve-${question}-${String(k).padStart(3, '0')}.svg`, frame));
    }
  }
}
