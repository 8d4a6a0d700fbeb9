/** npm run smears: draws the two sample pictures of a smear on the card anew, by the app's own model of light and film. */
import { readFileSync, writeFileSync } from 'node:fs';
import { PNG } from 'pngjs';
import { photograph, type Shot } from '#core/simulate';

const root = new URL('..', import.meta.url).pathname;
const shots = JSON.parse(readFileSync(`${root}src/demo/smears.json`, 'utf8')) as (Shot & { file: string })[];

for (const shot of shots) {
  const picture = photograph(shot);
  const png = new PNG({ width: picture.width, height: picture.height });
  png.data = Buffer.from(picture.data.buffer);
  writeFileSync(`${root}static${shot.file}`, PNG.sync.write(png, { colorType: 2 }));
}
