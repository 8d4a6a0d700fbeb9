import assert from 'node:assert/strict';
import { readFileSync } from 'node:fs';
import type { Page } from 'playwright-core';
import type { Studio } from '#core/document';
import { emptyStudio } from '#core/craft';
import { writeStudio } from '#core/document';
import { exportStudio, follow, openCoat, openFile, replaced, until, visit } from './help';

const cups = (page: Page) => page.getByRole('group', { name: 'Cups', exact: true }).getByRole('button');
const cupNames = (page: Page): Promise<string[]> =>
  cups(page).evaluateAll((all) => all.map((b) => (b as unknown as { innerText: string }).innerText.split('\n')[0]!));
const steps = (page: Page): Promise<string> => page.getByLabel('Steps from cup to cup').innerText();
const picked = (page: Page, file: string) => page.getByLabel(/Choose a picture|Another picture/).setInputFiles(file);
const asFile = (name: string, buffer: Buffer, mimeType = 'image/png') => ({ name, mimeType, buffer });
const download = async (page: Page, item: string): Promise<{ name: string; text: string }> => {
  await page.getByRole('button', { name: 'Slope', exact: true }).press('Enter');
  const [file] = await Promise.all([page.waitForEvent('download'), page.getByRole('menuitem', { name: item }).click()]);
  const chunks: Buffer[] = [];
  for await (const chunk of await file.createReadStream()) chunks.push(chunk as Buffer);
  return { name: file.suggestedFilename(), text: Buffer.concat(chunks).toString('utf8') };
};

visit('a slope is shaped by numbers, its cups locked, put in and taken out, and every edit can be undone', {}, async ({ page }) => {
  await follow(page, '/pieces');
  await page.getByRole('link', { name: 'Tints', exact: true }).click();
  await page.getByRole('heading', { name: 'Slack water' }).waitFor();
  assert.deepEqual(await cupNames(page), ['Deep', 'Offshore', 'Mid', 'Shallow', 'Shore']);
  assert.match(await steps(page), /^\+0\.0[78]/);

  await page.getByLabel('Palest', { exact: true }).fill('0.3');
  await page.keyboard.press('Enter');
  await page.getByText('The palest must be lighter than the deepest, 0.4. Give 0.42 or more.').waitFor();
  assert.equal(await page.getByLabel('Palest', { exact: true }).inputValue(), '0.3');
  await page.getByLabel('Palest', { exact: true }).fill('0.6');
  await page.keyboard.press('Enter');
  await until(
    () => steps(page),
    (t) => /^\+0\.0[45]/.test(t),
    'smaller steps',
  );

  await cups(page).filter({ hasText: 'Mid' }).click();
  await page.getByRole('button', { name: 'Lock it' }).click();
  await cups(page).filter({ hasText: 'locked' }).waitFor();
  const mid = await cups(page).filter({ hasText: 'Mid' }).innerText();
  await page.getByLabel('Deepest', { exact: true }).fill('0.35');
  await page.keyboard.press('Enter');
  await page.getByText('has it as it was before').or(page.getByText('have it as it was before')).waitFor();
  assert.equal(await cups(page).filter({ hasText: 'Mid' }).innerText(), mid, 'a locked cup stays');

  await page.getByRole('button', { name: 'Insert after' }).click();
  await until(
    () => cups(page).count(),
    (n) => n === 6,
    'a cup more',
  );
  await page.getByRole('button', { name: 'Take out' }).click();
  await until(
    () => cups(page).count(),
    (n) => n === 5,
    'and out again',
  );
  const slider = page.getByRole('slider', { name: 'Cups, slider' });
  await slider.focus();
  await page.keyboard.press('ArrowLeft');
  await until(
    () => cups(page).count(),
    (n) => n === 4,
    'one less by the slider',
  );
  await page.getByRole('textbox', { name: 'Cups', exact: true }).fill('9');
  await page.keyboard.press('Enter');
  await page.getByText('A count of 9 is outside what can be planned. Give 2 to 8.').waitFor();

  for (const _ of [1, 2, 3, 4, 5, 6]) {
    await page.getByRole('button', { name: 'Undo' }).click();
    await page.waitForTimeout(150);
  }
  await until(
    () => steps(page),
    (t) => /^\+0\.0[78]/.test(t),
    'as it was',
  );
  assert.equal(await cups(page).filter({ hasText: 'locked' }).count(), 0);
});

