import assert from 'node:assert/strict';
import type { Page } from 'playwright-core';
import { allIsSo, follow, until, visit } from './help';

const phone = { width: 390, height: 844 };

/** What is pressed on a screen and stands alone, and is lower than a finger. */
const low = (page: Page): Promise<string[]> =>
  page.evaluate(() =>
    [
      ...document.querySelectorAll<HTMLElement>(
        'main a.underline, main button.underline, main .button, main .chip, main .input, main [role=tab], nav a',
      ),
    ]
      .filter((e) => e.offsetParent !== null && e.getBoundingClientRect().height < 43.5)
      .map((e) => `${e.textContent.trim() || e.getAttribute('aria-label')} ${e.getBoundingClientRect().height}`),
  );

visit('a phone: what is pressed is 44 px high, and no table is cut', { size: phone }, async ({ page }) => {
  for (const path of [
    '/today',
    '/calendar',
    '/calendar/hours',
    '/pieces',
    '/pieces/kelp-cove-1',
    '/tints',
    '/mix?with=kelp-cove-1:0',
    '/shelf',
    '/shelf?view=resins',
    '/log/pour-1',
    '/log/piece/jetty-rail',
    '/log/photos',
    '/log/learn',
    '/log/wrong/pour-3?piece=jetty-rail&seen=no+cells',
    '/pieces/kelp-cove-1/clock',
    '/pieces/kelp-cove-1/level',
    '/room',
    '/settings',
  ]) {
    await follow(page, path);
    await page.locator('[aria-busy=true]').first().waitFor({ state: 'detached' });
    await until(
      () => low(page),
      (found) => found.length === 0,
      path,
    );
    const wide = await page.evaluate(() =>
      [...document.querySelectorAll('main table')]
        .filter((t) => t.scrollWidth > t.parentElement!.clientWidth + 1)
        .map((t) => t.textContent.slice(0, 60)),
    );
    assert.deepEqual(wide, [], path);
  }
});

visit('a phone: the tide line is one line, and unfolds', { size: phone }, async ({ page }) => {
  await follow(page, '/pieces');
  const tide = page.getByRole('region', { name: 'Tide line' });
  const folded = tide.getByRole('button', { expanded: false });
  await folded.waitFor();
  assert.match(await folded.innerText(), /(until|from) .*\n*.*All$/s);
  assert.ok((await tide.boundingBox())!.height < 50);
  await folded.click();
  await tide.getByRole('group').waitFor();
  await tide.getByRole('button', { name: 'Fold to one line' }).click();
  await folded.waitFor();
});

visit('a phone at the bench: the button of the step and its clock stay in sight', { size: phone }, async ({ page }) => {
  await follow(page, '/pieces/kelp-cove-1');
  await page.getByRole('button', { name: 'Start the pour' }).click();
  await page.getByRole('button', { name: /^(Start|Pour it all the same)$/ }).click();
  await allIsSo(page);
  const does = page.getByRole('button', { name: /^A and B are together/ });
  await does.waitFor();
  const clock = page.locator('header').getByText(/^\d\d:\d\d$/);
  for (const down of [0, 200]) {
    await page.mouse.wheel(0, down);
    for (const seen of [does, clock]) {
      const { y, height } = (await seen.boundingBox())!;
      assert.ok(y >= 0 && y + height <= 844, `${y} to ${y + height} after ${down}`);
    }
  }
  assert.ok((await does.boundingBox())!.height >= 64);
});

visit('a phone: a coat that is opened comes into sight', { size: phone }, async ({ page }) => {
  await follow(page, '/pieces/kelp-cove-1');
  const row = page.getByRole('region', { name: 'Coats' }).getByRole('button', { name: /^6 Clear top/ });
  while ((await row.getAttribute('aria-expanded')) !== 'true') await row.click();
  const opened = page.getByRole('region', { name: /^6 Clear top/ });
  await until(
    async () => (await opened.boundingBox())?.y ?? 9999,
    (y) => y < 400,
    'it is at the top of what is seen',
  );
});
