import assert from 'node:assert/strict';
import { test } from 'node:test';
import type { Page } from 'playwright-core';
import { writeStudio } from '#core/document';
import { sample } from '../factories';
import { allIsSo, demoServer, exportStudio, follow, openFile, replaced, until, visit } from './help';
import { all, put } from './damage';
import { killed } from './killed';

test('what reads as kept is on the disk: a kill after a remark and one after a drawn edit lose nothing', { timeout: 280_000 }, async () => {
  assert.equal(await killed(await demoServer(), 2), 0);
});

type Row = Record<string, unknown>;
const piecesShown = async (page: Page): Promise<void> => {
  await follow(page, '/pieces');
  await page.getByText('Kelp Cove III').first().waitFor();
};

visit('the same step tapped in two windows counts once', {}, async ({ page, context }) => {
  await piecesShown(page);
  await follow(page, '/pieces/kelp-cove-2');
  await page.getByRole('button', { name: 'Start the pour' }).click();
  await page.getByRole('button', { name: 'Start', exact: true }).click();
  await allIsSo(page);
  const other = await context.newPage();
  await other.goto(page.url());
  await Promise.all([page, other].map((p) => p.locator('.button-bench-main').waitFor()));
  const tap = `document.querySelector('.button-bench-main').click()`;
  await Promise.all([page.evaluate(tap), other.evaluate(tap)]);
  const id = page.url().split('/').at(-1)!;
  const did = async (): Promise<Row[]> => (await all<Row>(page, 'events')).filter((e) => e['pourId'] === id);
  await until(did, (e) => e.length > 0, 'events');
  await page.waitForTimeout(500);
  const steps = (await did()).map((e) => JSON.stringify([e['kind'], e['batch'], e['step']]));
  assert.equal(new Set(steps).size, steps.length, steps.join());
});

visit('edits of one row in two windows each keep their own field', {}, async ({ page, base, context }) => {
  await piecesShown(page);
  const other = await context.newPage();
  await follow(page, '/shelf?view=resins');
  await other.goto(`${base}/shelf?view=resins`);
  const type = async (p: Page, cell: number, text: string): Promise<void> => {
    await p.locator(`button[data-row="0"][data-column="${cell}"]`).click();
    await p.keyboard.press('Control+a');
    await p.keyboard.type(text);
  };
  await Promise.all([page, other].map((p) => p.locator('button[data-row="0"]').first().waitFor()));
  const heads = await page.getByRole('columnheader').allInnerTexts();
  const at = (name: RegExp): number => heads.findIndex((h) => name.test(h));
  assert.ok(at(/^working$/) > 0 && at(/gels/) > 0, heads.join('|'));
  await page.bringToFront();
  await type(page, at(/^working$/), '41 min');
  await other.bringToFront();
  await type(other, at(/gels/), '333 min');
  await other.keyboard.press('Enter');
  await page.bringToFront();
  await page.keyboard.press('Enter');
  await until(
    async () => (await all<Row>(page, 'resins')).map((r) => [r['id'], r['workingMin'], r['gelMin']].join(' ')),
    (rows) => rows.some((r) => r.endsWith(' 41 333')),
    'both fields',
  );
});

visit(
  'another studio put in place of this one says what is being poured, and leaves no event behind',
  { allow: /not in the studio/ },
  async ({ page, context }) => {
    await piecesShown(page);
    await follow(page, '/pieces/kelp-cove-2');
    await page.getByRole('button', { name: 'Start the pour' }).click();
    await page.getByRole('button', { name: 'Start', exact: true }).click();
    await allIsSo(page);
    await page.locator('.button-bench-main').waitFor();
    const other = await context.newPage();
    const text = await exportStudio(other);
    await openFile(other, text.replace(/"id": "pour-[a-z0-9]{6,}"/g, '"id": "pour-elsewhere"'));
    await other.getByText('is being poured now').waitFor();
    await other.getByRole('button', { name: 'Open it' }).click();
    await replaced(other);
    await page.getByText('This pour is not in the studio').waitFor();
    const ids = new Set((await all<Row>(other, 'pours')).map((p) => p['id']));
    for (const event of await all<Row>(other, 'events')) assert.ok(ids.has(event['pourId'] as string));
  },
);

visit('a studio of two hundred pours takes the place of another as large', {}, async ({ page }) => {
  await follow(page, '/pieces');
  await page.getByText('Kelp Cove III').first().waitFor();
  const studio = sample();
  const pours = Array.from({ length: 200 }, (_, i) => ({ ...studio.pours[i % studio.pours.length]!, id: `pour-${i}` }));
  for (const length of ['mm', 'in'] as const) {
    await openFile(page, writeStudio({ ...studio, pours, settings: { ...studio.settings, length } }));
    await page.getByRole('button', { name: 'Open it' }).click();
    await replaced(page);
  }
  assert.equal(
    (await all(page, 'events')).length,
    pours.reduce((sum, pour) => sum + pour.events.length, 0),
  );
  assert.ok((await all(page, 'snapshots')).length < 20);
});

visit('undo brings back with a piece the colourant that was taken off the shelf meanwhile', {}, async ({ page }) => {
  await piecesShown(page);
  // a colourant only this tint uses
  type Piece = Row & { id: string; coats: (Row & { kind: string; tints?: { recipe: { colourantId: string; load: number }[] }[] })[] };
  const [colourant] = await all<Row>(page, 'colourants');
  await put(page, 'colourants', { ...colourant, id: 'only-here', name: 'Only here' });
  const piece = (await all<Piece>(page, 'pieces')).find((p) => p.id === 'kelp-cove-1')!;
  const sea = piece.coats.find((c) => c.kind === 'sea')!;
  sea.tints![0]!.recipe = [{ colourantId: 'only-here', load: 0.01 }];
  await put(page, 'pieces', piece);
  await page.goto('/pieces/kelp-cove-1');
  await page.getByRole('button', { name: 'Deep', exact: true }).click();
  await page.getByRole('button', { name: 'Take Only here off' }).click();
  await page.getByRole('button', { name: 'Take Only here off' }).waitFor({ state: 'detached' });
  await page.getByText('Kept', { exact: true }).waitFor();
  await follow(page, '/shelf?view=colourants');
  await page.getByRole('button', { name: 'Remove Only here' }).click();
  await until(
    () => all<Row>(page, 'colourants'),
    (rows) => rows.every((r) => r['id'] !== 'only-here'),
    'taken off',
  );
  await follow(page, '/pieces/kelp-cove-1');
  await page.getByRole('button', { name: 'Undo' }).click();
  await until(
    () => all<Row>(page, 'colourants'),
    (rows) => rows.some((r) => r['id'] === 'only-here'),
    'back',
  );
  await follow(page, '/settings');
  assert.equal(await page.getByText('could not be read').count(), 0);
});
