import assert from 'node:assert/strict';
import type { Page } from 'playwright-core';
import { openStudio } from '#core/document';
import { snarl } from '../nasty/curves';
import { damagedHabits, damagedRows } from '../nasty/damages';
import { all, put, spoil } from './damage';
import { exportStudio, follow, openFile, plainServer, until, visit } from './help';

const screens = ['/pieces/kelp-cove-3', '/tints', '/mix', '/log', '/shelf'];

// each by itself is put aside in tests/core/store; here the screens go on without what is gone
for (const damages of [damagedRows, ...damagedHabits.map((damage) => [damage])]) {
  const name = damages.length > 1 ? 'a damage in every table' : damages[0]!.name;
  visit(`${name} is put aside, and every screen works`, { allow: /./, alone: true }, async ({ page }) => {
    await follow(page, '/pieces');
    await page.getByText('Kelp Cove III').first().waitFor();
    for (const damage of damages) await spoil(page, damage);
    await page.goto('/pieces');
    const aside = damages.reduce((sum, damage) => sum + damage.aside, 0);
    if (aside) await page.getByText('could not be read and').waitFor();
    for (const path of screens) {
      await follow(page, path);
      await until(
        () => page.getByText('could not be shown').count(),
        (n) => n === 0,
        `${path} with ${name}`,
      );
    }
    await follow(page, '/settings');
    await page.getByRole('button', { name: 'Export the studio' }).waitFor();
    await until(
      () => page.getByRole('button', { name: 'Save it as it is' }).count(),
      (n) => n === aside,
      'put aside',
    );
    const opened = openStudio(await exportStudio(page));
    assert.equal(opened.ok, true, opened.ok ? '' : JSON.stringify(opened.problems[0]));
  });
}

visit(
  'what was put aside is saved as it is, and taken off when that is asked twice',
  { allow: /./, alone: true },
  async ({ page, base }) => {
    await page.goto(`${base}/pieces`);
    await page.getByText('Kelp Cove III').first().waitFor();
    await spoil(
      page,
      damagedRows.find((damage) => damage.of === 'kelp-cove-1')!,
    );
    await page.goto(`${base}/settings`);
    await page.getByText('Kelp Cove I, a piece').waitFor();
    const [file] = await Promise.all([page.waitForEvent('download'), page.getByRole('button', { name: 'Save it as it is' }).click()]);
    const chunks: Buffer[] = [];
    for await (const chunk of await file.createReadStream()) chunks.push(chunk as Buffer);
    const row = JSON.parse(Buffer.concat(chunks).toString()) as { id: string; shape: unknown };
    assert.deepEqual([row.id, row.shape], ['kelp-cove-1', null]);
    await page.getByRole('button', { name: 'Remove it' }).click();
    await page.getByRole('alertdialog').getByRole('button', { name: 'Remove it' }).click();
    await page.getByRole('heading', { name: 'Put aside' }).waitFor({ state: 'detached' });
    assert.equal((await all(page, 'aside')).length, 0);
  },
);

visit(
  'a studio of a later version is left alone, saved as it is, and given up only when that is asked',
  { allow: /./, alone: true },
  async ({ page, base }) => {
    await page.goto(`${base}/pieces`);
    await page.getByText('Kelp Cove III').first().waitFor();
    await page.goto(`${base}/api/health`);
    await page.evaluate(
      () =>
        new Promise<void>((resolve, reject) => {
          const open = indexedDB.open('nerite', 900);
          open.onsuccess = () => {
            open.result.close();
            resolve();
          };
          open.onerror = () => reject(open.error);
        }),
    );
    await page.goto(`${base}/pieces`);
    await page.getByText('stored by a later Nerite').or(page.getByText('written by a later Nerite')).waitFor();
    const [file] = await Promise.all([
      page.waitForEvent('download'),
      page.getByRole('button', { name: 'Save everything as it is' }).click(),
    ]);
    const chunks: Buffer[] = [];
    for await (const chunk of await file.createReadStream()) chunks.push(chunk as Buffer);
    const raw = JSON.parse(Buffer.concat(chunks).toString()) as { tables: Record<string, unknown[]> };
    assert.ok(raw.tables['pieces']!.length > 3);
    await page.getByRole('button', { name: 'Start empty' }).click();
    await page.getByRole('alertdialog').getByRole('button', { name: 'Start empty' }).click();
    await page.getByRole('link', { name: 'Kelp Cove III' }).waitFor();
  },
);

visit(
  'a studio that does not open is said to be held after ten seconds',
  { server: plainServer, alone: true },
  async ({ page, base, context }) => {
    await context.addInitScript(`const open = IDBFactory.prototype.open;
    IDBFactory.prototype.open = function (...args) { return String(args[0]) === 'nerite' ? { addEventListener() {} } : open.apply(this, args); };`);
    await page.clock.install();
    await page.goto(`${base}/pieces`);
    await page.getByText('Opening the studio').waitFor();
    assert.equal(await page.getByText('Nerite still waits for the browser').count(), 0);
    await page.clock.fastForward('00:10');
    await page.getByText('Nerite still waits for the browser').waitFor();
  },
);

