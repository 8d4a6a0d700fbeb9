import assert from 'node:assert/strict';
import type { Page } from 'playwright-core';
import { follow, openCoat, until, visit } from './help';

const table = (page: Page, label: string) => page.getByRole('group', { name: label, exact: true });
const firstCells = (page: Page, label: string, column: number): Promise<string[]> =>
  table(page, label)
    .locator('tbody tr')
    .evaluateAll(
      (rows, at) => rows.map((row) => (row as unknown as { cells: { innerText: string }[] }).cells[at]!.innerText.trim()),
      column,
    );

visit('pieces poured together: like cups are one, out of one mixing, and the sheet and the file follow', {}, async ({ page }) => {
  await follow(page, '/pieces');
  await page.getByRole('link', { name: 'Mix', exact: true }).click();
  const said = () => page.getByRole('main').locator('p').first().innerText();
  await until(said, (t) => t === 'Kelp Cove I · 233 ml in 1 batch', 'the next pour is chosen');
  await page.getByRole('checkbox', { name: 'Kelp Cove II, pour 1' }).check();
  await until(said, (t) => /^Kelp Cove I, Kelp Cove II · \d+ ml in 1 batch$/.test(t), 'two pieces, one mixing');
  await page
    .getByText(/^Kelp Cove II \d+ ml$/)
    .first()
    .waitFor();
  await page.getByRole('checkbox', { name: 'Kelp Cove III, pour 1' }).check();
  await until(said, (t) => /^Kelp Cove I, Kelp Cove II, Kelp Cove III · \d+ ml in 1 batch$/.test(t), 'and three, which no harm comes of');
  // another pour of a piece takes the place of the first: it is poured once in a session
  await page.getByRole('checkbox', { name: 'Kelp Cove III, pour 2' }).check();
  await page.getByRole('checkbox', { name: 'Kelp Cove III, pour 1' }).and(page.locator(':not(:checked)')).waitFor();

  await page.getByRole('tab', { name: 'By marked cups' }).click();
  await page.getByRole('combobox', { name: 'each part in' }).selectOption('Plain tumbler');
  await page
    .getByText(/This cup has no lines|filled to|It holds 250 ml/)
    .first()
    .waitFor();
  await page.getByRole('tab', { name: 'By scale' }).click();
  await page.getByText('By volume is not by weight.').waitFor();

  const [download] = await Promise.all([page.waitForEvent('download'), page.getByRole('button', { name: 'Cups as CSV' }).click()]);
  assert.equal(download.suggestedFilename(), 'cups.csv');
  await page.getByRole('link', { name: 'Mix sheet' }).click();
  await page.getByRole('article', { name: /^Mix sheet of Kelp Cove I/ }).waitFor();
});

visit('tables sort, filter, and come back as they were left', {}, async ({ page }) => {
  await follow(page, '/mix?with=kelp-cove-1:0');
  await page.getByRole('button', { name: 'ml', exact: true }).click();
  const sorted = await until(
    () => firstCells(page, 'cups', 2),
    (cells) => cells.length === 8 && cells.every((c, i) => i === 0 || Number(c) <= Number(cells[i - 1])),
    'largest first',
  );
  await page.getByRole('searchbox', { name: 'Filter cups' }).fill('turq');
  await page.getByText('5 of 8').waitFor();
  await page.waitForTimeout(300);
  await page.reload();
  await page.getByText('5 of 8').waitFor();
  assert.deepEqual(
    await firstCells(page, 'cups', 2),
    sorted
      .filter((_, i) => i >= 0)
      .filter((ml) => ['44', '24', '23', '22'].includes(ml))
      .slice(0, 5),
  );
  await page.getByRole('searchbox', { name: 'Filter cups' }).fill('nowhere');
  await page.getByText('Nothing here has “nowhere” in it.').waitFor();
});

visit('an empty table of pours says what to do', {}, async ({ page }) => {
  await follow(page, '/mix?with=');
  await page.getByText('Nothing is chosen to mix').waitFor();
  await page.getByText('Mark one or more pours at the left.').waitFor();
});

