import assert from 'node:assert/strict';
import type { Studio } from '#core/document';
import { allIsSo, cupMl, exportStudio, follow, openCoat, openFile, thin, until, visit } from './help';

visit(
  'a board of 40 m, a side in inchs, a name left out: each says what would be right, and what was typed stays',
  {},
  async ({ page }) => {
    await follow(page, '/pieces/new');
    await page.getByLabel('Width').fill('40 m');
    await page.getByLabel('Height').fill('12 inchs');
    await page.getByLabel('Thickness of the board').fill('-3');
    await page.getByText('The rest', { exact: true }).click();
    await page.getByLabel('How many, all alike').fill('two');
    await page.getByRole('button', { name: 'Put it on the table' }).click();
    await page.getByText('A side of 40000 mm is outside what can be planned. Give 20 mm to 3000 mm.').waitFor();
    await page.getByText('“inchs” is not a length unit here. Write mm, cm, m, in or ft, as in “12 in”. Did you mean “12 in”?').waitFor();
    await page.getByText('A thickness of −3 mm is outside what can be planned').waitFor();
    await page.getByText('Give a whole number from 1 to 50.').waitFor();
    await page.getByText('Give the piece a name').first().waitFor();
    assert.equal(await page.getByLabel('Width').inputValue(), '40 m');
    assert.equal(await page.getByLabel('Height').inputValue(), '12 inchs');
    assert.equal(new URL(page.url()).pathname, '/pieces/new');
  },
);

visit('a room at −10 °C, in the settings and at the start of a pour', {}, async ({ page }) => {
  await follow(page, '/settings');
  await page.getByLabel('By day').fill('−10 °C');
  await page.keyboard.press('Enter');
  await page.getByText('A room of −10 °C is outside what can be planned. Give 5 °C to 40 °C.').waitFor();
  await follow(page, '/pieces/kelp-cove-1');
  await page.getByRole('tab', { name: 'The batch on the clock' }).click();
  await page.getByText('Slow coating at 21.4 °C').waitFor();
  await page.getByRole('button', { name: 'Start the pour' }).click();
  await page.getByLabel('Temperature at the bench now').fill('-10');
  await page.getByRole('button', { name: 'Start', exact: true }).click();
  await page.getByText('A room of −10 °C is outside what can be planned').waitFor();
  assert.match(page.url(), /\/pieces\/kelp-cove-1$/);
});

visit('a film of nothing, of letters, of 90 mm', {}, async ({ page }) => {
  await follow(page, '/pieces/kelp-cove-1');
  const before = await cupMl(page, 'Deep');
  await openCoat(page, /^2 Sea, five tints/);
  const film = page.getByLabel('film');
  for (const [typed, says] of [
    ['0', 'A film of 0 mm is outside what can be planned. Give 0.1 mm to 50 mm.'],
    ['thick', '“thick” has no number in front.'],
    ['90 mm', 'A film of 90 mm is outside'],
    ['1.2.3', '“1.2.3” is not a number'],
  ] as const) {
    await film.fill(typed);
    await page.keyboard.press('Enter');
    await page.getByText(says).waitFor();
    assert.equal(await film.inputValue(), typed);
  }
  await page.keyboard.press('Escape');
  assert.equal(await cupMl(page, 'Deep'), before);
});

visit('a file of the wrong kind, from a later version, or broken inside changes nothing and says where', {}, async ({ page }) => {
  const text = await exportStudio(page);
  const studio = JSON.parse(text);
  const later = JSON.stringify({ ...studio, version: 3 });
  const broken = JSON.stringify({ ...studio, pieces: [{ ...studio.pieces[0], thickness: -3 }, ...studio.pieces.slice(1)] });
  for (const [file, says] of [
    ['a letter, not a studio', 'found text beginning “a letter, not a studio”, expected a Nerite studio file (JSON).'],
    ['', 'found an empty file'],
    [later, 'At /version: found 3, expected up to 2; the file was written by a later Nerite, so open it there.'],
    [broken, 'At /pieces/0/thickness: found -3, expected a number from 1.'],
  ] as const) {
    await openFile(page, file, 'letter.json');
    await page.getByText('letter.json was not opened, and nothing was changed.').waitFor();
    await page.getByText(says).waitFor();
  }
  assert.equal(await exportStudio(page), text);

  // on a phone a name without an end breaks off at the edge
  const endless = JSON.stringify({ ...studio, pieces: [{ ...studio.pieces[0], name: 'x'.repeat(500) }, ...studio.pieces.slice(1)] });
  await page.setViewportSize({ width: 390, height: 844 });
  await openFile(page, endless, 'letter.json');
  const said = page.getByRole('alert').filter({ hasText: 'At /pieces/0/name: found "xxx' });
  await said.waitFor();
  const { x, width } = (await said.boundingBox())!;
  assert.ok(x + width <= 390, `it ends at ${x + width} px`);
});

/** A disk that is full while window.__full is set. */
const fullDisk = `for (const method of ['put', 'add']) {
  const real = IDBObjectStore.prototype[method];
  IDBObjectStore.prototype[method] = function (...args) {
    if (globalThis.__full) throw new DOMException('the quota has been exceeded', 'QuotaExceededError');
    return real.apply(this, args);
  };
}`;

