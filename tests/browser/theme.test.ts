import assert from 'node:assert/strict';
import type { Page } from 'playwright-core';
import { demoServer, follow, until, visit } from './help';

/** A colour of the page's own by its name, as linear sRGB. */
const tokenOf = (page: Page, name: string, within = 'html'): Promise<number[]> =>
  page.evaluate(
    ([token, at]) => {
      const probe = document.createElement('i');
      (document.querySelector(at!) ?? document.body).append(probe);
      probe.style.color = `var(--${token})`;
      const bytes = getComputedStyle(probe)
        .color.match(/[\d.]+/g)!
        .slice(0, 3)
        .map(Number);
      probe.remove();
      return bytes.map((v) => (v / 255 <= 0.04045 ? v / 255 / 12.92 : ((v / 255 + 0.055) / 1.055) ** 2.4));
    },
    [name, within],
  );
const light = ([r, g, b]: number[]): number => 0.2126 * r! + 0.7152 * g! + 0.0722 * b!;
/** Contrast of two colours (WCAG 2). */
async function contrast(page: Page, a: string, b: string): Promise<number> {
  const [x, y] = [light(await tokenOf(page, a)), light(await tokenOf(page, b))].sort((p, q) => q - p);
  return (x! + 0.05) / (y! + 0.05);
}
const isDark = (page: Page): Promise<boolean> => page.evaluate(() => document.documentElement.dataset['theme'] === 'dark');

visit(
  'the screens are as dark as the system, or as was chosen, and stay so',
  { server: demoServer, alone: true },
  async ({ page, base }) => {
    await page.goto(`${base}/pieces`);
    await page.getByRole('heading', { name: 'Pieces' }).waitFor();
    assert.equal(await isDark(page), false);
    await page.emulateMedia({ colorScheme: 'dark' });
    await until(
      () => isDark(page),
      (dark) => dark,
      'it turns with the system',
    );
    await follow(page, '/settings');
    const choice = page.getByRole('combobox', { name: 'Screens' });
    await choice.selectOption('light');
    assert.equal(await isDark(page), false);
    await page.emulateMedia({ colorScheme: 'light' });
    await choice.selectOption('dark');
    await page.goto(`${base}/settings`);
    assert.equal(await isDark(page), true);
    assert.equal(await choice.inputValue(), 'dark');
  },
);

visit(
  'by day and by night every text can be read, and the work is drawn the same',
  { server: demoServer, alone: true },
  async ({ page, base }) => {
    const inks: string[][] = [];
    for (const theme of ['light', 'dark']) {
      await follow(page, '/settings');
      await page.getByRole('combobox', { name: 'Screens' }).selectOption(theme);
      for (const ground of ['ground', 'sheet', 'paper'])
        for (const text of ['ink', 'soft', 'buoy', 'open', 'warn']) {
          const c = await contrast(page, text, ground);
          assert.ok(c >= 4.5, `${theme}: ${text} on ${ground} ${c.toFixed(2)}`);
        }
      assert.ok((await contrast(page, 'warnink', 'warnground')) >= 4.5);
      // what the blues lie on has no colour of its own
      const [r, g, b] = await tokenOf(page, 'sheet');
      assert.ok(Math.max(r!, g!, b!) - Math.min(r!, g!, b!) < 0.05);
      await page.goto(`${base}/pieces/kelp-cove-1`);
      await page.getByRole('group', { name: /^Chart of/ }).waitFor();
      // foam is pictured beside the screen, and drawn in its own colours
      await page
        .getByRole('group', { name: /^Chart of/ })
        .locator('[data-foam]')
        .nth(1)
        .waitFor({ state: 'attached', timeout: 120_000 });
      inks.push(await page.locator('g.work path[fill]').evaluateAll((paths) => paths.map((p) => p.getAttribute('fill')!)));
      await page.goto(`${base}/pieces/kelp-cove-1/print`);
      const sheet = page.getByRole('article', { name: /^Piece sheet/ });
      await sheet.waitFor();
      assert.deepEqual(await sheet.evaluate((s) => [getComputedStyle(s).backgroundColor, getComputedStyle(s).color]), [
        'rgb(255, 255, 255)',
        'rgb(27, 39, 48)',
      ]);
    }
    assert.deepEqual(inks[0], inks[1]);
  },
);
