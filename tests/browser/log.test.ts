import assert from 'node:assert/strict';
import type { Page } from 'playwright-core';
import { PNG } from 'pngjs';
import { steady } from '#core/air';
import { openStudio, writeStudio, type Photo, type PhotoReading, type Point, type Studio, type WaveCoat } from '#core/document';
import { boardSeen } from '#core/picture';
import { planPiece } from '#core/plan';
import { toldStudio } from '#core/pour';
import { shoot } from '#core/simulate';
import { sample } from '../factories';
import { cupMl, exportStudio, follow, openFile, plainServer, replaced, settled, until, visit } from './help';

/** A photograph of the jetty rail as its plan and an ordinary pass see it, and where its corners lie, px. */
function railPhoto(): { png: Buffer; corners: Point[]; width: number; height: number } {
  const { pours } = toldStudio(sample());
  const { planned, roomC } = pours.find((p) => p.id === 'pour-3')!;
  const piece = planned.pieces[0]!;
  const plan = planPiece(piece, { ...planned, air: steady(roomC) });
  const wave = piece.coats.find((c): c is WaveCoat => c.kind === 'wave')!;
  const [width, height] = [1760, 420];
  const corners = [
    { x: 80, y: 50 },
    { x: 1690, y: 56 },
    { x: 1684, y: 370 },
    { x: 84, y: 362 },
  ];
  const { width: w, height: h } = plan.bounds;
  const flat = {
    width: w,
    height: h,
    corners: [
      { x: 0, y: 0 },
      { x: w, y: 0 },
      { x: w, y: h },
      { x: 0, y: h },
    ],
  };
  const optics = {
    width,
    height,
    corners,
    light: [0.82, 0.8, 0.76] as [number, number, number],
    across: 0.05,
    down: 0,
    noise: 1,
    blur: 0,
    seed: 3,
  };
  const { data } = shoot(optics, flat, boardSeen(plan, wave), 2);
  const image = new PNG({ width, height });
  image.data = Buffer.from(data.buffer);
  return { png: PNG.sync.write(image), corners, width, height };
}
let rail: ReturnType<typeof railPhoto> | undefined;
const railPicture = (): ReturnType<typeof railPhoto> => (rail ??= railPhoto());

const reading: PhotoReading = {
  at: '2026-11-21T10:00:00.000Z',
  white: 0.09,
  toSea: { middle: 9, most: 15 },
  up: { middle: 1, most: 3 },
  bands: [],
  pxPerMm: 3,
  blur: 0.2,
  glare: 0,
  light: 1.1,
  noise: 0.01,
};

/** The sample with three pours of the rail's wave; of the first two a photo was read already. */
function threeWaves(): Studio {
  const studio = toldStudio(sample());
  const pour = studio.pours.find((p) => p.id === 'pour-3')!;
  const earlier = ['pour-3a', 'pour-3b'].map((id, i) => ({ ...pour, id, startedAt: `2026-11-${String(10 + i)}T16:30:00.000Z` }));
  const photos = earlier.map(({ id }, i): Photo => ({
    id: `photo-${id}`,
    name: `${id}.jpg`,
    takenAt: `2026-11-${String(11 + i)}T10:00:00.000Z`,
    width: 1600,
    height: 400,
    bytes: 100,
    sum: String(i).repeat(64),
    pieceId: 'jetty-rail',
    pourId: id,
    stage: 'after the heat',
    reading,
  }));
  return { ...studio, photos, pours: [...studio.pours.filter((p) => p.id !== 'pour-4'), ...earlier] };
}

async function bring(page: Page, studio: Studio): Promise<void> {
  const text = writeStudio(studio);
  assert.ok(openStudio(text).ok);
  await openFile(page, text);
  await page.getByRole('button', { name: 'Open it', exact: true }).click();
  await replaced(page);
}