visit(
  'a full disk: it is said, what was done stays on screen, and goes along with the next edit',
  { allow: /quota/i, alone: true },
  async ({ page, context }) => {
    await context.addInitScript(fullDisk);
    await follow(page, '/pieces/kelp-cove-1');
    const point = page.getByRole('slider', { name: 'Shoreline, point 2 of 5' });
    const before = await point.getAttribute('aria-valuenow');
    await page.evaluate('globalThis.__full = true');
    await point.focus();
    await page.keyboard.press('Shift+ArrowUp');
    await page.getByText('The disk is full, so this was not stored.').first().waitFor();
    assert.equal(Number(await point.getAttribute('aria-valuenow')), Number(before) - 10);
    await page.getByText('Not kept yet', { exact: true }).waitFor();
    await page.evaluate('globalThis.__full = false');
    await page.keyboard.press('ArrowUp');
    await page.getByText('Kept', { exact: true }).waitFor();
    await page.reload();
    await until(
      () => point.getAttribute('aria-valuenow'),
      (v) => Number(v) === Number(before) - 11,
      'both moves were stored',
    );
    // nor does a slope read as kept that is not
    await follow(page, '/tints');
    const palest = page.getByLabel('Palest', { exact: true });
    await palest.waitFor();
    await page.evaluate('globalThis.__full = true');
    await palest.fill('0.6');
    await page.keyboard.press('Enter');
    await page.getByText('Not kept yet', { exact: true }).waitFor();
    await page.getByText('The disk is full, so this was not stored.').first().waitFor();
    assert.equal(await page.getByText('Kept', { exact: true }).count(), 0);
    await page.evaluate('globalThis.__full = false');
    await palest.fill('0.65');
    await page.keyboard.press('Enter');
    await page.getByText('Kept', { exact: true }).waitFor();
  },
);

visit(
  'a full disk at the bench: what happened is held in this window and in a file, the pour goes on, and goes to the disk once that can',
  { allow: /quota/i, alone: true },
  async ({ page, context }) => {
    await context.addInitScript(fullDisk);
    await follow(page, '/pieces/kelp-cove-1');
    await page.getByRole('button', { name: 'Start the pour' }).click();
    await page.getByRole('button', { name: 'Start', exact: true }).click();
    await allIsSo(page);
    const at = (words: string) => page.getByRole('main').getByRole('status').filter({ hasText: words }).waitFor();
    await at('Bring A and B together');
    await page.evaluate('globalThis.__full = true');
    await page.getByRole('button', { name: /A and B are together/ }).click();
    await page.getByText('The disk is full, so this was not stored.').first().waitFor();
    await at('Thin what the cups want too little of.');
    await thin(page);
    await at('Lay the beach');
    const [file] = await Promise.all([
      page.waitForEvent('download'),
      page.getByRole('button', { name: 'Save the studio with them as a file' }).click(),
    ]);
    const chunks: Buffer[] = [];
    for await (const chunk of await file.createReadStream()) chunks.push(chunk as Buffer);
    const kinds = (text: string): string[] => (JSON.parse(text) as Studio).pours.at(-1)!.events.map((e) => e.kind);
    assert.deepEqual(kinds(Buffer.concat(chunks).toString()), ['ready', 'mixed', 'did']);
    await page.evaluate('globalThis.__full = false');
    await page.waitForTimeout(420);
    await page.getByRole('main').getByRole('button', { name: /^Laid/ }).click();
    await at('Lay Deep');
    await page.getByText('are held in this window only').waitFor({ state: 'detached' });
    await page.reload();
    await at('Lay Deep');
    const text = await exportStudio(page);
    assert.deepEqual(kinds(text), ['ready', 'mixed', 'did', 'did']);
    const moments = (JSON.parse(text) as Studio).pours.at(-1)!.events.map((e) => Date.parse(e.at));
    assert.ok(
      moments.every((m, i) => i === 0 || m > moments[i - 1]!),
      'each keeps the moment it was pressed',
    );
  },
);

visit('a slip at the scale is sized before A and B meet', {}, async ({ page }) => {
  await follow(page, '/pieces/kelp-cove-1');
  await page.getByRole('button', { name: 'Start the pour' }).click();
  await page.getByRole('button', { name: 'Start', exact: true }).click();
  await allIsSo(page);
  await page.getByLabel('A weighed').fill('124.6');
  await page.getByLabel('B weighed').fill('124.6 g');
  await page.getByText('17.3 % too much hardener').waitFor();
  await page.getByText(/Add 21\.\d g of A; the batch becomes 270\.\d g/).waitFor();
  await page.getByLabel('B weighed').fill('lots');
  await page.getByText('“lots” has no number in front').waitFor();
  await page.getByLabel('B weighed').fill('106');
  await page.getByText(/The ratio is right to 0\.1\d %/).waitFor();
});

visit('a piece, a pour, a log line and a screen that are not there', { allow: /404|Not found/ }, async ({ page, base }) => {
  for (const [path, says] of [
    ['/pieces/raft', 'This piece is not in the studio'],
    ['/pour/none', 'This pour is not in the studio'],
    ['/log/none', 'This pour is not in the log'],
    ['/harbour', 'There is no screen at this address'],
  ]) {
    await page.goto(base + path);
    await page.getByText(says!).waitFor();
  }
});
