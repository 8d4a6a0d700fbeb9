import assert from 'node:assert/strict';
import type { Page } from 'playwright-core';
import { withDressing } from '#core/edit';
import { writeStudio, type Piece, type SandCoat, type Studio, type WaveCoat } from '#core/document';
import { allIsSo, exportStudio, follow, openFile, plainServer, replaced, thin, until, visit } from './help';
import { coated, empty, piece } from '../factories';

const panel = (change: Partial<Piece> = {}): Piece => piece({ id: 'panel', name: 'Harbour board', ...change });

/** Opens a studio with one piece, and the piece. */
async function lay(page: Page, piece: Piece, change: Partial<Studio> = {}): Promise<void> {
  await openFile(page, writeStudio({ ...empty, ...change, pieces: [piece] }));
  await page.getByRole('button', { name: 'Open it' }).click();
  await replaced(page);
  await follow(page, `/pieces/${piece.id}`);
  await page.getByRole('heading', { name: piece.name }).waitFor();
}
async function begin(page: Page): Promise<void> {
  await page.getByRole('button', { name: 'Start the pour' }).click();
  await page.getByRole('button', { name: 'Start', exact: true }).click();
  await allIsSo(page);
}
/** What is asked for now: its sentence, its words and its amounts. */
async function now(page: Page): Promise<{ says: string; amounts: string; all: string }> {
  const main = page.getByRole('main');
  const says = await main.getByRole('status').first().innerText();
  const [amounts = ''] = (await main.getByRole('list', { name: 'Amounts' }).allInnerTexts()).map((t) => t.replace(/\n/g, ' '));
  return { says, amounts, all: await main.innerText() };
}
/** The step at hand and its button; clocks beside them run on. */
const asked = async (page: Page): Promise<string> => {
  const main = page.getByRole('main');
  const says = await main.getByRole('status').first().innerText();
  return `${says} ${await main.getByText(/^Step \d+ of/).allInnerTexts()} ${await page.locator('.button-bench-main').innerText()}`;
};
/** Does every step until the pour is done; gives back what each asked for. */
async function pourAll(page: Page): Promise<Awaited<ReturnType<typeof now>>[]> {
  const steps: Awaited<ReturnType<typeof now>>[] = [];
  for (let i = 0; i < 40; i++) {
    const step = await now(page);
    if (step.says === 'The pour is done.') return steps;
    steps.push(step);
    // a second tap too soon is taken for a slip of the glove
    await page.waitForTimeout(420);
    const before = await asked(page);
    await page.locator('.button-bench-main').click();
    await until(
      () => asked(page),
      (now) => now !== before,
      `the step after “${step.says}”`,
    );
  }
  throw new Error('the pour does not end');
}
const rows = async (page: Page): Promise<string> => {
  await page.getByRole('link', { name: 'To the log' }).click();
  await page.getByRole('heading', { name: 'Harbour board' }).waitFor();
  return page.getByRole('table').innerText();
};
const order = (steps: { says: string }[], ...says: RegExp[]): void => {
  const at = says.map((s) => steps.findIndex((x) => s.test(x.says)));
  assert.ok(
    at.every((n, i) => n >= 0 && (i === 0 || n > at[i - 1]!)),
    `${says.join(' then ')}: ${steps.map((s) => s.says).join(' | ')}`,
  );
};
const server = { server: plainServer, allow: /404/ };

visit('a piece with white first: the white, then the clear over it, then heat, and the log says so', server, async ({ page }) => {
  await lay(page, coated(panel(), { wave: { under: 'white first', heat: 'torch then air' } }));
  await begin(page);
  const steps = await pourAll(page);
  order(
    steps,
    /Lay the white along the shore; the clear comes over it/,
    /Lay the clear over the white/,
    /Flick the torch/,
    /Heat pass 1 of 2/,
  );
  assert.match(steps.find((s) => /Lay the white/.test(s.says))!.amounts, /^\d+(\.\d)? ml White .*White paste/);
  assert.match(steps.find((s) => /Flick/.test(s.says))!.all, /extinguisher near/);
  const log = await rows(page);
  assert.match(log, /White laid[\s\S]*Clear laid over the white[\s\S]*Torch flicked over it/);
});