/** Adds the picture on the photos screen, and says what it is in two taps. */
async function addRail(page: Page): Promise<void> {
  await follow(page, '/log/photos');
  await page
    .getByLabel('Add photos')
    .locator('input[type=file]')
    .setInputFiles({ name: 'rail.png', mimeType: 'image/png', buffer: railPicture().png });
  await page.getByRole('button', { name: /rail\.png.*which piece/ }).waitFor();
  await page.getByRole('group', { name: 'Which piece' }).getByRole('button', { name: 'Jetty rail' }).click();
  await page.getByRole('group', { name: 'What it shows' }).getByRole('button', { name: 'Hard' }).click();
}

/** Marks corners on the picture by clicking them. */
async function mark(page: Page, corners: Point[]): Promise<void> {
  const picture = page.locator('svg image');
  await picture.waitFor();
  for (const { x, y } of corners) {
    const box = (await picture.boundingBox())!;
    await page.mouse.click(box.x + (x / railPicture().width) * box.width, box.y + (y / railPicture().height) * box.height);
    await page.waitForTimeout(60);
  }
}

visit(
  'a photo is added, said what it is in two taps, measured, and with two others teaches what the next plan is changed by',
  {},
  async ({ page }) => {
    await bring(page, threeWaves());
    await follow(page, '/pieces/kelp-cove-2');
    const before = await cupMl(page, 'White');
    await addRail(page);
    await page.getByRole('listitem').filter({ hasText: 'hard' }).getByRole('link', { name: 'Measure it' }).first().click();
    await page.getByText('Mark corner 1: upper left of the drawing.').waitFor();
    await mark(page, railPicture().corners);
    await page.getByRole('row', { name: /Foam out to sea/ }).waitFor();
    const row = await page.getByRole('row', { name: /Foam out to sea/ }).innerText();
    assert.match(row, /less far than planned|further than planned|As planned/);
    assert.match(row, /± \d/);
    // it stays, and so do its marks
    await page.reload();
    await page.getByRole('row', { name: /White on the board/ }).waitFor();

    await follow(page, '/log/learn');
    const lesson = page.getByRole('listitem').filter({ hasText: 'White under foam' });
    await lesson.getByText(/^3 pours say 0\.\d+ mm, ± .* mm; you plan with 0\.25 mm\.$/).waitFor();
    await lesson.getByRole('button', { name: /^Plan with/ }).click();
    await page.getByText(/^From 3 pours of your own, ± .*; it was 0\.25 mm\./).waitFor();
    await follow(page, '/pieces/kelp-cove-2');
    const after = await until(
      () => cupMl(page, 'White'),
      (ml) => Math.abs(ml - before) > 0.5,
      'the white of the next plan',
    );
    assert.ok(after > before, `${before} and then ${after}`);
    // and taken back with the log
    await follow(page, '/log/learn');
    await page.getByRole('button', { name: 'Undo' }).click();
    await page.getByText('Nothing yet. What is taken over stands here').waitFor();
    await follow(page, '/pieces/kelp-cove-2');
    await until(
      () => cupMl(page, 'White'),
      (ml) => ml === before,
      'as it was',
    );
  },
);

