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
  ['/pieces', 'pieces'],
  ['/pieces/kelp-cove-1', 'piece'],
  ['/pieces/new', 'new-piece'],
  ['/settings', 'settings'],
  ['/log/pour-3', 'log'],
] as const) {
  await page.goto(base + path);
  await picture(name);
}

await page.goto(`${base}/pieces/kelp-cove-1`);
await page.getByRole('button', { name: 'Start the pour' }).click();
await page.getByRole('button', { name: 'Start', exact: true }).click();
await page.getByRole('button', { name: /A and B are together/ }).click();
await page.clock.fastForward('12:00');
for (const words of ['Lay the beach', 'Lay Deep', 'Lay Offshore', 'Lay Mid', 'Lay Shallow', 'Lay Shore']) {
  await page.getByText(words).first().waitFor();
  await page.clock.fastForward('01:45');
  await page.getByRole('button', { name: /^Laid/ }).click();
}
await page.getByText('Lay the clear line').waitFor();
await picture('pour');

await browser.close();
server.close();