visit('a piece with a bare gap: the tint stops short, white fills it, and no clear is asked for', server, async ({ page }) => {
  await lay(page, coated(panel(), { wave: { under: 'gap' } }));
  await begin(page);
  assert.equal(await page.getByRole('list', { name: 'Cups' }).getByText('Clear under the white').count(), 0);
  const steps = await pourAll(page);
  const shore = steps.find((s) => /Lay Shore/.test(s.says))!;
  assert.match(shore.all, /Stop 15 mm short of the line of the wave: it stays bare for the white\./);
  order(steps, /Lay Shore/, /Fill the bare gap with white, along the shore/, /Heat pass 1/);
  assert.ok(!steps.some((s) => /clear line/.test(s.says)));
});

visit(
  'a piece with dry sand and shells: pressed in after its clear, no heat on it, and the shells at the end',
  server,
  async ({ page }) => {
    const shelled = withDressing(withDressing(coated(panel(), { sand: { how: 'pressed in' } as Partial<SandCoat> }), 'shell'), 'shell');
    await lay(page, shelled);
    await begin(page);
    const steps = await pourAll(page);
    order(
      steps,
      /Lay the clear for the beach/,
      /Press dry sand into the wet clear/,
      /Lay Deep/,
      /Heat pass 2/,
      /Set the 2 shells/,
      /Cover it/,
    );
    assert.doesNotMatch(steps.find((s) => /clear for the beach/.test(s.says))!.all, /quick low heat pass/);
    assert.match(steps.find((s) => /Press dry sand/.test(s.says))!.amounts, /^\d+ g Dry sand$/);
    assert.match(steps.find((s) => /Heat pass 1/.test(s.says))!.all, /Keep it off sand that is still dry/);
    assert.match(steps.find((s) => /Set the 2 shells/.test(s.says))!.amounts, /^a dip Clear under the white$/);
    assert.match(await rows(page), /Dry sand pressed in[\s\S]*2 shells set/);
  },
);

visit('two boards of a kind: every amount says what one of them gets', server, async ({ page }) => {
  await lay(page, panel({ count: 2 }), { settings: { ...empty.settings, volume: 'fl oz', length: 'in', temperature: '°F' } });
  await begin(page);
  const steps = await pourAll(page);
  const deep = steps.find((s) => /Lay Deep/.test(s.says))!;
  const [, sum, each] = /^([\d.]+) fl oz Deep ([\d.]+) fl oz a board/.exec(deep.amounts)!;
  assert.ok(Math.abs(Number(sum) - 2 * Number(each)) < 0.02, deep.amounts);
  assert.match(deep.all, /On each of the 2 boards\./);
  assert.match(deep.all, /sq in a board/);
});

visit('a pour started by mistake is abandoned with a reason, and the piece stands as before', server, async ({ page }) => {
  await lay(page, panel({ pourAt: '2031-05-04T09:00:00.000Z' }));
  await begin(page);
  await page.getByText('Bring A and B together, and press as they meet.').waitFor();
  await page.getByRole('button', { name: /^Something else/ }).click();
  await page.getByRole('button', { name: /^Abandon this pour/ }).click();
  const dialog = page.getByRole('dialog');
  await dialog.getByText('Nothing was mixed, so nothing leaves the shelf.').waitFor();
  await dialog.getByRole('button', { name: 'Abandon it' }).click();
  await dialog.getByText('Give a reason in a few words').waitFor();
  await dialog.getByLabel('Why').fill('the wrong board');
  await dialog.getByRole('button', { name: 'Abandon it' }).click();
  await page.waitForURL('**/log/**');
  await page.getByText(/Abandoned at/).waitFor();
  await page.getByText('the wrong board').waitFor();
  await follow(page, '/pieces/panel');
  await page.getByText(/^Planned for/).waitFor();
  await page.getByRole('button', { name: 'Start the pour' }).click();
  await page.getByRole('dialog', { name: 'Pour 1 of Harbour board' }).waitFor();
  const studio = JSON.parse(await exportStudio(page)) as Studio;
  assert.equal(studio.pieces[0]!.pourAt, '2031-05-04T09:00:00.000Z');
  assert.deepEqual(
    studio.pours[0]!.events.map((e) => e.kind),
    ['ready', 'abandoned'],
  );
});

