import assert from 'node:assert/strict';
import { readFileSync } from 'node:fs';
import { test } from 'node:test';
import type { Locator, Page } from 'playwright-core';
import { writeStudio } from '#core/document';
import { sample } from '../factories';
import { screens } from './screens';
import { allIsSo, demoServer, exportStudio, follow, openCoat, openFile, plainServer, replaced, thin, until, visit } from './help';

const axe = readFileSync(new URL('../../node_modules/axe-core/axe.min.js', import.meta.url), 'utf8');

/** What axe finds serious. It stays in the page over the links of the app, and is put in where it is not. */
async function serious(page: Page, rules: Record<string, { enabled: boolean }>): Promise<string[]> {
  if (!(await page.evaluate('"axe" in globalThis'))) await page.evaluate(axe);
  const options = JSON.stringify({ resultTypes: ['violations'], rules });
  const { violations } = (await page.evaluate(`axe.run(document, ${options})`)) as {
    violations: { id: string; impact: string; nodes: { html: string }[] }[];
  };
  return violations.filter((v) => v.impact === 'serious' || v.impact === 'critical').map((v) => `${v.id}: ${v.nodes[0]!.html}`);
}

async function look(page: Page, path: string, rules: Record<string, { enabled: boolean }> = {}): Promise<void> {
  assert.deepEqual(await serious(page, rules), [], path);
  assert.doesNotMatch(await page.locator('body').innerText(), /[{}`$]|undefined|NaN|Infinity/, path);
}

const size = (page: Page) =>
  page.evaluate('[document.documentElement.scrollWidth - innerWidth, document.documentElement.scrollHeight - innerHeight]') as Promise<
    [number, number]
  >;

const [desk, phone] = [
  { width: 1280, height: 800 },
  { width: 390, height: 844 },
];

// in parts, so that none holds up a lane of the run for long
for (const [part, some] of [screens.slice(0, 10), screens.slice(10, 20), screens.slice(20)].entries())
  visit(
    `nothing serious for axe: at 1280 × 800 no screen scrolls its page, at 390 × 844 nothing runs out sideways, part ${part + 1}`,
    {},
    async ({ page }) => {
      for (const path of some) {
        await page.setViewportSize(desk);
        await follow(page, path);
        await look(page, path);
        assert.deepEqual(await size(page), [0, 0], path);
        await page.setViewportSize(phone);
        // the colours are the same at any size, and to measure them is half of its work
        await look(page, path, { 'color-contrast': { enabled: false } });
        assert.ok((await size(page))[0] <= 0, path);
      }
    },
  );

visit('390 × 844: the shoreline is dragged and the cups follow', { size: phone }, async ({ page }) => {
  await follow(page, '/pieces/kelp-cove-1');
  const point = page.getByRole('slider', { name: 'Shoreline, point 3 of 5' });
  await point.scrollIntoViewIfNeeded();
  const box = (await point.boundingBox())!;
  const before = await point.getAttribute('aria-valuenow');
  await page.mouse.move(box.x + 6, box.y + 6);
  await page.mouse.down();
  await page.mouse.move(box.x + 6, box.y - 20, { steps: 3 });
  await page.mouse.up();
  await until(
    () => point.getAttribute('aria-valuenow'),
    (v) => Number(v) < Number(before),
    'moved',
  );
});

visit('targets at the bench are 64 px', {}, async ({ page }) => {
  await follow(page, '/pieces/kelp-cove-1');
  await page.getByRole('button', { name: 'Start the pour' }).click();
  await page.getByRole('button', { name: 'Start', exact: true }).click();
  await allIsSo(page);
  await page.getByRole('button', { name: /A and B are together/ }).click();
  await thin(page);
  await page.getByText('Lay the beach').waitFor();
  for (const target of await page.locator('button, a, input').all()) {
    const box = await target.boundingBox();
    if (box) assert.ok(box.height >= 64, `${await target.innerText()} is ${box.height} px high`);
  }
});

visit('keyboard reaches the whole job of the piece screen', {}, async ({ page }) => {
  await follow(page, '/pieces/kelp-cove-1');
  await page.getByRole('heading', { name: 'Kelp Cove I' }).waitFor();
  const reached = new Set<string>();
  for (let i = 0; i < 80; i++) {
    await page.keyboard.press('Tab');
    reached.add(
      (await page.evaluate('document.activeElement.getAttribute("aria-label") ?? document.activeElement.textContent.trim()')) as string,
    );
  }
  await openCoat(page, /^2 Sea/);
  for (let i = 0; i < 40; i++) {
    await page.keyboard.press('Tab');
    reached.add((await page.evaluate('document.activeElement.textContent.trim()')) as string);
  }
  for (const want of [
    'Shoreline, point 1 of 5',
    'edge between Shore and Shallow',
    'Start the pour',
    'Deep',
    'Back to the cups',
    'Take this coat off',
  ])
    assert.ok(
      [...reached].some((r) => r.includes(want)),
      want,
    );
});

/** Goes to a part that scrolls and to its end, without a mouse. */
async function scrolledByKeyboard(part: Locator): Promise<void> {
  await part.focus();
  await part.page().keyboard.press('End');
  await until(
    () => part.evaluate((element) => element.scrollTop),
    (top) => top > 20,
    'scrolled',
  );
}

visit('a tide line with more pieces than it shows is scrolled by keyboard', {}, async ({ page }) => {
  const studio = sample();
  // a row for each on any day: none is poured, and all are to be
  const pourAt = new Date(Date.now() + 3_600_000).toISOString();
  await openFile(page, writeStudio({ ...studio, pours: [], pieces: studio.pieces.map((piece) => ({ ...piece, pourAt })) }));
  await page.getByRole('button', { name: 'Open it' }).click();
  await replaced(page);
  const line = page.getByRole('region', { name: 'Tide line' });
  await line.getByText('Jetty rail').waitFor();
  await scrolledByKeyboard(line);
});

visit('the clock beside a step is scrolled by keyboard in a low window', { size: { width: 1280, height: 420 } }, async ({ page }) => {
  await follow(page, '/pour/pour-5');
  const clock = page.getByRole('complementary', { name: 'Clock' });
  await clock.getByText('working time is over').waitFor();
  await scrolledByKeyboard(clock);
});

visit('start empty and bring the sample back both ask first, and what was there can be brought back', {}, async ({ page }) => {
  const before = await exportStudio(page);
  await page.getByRole('button', { name: 'Start empty' }).click();
  await page.getByText('The 7 pieces and 5 pours here now are put aside').waitFor();
  await page.getByRole('button', { name: 'Leave it' }).click();
  assert.equal(await exportStudio(page), before);

  await page.getByRole('button', { name: 'Start empty' }).click();
  await page.getByRole('alertdialog').getByRole('button', { name: 'Start empty' }).click();
  await replaced(page);
  await follow(page, '/log');
  await page.getByText('Nothing poured yet').waitFor();
  await follow(page, '/pieces');
  await page.getByText('No piece on the table yet').waitFor();
  await page.getByText('The tide line shows what is wet').waitFor();

  await follow(page, '/settings');
  await page.getByRole('button', { name: 'Bring back the studio from before' }).click();
  await page.getByRole('button', { name: 'Bring it back' }).click();
  await replaced(page);
  assert.equal(await exportStudio(page), before);
  await page.getByRole('button', { name: 'Bring the sample back' }).click();
  await page.getByRole('button', { name: 'Bring the sample', exact: true }).click();
  await replaced(page);
  assert.equal((JSON.parse(await exportStudio(page)) as { pieces: unknown[] }).pieces.length, 7);
});

visit('a studio that is not the demo starts empty, and says what to do first', { server: plainServer }, async ({ page }) => {
  await follow(page, '/pieces');
  await page.getByText('No piece on the table yet').waitFor();
  await page.getByRole('main').getByRole('link', { name: 'New piece' }).first().click();
  await page.getByLabel('Name').waitFor();
});

test('the server answers for its health, its schema and its policy, on 127.0.0.1', async () => {
  const base = await demoServer();
  assert.match(base, /^http:\/\/127\.0\.0\.1:/);
  assert.deepEqual(await (await fetch(`${base}/api/health`)).json(), { ok: true });
  const schema = await fetch(`${base}/schema/studio-2.json`);
  assert.equal(await schema.text(), readFileSync(new URL('../../docs/format/studio-2.json', import.meta.url), 'utf8'));
  const page = await fetch(`${base}/pieces`);
  const policy = page.headers.get('content-security-policy')!;
  assert.match(policy, /default-src 'none'/);
  assert.doesNotMatch(policy, /unsafe-eval|unsafe-inline|https?:/);
  const script = /src="(\/_app\/[^"]+\.js)"|import\("(\/_app\/[^"]+\.js)"\)/.exec(await page.text());
  const file = await fetch(base + (script![1] ?? script![2])!);
  assert.match(file.headers.get('content-security-policy')!, /default-src 'none'/);
});
