import assert from 'node:assert/strict';
import type { Page } from 'playwright-core';
import { exportStudio, follow, until, visit } from './help';

const left = (page: Page, name: RegExp) =>
  page
    .getByRole('button', { name: /^left: / })
    .and(page.locator('button'))
    .filter({ hasText: name });
const csv = (page: Page, text: string, name = 'shelf.csv') =>
  page.getByLabel('Bring in CSV').setInputFiles({ name, mimeType: 'text/csv', buffer: Buffer.from(text) });
const stockOf = async (page: Page) =>
  (JSON.parse(await exportStudio(page)) as { stock: { id: string; name: string; size: number }[] }).stock;

visit('the shelf is changed where it stands, by keyboard, and undone', {}, async ({ page }) => {
  await follow(page, '/shelf');
  await page.getByRole('button', { name: 'container: 15 ml bottle' }).focus();
  await page.keyboard.press('Enter');
  await page.keyboard.type('Ink, half full');
  await page.keyboard.press('Enter');
  await page.getByRole('button', { name: 'container: Ink, half full' }).waitFor();
  // Enter goes on to the cell below, arrows to those beside
  await until(
    () => page.evaluate('document.activeElement.getAttribute("aria-label")') as Promise<string>,
    (label) => label === 'container: 500 ml tub',
    'the cell below has the keyboard',
  );
  await page.keyboard.press('ArrowRight');
  await until(
    () => page.evaluate('document.activeElement.getAttribute("aria-label")') as Promise<string>,
    (label) => label === 'size: 500 ml',
    'the cell beside it',
  );
  await page.keyboard.press('Control+z');
  await page.getByRole('button', { name: 'container: 15 ml bottle' }).waitFor();
  await page.keyboard.press('Control+Shift+z');
  await page.getByRole('button', { name: 'container: Ink, half full' }).waitFor();
});

visit('a container beyond its content, a density of 5, a price of words: a sentence, and what was typed stays', {}, async ({ page }) => {
  await follow(page, '/shelf');
  await left(page, /^924 g$/).click();
  const cell = page.getByRole('textbox', { name: 'left' });
  await cell.fill('1200 g');
  await cell.press('Enter');
  await page.getByText('It holds 1000 g when full. Give what is left in it, or add a container.').waitFor();
  assert.equal(await cell.inputValue(), '1200 g');
  await cell.fill('900 g');
  await cell.press('Enter');
  await left(page, /^900 g$/).waitFor();

  await page.getByRole('tab', { name: 'Resins' }).click();
  const edit = async (name: string, value: string): Promise<void> => {
    await page.getByRole('button', { name }).first().click();
    await page
      .getByRole('textbox', { name: name.split(':')[0]!.trim() })
      .last()
      .fill(value);
    await page.keyboard.press('Enter');
  };
  await edit('A : B: 2 : 1', '2:1:1');
  await page.getByText('“2:1:1” has 3 parts').waitFor();
  await page.getByRole('textbox', { name: 'A : B' }).fill('0:1');
  await page.keyboard.press('Enter');
  await page.getByText('a part of 0 never cures').waitFor();
  await page.keyboard.press('Escape');
  await edit('A weighs: 1.14 g/ml', '5');
  await page.getByText('A density of 5 g/ml is outside what can be planned').waitFor();
  await page.getByRole('textbox', { name: 'A weighs' }).fill('57.6 g / 50 g');
  await page.keyboard.press('Enter');
  await page.getByRole('button', { name: 'A weighs: 1.15' }).nth(1).waitFor();
  await edit('colourant limit: 5 %', '0');
  await page.getByText('A limit of 0 % is outside what can be planned').waitFor();
  await page.keyboard.press('Escape');
  assert.equal(await page.getByRole('button', { name: 'in use Thick art' }).isDisabled(), true);

  await page.getByRole('tab', { name: 'Colourants' }).click();
  await edit('drop: 58.8 to a gram', '50 to a gram');
  await page.getByRole('button', { name: 'drop: 50 to a gram' }).waitFor();
  await page.getByRole('tab', { name: 'Cups and moulds' }).click();
  await edit('marked with water: not marked', '50 g at 30 mm, 20 g at 40 mm');
  await page.getByText('More water must stand higher').waitFor();
});

visit('a pour that is finished comes off the shelf, and what is needed next is to buy', {}, async ({ page }) => {
  await follow(page, '/shelf?view=buy');
  await page.getByText('To buy: 12.00 EUR, and 1 without a known pack').waitFor();
  await page.getByRole('cell', { name: '1 × box of 100' }).waitFor();
  for (const piece of ['Kelp Cove I', 'Kelp Cove II', 'Kelp Cove III', 'Window-seat lid', 'Ferry tray'])
    await page.getByLabel(piece, { exact: true }).uncheck();
  await page.getByText('Nothing to buy').waitFor();
  await page.getByText('No pour is planned, so nothing is needed.').waitFor();
  await page.getByRole('tab', { name: 'Used' }).click();
  await page.getByRole('cell', { name: 'Jetty rail' }).first().waitFor();
  const [download] = await Promise.all([page.waitForEvent('download'), page.getByRole('button', { name: 'Usage as CSV' }).click()]);
  assert.equal(download.suggestedFilename(), 'usage.csv');
});