visit('a slope that cannot be reached shows the nearest and what stops it', {}, async ({ page }) => {
  await follow(page, '/tints?slope=slack-water');
  await page.getByLabel('Palest', { exact: true }).fill('0.97');
  await page.keyboard.press('Enter');
  const warning = page.getByRole('status').filter({ hasText: 'What is shown is the nearest' });
  await warning.waitFor();
  assert.match(await warning.innerText(), /Shore was to be 0\.97 and comes to 0\.8\d+: that is the clear ground itself/);
  await warning.getByRole('button', { name: 'Take the nearest ends' }).click();
  await warning.waitFor({ state: 'detached' });
  // every colourant out, and it says what to do
  for (const label of [
    'Phthalo blue tint, parts in the deep',
    'Turquoise tint, parts in the deep',
    'Phthalo blue tint, parts toward the shore',
    'Turquoise tint, parts toward the shore',
  ]) {
    await page.getByLabel(label).fill('0');
    await page.keyboard.press('Enter');
    await page.waitForTimeout(150);
  }
  await page.getByText('Without a colourant every cup is clear. Add one.').waitFor();
});

visit('built from one cup: upward, with clear, with white', {}, async ({ page }) => {
  await follow(page, '/tints?slope=slack-water');
  const built = page.getByRole('group', { name: 'Steps', exact: true });
  await built.getByText('Pour off').first().waitFor();
  assert.match(await built.innerText(), /Tint all 136 ml: \d+ drops.*Pour off 24 ml: Shore.*What is left is Deep/s);
  await page.getByLabel('Amounts of').selectOption('Kelp Cove II');
  await built.getByText('Tint all').first().waitFor();
  assert.doesNotMatch(await built.innerText(), /Tint all 136 ml/, 'another piece takes other amounts');
  await page.getByLabel('Amounts of').selectOption('own amounts');
  await page.getByLabel('Which way').selectOption('clear');
  await built.getByText('of clear').first().waitFor();
  assert.match(await built.innerText(), /Pour off 44 ml: Deep.*Add \d+ ml of clear.*What is left is Shore/s);
  await page.getByLabel('Which way').selectOption('white');
  await built.getByText('Lightened with White paste').waitFor();
  assert.match(await built.innerText(), /\d+(\.\d+)? g White paste/);
  // turquoise that falls toward the deep cannot be taken out of a cup
  await page.getByLabel('Which way').selectOption('up');
  await page.getByLabel('Turquoise tint, parts toward the shore').fill('500');
  await page.keyboard.press('Enter');
  await page.getByLabel('Hue at shore', { exact: true }).fill('19');
  await page.keyboard.press('Enter');
  await page.getByLabel('holds').fill('900 ml');
  await page.keyboard.press('Enter');
  await built.getByText(/takes less Turquoise tint than .* nothing comes out of a cup again/).waitFor();
});

