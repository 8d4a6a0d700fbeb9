import assert from 'node:assert/strict';
import { follow, visit } from './help';

/** Page sizes of a PDF, mm. */
const sizes = (pdf: Buffer): [number, number][] =>
  [...pdf.toString('latin1').matchAll(/\/MediaBox\s*\[\s*0\s+0\s+([\d.]+)\s+([\d.]+)\s*\]/g)].map((m) => [
    Math.round((Number(m[1]) / 72) * 25.4),
    Math.round((Number(m[2]) / 72) * 25.4),
  ]);
const printed = { preferCSSPageSize: true, printBackground: true };

visit('the template is printed at full size on as many pages as it says, and nothing else with it', {}, async ({ page }) => {
  await follow(page, '/pieces/kelp-cove-1/print?what=template');
  await page.getByText('4 pages across, at 100 %').waitFor();
  assert.deepEqual(
    sizes(await page.pdf(printed)),
    Array.from({ length: 4 }, () => [297, 210]),
  );
  await page.getByLabel('paper').selectOption('A3');
  await page.getByText('2 pages').waitFor();
  const laid = sizes(await page.pdf(printed));
  assert.equal(laid.length, 2);
  assert.deepEqual([...laid[0]!].sort(), [297, 420]);
  await page.emulateMedia({ media: 'print' });
  assert.equal(await page.getByRole('button', { name: 'Print' }).isVisible(), false);
  assert.equal(await page.getByRole('region', { name: 'Tide line' }).isVisible(), false);
});

visit('on the page a millimetre is a millimetre: the board’s width and the check bar measure as they should', {}, async ({ page }) => {
  await follow(page, '/pieces/skerry-coasters/print?what=template');
  const sheet = page.getByRole('img', { name: 'Template of Skerry coasters, page A1' });
  await sheet.waitFor();
  const [, , wide] = (await sheet.getAttribute('viewBox'))!.split(' ').map(Number);
  // a unit of the drawing is as many CSS pixels as a millimetre has
  const unit = (await sheet.boundingBox())!.width / wide!;
  assert.ok(Math.abs(unit / (96 / 25.4) - 1) < 0.001, `${unit}`);
  const outline = (await sheet.locator('path[stroke-width="0.6"]').getAttribute('d'))!;
  const across = [...outline.matchAll(/([\d.]+) [\d.]+/g)].map((m) => Number(m[1]));
  assert.ok(Math.abs(Math.max(...across) - Math.min(...across) - 100) < 0.1);
  assert.match((await sheet.locator('g > path').first().getAttribute('d'))!, /^M[\d.]+ [\d.]+h100M/);
  await sheet.getByText('100 mm: measure it.').waitFor();
});

visit('a piece sheet is one page, whatever the piece, and says what the screen says', {}, async ({ page }) => {
  for (const id of ['kelp-cove-1', 'ferry-tray', 'jetty-rail', 'skerry-coasters']) {
    await follow(page, `/pieces/${id}`);
    await page.getByRole('link', { name: 'Print' }).click();
    await page.getByText('one page upright').waitFor();
    await page.waitForTimeout(200);
    assert.deepEqual(sizes(await page.pdf(printed)), [[210, 297]], id);
  }
  await follow(page, '/pieces/kelp-cove-1/print');
  const text = await page.getByRole('article', { name: 'Piece sheet of Kelp Cove I' }).innerText();
  for (const says of [
    'gesso × 3',
    'Sea, five tints',
    'Clear under the white',
    'Pour 3',
    'Prime with gesso 3 times',
    'Peel the tape off the back',
  ])
    assert.ok(text.includes(says), says);
  await page.getByLabel('paper').selectOption('Letter');
  assert.deepEqual(sizes(await page.pdf(printed)), [[216, 279]]);
});

visit('a plan of twelve coats still fits its one page', {}, async ({ page }) => {
  await follow(page, '/pieces/kelp-cove-1');
  for (let i = 7; i <= 12; i++) {
    await page.getByRole('button', { name: 'sea', exact: true }).click();
    // it is put below the clear top, which goes up by one
    await page.getByRole('button', { name: new RegExp(`^${i} Clear top`) }).waitFor();
  }
  assert.equal(await page.getByRole('button', { name: 'glaze', exact: true }).isEnabled(), false);
  await page.getByRole('link', { name: 'Print' }).click();
  await page.getByText('one page upright').waitFor();
  await page.waitForTimeout(300);
  assert.deepEqual(sizes(await page.pdf(printed)), [[210, 297]]);
  const sheet = (await page.getByRole('article').boundingBox())!;
  const last = (await page.getByText('The product’s safety sheet decides').boundingBox())!;
  assert.ok(last.y + last.height < sheet.y + sheet.height, 'its last line is on the page');
});

visit('a mix sheet is one page for a pour, and for three pieces in one mixing; a quote is one page too', {}, async ({ page }) => {
  for (const query of ['kelp-cove-1:0', 'kelp-cove-1:0,kelp-cove-2:0,kelp-cove-3:0', 'window-seat-lid:1']) {
    await follow(page, `/mix/sheet?with=${query}`);
    const sheet = page.getByRole('article', { name: /^Mix sheet of/ });
    await sheet.waitFor();
    await page.waitForTimeout(400);
    assert.deepEqual(sizes(await page.pdf(printed)), [[210, 297]], query);
    const box = (await sheet.boundingBox())!;
    const last = (await page.getByText('Never leave a full cup standing').boundingBox())!;
    assert.ok(last.y + last.height < box.y + box.height, 'its last line is on the page');
  }
  await follow(page, '/mix/sheet?with=kelp-cove-1:0');
  // read from two steps away: the two weights are some 9 mm high
  const weight = page.getByText('A 133.8 g');
  assert.ok((await weight.evaluate((e) => parseFloat(getComputedStyle(e).fontSize))) >= 34);
  await follow(page, '/pieces/kelp-cove-1/quote');
  await page.getByLabel('show how it comes about').check();
  await page.waitForTimeout(400);
  assert.deepEqual(sizes(await page.pdf(printed)), [[210, 297]]);
  await follow(page, '/mix/sheet?with=gone:0');
  await page.getByText('There is nothing to mix here').waitFor();
});

visit('the card of a slope and the card for a smear are one page each, the latter at its real size', {}, async ({ page }) => {
  for (const [path, name] of [
    ['/tints/card?slope=slack-water', 'Card of Slack water'],
    ['/tints/target', 'Card for a smear'],
  ] as const) {
    await follow(page, path);
    await page.getByRole('article', { name }).waitFor();
    await page.waitForTimeout(200);
    assert.deepEqual(sizes(await page.pdf(printed)), [[210, 297]], path);
  }
  const card = (await page.getByRole('img', { name: 'Card for a smear' }).boundingBox())!;
  assert.ok(Math.abs(card.width / (96 / 25.4) - 150) < 0.2, `${card.width}`);
  await follow(page, '/tints/card?slope=slack-water');
  const text = await page.getByRole('article', { name: 'Card of Slack water' }).innerText();
  for (const says of ['Slow coating', '1.5 mm', '5 drops Phthalo blue tint', 'Offshore', '0.33 %']) assert.ok(text.includes(says), says);
});