visit('CSV in: a preview says what will change, wrong files change nothing', {}, async ({ page }) => {
  const before = await stockOf(page);
  await follow(page, '/shelf');
  await page.getByText('21', { exact: true }).waitFor();
  await csv(page, 'colour,amount\nblue,3\n', 'colours.csv');
  await page
    .getByRole('dialog')
    .getByText(/no column “what”/)
    .waitFor();
  await page.getByRole('button', { name: 'Leave it' }).click();
  await csv(page, `what,name,size,unit,price,since\n${'sand,bag,1,g,1,2026-01-01\n'.repeat(20_000)}`);
  await page
    .getByRole('dialog')
    .getByText(/has 20000 rows; a shelf of up to 5000/)
    .waitFor();
  await page.getByRole('button', { name: 'Leave it' }).click();

  await csv(
    page,
    'id,what,name,size,unit,price,since\nsand-1,sand,"5 kg bag, washed",5000,g,4.9,2026-08-20\n,gesso,new tub,=250*2,ml,11,2026-11-24\n,stones,bag of 50,50,pieces,3,2026-11-24\n',
  );
  const dialog = page.getByRole('dialog');
  await dialog.getByText('1 new, 1 changed, 0 as they are, 1 not read.').waitFor();
  await dialog.getByText('price 4.5 → 4.9').waitFor();
  await dialog.getByText(/Line 3: size is a formula/).waitFor();
  assert.deepEqual(await stockOf(page), before, 'nothing is stored by looking');

  await follow(page, '/shelf');
  await csv(page, 'what,name,size,unit,price,since\nstones,bag of 50,50,pieces,3,2026-11-24\n');
  await page.getByRole('button', { name: 'Bring in 1' }).click();
  await page.getByRole('dialog').waitFor({ state: 'detached' });
  await page.getByRole('button', { name: 'container: bag of 50' }).waitFor();
  await page.getByRole('button', { name: 'Undo' }).click();
  await page.getByRole('button', { name: 'container: bag of 50' }).waitFor({ state: 'detached' });
  assert.deepEqual(await stockOf(page), before);
});

visit('a container added, filled in, and taken away again', {}, async ({ page }) => {
  await follow(page, '/shelf');
  await page.getByRole('button', { name: 'Add a container' }).click();
  await page.getByText('22', { exact: true }).waitFor();
  await page.getByRole('searchbox').fill('New container');
  await page.getByText('1 of 22').waitFor();
  await page.getByRole('button', { name: /^what: / }).click();
  await page.getByRole('combobox', { name: 'what' }).selectOption('White paste');
  await page.getByRole('button', { name: 'what: White paste' }).waitFor();
  await page.getByRole('button', { name: /^Remove White paste, New container/ }).click();
  await page.getByText('Nothing here has “New container” in it.').waitFor();
});

visit('more taken than any container held is said, with the way to put it right', {}, async ({ page }) => {
  await follow(page, '/shelf');
  await page.getByRole('searchbox').fill('Thick art A');
  await page.getByText('1 of 21').waitFor();
  await page.getByRole('button', { name: /^bought: / }).click();
  const bought = page.getByRole('textbox', { name: 'bought' });
  await bought.fill('yesterday');
  await bought.press('Enter');
  await page.getByText('“yesterday” is no date. Write it as 2026-11-25, or leave it empty.').waitFor();
  await bought.fill('2099-01-01');
  await bought.press('Enter');
  await page.getByText(/Taken beyond what was there: \d+ g of Thick art A for Ferry tray/).waitFor();
  await page.getByRole('button', { name: 'Undo' }).click();
  await page.getByText('Taken beyond what was there').waitFor({ state: 'detached' });
});

visit('a change on the shelf in one window shows in another, and in what a mix costs', {}, async ({ page, base, context }) => {
  await follow(page, '/mix?with=kelp-cove-1:2');
  await page.getByText('Kelp Cove I · 111 ml in 1 batch').waitFor();
  const cost = async (): Promise<number> =>
    parseFloat(await page.getByRole('region', { name: 'Cost and what is left' }).locator('header p').innerText());
  const before = await cost();
  const other = await context.newPage();
  await other.goto(`${base}/shelf`);
  await other.getByRole('searchbox').fill('Slow coating A');
  await other.getByRole('button', { name: 'price: 31.00 EUR' }).first().click();
  await other.getByRole('textbox', { name: 'price' }).fill('62');
  await other.keyboard.press('Enter');
  await until(cost, (c) => c > before + 1, 'a dearer can, a dearer pour');
});