visit('a slope goes onto the coats that fit it, and the cups of the piece follow', {}, async ({ page }) => {
  await follow(page, '/tints?slope=bottle-bank');
  await page.getByRole('button', { name: 'Use on a coat' }).click();
  const dialog = page.getByRole('dialog');
  await dialog.getByText('Ferry tray, coat 2 · its sea has 4 parts, the slope 5 cups').waitFor();
  assert.ok(await dialog.getByRole('checkbox', { name: /Ferry tray/ }).isDisabled());
  await dialog.getByText('Window-seat lid, coat 2 · has it').waitFor();
  await dialog.getByRole('checkbox', { name: /Kelp Cove I,/ }).check();
  await dialog.getByRole('button', { name: 'Use it', exact: true }).click();
  await page.getByText('Bottle bank is on Kelp Cove I').waitFor();
  await page.getByText('used on Kelp Cove I, Window-seat lid').or(page.getByText('used on Window-seat lid, Kelp Cove I')).waitFor();
  const studio = JSON.parse(await exportStudio(page)) as Studio;
  const sea = studio.pieces.find((p) => p.id === 'kelp-cove-1')!.coats.find((c) => c.kind === 'sea')!;
  assert.ok(sea.kind === 'sea' && sea.slopeId === 'bottle-bank' && sea.tints[0]!.recipe.some((p) => p.colourantId === 'phthalo-green'));
  await follow(page, '/pieces/kelp-cove-1');
  await page.getByRole('button', { name: 'Undo' }).click();
  await until(
    async () => (JSON.stringify(JSON.parse(await exportStudio(page)) as Studio).includes('"slopeId":"bottle-bank"') ? 'still' : 'gone'),
    (v) => v === 'still',
    'the lid keeps it',
  );
});

visit('slopes: new, copied, reversed, beside one another, out as CSV and palette, in again, off and back', {}, async ({ page }) => {
  await follow(page, '/tints');
  await page.getByRole('heading', { name: 'Slack water' }).waitFor();
  const choose = async (item: string) => {
    await page.getByRole('button', { name: 'Slope', exact: true }).press('Enter');
    await page.getByRole('menuitem', { name: item }).click();
  };
  await choose('Reverse it');
  await until(
    () => cupNames(page),
    (n) => n[0] === 'Shore',
    'palest first',
  );
  await choose('Reverse it');
  await page.getByLabel('beside').selectOption('Bottle bank');
  await page.getByRole('region', { name: 'Bottle bank' }).waitFor();
  assert.equal(await page.getByRole('group', { name: 'Cups', exact: true }).count(), 2);
  await page.getByLabel('beside').selectOption('none');

  const svg = await download(page, 'Palette as SVG');
  assert.equal(svg.name, 'slack-water.svg');
  assert.equal((svg.text.match(/<rect /g) ?? []).length, 5);
  const csv = await download(page, 'All slopes as CSV');
  assert.match(csv.text, /^slope,cup,ml,resin,film mm,over,lightness,colour/);
  await page
    .getByLabel('Slopes from CSV')
    .setInputFiles(asFile('slopes.csv', Buffer.from(csv.text.replaceAll('Slack water', 'Slack again')), 'text/csv'));
  await page.getByText('2 slopes came in from slopes.csv').waitFor();
  await page.getByRole('combobox', { name: 'slope', exact: true }).selectOption('Slack again');
  await cups(page).filter({ hasText: 'locked' }).first().waitFor();
  await page.getByLabel('Slopes from CSV').setInputFiles(asFile('notes.csv', Buffer.from('a,b\n1,2\n'), 'text/csv'));
  await page.getByText('notes.csv was not brought in. This file has no column “slope”').waitFor();

  await choose('Remove Slack again');
  await page.getByText('Slack again was removed').waitFor();
  const again = page.getByRole('combobox', { name: 'slope', exact: true }).locator('option', { hasText: 'Slack again' });
  await until(
    () => again.count(),
    (n) => n === 0,
    'gone',
  );
  await page.getByRole('button', { name: 'Undo' }).press('Enter');
  await until(
    () => again.count(),
    (n) => n === 1,
    'back again',
  );
  await choose('New slope');
  await page.getByRole('heading', { name: /^Slope \d/ }).waitFor();
  await page.getByLabel('name').fill('Low tide');
  await page.keyboard.press('Tab');
  await page.getByRole('heading', { name: 'Low tide' }).waitFor();
});