visit(
  'corners crossed, a glaring lamp, HEIC, a hundred megapixels, a cut picture: each a sentence, and nothing lost',
  {},
  async ({ page }) => {
    await follow(page, '/log/photos');
    const input = page.getByLabel('Add photos').locator('input[type=file]');
    const { png } = railPicture();
    const heic = Buffer.concat([Buffer.from([0, 0, 0, 24]), Buffer.from('ftypheic'), Buffer.alloc(40)]);
    // a PNG of 12,000 × 9,000, as its header says
    const large = Buffer.from(png);
    large.writeUInt32BE(12_000, 16);
    large.writeUInt32BE(9000, 20);
    await input.setInputFiles([
      { name: 'phone.heic', mimeType: 'image/heic', buffer: heic },
      { name: 'large.png', mimeType: 'image/png', buffer: large },
      { name: 'cut.png', mimeType: 'image/png', buffer: png.subarray(0, 4000) },
      { name: 'empty.jpg', mimeType: 'image/jpeg', buffer: Buffer.alloc(0) },
      { name: 'rail.png', mimeType: 'image/png', buffer: png },
    ]);
    const says = page.getByRole('alert');
    await says.getByText('phone.heic is a HEIC photo').waitFor();
    await says.getByText('large.png has 108 megapixels').waitFor();
    await says.getByText('cut.png begins like a picture').waitFor();
    await says.getByText('empty.jpg is empty').waitFor();
    await page.getByRole('heading', { name: '1 photo', exact: true }).waitFor();
    await page.getByRole('group', { name: 'Which piece' }).getByRole('button', { name: 'Jetty rail' }).click();
    await page.getByRole('group', { name: 'What it shows' }).getByRole('button', { name: 'Hard' }).click();
    await page.getByRole('link', { name: 'Measure it' }).click();
    await page.getByText('Mark corner 1').waitFor();
    const [a, b, c, d] = railPicture().corners as [Point, Point, Point, Point];
    await mark(page, [a, c, b, d]);
    await page
      .getByRole('alert')
      .getByText(/crossed/)
      .waitFor();
    // the marks stay where they are, and are put right by keys as well
    const sliders = page.getByRole('slider', { name: /^Corner/ });
    assert.equal(await sliders.count(), 4);
    await follow(page, '/log/photos');
    await page.getByRole('button', { name: /Jetty rail.*hard/ }).click();
    await page.getByRole('button', { name: 'Remove' }).click();
    await page.getByText('No photos yet.').waitFor();
    await page.getByRole('button', { name: 'Undo' }).click();
    await page.getByRole('heading', { name: '1 photo', exact: true }).waitFor();
  },
);

visit(
  'what went wrong: from what is seen, by the pour’s own record, to coats in the plan and work in the calendar',
  {},
  async ({ page }) => {
    await follow(page, '/log/piece/jetty-rail');
    await page.getByLabel('of the pour').selectOption('pour-3');
    await page.getByRole('link', { name: 'Find out why' }).click();
    await page.getByRole('button', { name: 'white gone pale blue' }).click();
    const first = page
      .getByRole('region', { name: /^Why, by this pour/ })
      .getByRole('listitem')
      .first();
    await first.getByText('White was laid too early, while it was thin').waitFor();
    await first.getByText(/White went out 5 min after mixing, 2 min before it was ready\./).waitFor();
    await page.getByRole('button', { name: 'pits, fish-eyes' }).click();
    await page.getByText('Degrease, scuff until no pit shines, seal thinly, and coat again.').waitFor();
    await page.getByRole('button', { name: 'Put it into the plan' }).click();
    await page.getByText('In its plan:').waitFor();
    await page.getByRole('link', { name: 'To the calendar' }).click();
    await settled(page);
    const work = page.locator('[data-session^="jetty-rail/repair-"]');
    await work.waitFor({ state: 'attached', timeout: 60_000 });
    await work.focus();
    await page.keyboard.press('Enter');
    await page
      .getByText(/Put right: degrease, scuff until no pit shines/)
      .filter({ visible: true })
      .first()
      .waitFor();
    await page.locator('[data-session="jetty-rail/pour-jetty-rail-seal-1"]').waitFor({ state: 'attached' });
    // it stands with the pour, and is taken off the piece by its undo
    await follow(page, '/log/piece/jetty-rail');
    await page.getByLabel('of the pour').selectOption('pour-3');
    await page.getByRole('link', { name: 'pits, fish-eyes' }).waitFor();
    await follow(page, '/pieces/jetty-rail');
    await page.getByRole('region', { name: 'Coats' }).getByText(/Seal/).first().waitFor();
    await page.getByRole('button', { name: 'Undo' }).click();
    await page.getByRole('region', { name: 'Coats' }).getByText(/Seal/).first().waitFor({ state: 'detached' });
  },
);

