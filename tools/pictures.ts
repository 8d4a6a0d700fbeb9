/** npm run pictures: takes the README's pictures anew, from the sample studio at a fixed hour, into docs/screenshots. */
import { chromium } from 'playwright-core';
import { serve } from './serve';

process.env['NERITE_SAMPLE'] = '1';
const port = Number(process.env['PORT'] ?? 4190);
const base = `http://127.0.0.1:${port}`;
const server = await serve(port);
const browser = await chromium.launch({ executablePath: process.env['CHROMIUM_PATH'] ?? '/usr/bin/chromium' });
const page = await (await browser.newContext({ viewport: { width: 1280, height: 800 } })).newPage();
await page.clock.install({ time: new Date('2026-11-25T13:36:00') });

async function picture(name: string): Promise<void> {
  await page.locator('h1').first().waitFor();
  await page.locator('[aria-busy=true]').first().waitFor({ state: 'detached' });
  await page.waitForTimeout(600);
  await page.screenshot({ path: new URL(`../docs/screenshots/${name}.png`, import.meta.url).pathname });
}

for (const [path, name] of [
  ['/today', 'today'],
  ['/pieces', 'pieces'],
  ['/pieces/kelp-cove-1', 'piece'],
  ['/pieces/jetty-rail/board', 'board'],
  ['/pieces/new', 'new-piece'],
  ['/pieces/kelp-cove-1/print', 'piece-sheet'],
  ['/mix?with=kelp-cove-1:0,kelp-cove-2:0,kelp-cove-3:0', 'mix'],
  ['/tints', 'tints'],
  ['/shelf', 'shelf'],
  ['/pieces/kelp-cove-1/quote', 'quote'],
  ['/settings', 'settings'],
  ['/log/pour-3', 'log'],
  ['/pieces/kelp-cove-1/clock', 'clock'],
  ['/room', 'room'],
] as const) {
  await page.goto(base + path);
  await picture(name);
}

/** The week, with a pour chosen: why it is there and not sooner, and how long it can wait. */
await page.goto(`${base}/calendar`);
await page.getByRole('group', { name: 'The days' }).waitFor();
await page.locator('[data-session="kelp-cove-1/pour-kelp-cove-1-glaze"]').focus();
await page.keyboard.press('Enter');
await page.getByText('Can wait:').waitFor();
await picture('calendar');

/** A board whose bubble touches a line: what its film does by morning, and which foot to shim. */
await page.goto(`${base}/pieces/kelp-cove-1/level`);
await page.getByLabel('the bubble is').first().selectOption('touching');
await page.getByText(/Put .* below the upper right foot/).waitFor();
await picture('level');
await page.getByRole('button', { name: 'Undo' }).click();

/** The piece screen in the dark theme; the work is drawn the same. */
await page.evaluate(() => (document.documentElement.dataset['theme'] = 'dark'));
await page.getByRole('link', { name: 'Pieces' }).first().click();
await page
  .getByRole('link', { name: /Kelp Cove I\b/ })
  .first()
  .click();
await page.getByRole('group', { name: 'Chart of Kelp Cove I' }).waitFor();
await picture('dark');

/** A pour at its white, which is laid first here. */
await page.goto(`${base}/pieces/window-seat-lid`);
await page.getByRole('button', { name: /^3 Wave/ }).click();
await page.getByRole('button', { name: /^3 Wave/ }).click();
await page.getByLabel('under the white', { exact: true }).selectOption('white first');
await page.getByRole('button', { name: 'Start the pour' }).click();
await page.getByRole('button', { name: 'Start', exact: true }).click();
await page.getByRole('button', { name: /A and B are together/ }).click();
await page.clock.fastForward('13:00');
for (let i = 0; i < 20; i++) {
  const says = await page.getByRole('main').getByRole('status').first().innerText();
  if (/^Lay the white/.test(says)) {
    await page.clock.fastForward('04:00');
    await picture('pour');
    break;
  }
  await page.clock.fastForward('01:30');
  await page.locator('.button-bench-main').click();
  // a second tap too soon is taken for a slip of the glove
  await page.waitForTimeout(420);
}

/** A weighing in which A went over: what B wants now. */
await page.goto(`${base}/scale?with=kelp-cove-1:0&batch=0`);
await page.getByRole('button', { name: 'Read the scale' }).click();
await page.getByPlaceholder('133.8 g').fill('148.1');
await page.keyboard.press('Enter');
await page.getByText('A is 14.3 g over').waitFor();
const stream = page.getByRole('button', { name: 'Pour', exact: true });
await stream.dispatchEvent('pointerdown');
await page.waitForTimeout(6000);
await page.evaluate(() => dispatchEvent(new PointerEvent('pointerup')));
await page.getByText('at rest').waitFor();
await picture('scale');

await browser.close();
server.close();
