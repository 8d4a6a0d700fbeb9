import assert from 'node:assert/strict';
import type { Page } from 'playwright-core';
import { cupMl, follow, openCoat, until, visit } from './help';

const cove = '/pieces/kelp-cove-1';
const coat = (page: Page, name: RegExp) => page.getByRole('button', { name });
/** Names of the coats, top first. */
const order = async (page: Page): Promise<string[]> =>
  (
    await page
      .getByRole('region', { name: 'Coats' })
      .locator('button[aria-expanded] > span:nth-child(2) > span:first-child')
      .allInnerTexts()
  ).filter((t) => t !== 'why');

visit('coats are put in another order by drag, by Alt with the arrow keys, and by Up and Down', {}, async ({ page }) => {
  await follow(page, cove);
  await coat(page, /^6 Clear top/).waitFor();
  const first = await order(page);
  assert.equal(first.length, 6);

  await coat(page, /^4 Glaze/).focus();
  await page.keyboard.press('Alt+ArrowUp');
  await coat(page, /^5 Glaze/).waitFor();
  await page.getByRole('button', { name: 'Undo' }).click();
  await coat(page, /^4 Glaze/).waitFor();

  await openCoat(page, /^4 Glaze/);
  await page.getByRole('button', { name: 'Down', exact: true }).click();
  await coat(page, /^3 Glaze/).waitFor();
  await page.getByRole('button', { name: 'Undo' }).click();
  await coat(page, /^4 Glaze/).waitFor();

  const handle = (await page.getByRole('button', { name: 'Move Clear top, coat 6' }).boundingBox())!;
  const target = (await page.getByRole('button', { name: 'Move Wave 2, coat 5' }).boundingBox())!;
  // by a whole row, so that it lies over the middle of the one below for as long as it is held
  const [x, y] = [handle.x + 8, handle.y + 8];
  await page.mouse.move(x, y);
  await page.mouse.down();
  await page.mouse.move(x, y + (target.y - handle.y) / 2, { steps: 6 });
  await page.mouse.move(x, y + target.y - handle.y, { steps: 10 });
  // the list makes room, an empty place, at its own pace: only then is the coat let go
  await until(
    () => order(page),
    ([top, below]) => top === first[1] && below === '',
    'room for the coat below the wave',
  );
  await page.mouse.up();
  await until(
    () => order(page),
    (names) => names.join() === [first[1], first[0], ...first.slice(2)].join(),
    'the coats in their new order',
  );
  // what is shown is on the disk once it reads so
  await page.getByText('Kept', { exact: true }).waitFor();
  await page.reload();
  await coat(page, /^5 Clear top/).waitFor();
});

visit('a coat is laid twice, over a part of the board, and each choice moves its cups', {}, async ({ page }) => {
  await follow(page, cove);
  await openCoat(page, /^4 Glaze/);
  const whole = await cupMl(page, 'Glaze');
  await page.getByRole('combobox', { name: /^over/ }).selectOption('deep');
  await until(
    () => cupMl(page, 'Glaze'),
    (ml) => ml < 0.9 * whole,
    'half of the board',
  );
  await page.getByLabel('how much of the board').fill('25 %');
  await page.keyboard.press('Enter');
  const quarter = await until(
    () => cupMl(page, 'Glaze'),
    (ml) => ml < 0.5 * whole,
    'a quarter',
  );
  await page.getByLabel('kept back from the rim').fill('2 cm');
  await page.keyboard.press('Enter');
  await until(
    () => cupMl(page, 'Glaze'),
    (ml) => ml < quarter,
    'back from the rim',
  );
  await page.getByRole('button', { name: 'Duplicate' }).click();
  await coat(page, /^5 Glaze/).waitFor();
  await coat(page, /^7 Clear top/).waitFor();
});

visit('the schools: the usual is marked, its reason one tap away, and another way changes the plan', {}, async ({ page }) => {
  await follow(page, cove);
  await openCoat(page, /^3 Wave/);
  const under = page.getByLabel('under the white', { exact: true });
  await page.getByRole('button', { name: 'Why: under the white' }).click();
  await page.getByText('A barrier keeps white from going blue, and lets it float and thin out.').waitFor();
  const byLine = async (): Promise<number> =>
    Number(/([\d.]+) ml in the line as drawn/.exec(await page.getByText(/in the line as drawn/).innerText())![1]);
  const before = await byLine();
  await page.getByLabel('lace', { exact: true }).selectOption('bright');
  await until(byLine, (ml) => ml > 1.15 * before, 'a bright line takes more white');
  await under.selectOption('none');
  assert.match(await under.locator('option').first().innerText(), /clear barrier \(usual\)/);
  await page.getByText(/^White [\d.]+ ml$/).waitFor();
  await page.getByLabel('heat', { exact: true }).selectOption('torch then air');
  await page.getByLabel('cell additive', { exact: true }).selectOption('silicone');
  await coat(page, /^4 Glaze/).click();
  await page.getByText('Glaze goes over a wave with silicone.').waitFor();
});

