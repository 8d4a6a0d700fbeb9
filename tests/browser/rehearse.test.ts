import assert from 'node:assert/strict';
import type { Page } from 'playwright-core';
import { until, visit } from './help';

const reach = async (page: Page): Promise<number> => {
  const text = await page.getByText('reach to sea', { exact: true }).locator('..').locator('dd').first().textContent();
  return Number.parseFloat(text ?? '');
};
const air = async (page: Page): Promise<number> => Number.parseFloat((await page.getByText(/s of air/).textContent()) ?? '');
const idle = (page: Page) => page.getByRole('button', { name: 'Make one pass' }).and(page.locator(':enabled')).waitFor();

/** Pushes the air from the beach out to sea, as a hand does. @param at share of the board's width, x, and from where to where, y */
async function push(page: Page, x: number, from: number, to: number, ms = 2500): Promise<void> {
  const board = (await page.getByRole('application').boundingBox())!;
  const at = (y: number): [number, number] => [board.x + x * board.width, board.y + y * board.height];
  await page.mouse.move(...at(from));
  await page.mouse.down();
  const steps = ms / 50;
  for (let k = 0; k <= steps; k++) {
    await page.mouse.move(...at(from + ((to - from) * k) / steps));
    await page.waitForTimeout(50);
  }
  await page.mouse.up();
  await idle(page);
}

const COASTERS = '/rehearse?piece=skerry-coasters';

visit(
  'air is pushed over the white by hand: it goes out to sea, and back again when that is taken back',
  {},
  async ({ page, complaints }) => {
    await page.goto(COASTERS);
    await idle(page);
    const before = await reach(page);
    for (const x of [0.3, 0.45, 0.6, 0.75]) await push(page, x, 0.72, 0.45);
    const after = await reach(page);
    assert.ok(after > before, `${after} mm after ${before} mm`);
    assert.ok((await air(page)) >= 3, 'seconds of air are counted');
    await page.getByRole('slider', { name: 'Go back to' }).fill('0');
    await until(
      () => reach(page),
      (mm) => mm === before,
      'the reach it began with',
    );
    // laid later, the same air does less; it need not be pushed again
    await push(page, 0.5, 0.72, 0.45);
    await page.getByLabel('Laid after', { exact: true }).fill('45');
    await page.getByLabel('Laid after', { exact: true }).press('Enter');
    await idle(page);
    await page.getByRole('button', { name: 'The same air again' }).click();
    await until(
      () => air(page),
      (s) => s > 0,
      'the same air',
    );
    assert.deepEqual(complaints, []);
  },
);

visit('a pass is made and rested, and eight lucks say how sure it is and whether to stop', {}, async ({ page }) => {
  await page.goto(COASTERS);
  await idle(page);
  await page.getByRole('button', { name: 'Make one pass' }).click();
  await until(
    () => air(page),
    (s) => s > 5,
    'a pass',
  );
  await idle(page);
  await page.getByRole('button', { name: 'Rest 30 min' }).click();
  await page.getByText(/30 min rested/).waitFor();
  await idle(page);
  await page.getByText(/cells; most of them/).waitFor();
  await page.getByRole('button', { name: 'Back one' }).click();
  await page.getByText(/^\d+ s of air$/).waitFor();
  await idle(page);
  await page.getByRole('button', { name: 'Try 8 lucks' }).click();
  await page.getByText(/^A pass more would/).waitFor();
  await page.getByRole('heading', { name: /^You could (stop here|go on)$/ }).waitFor();
  await page.getByText(/^Rested it reaches/).waitFor();
});

visit('early and late are played side by side with the same luck, and each says how it differs', {}, async ({ page }) => {
  await page.goto(COASTERS);
  await idle(page);
  await page.getByRole('combobox', { name: 'side by side' }).selectOption({ label: 'Early and late' });
  for (const name of ['too early', 'as soon as it may', 'in the middle', 'too late']) await page.getByRole('region', { name }).waitFor();
  await until(
    () => page.getByText(/^(Beside “too early” it|Much as “too early”)/).count(),
    (n) => n === 3,
    'three that differ',
  );
  const figure = async (name: string): Promise<number> =>
    Number.parseFloat(await page.getByRole('region', { name }).locator('dd').first().innerText());
  assert.ok((await figure('too late')) < (await figure('too early')), 'late white goes less far');
  await page.getByRole('combobox', { name: 'side by side' }).selectOption({ label: 'nothing, one board' });
  await idle(page);
});

visit('by keys: the air is moved, turned and held on, and no white is no harm', {}, async ({ page }) => {
  await page.goto(COASTERS);
  await idle(page);
  const board = page.getByRole('application');
  await board.focus();
  for (const key of ['ArrowUp', 'ArrowRight', 'e', 'h']) await page.keyboard.press(key);
  await page.getByText(/ skin, \d+ cells/).waitFor();
  await page.waitForTimeout(1500);
  await page.keyboard.press('h');
  await idle(page);
  assert.ok((await air(page)) > 0);
  for (const [typed, says] of [
    ['0 ml', '0 %'],
    ['100 ml', /^[1-9]\d+ %$/],
  ] as const) {
    await page.getByLabel('White', { exact: true }).fill(typed);
    await page.getByLabel('White', { exact: true }).press('Enter');
    await page.getByText('white of the board').locator('..').locator('dd').first().filter({ hasText: says }).waitFor();
    await idle(page);
  }
  const white = page.getByLabel('White', { exact: true });
  await white.fill('a lot');
  await white.press('Enter');
  await page.locator('[aria-invalid=true]').waitFor();
  assert.equal(await white.inputValue(), 'a lot', 'what was typed stays');
});

visit('a rehearsal that ends by itself says so, and is laid again', { alone: true, allow: /./ }, async ({ page }) => {
  await page.route(/rehearse\.worker/, (route) => route.abort());
  await page.goto(COASTERS);
  await page.getByText('The rehearsal stopped by itself.').waitFor();
  await page.unroute(/rehearse\.worker/);
  await page.getByRole('button', { name: 'Lay the white again' }).click();
  await idle(page);
  assert.ok((await reach(page)) > 0);
});
