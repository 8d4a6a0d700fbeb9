/** The log: a 12 megapixel picture measured beside its decode, a thousand thumbnails scrolled, and a search over five thousand lines. */
import { execFileSync } from 'node:child_process';
import { chromium } from 'playwright-core';
import { distancesTo } from '#core/geometry';
import { readPicture, type Template } from '#core/picture';
import { findable, found } from '#core/record';
import { drawLacing, knownShots, LACING_WHITE, photographLacing } from '#core/simulate';
import { median, ms, print, studio } from './figures';
import { largeStudio } from './large';
import { start } from './server';

const LINES = 5000;
const { pours } = largeStudio(300, LINES);
const begun = performance.now();
const index = pours.map(findable);
const gathered = performance.now() - begun;
const searches = ['jetty', 'mist passes', 'w', 'no such word', 'wave slow'].map((text) => {
  const at = performance.now();
  found(index, { text });
  return performance.now() - at;
});
print({
  bench: 'search of the log, a letter typed',
  lines: LINES,
  pours: pours.length,
  gatherMs: ms(gathered),
  medianMs: ms(median(searches)),
  mostMs: ms(Math.max(...searches)),
});

const [shot] = knownShots;
const drawn = drawLacing(shot!.lacing);
const [width, height] = [4000, 3000];
const corners = [
  { x: 200, y: 180 },
  { x: 3800, y: 160 },
  { x: 3820, y: 2880 },
  { x: 180, y: 2860 },
];
const picture = photographLacing(shot!.lacing, drawn, { ...shot!.optics, width, height, corners });
const [w, h] = [shot!.lacing.width, shot!.lacing.height];
const x = Float64Array.from({ length: w * h }, (_, k) => (k % w) + 0.5);
const y = Float64Array.from({ length: w * h }, (_, k) => Math.floor(k / w) + 0.5);
const template: Template = {
  width: w,
  height: h,
  round: false,
  columns: w,
  rows: h,
  parts: Int8Array.from(x, (_, k) => drawn.partAt({ x: x[k]!, y: y[k]! })),
  away: Float32Array.from(distancesTo({ x, y, columns: w, rows: h, cell: 1 }, [drawn.line], 120)),
  lines: [{ path: drawn.line, sea: 1 }],
  white: LACING_WHITE,
};
const times: number[] = [];
for (let i = 0; i < 7; i++) {
  const at = performance.now();
  readPicture(picture, corners, template);
  times.push(performance.now() - at);
}

const { base, stop } = await start();
const browser = await chromium.launch({
  executablePath: process.env['CHROMIUM_PATH'] ?? execFileSync('which', ['chromium'], { encoding: 'utf8' }).trim(),
});
try {
  const page = await (await browser.newContext({ viewport: { width: 1280, height: 800 } })).newPage();
  await page.addInitScript('globalThis.__name ??= (f) => f');
  await page.goto(`${base}/log/photos`);
  await page.getByText('No photos yet.').waitFor();
  /** Opens a picture of that size as the app's worker does: decoded, drawn, and its pixels read. */
  const decode = (await page.evaluate(`(async () => {
    const [width, height] = [${width}, ${height}];
    const canvas = new OffscreenCanvas(width, height);
    const context = canvas.getContext('2d');
    const image = new ImageData(width, height);
    for (let i = 0; i < image.data.length; i++) image.data[i] = i % 4 === 3 ? 255 : 90 + 60 * Math.sin(i / 977) + 20 * Math.random();
    context.putImageData(image, 0, 0);
    const blob = await canvas.convertToBlob({ type: 'image/jpeg', quality: 0.92 });
    const times = [];
    for (let k = 0; k < 5; k++) {
      const at = performance.now();
      const bitmap = await createImageBitmap(blob, { imageOrientation: 'from-image' });
      const on = new OffscreenCanvas(width, height).getContext('2d', { willReadFrequently: true });
      on.drawImage(bitmap, 0, 0);
      on.getImageData(0, 0, width, height);
      times.push(performance.now() - at);
    }
    return times;
  })()`)) as number[];
  print({
    bench: 'a 12 megapixel picture measured, beside its decode',
    measureMs: ms(median(times)),
    decodeMs: ms(median(decode)),
    times: ms(median(times) / median(decode)),
  });

  /** Rows and pictures of a thousand photographs, put where the app keeps them. */
  await page.evaluate(`(async () => {
    const canvas = new OffscreenCanvas(320, 240);
    const context = canvas.getContext('2d');
    const db = await new Promise((ok) => { const r = indexedDB.open('nerite'); r.onsuccess = () => ok(r.result); });
    for (let n = 0; n < 1000; n++) {
      context.fillStyle = 'hsl(' + (n % 360) + ' 40% 50%)';
      context.fillRect(0, 0, 320, 240);
      const blob = await canvas.convertToBlob({ type: 'image/jpeg', quality: 0.8 });
      const id = 'photo-bench-' + n;
      const tx = db.transaction(['photos', 'images'], 'readwrite');
      tx.objectStore('photos').put({ id, name: id, takenAt: new Date(1.7e12 + n * 6e4).toISOString(), width: 4000, height: 3000, bytes: blob.size, sum: '0'.repeat(64), pieceId: '${studio.pieces[0]!.id}', stage: 'hard' });
      tx.objectStore('images').put({ photoId: id, size: 'thumb', blob });
      await new Promise((ok) => (tx.oncomplete = ok));
    }
    db.close();
  })()`);
  const opens: number[] = [];
  for (let i = 0; i < 3; i++) {
    const at = performance.now();
    await page.goto(`${base}/log/photos`);
    await page.locator('main img').first().waitFor();
    opens.push(performance.now() - at);
  }
  await page.evaluate(
    `globalThis.frames = []; (function next(last) { requestAnimationFrame((now) => { globalThis.frames.push(now - last); next(now); }); })(performance.now())`,
  );
  await page.mouse.move(500, 450);
  await page.evaluate('globalThis.frames.length = 0');
  for (let i = 0; i < 120; i++) {
    await page.mouse.wheel(0, 220);
    await page.waitForTimeout(16);
  }
  const frames = (await page.evaluate('globalThis.frames')) as number[];
  print({
    bench: 'a thousand photos listed and scrolled',
    firstPictureMs: ms(median(opens)),
    medianFrameMs: ms(median(frames)),
    longFrames: frames.filter((f) => f > 50).length,
    frames: frames.length,
  });
} finally {
  await browser.close();
  stop();
}