visit('without a slope, and without colourants, the screen says what comes first', {}, async ({ page }) => {
  await openFile(page, writeStudio({ ...emptyStudio(), colourants: [] }));
  await page.getByRole('button', { name: 'Open it' }).click();
  await replaced(page);
  await follow(page, '/tints');
  await page.getByText('It is made of colourants, and there is none on the shelf.').waitFor();
  await page.getByRole('link', { name: 'Colourants on the shelf' }).waitFor();
  await follow(page, '/tints/match');
  await page.getByText('There is no colourant on the shelf to match with.').waitFor();
});

visit('when white is opaque enough is a number, and the stick test is explained by it', {}, async ({ page }) => {
  await follow(page, '/tints');
  await page.getByRole('tab', { name: 'White' }).click();
  await page.getByText('At 6 % it hides from 0.42 mm on.').waitFor();
  await page.getByRole('row', { name: '0.15 mm 0.69 not yet' }).waitFor();
  await page.getByRole('row', { name: '0.43 mm 0.90 yes' }).waitFor();
  await page.getByText('so no wood shows').waitFor();
  await page.getByLabel('white in the mix').fill('1 %');
  await page.keyboard.press('Enter');
  await page.getByText('so the wood shows through').waitFor();
});

visit('a pigment is measured on the pictures that ship, and kept on the shelf', {}, async ({ page }) => {
  await follow(page, '/tints/measure');
  await page.getByRole('button', { name: 'Grey-green paste' }).click();
  const says = page.getByRole('group', { name: 'What it says' });
  await says.getByText('k, undiluted').waitFor();
  const [red, green, blue] = (await says.locator('dd').nth(2).innerText()).split(' / ').map(Number);
  for (const [got, known] of [
    [red, 46],
    [green, 28],
    [blue, 32],
  ] as const)
    assert.ok(Math.abs(got! / known - 1) < 0.03, `${got} of ${known}`);
  // a corner that slips is refused, and set right again from the keyboard
  const corner = page.getByRole('slider', { name: /^Corner 1/ });
  await corner.focus();
  for (let i = 0; i < 9; i++) await page.keyboard.press('Shift+ArrowDown');
  await says
    .getByRole('alert')
    .filter({ hasText: /greys come back|smear is uneven/ })
    .waitFor();
  for (let i = 0; i < 9; i++) await page.keyboard.press('Shift+ArrowUp');
  await says.getByText('k, undiluted').waitFor();
  await says.getByLabel('called').fill('Rock pool');
  await says.getByRole('button', { name: 'Keep on the shelf' }).click();
  await page.getByText('Rock pool has its own k and s now').waitFor();
  const studio = JSON.parse(await exportStudio(page)) as Studio;
  const kept = studio.colourants.find((c) => c.name === 'Rock pool')!;
  assert.ok(Math.abs(kept.scatter[1] / 66 - 1) < 0.04);
});

visit('a card is marked by hand, corner by corner', {}, async ({ page }) => {
  await follow(page, '/tints/measure');
  const shot = (
    JSON.parse(readFileSync(new URL('../../src/demo/smears.json', import.meta.url), 'utf8')) as {
      width: number;
      corners: { x: number; y: number }[];
    }[]
  )[0]!;
  const bytes = readFileSync(new URL('../../static/sample/smear-blue.png', import.meta.url));
  await page.getByLabel('Choose a picture').setInputFiles(asFile('my-smear.png', bytes));
  await page.getByText('Click the middle of the upper left mark').waitFor();
  await page.getByLabel('its film').fill('0.5 mm');
  await page.keyboard.press('Enter');
  const drawing = page.getByRole('group', { name: /^Picture with/ }).locator('image');
  for (const [i, mark] of ['upper left', 'upper right', 'lower right', 'lower left'].entries()) {
    await page.getByText(`Click the middle of the ${mark} mark`).waitFor();
    const box = (await drawing.boundingBox())!;
    const { x, y } = shot.corners[i]!;
    await page.mouse.click(box.x + (x / shot.width) * box.width, box.y + (y / shot.width) * box.width);
  }
  await page.getByText('It scatters less than the black of the card shows').waitFor();
});

