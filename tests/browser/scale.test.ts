import assert from 'node:assert/strict';
import type { Page } from 'playwright-core';
import { allIsSo, exportStudio, follow, thin, until, visit } from './help';

const reading = async (page: Page): Promise<number> =>
  Number((await page.getByTestId('reading').innerText()).replace('−', '-').replace('–', 'NaN'));

/** Holds a button of the simulated hand until the scale shows so much, then lets go and waits until it is still. */
async function pourTo(page: Page, grams: number): Promise<void> {
  const button = page.getByRole('button', { name: 'Pour', exact: true });
  const box = (await button.boundingBox())!;
  await page.mouse.move(box.x + box.width / 2, box.y + box.height / 2);
  await page.mouse.down();
  await until(
    () => reading(page),
    (g) => g >= grams,
    `the scale goes up to ${grams}`,
  );
  await page.mouse.up();
  await page.getByText('at rest').waitFor();
}

visit(
  'a weighing with an over-pour, live from the simulated scale: B grows with A, and the ratio comes out right',
  {},
  async ({ page }) => {
    await follow(page, '/mix?with=skerry-coasters:0');
    // the coasters are poured; a pour that is done can still be made up again
    await page.getByRole('link', { name: 'At the scale' }).click();
    await page.getByText(/^Pour A to \d+\.\d g\.$/).waitFor();
    const wanted = Number(/to ([\d.]+) g/.exec(await page.getByText(/^Pour A to/).innerText())![1]);
    await page.getByRole('button', { name: 'Read the scale' }).click();
    await until(
      () => reading(page),
      (g) => g === 0,
      'an empty pan is nothing',
    );
    await page.getByRole('button', { name: 'Put a cup on' }).click();
    await until(
      () => reading(page),
      (g) => g > 6.2,
      'the cup is felt',
    );
    await page.keyboard.press('t');
    await until(
      () => reading(page),
      (g) => Math.abs(g) <= 0.1,
      'the cup is tared',
    );

    await pourTo(page, wanted * 1.1);
    await page.getByText(/g over$/).waitFor();
    const a = await reading(page);
    await page.getByRole('button', { name: /Take it/ }).click();
    await page.getByText(/^A is [\d.]+ g over, and none of it comes out again\. The batch becomes/).waitFor();
    const b = Number(/to ([\d.]+) g/.exec(await page.getByText(/^Pour B to/).innerText())![1]);
    // slow coating is 1 : 1 by volume of 1.15 and 0.98
    assert.ok(Math.abs(b - (a * 0.98) / 1.15) < 0.11, `${b} g of B for ${a} g of A`);
    await until(
      () => reading(page),
      (g) => Math.abs(g) <= 0.1,
      'taking it tares',
    );

    // the rest by hand: a typed weight does as well
    await page.getByRole('textbox', { name: 'or type it' }).fill('heavy');
    await page.getByText('“heavy” has no number in front').waitFor();
    await page.getByRole('textbox', { name: 'or type it' }).fill(String(b));
    await page.getByRole('button', { name: 'Enter it' }).click();
    await page.getByText(/^The ratio is right to 0(\.\d+)? %/).waitFor();
    await page.getByRole('row', { name: /^B/ }).getByText('in', { exact: true }).waitFor();

    await page.keyboard.press('u');
    await page.getByText(/^Pour B to/).waitFor();
  },
);

visit('two drops too many: clear rescues the tint, or it is left darker; without any scale', {}, async ({ page }) => {
  await follow(page, '/scale?with=kelp-cove-1:0&batch=0');
  const type = async (): Promise<void> => {
    const box = page.getByRole('textbox', { name: 'or type it' });
    await box.fill((await box.getAttribute('placeholder'))!);
    await page.getByRole('button', { name: 'Enter it' }).click();
  };
  for (const step of [/^Pour A/, /^Pour B/, /^Fill Sand/, /of dry sand into Sand/, /^Fill Deep/]) {
    await page.getByText(step).waitFor();
    await type();
  }
  await page.getByText('5 drops of Phthalo blue tint into Deep.').waitFor();
  await page.getByRole('button', { name: '7 slipped in' }).click();
  await page.getByText(/g of clear into Deep\.$/).waitFor();
  await page.getByText('Phthalo blue tint is 2 drops over. This brings Deep back to its tint.').waitFor();
  await page.getByRole('button', { name: 'Leave it darker' }).click();
  await page.getByText(/^\d+ drops of Turquoise tint, thinned 1 part in \d+ of clear, into Deep\.$/).waitFor();
  await page
    .getByRole('row', { name: /^Phthalo blue tint/ })
    .first()
    .getByText('left as it is')
    .waitFor();
});

visit('in a pour, what was weighed is recorded as it is taken, and known after a reload', {}, async ({ page }) => {
  await follow(page, '/pieces/kelp-cove-1');
  await page.getByRole('button', { name: 'Start the pour' }).click();
  await page.getByRole('button', { name: 'Start', exact: true }).click();
  await allIsSo(page);
  await page.getByRole('link', { name: 'At the scale' }).click();
  for (const grams of ['140 g', '119.3 g']) {
    await page.getByRole('textbox', { name: 'or type it' }).fill(grams);
    await page.getByRole('button', { name: 'Enter it' }).click();
  }
  await page.getByText('A and B are right. Bring them together.').waitFor();
  await page.getByRole('button', { name: /A and B are together/ }).click();
  await page.getByText(/^Fill Sand/).waitFor();
  await page.reload();
  // what was recorded is known after a reload
  await page.getByRole('row', { name: /^A/ }).getByText('140.0 g').first().waitFor();
  await page.getByRole('link', { name: 'Back to the pour' }).click();
  await thin(page);
  await page.getByText('Lay the beach').waitFor();
  const studio = JSON.parse(await exportStudio(page)) as {
    pours: { of: { pieceId: string }[]; events: { kind: string; what?: string; grams?: number }[] }[];
  };
  const { events } = studio.pours.find((p) => p.of[0]!.pieceId === 'kelp-cove-1')!;
  assert.deepEqual(
    events.map((e) => [e.kind, e.what, e.grams]),
    [
      ['ready', undefined, undefined],
      ['weighed', 'A', 140],
      ['weighed', 'B', 119.3],
      ['mixed', undefined, undefined],
      ['did', undefined, undefined],
    ],
  );
});

visit(
  'a batch that is not there says so, and the scale’s route refuses what it cannot do',
  { allow: /400|404/ },
  async ({ page, base }) => {
    await follow(page, '/scale?with=nothing:0');
    await page.getByText('There is no such batch').waitFor();
    await follow(page, '/scale?pour=pour-5&batch=0');
    await page.getByText('This pour is done').waitFor();
    const post = (body: unknown) =>
      fetch(`${base}/api/scale`, {
        method: 'POST',
        headers: { 'content-type': 'application/json', origin: base },
        body: JSON.stringify(body),
      });
    assert.equal((await post({ id: 'abcdef01', does: 'pour', rate: 500 })).status, 400);
    assert.equal((await post({ id: 'abcdef01', does: 'tare' })).status, 404);
    assert.equal((await fetch(`${base}/api/scale?id=../etc`)).status, 400);
  },
);