visit(
  'the start dialog: its way out starts nothing, and a warmer bench shows what changes before anything is mixed',
  server,
  async ({ page }) => {
    await lay(page, panel());
    await page.getByRole('button', { name: 'Start the pour' }).click();
    await page.getByLabel('Temperature at the bench now').fill('30 C');
    await page.getByText('The bench is warmer than planned.').waitFor();
    const row = page.getByRole('dialog').getByRole('row', { name: /^pour within/ });
    const [planned, here] = (await row.getByRole('cell').allInnerTexts()).map((t) => Number(/\d+/.exec(t)![0]));
    assert.ok(here! < planned!, `${here} min where ${planned} were planned`);
    await page.getByRole('button', { name: 'Not yet' }).click();
    await page.getByRole('dialog').waitFor({ state: 'detached' });
    assert.match(page.url(), /\/pieces\/panel$/);
    await follow(page, '/log');
    await page.getByText('Nothing poured yet').waitFor();
  },
);

visit('the next pour is offered; one over a tacky film, or out of turn, says what lies below and asks', server, async ({ page }) => {
  await lay(page, panel());
  await page.getByRole('button', { name: 'Start the pour' }).click();
  await page.getByLabel('Which pour').selectOption('1');
  await page.getByText('Still to be poured below it: Sand, Sea, five tints, Wave.').waitFor();
  await page.getByRole('button', { name: 'Pour it all the same' }).waitFor();
  await page.getByLabel('Which pour').selectOption('0');
  await page.getByRole('button', { name: 'Start', exact: true }).click();
  await allIsSo(page);
  await pourAll(page);
  await follow(page, '/pieces/panel');
  await page.getByRole('button', { name: 'Start the pour' }).click();
  await page.getByRole('dialog', { name: 'Pour 2 of Harbour board' }).waitFor();
  await page.getByText(/^What lies below is still tacky, until/).waitFor();
  await page.getByRole('button', { name: 'Pour it all the same' }).click();
  await allIsSo(page);
  await page.getByText('Bring A and B together').waitFor();
  await pourAll(page).then((steps) => order(steps, /Pour the clear top, and let it level/, /Cover it/));
});

visit(
  'every weight is stored as it is taken: a reload at the scale goes on, and one batch’s weights are not the next one’s',
  server,
  async ({ page }) => {
    const own = coated(panel(), { wave: { ownBatch: true } as Partial<WaveCoat> });
    await lay(page, own);
    await begin(page);
    await page.getByRole('link', { name: 'At the scale' }).click();
    const wanted = Number(/to ([\d.]+) g/.exec(await page.getByText(/^Pour A to/).innerText())![1]);
    await page.getByLabel('or type it').fill('40');
    await page.keyboard.press('Enter');
    await page.getByText(/g more of A\.$/).waitFor();
    await page.reload();
    const more = Number(/^([\d.]+) g more/.exec(await page.getByText(/g more of A\.$/).innerText())![1]);
    assert.ok(Math.abs(more - (wanted - 40)) < 0.11, `${more} of ${wanted}`);
    // back at the bench the field shows it, and typing B checks the ratio
    await page.getByRole('link', { name: 'Back to the pour' }).click();
    assert.equal(await page.getByLabel('A weighed').inputValue(), '40.0 g');
    await page.getByLabel('B weighed').fill('40');
    await page.getByText(/too much hardener/).waitFor();
    await page.getByRole('button', { name: /A and B are together/ }).click();
    // the press that leaves the field is not lost to the weight that is stored by it
    await thin(page);
    await page.getByText('Lay the beach, thinner toward the water.').waitFor();
    // to the step that mixes the second batch
    for (let i = 0; i < 12 && !/^Batch 2/.test((await now(page)).says); i++) {
      const before = await asked(page);
      await page.waitForTimeout(420);
      await page.locator('.button-bench-main').click();
      await until(
        () => asked(page),
        (all) => all !== before,
        'the next step',
      );
    }
    await page.getByText('Batch 2 of 2: bring A and B together, and press as they meet.').waitFor();
    assert.equal(await page.getByLabel('A weighed').inputValue(), '');
    const studio = JSON.parse(await exportStudio(page)) as Studio;
    const weights = studio.pours[0]!.events.flatMap((e) => (e.kind === 'weighed' ? [[e.batch, e.what, e.grams]] : []));
    assert.deepEqual(weights, [
      [0, 'A', 40],
      [0, 'B', 40],
    ]);
  },
);