visit('a photo is matched: picks, their nearest tints, and a slope of them', {}, async ({ page }) => {
  await follow(page, '/tints/match?slope=slack-water');
  await picked(page, new URL('../../static/sample/smear-blue.png', import.meta.url).pathname);
  const drawing = page.getByRole('group', { name: /^Picture with/ }).locator('image');
  await drawing.waitFor();
  const box = (await drawing.boundingBox())!;
  await page.mouse.click(box.x + box.width * 0.4, box.y + box.height * 0.5);
  const first = page.getByRole('region', { name: 'Pick 1' });
  await first
    .getByText(/^match, ΔE/)
    .first()
    .waitFor();
  assert.match(await first.innerText(), /drops? (thinned )?Phthalo blue tint/);
  await page.mouse.click(box.x + box.width * 0.75, box.y + box.height * 0.5);
  await page.getByRole('region', { name: 'Pick 2' }).getByText(/ΔE/).first().waitFor();
  // the table beside the card is brown, and no blue makes that
  await page.mouse.click(box.x + box.width * 0.01, box.y + box.height * 0.03);
  await page.getByRole('region', { name: 'Pick 3' }).getByText('nearest, no match').first().waitFor();
  await page.getByRole('button', { name: 'Take pick 3 off' }).click();
  await until(
    () => page.getByRole('region', { name: /^Pick/ }).count(),
    (n) => n === 2,
    'two left',
  );
  await page.getByRole('button', { name: 'Make a slope of these' }).click();
  await page.getByRole('heading', { name: 'From smear-blue.png' }).waitFor();
  assert.equal(await cups(page).filter({ hasText: 'locked' }).count(), 2);
});

visit('a long search shows how far it is, and can be cancelled', {}, async ({ page }) => {
  const studio = JSON.parse(await exportStudio(page)) as Studio;
  const many = Array.from({ length: 26 }, (_, i) => ({
    ...studio.colourants[i % studio.colourants.length]!,
    id: `many-${i}`,
    name: `Colour ${i}`,
  }));
  // without containers everything on the shelf counts as owned
  await openFile(page, writeStudio({ ...studio, stock: [], colourants: [...studio.colourants, ...many] }));
  await page.getByRole('button', { name: 'Open it' }).click();
  await replaced(page);
  await follow(page, '/tints/match');
  await picked(page, new URL('../../static/sample/smear-blue.png', import.meta.url).pathname);
  const drawing = page.getByRole('group', { name: /^Picture with/ }).locator('image');
  await drawing.click({ position: { x: 200, y: 200 } });
  const bar = page.getByRole('progressbar', { name: 'Search for pick 1' });
  await until(
    async () => Number(await bar.getAttribute('aria-valuenow')),
    (v) => v > 0,
    'it moves',
  );
  await page.getByRole('button', { name: 'Cancel' }).click();
  await bar.waitFor({ state: 'detached' });
  await page.getByRole('region', { name: 'Pick 1' }).getByRole('button', { name: 'Search' }).waitFor();
  assert.equal(await page.getByText(/ΔE/).count(), 0);
});

/** A PNG that says it is so large, with nothing in it: what is refused is refused by its first bytes. */
function hugePng(): Buffer {
  const head = Buffer.from('89504e470d0a1a0a0000000d49484452', 'hex');
  const size = Buffer.alloc(8);
  size.writeUInt32BE(10000, 0);
  size.writeUInt32BE(6000, 4);
  return Buffer.concat([head, size, Buffer.from('0802000000', 'hex'), Buffer.alloc(40)]);
}
const heic = Buffer.concat([Buffer.from('0000001c66747970686569630000000068656963' + '6d696631', 'hex'), Buffer.alloc(200)]);

