import assert from 'node:assert/strict';
import type { Locator, Page } from 'playwright-core';
import { cupMl, follow, openCoat, until, visit } from './help';

const cove = '/pieces/kelp-cove-1';
const point = (page: Page, n: number, of: number, name = 'Shoreline'): Locator =>
  page.getByRole('slider', { name: `${name}, point ${n} of ${of}` });
/** Where a thing lies once it lies still: a sentence that comes beside the chart moves what is drawn on it. */
const middle = async (at: Locator): Promise<[number, number]> => {
  const lies = async (): Promise<[number, number]> => {
    const { x, y, width, height } = (await at.boundingBox())!;
    return [x + width / 2, y + height / 2];
  };
  for (let last = await lies(); ;) {
    await at.page().waitForTimeout(60);
    const now = await lies();
    if (`${now}` === `${last}`) return now;
    last = now;
  }
};
const down = async (at: Locator): Promise<number> => Number(await at.getAttribute('aria-valuenow'));
const tool = (page: Page, name: string): Promise<void> => page.getByRole('tab', { name, exact: true }).click();

visit('by mouse: a double click puts a point on the curve, and a drag moves it with its cups', {}, async ({ page }) => {
  await follow(page, cove);
  const before = await cupMl(page, 'Sand');
  const [ax, ay] = await middle(point(page, 2, 5));
  const [bx, by] = await middle(point(page, 3, 5));
  await page.mouse.dblclick((ax + bx) / 2, (ay + by) / 2);
  await point(page, 3, 6).waitFor();
  const [x, y] = await middle(point(page, 3, 6));
  assert.ok(Math.abs(x - (ax + bx) / 2) < 8, 'it lies where it was put');
  await page.mouse.move(x, y);
  await page.mouse.down();
  await page.mouse.move(x, y - 60, { steps: 6 });
  await page.mouse.up();
  await until(
    () => cupMl(page, 'Sand'),
    (ml) => ml > before,
    'a higher shore, more sand',
  );
  await page.getByRole('button', { name: 'Undo' }).click();
  await page.getByRole('button', { name: 'Undo' }).click();
  await point(page, 3, 5).waitFor();
  assert.equal(await cupMl(page, 'Sand'), before);
});

visit('by keyboard: points are added, nudged by 1 and 10 mm, typed as numbers and taken off', {}, async ({ page }) => {
  await follow(page, cove);
  await point(page, 2, 5).focus();
  const start = await down(point(page, 2, 5));
  await page.keyboard.press('ArrowDown');
  await page.keyboard.press('Shift+ArrowDown');
  await until(
    () => down(point(page, 2, 5)),
    (y) => y === start + 11,
    '1 mm, then 10',
  );
  await page.keyboard.press('Insert');
  await point(page, 6, 6).waitFor();
  await point(page, 3, 6).focus();
  await page.getByRole('textbox', { name: 'across' }).fill('5 in');
  await page.keyboard.press('Enter');
  await page.getByRole('textbox', { name: 'down' }).fill('17,5 cm');
  await page.keyboard.press('Enter');
  await until(
    () => point(page, 3, 6).getAttribute('aria-valuetext'),
    (v) => v === '127 mm across, 175 mm down',
    'as typed',
  );
  await page.getByRole('textbox', { name: 'down' }).fill('3 m');
  await page.keyboard.press('Enter');
  await page.getByText('Give 0 mm to 300 mm.').waitFor();
  assert.equal(await page.getByRole('textbox', { name: 'down' }).inputValue(), '3 m');
  await point(page, 3, 6).focus();
  await page.keyboard.press('Delete');
  await point(page, 5, 5).waitFor();
});

