import assert from 'node:assert/strict';
import type { Page } from 'playwright-core';
import { allIsSo, cupRow, follow, openCoat, plainServer, until, visit } from './help';

/** Plans as an artist with inches, ounces and marked cups would, in an empty studio. */
async function inUsCups(page: Page): Promise<void> {
  await follow(page, '/settings');
  await page.getByLabel('All at once').selectOption('US');
  await page.getByLabel('Temperatures').and(page.locator('select')).waitFor();
  await page.getByLabel('Measure with').selectOption('marked cups');
  await until(
    () => page.getByLabel('The scale reads in steps of').count(),
    (n) => n === 0,
    'no scale is asked about',
  );
}

const WEIGHT = /\d (?:g|oz wt)\b/;

visit('in US units and marked cups: a round with pinks and a gold base', { server: plainServer }, async ({ page }) => {
  await inUsCups(page);
  // a colourant of one's own, by its look
  await follow(page, '/shelf?view=colourants');
  await page.getByRole('button', { name: 'Add a colourant' }).click();
  const dialog = page.getByRole('dialog');
  await dialog.getByLabel('Name').fill('Coral tint');
  await dialog.getByLabel('Colour', { exact: true }).fill('the sea at dusk');
  await dialog.getByRole('button', { name: 'Put it on the shelf' }).click();
  await dialog.getByText('“the sea at dusk” is no colour here. Pick one, or write it as #1b6f8a or teal.').waitFor();
  await dialog.getByLabel('Colour', { exact: true }).fill('coral');
  await dialog.getByLabel('How strong it is').selectOption('cup');
  await dialog.getByLabel('So much of it').fill('0 drops');
  await dialog.getByRole('button', { name: 'Put it on the shelf' }).click();
  await dialog.getByText('Nothing of it has no colour. Give one drop or more.').waitFor();
  await dialog.getByLabel('So much of it').fill('6 drops');
  await dialog.getByLabel('in so much resin').fill('1 ½ fl oz');
  await dialog.getByRole('button', { name: 'Put it on the shelf' }).click();
  await dialog.waitFor({ state: 'detached' });
  await page.getByRole('row').filter({ hasText: 'Coral tint' }).getByText('by eye', { exact: true }).waitFor();

  await follow(page, '/pieces/new');
  await page.getByLabel('Name').fill('Rose round');
  await page.getByLabel('Shape').selectOption('round');
  await page.getByLabel('Diameter').fill('1 ft');
  await page.getByLabel('Thickness of the board').fill('½"');
  await page.getByRole('button', { name: 'Put it on the table' }).click();
  await page.getByText(/^round 12 × 1\/2 in, raw wood, gesso × 3/).waitFor();

  // a base of gold under the sea
  await page.getByRole('button', { name: 'base', exact: true }).click();
  await openCoat(page, /^1 Base/);
  await page.keyboard.press('Escape');
  const cups = page.getByRole('region', { name: /^Cups for pour/ });
  await cups.getByRole('button', { name: /^Base/ }).click();
  await cups.getByRole('button', { name: 'Gold mica powder' }).click();
  await cups.getByRole('button', { name: 'Take White paste off' }).click();
  await page.getByLabel('Gold mica powder').fill('1/2 tsp');
  await page.keyboard.press('Enter');
  await cups.getByText(/^1\/2 tsp Gold mica powder$/).waitFor();

  // pinks in the sea
  await openCoat(page, /^3 Sea/);
  await page.keyboard.press('Escape');
  await cups.getByRole('button', { name: /^Deep/ }).click();
  await cups.getByRole('button', { name: 'Coral tint' }).click();
  await page.getByLabel('Coral tint').fill('0.5 drops');
  await page.keyboard.press('Enter');
  await cups.getByText('“0.5 drops” cannot be counted. Give whole drops').waitFor();
  await page.getByLabel('Coral tint').fill('5 drops');
  await page.keyboard.press('Enter');
  await cups
    .getByText(/5 drops Coral tint/)
    .first()
    .waitFor();
  assert.match((await cupRow(page, 'Deep'))[0]!, /^\d\.\d\d$/);
  assert.doesNotMatch(await cups.innerText(), WEIGHT);

  // to the sheet and the bench
  await page.getByRole('link', { name: 'Mix these' }).click();
  await page.getByRole('link', { name: 'Mix sheet' }).click();
  const sheet = page.getByRole('article', { name: /^Mix sheet/ });
  await sheet.waitFor();
  assert.doesNotMatch(await sheet.innerText(), WEIGHT);
  await follow(page, '/pieces/rose-round');
  await page.getByRole('button', { name: 'Start the pour' }).click();
  await page.getByRole('button', { name: 'Start', exact: true }).click();
  await allIsSo(page);
  await page.getByText('Bring A and B together, and press as they meet.').waitFor();
  const main = page.getByRole('main');
  assert.match(await main.innerText(), /A\s*\d\.\d\d fl oz|\d\.\d\d fl oz\s*A/);
  assert.doesNotMatch(await main.innerText(), WEIGHT);
});