visit('section, coats and cups are linked, and either end of the cut is moved by mouse and keyboard', {}, async ({ page }) => {
  await follow(page, cove);
  const section = page.getByRole('group', { name: /^Section from A to B/ });
  await section.waitFor();
  // its name stands where it is thickest, and lets a click through
  const label = (await section.getByText('glaze', { exact: true }).boundingBox())!;
  await page.mouse.click(label.x + label.width / 2, label.y + label.height / 2);
  await page.getByRole('region', { name: 'Cups for pour 2' }).waitFor();
  await coat(page, /^4 Glaze.*Change it/s).waitFor();
  await coat(page, /^1 Sand/).click();
  await section.getByText(/^Sand: up to 2 mm in this cut/).waitFor();

  const name = (): Promise<string> => section.getAttribute('aria-label').then(String);
  const was = await name();
  const end = page.getByRole('slider', { name: 'End A of the section' });
  const box = (await end.boundingBox())!;
  await page.mouse.move(box.x + 8, box.y + 8);
  await page.mouse.down();
  await page.mouse.move(box.x - 120, box.y - 60, { steps: 5 });
  await page.mouse.up();
  const dragged = await until(name, (n) => n !== was, 'dragged');
  await end.focus();
  await page.keyboard.press('Shift+ArrowUp');
  await until(name, (n) => n !== dragged, 'nudged');
});

visit('a cup marks its part of the chart, and a part of the chart chooses its coat', {}, async ({ page }) => {
  await follow(page, cove);
  const marks = page.locator('svg[aria-label^="Chart of"] path.stroke-buoy\\/60');
  await page.getByRole('region', { name: /^Cups/ }).getByRole('button', { name: 'Deep' }).click();
  await until(
    () => marks.count(),
    (n) => n === 1,
    'marked',
  );
  const chart = (await page.getByRole('group', { name: 'Chart of Kelp Cove I' }).boundingBox())!;
  await page.mouse.click(chart.x + 0.55 * chart.width, chart.y + 0.85 * chart.height);
  await coat(page, /^1 Sand.*Change it/s).waitFor();
});

visit('hours of preparation changed in the settings reach the board’s work list', {}, async ({ page }) => {
  await follow(page, '/settings');
  const gesso = page.getByLabel('A coat of gesso');
  await gesso.fill('2,5 h');
  await page.keyboard.press('Enter');
  await until(
    () => gesso.inputValue(),
    (v) => v === '2.5 h',
    'stored',
  );
  await gesso.fill('100 d');
  await page.keyboard.press('Enter');
  await page.getByText(/A step of 2400 h is outside/).waitFor();
  await follow(page, '/pieces/kelp-cove-1/board');
  await page.getByText(/gesso 3 times.*7\.5 h/).waitFor();
});

visit('the keyboard stays with what was moved, added or taken off', {}, async ({ page }) => {
  await follow(page, cove);
  const focused = (): Promise<string> =>
    page.evaluate(() => {
      const at = (globalThis as unknown as { document: { activeElement: { getAttribute(n: string): string | null; innerText?: string } } })
        .document.activeElement;
      return at.getAttribute('aria-label') ?? at.innerText ?? '';
    });
  const onto = (what: RegExp, why: string) => until(focused, (text) => what.test(text.replace(/\n/g, ' ')), why);
  await coat(page, /^4 Glaze/).click();
  await page.keyboard.press('Alt+ArrowUp');
  await onto(/^5\s+Glaze/, 'the coat that was moved');
  await openCoat(page, /^5 Glaze/);
  await page.getByRole('button', { name: 'Down', exact: true }).click();
  await onto(/^4\s+Glaze/, 'and by its button');
  await page.getByRole('button', { name: 'Take this coat off' }).click();
  await onto(/^3\s+Wave/, 'the one below in its place');
  await page.getByRole('button', { name: 'clear', exact: true }).click();
  await onto(/^5\s+Clear/, 'the coat that was added, below the top');
  const point = page.getByRole('slider', { name: 'Shoreline, point 5 of 5' });
  await page.keyboard.press('Escape');
  await onto(/^5\s+Clear/, 'one key back to the cups, and the keyboard on the coat');
  await page.getByRole('region', { name: /^Cups for pour/ }).waitFor();
  await coat(page, /^2 Sea/).click();
  await point.focus();
  await page.keyboard.press('Delete');
  await onto(/^Shoreline, point 4 of 4$/, 'the point in its place');
  await page.getByRole('button', { name: /^Deep/ }).first().click();
  await page.getByRole('button', { name: 'Take Turquoise tint off' }).click();
  await onto(/^Turquoise tint$/, 'the colourant that can be put back');
  const deep = page
    .getByRole('region', { name: /^Cups for pour/ })
    .getByText(/drops Phthalo blue tint/)
    .first();
  await until(
    () => deep.innerText(),
    (text) => !/Turquoise/.test(text),
    'its line in the cup',
  );
});