visit(
  'by touch: one finger drags a point, two zoom, one pans, and the board is shown whole again',
  { size: { width: 1024, height: 768 }, alone: true },
  async ({ page, context }) => {
    await follow(page, cove);
    const hand = await context.newCDPSession(page);
    await hand.send('Emulation.setTouchEmulationEnabled', { enabled: true, maxTouchPoints: 5 });
    const touch = (type: 'touchStart' | 'touchMove' | 'touchEnd', ...at: [number, number][]): Promise<unknown> =>
      hand.send('Input.dispatchTouchEvent', { type, touchPoints: at.map(([x, y], id) => ({ x, y, id })) });
    const before = await down(point(page, 3, 5));
    const [x, y] = await middle(point(page, 3, 5));
    await touch('touchStart', [x, y]);
    for (let i = 1; i <= 5; i++) await touch('touchMove', [x, y - 8 * i]);
    await touch('touchEnd');
    const moved = await until(
      () => down(point(page, 3, 5)),
      (v) => v < before - 20,
      'the point followed the finger',
    );

    const [bx, by] = await middle(page.getByRole('group', { name: 'Chart of Kelp Cove I' }));
    await touch('touchStart', [bx - 30, by - 60], [bx + 30, by - 60]);
    for (let i = 1; i <= 5; i++) await touch('touchMove', [bx - 30 - 8 * i, by - 60], [bx + 30 + 8 * i, by - 60]);
    await touch('touchEnd');
    const whole = page.getByRole('button', { name: /show the whole board/ });
    await until(
      () => whole.innerText(),
      (t) => parseInt(t, 10) > 150,
      'zoomed',
    );
    const [, before1] = await middle(page.getByRole('slider', { name: 'End B of the section' }));
    await touch('touchStart', [bx + 40, by - 60]);
    for (let i = 1; i <= 5; i++) await touch('touchMove', [bx + 40, by - 60 + 6 * i]);
    await touch('touchEnd');
    await until(
      async () => (await middle(page.getByRole('slider', { name: 'End B of the section' })))[1],
      (v) => v > before1 + 15,
      'panned',
    );
    await whole.click();
    await until(
      () => whole.innerText(),
      (t) => t === '100 %',
      'whole',
    );
    assert.equal(await down(point(page, 3, 5)), moved);
  },
);

visit('what is drawn means something to the plan: island, wave at sea, edge of the resin, gravel, dry sand', {}, async ({ page }) => {
  await follow(page, cove);
  const sand = await cupMl(page, 'Sand');
  await tool(page, 'Add');
  await page.getByRole('button', { name: 'island', exact: true }).click();
  await point(page, 1, 7, 'Island').waitFor();
  const withIsland = await until(
    () => cupMl(page, 'Sand'),
    (ml) => ml > sand,
    'an island is beach',
  );
  await tool(page, 'Add');
  await page.getByRole('button', { name: 'second beach' }).click();
  await until(
    () => cupMl(page, 'Sand'),
    (ml) => ml > withIsland,
    'a second beach too',
  );
  await page.getByRole('button', { name: 'Swap its land' }).waitFor();

  await tool(page, 'Add');
  await page.getByRole('button', { name: 'a wave out at sea' }).click();
  await point(page, 1, 5, 'Breaker 1').waitFor();
  await page.getByRole('button', { name: /^3 Wave/ }).click();
  const white = await cupMl(page, 'White');
  await openCoat(page, /^3 Wave/);
  await page.getByLabel('breaks along').selectOption({ index: 1 });
  await page.getByText('Kept', { exact: true }).waitFor();
  await page.keyboard.press('Escape');
  await until(
    () => cupMl(page, 'White'),
    (ml) => ml !== white,
    'a line of another length',
  );

  await tool(page, 'Add');
  await page.getByRole('button', { name: 'gravel', exact: true }).click();
  await page.getByRole('button', { name: 'dry sand kept pale' }).click();
  await page.getByText(/\d+ g/).first().waitFor();
  // what is minded follows an edit at leisure, and may move what is pressed next
  await page.getByText('Kept', { exact: true }).waitFor();
  await page.waitForTimeout(1200);
  await page.getByRole('button', { name: 'edge of the resin' }).click();
  await until(
    () => page.getByRole('button', { name: 'Undo' }).getAttribute('title'),
    (title) => /resin/i.test(title ?? ''),
    'the edge of the resin is drawn',
  );
  await tool(page, 'Areas');
  await page.getByText('Bare', { exact: true }).waitFor();
  await page.getByRole('button', { name: 'Undo' }).click();
  await page.getByText('Bare', { exact: true }).waitFor({ state: 'detached' });
});