visit('in US units and marked cups: a beachless sea', { server: plainServer }, async ({ page }) => {
  await inUsCups(page);
  await follow(page, '/pieces/new');
  await page.getByLabel('Name').fill('Out at sea');
  await page.getByLabel('Width').fill(`1' 4"`);
  await page.getByLabel('Height').fill('12 1/2 in');
  await page.getByLabel('Sea to start from').selectOption('open sea');
  await page.getByRole('button', { name: 'Put it on the table' }).click();
  await page.getByText(/^panel 16 × 12 1\/2 × 3\/4 in/).waitFor();
  const cups = page.getByRole('region', { name: 'Cups for pour 1' });
  await cups.waitFor();
  assert.doesNotMatch(await cups.innerText(), /Sand/);
  await openCoat(page, /^1 Sea, five tints/);
  const film = page.getByLabel('film');
  assert.equal(await film.inputValue(), '0.079 in');
  await page.getByText('6.3 fl oz/sq ft').waitFor();
  await film.fill('3 oz/sq ft');
  await page.keyboard.press('Enter');
  await until(
    () => film.inputValue(),
    (text) => text === '0.038 in',
    'as it is stored',
  );
  await page.getByText('3 fl oz/sq ft').waitFor();
  await page.getByRole('combobox', { name: 'how it is laid' }).selectOption('spread');
  assert.equal(await film.inputValue(), '0.038 in', 'a film of one’s own stays');
});

visit('in US units and marked cups: a half-poured panel', { server: plainServer }, async ({ page }) => {
  await inUsCups(page);
  await follow(page, '/pieces/new');
  await page.getByLabel('Name').fill('Half a cove');
  await page.getByRole('button', { name: 'Put it on the table' }).click();
  await page.getByText(/^panel 16 × 12 × 3\/4 in/).waitFor();
  const top = (await cupRow(page, 'White'))[0];
  assert.ok(top);
  await openCoat(page, /^3 Wave/);
  await page.getByRole('checkbox', { name: 'already on the board' }).check();
  await page.getByText('Begun before: scuff and wipe before the next coat').waitFor();
  // a day that has not come is refused, and nothing is stored of it
  await page.getByLabel('poured on, if you know').fill('2199-01-01');
  await page.getByLabel('poured on, if you know').blur();
  await page.getByText('Begun before: scuff and wipe before the next coat').waitFor();
  await page.getByLabel('poured on, if you know').fill('2026-01-15');
  await page.getByText('Scuff and wipe before the next coat', { exact: true }).waitFor();
  await page.keyboard.press('Escape');
  await page.getByText('These coats are on the board already, so nothing is mixed for them.').waitFor();
  for (const name of [/^3 Wave/, /^2 Sea/, /^1 Sand/])
    assert.match(await page.getByRole('button', { name }).innerText(), /on it since 15 Jan/);

  // only the top is left to mix, and nothing of it is weighed
  await page.getByRole('button', { name: /^4 Clear top/ }).click();
  const cups = page.getByRole('region', { name: 'Cups for pour 2' });
  await cups.getByRole('button', { name: 'Clear' }).waitFor();
  assert.doesNotMatch(await cups.innerText(), WEIGHT);
  await page.getByRole('button', { name: 'Start the pour' }).click();
  const dialog = page.getByRole('dialog');
  await dialog.getByText(/What lies below no longer bonds by itself/).waitFor();
  assert.match(await dialog.getByRole('option', { name: /on it already/ }).innerText(), /^1: Sand/);
  await dialog.getByRole('button', { name: 'Pour it all the same' }).click();
  await allIsSo(page);
  await page.waitForURL('**/pour/**');
  await page.getByText('Bring A and B together, and press as they meet.').waitFor();
  assert.doesNotMatch(await page.getByRole('main').innerText(), WEIGHT);

  // it was never poured here, so the log has the one pour; on the sheet it stands as what lies
  await follow(page, '/pieces/half-a-cove/print');
  const sheet = page.getByRole('article', { name: 'Piece sheet of Half a cove' });
  await sheet.waitFor();
  const text = await sheet.innerText();
  assert.match(text, /on it since 15 Jan/);
  assert.match(text, /Scuff what lies on it/);
  assert.doesNotMatch(text, WEIGHT);
});