visit('one slope on two coats, two tints of a name, two waves in one pour beside another piece: no screen ends', {}, async ({ page }) => {
  await follow(page, '/pieces');
  await page.getByText('Kelp Cove III').first().waitFor();
  type Coat = Record<string, unknown> & { id: string; kind: string; tints?: { name: string }[] };
  const pieces = await all<{ id: string; coats: Coat[] }>(page, 'pieces');
  const piece = pieces.find((p) => p.id === 'kelp-cove-1')!;
  const twice = piece.coats.flatMap((coat): Coat[] => {
    if (coat.kind === 'sea') {
      const tints = coat.tints!.map((t) => ({ ...t, name: 'Blue' }));
      const sea = { ...coat, tints, slopeId: 'slack-water' };
      return [sea, { ...sea, id: `${coat.id}-again` }];
    }
    return coat.kind === 'wave' ? [coat, { ...coat, id: `${coat.id}-again`, samePour: true }] : [coat];
  });
  await put(page, 'pieces', { ...piece, coats: twice });
  await page.goto('/pieces/kelp-cove-1');
  const paths = [
    '/pieces/kelp-cove-1',
    '/pieces/kelp-cove-1/print',
    '/pieces/kelp-cove-1/print?what=template',
    '/mix?with=kelp-cove-1:1,kelp-cove-2:0',
    '/mix?with=kelp-cove-1:0,kelp-cove-2:0',
    '/mix/sheet?with=kelp-cove-1:1,kelp-cove-2:0',
    '/tints?slope=slack-water',
  ];
  for (const path of paths) {
    await follow(page, path);
    assert.equal(await page.getByText('could not be shown').count(), 0, path);
  }
  await follow(page, '/pieces/kelp-cove-1');
  for (const tab of ['The batch on the clock']) await page.getByRole('tab', { name: tab }).click();
  assert.equal(await page.getByText('could not be shown').count(), 0);
});

/** The sample with another shoreline on a piece that has a planned time. */
async function withShore(page: Page, points: { x: number; y: number }[]): Promise<void> {
  await follow(page, '/pieces');
  await page.getByText('Kelp Cove III').first().waitFor();
  type Piece = Record<string, unknown> & { sea: Record<string, unknown> };
  const piece = (await all<Piece>(page, 'pieces')).find((p) => p['id'] === 'kelp-cove-1')!;
  await put(page, 'pieces', {
    ...piece,
    shape: { kind: 'rectangle', width: 400, height: 300 },
    sea: { ...piece.sea, shoreline: points },
    pourAt: new Date().toISOString(),
  });
}

visit('a point moved so that the shoreline doubles back along the edge: every screen goes on', {}, async ({ page }) => {
  await withShore(page, [
    { x: 100, y: 300 },
    { x: 300, y: 270 },
    { x: 50, y: 300 },
  ]);
  await page.goto('/pieces/kelp-cove-1');
  const point = page.getByRole('slider', { name: 'Shoreline, point 2 of 3' });
  await point.focus();
  const down = page.getByLabel('down', { exact: true });
  await down.fill('300 mm');
  await page.keyboard.press('Enter');
  await until(
    async () => point.getAttribute('aria-valuetext'),
    (text) => /300 mm down/.test(text ?? ''),
    'moved',
  );
  for (const path of ['/pieces', '/mix', '/shelf?view=buy']) {
    await follow(page, path);
  }
});

visit('a curve too tangled to be cut is named; the last good drawing stays, and nothing is stored', {}, async ({ page }) => {
  await withShore(page, snarl(1).shoreline);
  type Piece = Record<string, unknown> & { sea: { edges: unknown[] } };
  const piece = (await all<Piece>(page, 'pieces')).find((p) => p['id'] === 'kelp-cove-1')!;
  await put(page, 'pieces', { ...piece, sea: snarl(1, piece.sea.edges.length + 1) });
  await page.goto('/pieces/kelp-cove-1');
  await page.getByText('Kelp Cove I cannot be drawn').waitFor();
  await page.getByText(/crosses itself too often to be cut into cups/).waitFor();
  await follow(page, '/pieces');
  await page.getByRole('link', { name: 'Kelp Cove II' }).first().waitFor();

  // taken over by another piece, it is refused there: what was drawn stays on the screen and on the disk
  await follow(page, '/pieces/kelp-cove-3');
  const cups = await page.getByRole('region', { name: /^Cups for pour/ }).innerText();
  const stored = async (): Promise<string> => JSON.stringify((await all<Piece>(page, 'pieces')).find((p) => p['id'] === 'kelp-cove-3'));
  const before = await stored();
  await page.getByRole('tab', { name: 'Sea', exact: true }).click();
  await page.getByLabel('or the sea of').selectOption({ label: 'Kelp Cove I' });
  await page.getByText(/crosses itself too often to be cut into cups/).waitFor();
  assert.equal(await page.getByRole('region', { name: /^Cups for pour/ }).innerText(), cups);
  assert.equal(await stored(), before);

  await follow(page, '/pieces/kelp-cove-1');
  await page.getByRole('button', { name: 'Start from another sea' }).click();
  await page.getByRole('region', { name: /^Cups for pour/ }).waitFor();
});

visit(
  'a studio that does not fit the disk is said before anything is touched',
  { allow: /needs about/, alone: true },
  async ({ page, base, context }) => {
    await context.addInitScript('navigator.storage.estimate = async () => ({ quota: 1000, usage: 900 })');
    await page.goto(`${base}/pieces`);
    await page.getByText('Kelp Cove III').first().waitFor();
    const text = await exportStudio(page);
    await openFile(page, text.replaceAll('Kelp Cove III', 'Another cove'));
    await page.getByRole('button', { name: 'Open it' }).click();
    await page.getByText(/needs about 1 MB on the disk/).waitFor();
    assert.equal(
      (await all<{ name: string }>(page, 'pieces')).some((p) => p.name === 'Another cove'),
      false,
    );
  },
);