visit(
  'a piece’s story: judged by aspect, measured afterwards in US units, finished, sold beside its quote, and kept',
  {},
  async ({ page }) => {
    await follow(page, '/settings');
    await page.getByLabel('All at once').selectOption('US');
    await follow(page, '/log/piece/skerry-coasters');
    await page.getByRole('group', { name: 'Lacing' }).getByRole('button', { name: 'good' }).click();
    await page.getByRole('group', { name: 'Lacing' }).getByRole('button', { name: 'good', pressed: true }).waitFor();
    await page.getByLabel('For the next one').fill('One pass, then hands off.');
    const typed = page.getByRole('textbox', { name: 'oz wt' });
    await typed.fill('half');
    await page.getByRole('button', { name: 'Keep it' }).click();
    await page.getByRole('alert').waitFor();
    assert.equal(await typed.inputValue(), 'half');
    await typed.fill('0.4 oz');
    await page.getByRole('button', { name: 'Keep it' }).click();
    await page.getByText(/^Drips below it: 0\.40? oz wt/).waitFor();
    await page.getByRole('tab', { name: 'Finishing and sale' }).click();
    await page.getByRole('checkbox', { name: /Sign it and date it/ }).check();
    await page.getByLabel(/^sold for/).fill('180');
    await page.getByLabel('to whom').fill('A neighbour');
    await page.getByText(/180\.00 EUR got, \d+\.\d\d EUR by its quote: .*(over|under) it/).waitFor();
    await page.reload();
    await page.getByRole('group', { name: 'Lacing' }).getByRole('button', { name: 'good', pressed: true }).waitFor();
    assert.equal(await page.getByLabel('For the next one').inputValue(), 'One pass, then hands off.');
    await page.getByRole('tab', { name: 'Finishing and sale' }).click();
    assert.ok(await page.getByRole('checkbox', { name: /Sign it and date it/ }).isChecked());
    await page.getByRole('link', { name: 'Care card' }).click();
    await page.getByText('keep it below what its maker states').waitFor();
  },
);

visit('pours are found by word and temperature, compared, followed, and one is made again on a larger board', {}, async ({ page }) => {
  await follow(page, '/log');
  await page.getByRole('searchbox').fill('mist');
  await until(
    () => page.locator('ul.sheet > li').count(),
    (n) => n === 1,
    'pours with that word',
  );
  await page.getByRole('button', { name: 'More questions' }).click();
  await page.getByLabel('no colder than').fill('90');
  await page.getByLabel('no colder than').blur();
  await page.getByRole('alert').waitFor();
  await page.getByRole('searchbox').fill('zzz');
  await page.getByText('No pour has all of that.').waitFor();
  await follow(page, '/log/compare');
  await page.getByRole('row', { name: /White laid after mixing/ }).waitFor();
  await page.getByRole('tab', { name: 'From pour to pour' }).click();
  await page.getByRole('img', { name: /from pour to pour/ }).waitFor();
  await follow(page, '/log/again/pour-3?piece=jetty-rail');
  await page.getByText('The plan comes along as it stood, and not what was done otherwise.').waitFor();
  await page.getByLabel('Minutes, passes and cups').selectOption('done');
  await page.getByText(/passes of heat, as were made/).waitFor();
  await page.getByLabel('width of the board').fill('1.24 m');
  await page.getByText('2 times as wide and as high').waitFor();
  await page.getByRole('button', { name: /^Make “Jetty rail, again”/ }).click();
  await page.waitForURL(/\/pieces\/jetty-rail-again/);
  await page.getByRole('heading', { name: 'Jetty rail, again' }).waitFor();
});

