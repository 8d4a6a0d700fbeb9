/** npm run pictures: takes the README's pictures anew, from the sample studio at a fixed hour, into docs/screenshots. */
import { readFileSync } from 'node:fs';
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
  // a wave's foam is asked for once the board stands still, and the days are planned beside the screen
  await page.waitForTimeout(4000);
  await page.screenshot({ path: new URL(`../docs/screenshots/${name}.png`, import.meta.url).pathname });
}

/** Foam is worked out beside the screen, and kept: all of it is there before the first picture. */
await page.goto(`${base}/pieces`);
const waves = JSON.parse(readFileSync(new URL('../src/demo/studio.json', import.meta.url), 'utf8')) as {
  pieces: { coats: { kind: string }[] }[];
};
const foams = waves.pieces.flatMap((p) => p.coats).filter((c) => c.kind === 'wave').length;
await page
  .locator('[data-foam]')
  .nth(foams - 1)
  .waitFor({ state: 'attached', timeout: 300_000 });

for (const [path, name] of [
  ['/today', 'today'],
  ['/pieces', 'pieces'],
  ['/pieces/kelp-cove-1', 'piece'],
  ['/pieces/jetty-rail/board', 'board'],
  ['/mix?with=kelp-cove-1:0,kelp-cove-2:0,kelp-cove-3:0', 'mix'],
  ['/tints', 'tints'],
  ['/shelf', 'shelf'],
  ['/settings', 'settings'],
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

/** A wave in mid-pass: air held over what was pushed already. */
await page.goto(`${base}/rehearse?piece=kelp-cove-1`);
await page.getByRole('button', { name: 'Make one pass' }).and(page.locator(':enabled')).click();
await page.waitForTimeout(24_000);
await page.getByRole('button', { name: 'Freeze' }).click();
await page.getByRole('button', { name: 'Make one pass' }).and(page.locator(':enabled')).waitFor();
await picture('rehearse');

/** A board whose bubble touches a line: what its film does by morning, and which foot to shim. */
await page.goto(`${base}/pieces/kelp-cove-1/level`);
await page.getByLabel('the bubble is').first().selectOption('touching');
await page.getByText(/Put .* below the upper right foot/).waitFor();
await picture('level');
await page.getByRole('button', { name: 'Undo' }).click();

/** A pour of two panels by turns: at a cup. */
await page.goto(`${base}/pieces/kelp-cove-2?start&with=kelp-cove-3`);
await page.getByRole('button', { name: /^(Start|Pour it all the same)$/ }).click();
await page.getByRole('button', { name: /^All of it is so/ }).click();
const says = (): Promise<string> => page.getByRole('main').getByRole('status').first().innerText();
/** Does steps until one is asked for, at a pace; a second tap too soon is taken for a slip of the glove. */
async function to(words: RegExp, pace: string): Promise<void> {
  for (let i = 0; i < 40 && !words.test(await says()); i++) {
    await page.clock.fastForward(pace);
    await page.waitForTimeout(900);
    await page.keyboard.press('Space');
    await page.waitForTimeout(500);
  }
}
await to(/^Lay Mid/, '01:30');
await picture('pour');

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

/** A piece's story with a made-up photo of it, the photo measured, why its white went pale, and two pours side by side. */
await page.goto(`${base}/log/piece/jetty-rail`);
await page.getByRole('button', { name: 'Draw one to try it on' }).click();
await page.getByRole('link', { name: 'Measure it' }).waitFor({ timeout: 120_000 });
await page.getByLabel('of the pour').selectOption('pour-3');
await page.getByRole('group', { name: 'Lacing' }).getByRole('button', { name: 'poor' }).click();
await picture('story');
await page.getByRole('link', { name: 'Measure it' }).click();
const drawn = page.locator('svg image');
await drawn.waitFor();
const { x, y, width, height } = (await drawn.boundingBox())!;
for (const [u, v] of [
  [0.075, 0.07],
  [0.925, 0.083],
  [0.93, 0.93],
  [0.07, 0.917],
] as const) {
  await page.mouse.click(x + u * width, y + v * height);
  await page.waitForTimeout(200);
}
await page.getByText('Foam out to sea').waitFor();
await page.getByRole('button', { name: 'Beside its rehearsal' }).click();
await page.getByRole('columnheader', { name: 'rehearsed' }).waitFor({ timeout: 120_000 });
await picture('measured');
await page.goto(`${base}/log/wrong/pour-3?piece=jetty-rail&seen=white+gone+pale+blue`);
await page.getByText('most likely').first().waitFor();
await picture('wrong');
await page.goto(`${base}/log/compare?a=pour-1+skerry-coasters&b=pour-3+jetty-rail`);
await page.getByText('White laid after mixing').waitFor();
await picture('compare');

await browser.close();
server.close();