visit('the whole sea: four to start from, mirrored, turned, parted, copied from another piece', {}, async ({ page }) => {
  await follow(page, cove);
  await tool(page, 'Sea');
  const shores = new Set<string>();
  const outline = (): Promise<string> => page.locator('svg[aria-label^="Chart of"] path[fill-rule]').first().getAttribute('d').then(String);
  for (const name of ['open shore', 'corner cove', 'two beaches', 'island']) {
    const was = await outline();
    await page.getByRole('button', { name, exact: true }).click();
    shores.add(await until(outline, (d) => d !== was, name));
  }
  assert.equal(shores.size, 4);
  await page.getByLabel('or the sea of').selectOption({ label: 'Ferry tray' });
  await page.getByRole('combobox', { name: /^tints/ }).selectOption('3');
  await page.getByRole('button', { name: '2 Sea, three tints' }).waitFor();
  await page.getByLabel('beach at the').selectOption('left');
  await tool(page, 'Curves');
  const left = await point(page, 1, 5).getAttribute('aria-valuetext');
  await page.getByRole('button', { name: 'Mirror' }).click();
  await until(
    () => point(page, 1, 5).getAttribute('aria-valuetext'),
    (v) => v !== left,
    'mirrored',
  );
});

visit('a snap holds dragged points to its grid', {}, async ({ page }) => {
  await follow(page, cove);
  await page.getByLabel('snap').selectOption({ label: '10 mm' });
  const [x, y] = await middle(point(page, 4, 5));
  await page.mouse.move(x, y);
  await page.mouse.down();
  await page.mouse.move(x + 21, y - 33, { steps: 4 });
  await page.mouse.up();
  await until(
    () => point(page, 4, 5).getAttribute('aria-valuetext'),
    (v) => /^\d*0 mm across, \d*0 mm down$/.test(v!),
    'on the grid',
  );
});

visit('curves that cross are named, and so is one that meets a hole', {}, async ({ page }) => {
  await follow(page, cove);
  await page.getByRole('button', { name: 'edge between Offshore and Deep' }).click();
  await page.getByRole('slider', { name: 'edge between Offshore and Deep, point 3 of 5' }).focus();
  for (let i = 0; i < 12; i++) await page.keyboard.press('Shift+ArrowDown');
  await page.getByText('A tint edge crosses its neighbour on the land side.').waitFor();
  await follow(page, '/pieces/jetty-rail');
  await point(page, 2, 5).focus();
  await page.getByRole('textbox', { name: 'across' }).fill('186');
  await page.keyboard.press('Enter');
  await page.getByRole('textbox', { name: 'down' }).fill('3 cm');
  await page.keyboard.press('Enter');
  await page.getByText('The shore runs over a hole that stays open.').waitFor();
});

visit('a dressing is set, sized, dragged, and what it takes is said', {}, async ({ page }) => {
  await follow(page, '/pieces/ferry-tray');
  await tool(page, 'Dressing');
  await page.getByRole('button', { name: 'shell', exact: true }).click();
  await page.getByLabel('high').fill('30 mm');
  await page.keyboard.press('Enter');
  await page.getByText(/A shell stands .* over the wall/).waitFor();
  const shell = page.getByRole('button', { name: /^shell, / });
  const [x, y] = await middle(shell);
  const was = await shell.getAttribute('aria-label');
  await page.mouse.move(x, y);
  await page.mouse.down();
  await page.mouse.move(x + 40, y + 10, { steps: 4 });
  await page.mouse.up();
  await until(
    () => shell.getAttribute('aria-label'),
    (label) => label !== was,
    'moved',
  );
  await shell.focus();
  await page.keyboard.press('Delete');
  await page.getByText(/A shell stands/).waitFor({ state: 'detached' });
});
