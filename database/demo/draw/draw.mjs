// Draws every picture of the demo: node database/demo/draw/draw.mjs [folder, if not that of the demo]
import { mkdirSync, writeFileSync } from 'node:fs';
import { drawing } from './sheet.mjs';
import { maps } from './maps.mjs';
import { sky } from './sky.mjs';
import { craft } from './craft.mjs';
import { hut } from './hut.mjs';

const base = process.argv[2] ?? new URL('..', import.meta.url).pathname;
for (const [exam, parts] of [['licence', [maps(), sky(), craft()]], ['warden', [hut()]]]) {
  const folder = `${base}/${exam}/pictures/`;
  mkdirSync(folder, { recursive: true });
  const regions = {};
  const claims = {};
  for (const part of parts) {
    for (const [name, [width, height, shapes]] of Object.entries(part.out)) writeFileSync(`${folder}${name}.svg`, drawing(width, height, shapes));
    Object.assign(claims, part.claims);
    for (const [picture, areas] of Object.entries(part.regions)) if (Object.keys(areas).length) regions[picture] = areas;
  }
  writeFileSync(`${folder}regions.json`, JSON.stringify(regions, null, 1) + '\n');
  writeFileSync(`${folder}claims.json`, JSON.stringify(claims, null, 1) + '\n');
}