visit('pictures that cannot be read say why, and the screen stays whole', {}, async ({ page }) => {
  for (const path of ['/tints/measure', '/tints/match']) {
    await follow(page, path);
    for (const [file, says] of [
      [asFile('notes.png', Buffer.from('this is a shopping list')), /notes\.png is no picture this app can read/],
      [asFile('huge.png', hugePng()), /huge\.png has 60 megapixels \(10000 × 6000\); up to 45/],
      [asFile('phone.heic', heic, 'image/heic'), /phone\.heic is a HEIC photo.*JPEG/],
      [asFile('empty.png', Buffer.alloc(0)), /empty\.png is empty/],
      [
        asFile('cut.png', readFileSync(new URL('../../static/sample/smear-blue.png', import.meta.url)).subarray(0, 60)),
        /cut\.png begins like a picture/,
      ],
    ] as const) {
      await page.getByLabel(/Choose a picture|Another picture/).setInputFiles(file);
      await page.getByRole('alert').filter({ hasText: says }).waitFor();
      await page
        .getByRole('button', { name: 'Choose a picture' })
        .or(page.getByText('Choose a picture', { exact: true }))
        .first()
        .waitFor();
    }
    await picked(page, new URL('../../static/sample/smear-blue.png', import.meta.url).pathname);
    await page.getByRole('group', { name: /^Picture with/ }).waitFor();
    assert.equal(await page.getByRole('alert').count(), 0);
    // a bad one after a good one: the good one stays
    await page.getByLabel('Another picture').setInputFiles(asFile('later.png', Buffer.alloc(0)));
    await page.getByRole('alert').filter({ hasText: 'later.png is empty' }).waitFor();
    assert.ok(await page.getByRole('group', { name: /^Picture with/ }).isVisible());
  }
});

visit(
  'a piece is scrubbed through its coats: chart and section follow, and a glaze says what it leaves of the lacing',
  {},
  async ({ page }) => {
    await follow(page, '/pieces/kelp-cove-1');
    await page.getByRole('tab', { name: 'Stages' }).click();
    const coats = page.getByLabel('Coats laid');
    await coats.waitFor();
    const colours = (): Promise<string[]> =>
      page
        .getByRole('group', { name: 'Chart of Kelp Cove I' })
        .locator('path[fill^="#"]')
        .evaluateAll((all) => [...new Set(all.map((e) => e.getAttribute('fill')!))].sort());
    const names = async (): Promise<string> => (await page.getByRole('group', { name: /^Section from A/ }).textContent())!;
    // foam is pictured beside the screen, in white of its own colours
    const pictured = page.getByRole('group', { name: 'Chart of Kelp Cove I' }).locator('[data-foam]');
    await pictured.nth(1).waitFor({ state: 'attached', timeout: 120_000 });
    const finished = await colours();
    await coats.fill('0');
    await until(
      async () => (await colours()).length,
      (n) => n === 1,
      'the bare board is one colour',
    );
    await coats.fill('2');
    await until(
      () => names(),
      (t) => /sea/.test(t) && !/glaze/.test(t),
      'no glaze yet',
    );
    const sea = await colours();
    await coats.focus();
    await page.keyboard.press('ArrowRight');
    await page.getByText('after coat 3, wave').waitFor();
    const closed = () =>
      page.getByRole('group', { name: 'Chart of Kelp Cove I' }).locator('g[fill-opacity]').first().getAttribute('fill-opacity');
    await pictured.first().waitFor({ state: 'attached' });
    assert.equal(await pictured.first().getAttribute('data-foam'), 'rehearsed', 'hard, its cells are open as they were rehearsed');
    await page.getByLabel('still wet').check();
    await until(closed, (o) => Number(o) === 1, 'wet, it is whole');
    assert.equal(await pictured.count(), 0);
    await page.getByLabel('still wet').uncheck();
    await page.getByRole('button', { name: 'after coat 3, show all' }).click();
    await until(
      async () => (await colours()).join(),
      (c) => c === finished.join(),
      'finished again',
    );
    assert.notDeepEqual(sea, finished, 'the glaze changes what is seen');
    await openCoat(page, /^4 Glaze/);
    const lacing = await page.getByText('The white of coat 3 shows through it').innerText();
    assert.match(lacing, /\d+(\.\d)? % of its contrast stays, 0\.\d+ of 0\.\d+/);
  },
);