visit(
  'a backup out, an empty studio, and all of it back with its photos; a damaged one is refused',
  { server: plainServer },
  async ({ page }) => {
    await bring(page, threeWaves());
    await addRail(page);
    const before = await exportStudio(page);
    await follow(page, '/settings');
    const [download] = await Promise.all([page.waitForEvent('download'), page.getByRole('button', { name: 'Make a backup' }).click()]);
    assert.match(download.suggestedFilename(), /^nerite-\d{4}-\d\d-\d\d\.zip$/);
    const chunks: Buffer[] = [];
    for await (const chunk of await download.createReadStream()) chunks.push(chunk as Buffer);
    const zip = Buffer.concat(chunks);
    await page.getByText(/^The last backup on this device was made on/).waitFor();
    await page.getByRole('button', { name: 'Start empty', exact: true }).click();
    await page.getByRole('alertdialog').getByRole('button', { name: 'Start empty', exact: true }).click();
    await replaced(page);
    const open = (buffer: Buffer) =>
      page.getByLabel('Open a backup').setInputFiles({ name: 'backup.zip', mimeType: 'application/zip', buffer });
    await open(zip.subarray(0, zip.length - 300));
    await page.getByRole('alert').getByText('It is cut short').waitFor();
    await open(zip);
    const looked = page.getByRole('group', { name: 'What backup.zip would change' });
    await looked.getByText(/holds 7 pieces, 6 pours and 1 photos; the pictures of 2 more are missing/).waitFor();
    await looked.getByRole('button', { name: 'Put it in the place of my studio' }).click();
    await page.getByText('The backup is in the place of the studio').waitFor();
    await until(
      () => exportStudio(page),
      (text) => text === before,
      'the same studio',
    );
    await follow(page, '/log/photos');
    await page.locator('main img').first().waitFor();
  },
);

visit(
  'a round board is marked at three places of its rim; a photo drawn to try it on is measured and teaches nothing',
  {},
  async ({ page }) => {
    await follow(page, '/log/piece/skerry-coasters');
    await page.getByRole('button', { name: 'Draw one to try it on' }).click();
    await page.getByRole('link', { name: 'Measure it' }).waitFor({ timeout: 120_000 });
    await page.getByRole('link', { name: 'Measure it' }).click();
    await page.getByText('Mark place 1: the rim where the top of the drawing is.').waitFor();
    const picture = page.locator('svg image');
    await picture.waitFor();
    const { x, y, width, height } = (await picture.boundingBox())!;
    for (const turn of [0, 2.1, 4.2]) {
      await page.mouse.click(x + (0.5 + 0.43 * Math.sin(turn)) * width, y + (0.5 - 0.43 * Math.cos(turn)) * height);
      await page.waitForTimeout(60);
    }
    await page.getByRole('row', { name: /White on the board/ }).waitFor();
    await page.getByRole('tab', { name: 'Straightened' }).click();
    await page.getByRole('img', { name: 'The board as it lies on its own millimetres' }).waitFor();
    // a mark is moved by keys, and it is measured anew
    await page.getByRole('tab', { name: 'As it was taken' }).click();
    await page.getByRole('slider', { name: /^Place 2/ }).focus();
    await page.keyboard.press('ArrowLeft');
    await page.getByRole('row', { name: /White on the board/ }).waitFor();
    await follow(page, '/log/learn');
    await page.getByText('Your own figures').waitFor();
    await until(
      () => page.getByRole('listitem').filter({ hasText: 'pours so far' }).count(),
      (n) => n > 0,
      'what pours say',
    );
    assert.equal(await page.getByText('White under foam').count(), 0);
  },
);

visit('what is new in a backup is brought in beside what is here, and mine stays where both have one', {}, async ({ page }) => {
  await follow(page, '/settings');
  const [download] = await Promise.all([page.waitForEvent('download'), page.getByRole('button', { name: 'Make a backup' }).click()]);
  const chunks: Buffer[] = [];
  for await (const chunk of await download.createReadStream()) chunks.push(chunk as Buffer);
  // meanwhile one piece is named anew, and another is taken off
  await follow(page, '/pieces/jetty-rail/board');
  const name = page.getByLabel('Name', { exact: true });
  await name.fill('Harbour rail');
  await name.press('Enter');
  await follow(page, '/settings');
  await page.getByLabel('Open a backup').setInputFiles({ name: 'backup.zip', mimeType: 'application/zip', buffer: Buffer.concat(chunks) });
  const looked = page.getByRole('group', { name: 'What backup.zip would change' });
  await looked.getByRole('row', { name: /pieces.*Jetty rail/ }).waitFor();
  await looked.getByRole('button', { name: 'Bring in what is new, keep mine' }).click();
  await page.getByText('The backup was brought into the studio.').waitFor();
  await follow(page, '/pieces');
  await page.getByText('Harbour rail').first().waitFor();
});
