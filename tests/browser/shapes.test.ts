import assert from 'node:assert/strict';
import { readFileSync } from 'node:fs';
import type { Page } from 'playwright-core';
import type { Studio } from '#core/document';
import { cupMl, exportStudio, follow, until, visit } from './help';

const face = async (page: Page): Promise<number> =>
  parseFloat(await page.locator('dt', { hasText: 'Face' }).locator('xpath=following-sibling::dd').innerText());
const svg = (body: string, head = 'viewBox="0 0 200 100"'): string => `<svg xmlns="http://www.w3.org/2000/svg" ${head}>${body}</svg>`;
const give = (page: Page, text: string): Promise<void> =>
  page.getByLabel('SVG file').setInputFiles({ name: 'outline.svg', mimeType: 'image/svg+xml', buffer: Buffer.from(text) });

visit('every shape is drawn as it is typed, with its area, and goes on the table', {}, async ({ page }) => {
  await follow(page, '/pieces/new');
  const areas: Record<string, number> = {};
  for (const shape of ['rectangle', 'round', 'oval', 'heart', 'surf plank', 'plank', 'slice', 'clock']) {
    await page.getByLabel('Shape').selectOption(shape);
    await page.waitForTimeout(120);
    areas[shape] = await face(page);
  }
  assert.equal(areas['rectangle'], 1200);
  assert.equal(areas['round'], Math.round(Math.PI * 4 * 100));
  assert.equal(areas['oval'], Math.round(Math.PI * 20 * 15));
  for (const shape of ['heart', 'surf plank', 'plank', 'slice'])
    assert.ok(areas[shape]! > 400 && areas[shape]! < 1250, `${shape} ${areas[shape]}`);
  // a clock's middle is cut out
  assert.ok(areas['clock']! < areas['round']!);

  await page.getByLabel('Shape').selectOption('plank');
  await page.getByLabel('Name').fill('Groyne plank');
  await page.getByLabel('Length').fill('20 in');
  await page.getByLabel('Width', { exact: true }).fill('18 cm');
  await page.getByText('The rest', { exact: true }).click();
  await page.getByRole('button', { name: 'Add a hole' }).click();
  await page.getByLabel('Hole 1, across').fill('490 mm');
  await page.getByLabel('Down').fill('9 cm');
  await page.getByText('Tape over the hole from below').waitFor();
  await page.getByLabel('Kept').selectOption('filled');
  await page.getByText('Close the hole from below').waitFor();
  await page.getByLabel('Back', { exact: true }).selectOption('tape');
  await page.getByText('Peel the tape off the back').waitFor();
  await page.getByRole('button', { name: 'Put it on the table' }).click();
  await page.getByText('plank 508 × 180 × 18 mm').waitFor();
  assert.ok((await cupMl(page, 'Deep')) > 5);
});

visit('a clock that is too thick for its shaft, a canvas too wide: each is said', {}, async ({ page }) => {
  await follow(page, '/pieces/new');
  await page.getByLabel('Name').fill('Tide clock');
  await page.getByLabel('Shape').selectOption('clock');
  await page.getByLabel('Thread of the shaft, long').fill('10 mm');
  await page.getByRole('button', { name: 'Put it on the table' }).click();
  await page.getByText('A thread of 10 mm does not come through').first().waitFor();
  await follow(page, '/pieces/new');
  await page.getByLabel('Name').fill('Canvas');
  await page.getByLabel('Surface').selectOption('canvas');
  await page.getByText('Brace the canvas from below').waitFor();
  await page.getByRole('button', { name: 'Put it on the table' }).click();
  await page.getByText('A canvas of 400 mm sags under resin; up to 300 mm holds.').waitFor();
});

visit('an outline from SVG is scaled by the width that is known, its openings kept', {}, async ({ page }) => {
  await follow(page, '/pieces/new');
  await page.getByLabel('Name').fill('Sea glass');
  await page.getByLabel('Shape').selectOption('outline');
  await give(page, svg('<g transform="scale(2)"><path d="M5 5h80a10 10 0 0 1 0 40h-80z"/><circle cx="30" cy="25" r="10"/></g>'));
  await page.getByLabel('It is this wide').fill('36 cm');
  await page.keyboard.press('Enter');
  await page.getByText(/Outline of 360 mm × /).waitFor();
  const all = await face(page);
  await page.getByLabel('Take', { exact: true }).selectOption('largest');
  await until(
    () => face(page),
    (v) => v > all,
    'without its opening',
  );
  await page.getByLabel('Take', { exact: true }).selectOption('all');
  await until(
    () => face(page),
    (v) => v === all,
    'with it again',
  );
  await page.getByRole('button', { name: 'Put it on the table' }).click();
  await page.getByText('drawn outline 360 ×').waitFor();
  const studio = JSON.parse(await exportStudio(page)) as Studio;
  const stored = studio.pieces.find((p) => p.name === 'Sea glass')!.shape;
  assert.equal(stored.kind === 'outline' && stored.rings.length, 2);
});