visit('a quote: hours and materials to a price, by the studio’s own rate, on one page', {}, async ({ page }) => {
  await follow(page, '/pieces/kelp-cove-1');
  await page.getByRole('link', { name: 'Print' }).click();
  await page.getByRole('link', { name: 'Quote' }).click();
  const price = async (): Promise<number> => Number((await page.getByTestId('price').innerText()).split(' ')[0]);
  await page.getByTestId('price').waitFor();
  const before = await price();
  await page.getByLabel('An hour of work').fill('30');
  await page.getByLabel('Margin').click();
  await until(price, (p) => p > before, 'a dearer hour, a higher price');
  await page.getByLabel('An hour of work').fill('a lot');
  await page.getByLabel('Margin').click();
  await page.getByText('“a lot” has no number in front').waitFor();
  await page.getByLabel('show how it comes about').check();
  await page.getByText('Work at 30.00 EUR an hour').waitFor();
  await page.getByText(/Without a price on the shelf, and so not in it: stones/).waitFor();
  assert.doesNotMatch(await page.getByRole('article').innerText(), /market|worth|value/i);
});

visit('white both ways, the texture of sand, and an additive’s cost beside their coats', {}, async ({ page }) => {
  await follow(page, '/pieces/kelp-cove-1');
  await openCoat(page, /^3 Wave/);
  await page.getByText(/for its reach/).waitFor();
  await page.getByRole('combobox', { name: 'cell additive' }).selectOption('silicone');
  await page.getByText(/It costs later: degrease, scuff and seal/).waitFor();
  await openCoat(page, /^1 Sand/);
  await page.getByRole('combobox', { name: 'texture' }).selectOption('coarse');
  await page.getByText(/^4[5-9](\.\d)? % of the volume/).waitFor();
});

visit(
  'how much is held back, and whether a batch may be split, are the studio’s own; a cup’s marks say how high to fill it',
  {},
  async ({ page }) => {
    await follow(page, '/settings');
    await page.getByLabel('Held back of every tint').fill('10 %');
    await page.getByLabel('Spare').click();
    await page.getByRole('combobox', { name: 'run-off' }).selectOption('caught');
    await page.getByRole('combobox', { name: 'batches' }).selectOption('always one');
    await page.getByRole('link', { name: 'Mix', exact: true }).click();
    for (const name of ['Kelp Cove II, pour 1', 'Kelp Cove III, pour 1']) await page.getByRole('checkbox', { name }).check();
    const told = () => page.getByRole('main').locator('p').first().innerText();
    await until(told, (t) => / ml in 1 batch$/.test(t), 'one mixing, as asked');
    await page.getByText('drips off and is caught').waitFor();
    const [deep] = await table(page, 'cups').getByRole('row', { name: /Deep/ }).allInnerTexts();
    const [, amount, , kept] = deep!
      .replace(/\n+/g, '\t')
      .split('\t')
      .filter((t) => /^[\d.]+$/.test(t))
      .map(Number);
    assert.ok(Math.abs(kept! / amount! - 0.1 / 1.12) < 0.02, `${kept} ml of ${amount} ml is kept`);

    await follow(page, '/mix?with=kelp-cove-1:0');
    await page.getByRole('tab', { name: 'By marked cups' }).click();
    await page.getByRole('combobox', { name: 'each part in' }).selectOption('Plain tumbler');
    await page.getByRole('row', { name: /^filled to 4\d mm 4\d mm$/ }).waitFor();
    await page.getByRole('combobox', { name: 'each part in' }).selectOption('300 ml cup');
    await page.getByText(/With lines 10 ml apart the ratio is exact, and [\d.]+ ml more is mixed\./).waitFor();
    await page.getByRole('combobox', { name: 'each part in' }).selectOption('30 ml cup');
    await page.getByText(/It holds 30 ml: fill it \d times/).waitFor();
  },
);