visit('SVG files that are no outline end in a sentence, and a good one after them is taken', {}, async ({ page }) => {
  await follow(page, '/pieces/new');
  await page.getByLabel('Shape').selectOption('outline');
  for (const [text, says] of [
    ['not a drawing', 'This is not an SVG drawing.'],
    [svg('<text>shore</text>'), 'This drawing has no path.'],
    [svg('<path d="M0 0L50 0L50 80"/>'), 'No path in this drawing closes.'],
    [svg('<path d="M0 0L50 0L90 0Z"/>'), 'What closes in this drawing has no area.'],
  ] as const) {
    await give(page, text);
    await page.getByText(says).waitFor();
  }
  await give(page, svg('<rect width="200" height="100"/>', 'width="8in" viewBox="0 0 200 100"'));
  await page.getByText('Outline of 203 mm × 102 mm, 206 cm².').waitFor();
  await page.getByLabel('It is this wide').fill('9 m');
  await page.keyboard.press('Enter');
  await page.getByText('A width of 9000 mm is outside what can be planned.').waitFor();
});

visit('a drawing of 5 MB is read aside, with word of it, and the form stays in hand', {}, async ({ page }) => {
  await follow(page, '/pieces/new');
  await page.getByLabel('Shape').selectOption('outline');
  const points = Array.from({ length: 230_000 }, (_, i) => {
    const a = (2 * Math.PI * i) / 230_000;
    const r = 400 + 20 * Math.sin(9 * a);
    return `${(500 + r * Math.cos(a)).toFixed(5)} ${(500 + 0.7 * r * Math.sin(a)).toFixed(5)}`;
  });
  const text = svg(`<path d="M${points.join('L')}Z"/>`, 'width="420mm" viewBox="80 200 840 600"');
  assert.ok(text.length > 4.5e6, `${text.length}`);
  await give(page, text);
  await page.getByText('Reading the drawing.').waitFor();
  await page.getByLabel('Name').fill('Traced stone');
  await page.getByText(/Outline of \d+ mm × \d+ mm, \d+ cm²\./).waitFor();
  assert.equal(await page.getByLabel('Name').inputValue(), 'Traced stone');
  await page.getByRole('button', { name: 'Put it on the table' }).click();
  await page.getByText('drawn outline').waitFor();
});

visit('a piece saved as SVG comes back with the same shape and sea', {}, async ({ page }) => {
  await follow(page, '/pieces/ferry-tray/print');
  const [download] = await Promise.all([page.waitForEvent('download'), page.getByRole('button', { name: 'Save as SVG' }).click()]);
  assert.equal(download.suggestedFilename(), 'Ferry tray.svg');
  const text = readFileSync((await download.path())!, 'utf8');
  assert.match(text, /width="420mm" height="280mm" viewBox="0 0 420 280"/);
  await follow(page, '/pieces/new');
  await page.getByLabel('Name').fill('Ferry tray again');
  await page.getByLabel('Shape').selectOption('outline');
  await give(page, text);
  await page.getByRole('button', { name: 'Take its shape and its sea as they are' }).click();
  assert.equal(await page.getByLabel('Shape').inputValue(), 'oval');
  await page.getByRole('button', { name: 'Put it on the table' }).click();
  await page.getByText('oval 420 × 280').waitFor();
  const studio = JSON.parse(await exportStudio(page)) as Studio;
  const [old, again] = ['Ferry tray', 'Ferry tray again'].map((name) => studio.pieces.find((p) => p.name === name)!);
  assert.deepEqual([again!.shape, again!.sea], [old!.shape, old!.sea]);
});

visit('one shore runs across a row of pieces, and all of them go back with one undo each', {}, async ({ page }) => {
  await follow(page, '/pieces/kelp-cove-2');
  const point = page.getByRole('slider', { name: 'Shoreline, point 5 of 5' });
  await point.focus();
  for (let i = 0; i < 3; i++) await page.keyboard.press('Shift+ArrowUp');
  await page.getByText(/The shoreline misses that of Kelp Cove III by \d+ mm/).waitFor();
  await page.getByRole('tab', { name: 'Sea', exact: true }).click();
  await page.getByRole('button', { name: 'Meet the neighbours' }).click();
  await page.getByText(/The shoreline misses/).waitFor({ state: 'detached' });
  await page.getByRole('button', { name: 'Run this sea across the row of 3' }).click();
  await until(
    () => page.getByText(/misses that of/).count(),
    (n) => n === 0,
    'meets',
  );
  const studio = JSON.parse(await exportStudio(page)) as Studio;
  const [one, two, three] = ['I', 'II', 'III'].map((n) => studio.pieces.find((p) => p.name === `Kelp Cove ${n}`)!);
  assert.ok(Math.abs(one!.sea.shoreline.at(-1)!.y - two!.sea.shoreline[0]!.y) < 4);
  assert.ok(Math.abs(two!.sea.shoreline.at(-1)!.y - three!.sea.shoreline[0]!.y) < 4);
});
