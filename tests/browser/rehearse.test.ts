import assert from 'node:assert/strict';
import type { Page } from 'playwright-core';
import { until, visit } from './help';

const reach = async (page: Page): Promise<number> => {
  const text = await page.getByText('reach to sea', { exact: true }).locator('..').locator('dd').first().textContent();
  return Number.parseFloat(text ?? '');
};
const air = async (page: Page): Promise<number> => Number.parseFloat((await page.getByText(/s of air/).textContent()) ?? '');
/** The model is worked out beside whatever else this machine does. */
const SLOW = 150_000;
const idle = (page: Page) => page.getByRole('button', { name: 'Make one pass' }).and(page.locator(':enabled')).waitFor({ timeout: SLOW });

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

/** A panel that is not begun yet. */
const PANEL = '/rehearse?piece=kelp-cove-2';
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
  await page.getByText(/^A pass more would/).waitFor({ timeout: SLOW });
  await page.getByRole('heading', { name: /^You could (stop here|go on)$/ }).waitFor();
  await page.getByText(/^Rested it reaches/).waitFor();
});

visit('early and late are played side by side with the same luck, and each says how it differs', {}, async ({ page }) => {
  await page.goto(COASTERS);
  await idle(page);
  await page.getByRole('tab', { name: 'Side by side' }).click();
  for (const name of ['too early', 'as soon as it may', 'in the middle', 'too late']) await page.getByRole('region', { name }).waitFor();
  // four boards are worked out at once, on however few cores there are
  await page
    .getByText(/^(Beside “too early” it|Much as “too early”)/)
    .nth(2)
    .waitFor({ timeout: SLOW });
  const figure = async (name: string): Promise<number> =>
    Number.parseFloat(await page.getByRole('region', { name }).locator('dd').first().innerText());
  assert.ok((await figure('too late')) < (await figure('too early')), 'late white goes less far');
  await page.getByRole('tab', { name: 'One board' }).click();
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

visit('two boards of one’s own are set beside each other and played together', {}, async ({ page }) => {
  await page.goto(COASTERS);
  await idle(page);
  for (const x of [0.4, 0.6]) {
    await push(page, x, 0.72, 0.5, 800);
    await page.getByRole('button', { name: 'Set beside' }).click();
  }
  await page.getByRole('tab', { name: 'Side by side' }).click();
  await page.getByRole('region', { name: /^board 1/ }).waitFor();
  await page.getByRole('region', { name: /^board 2/ }).waitFor();
  await page.getByText(/^(Beside “board 1|Much as “board 1)/).waitFor({ timeout: SLOW });
  await page.getByRole('button', { name: 'Take away' }).first().click();
  await page.getByRole('region', { name: /^board 1/ }).waitFor({ state: 'detached' });
});

visit('strokes are drawn and played, and the white is laid along a line of one’s own', {}, async ({ page }) => {
  await page.goto(COASTERS);
  await idle(page);
  const draw = async (from: [number, number], to: [number, number]): Promise<void> => {
    const board = (await page.getByRole('application').boundingBox())!;
    await page.mouse.move(board.x + from[0] * board.width, board.y + from[1] * board.height);
    await page.mouse.down();
    await page.mouse.move(board.x + to[0] * board.width, board.y + to[1] * board.height, { steps: 12 });
    await page.mouse.up();
  };
  const pointer = page.getByRole('combobox', { name: 'pointer' });
  await pointer.selectOption('draws strokes');
  await draw([0.5, 0.5], [0.505, 0.5]);
  await page.getByText('too short for a line').waitFor();
  await draw([0.35, 0.72], [0.4, 0.45]);
  await draw([0.6, 0.72], [0.65, 0.45]);
  await page.getByRole('button', { name: 'Take one off' }).click();
  await page.getByRole('button', { name: 'Play the stroke' }).click();
  await until(
    () => air(page),
    (s) => s > 1,
    'a stroke that was played',
  );
  await idle(page);
  await pointer.selectOption('draws the line');
  await draw([0.2, 0.35], [0.8, 0.35]);
  await idle(page);
  await page.getByText('More: the line').click();
  await page.getByText('Laid along a line of your own.').waitFor();
  await page.getByRole('button', { name: 'Lay the plan’s' }).click();
  await idle(page);
  await page.getByText('Laid along a line of your own.').waitFor({ state: 'detached' });
});

visit('a drill is pushed by hand, scored with what to do differently, and its best and last are kept', {}, async ({ page }) => {
  await page.goto(`${COASTERS}&view=drills`);
  await page.getByRole('button', { name: 'Begin: An even reach' }).click();
  await page.getByRole('timer').waitFor();
  const stop = page.getByRole('button', { name: 'I stop here' }).and(page.locator(':enabled'));
  await stop.waitFor();
  const board = (await page.getByRole('application').boundingBox())!;
  await page.mouse.move(board.x + 0.5 * board.width, board.y + 0.7 * board.height);
  await page.mouse.down();
  for (let k = 0; k < 20; k++) {
    await page.mouse.move(board.x + 0.5 * board.width, board.y + (0.7 - 0.012 * k) * board.height);
    await page.waitForTimeout(50);
  }
  await page.mouse.up();
  await stop.click();
  const score = page.getByTestId('score');
  await score.waitFor({ timeout: SLOW });
  const figure = Number(await score.innerText());
  assert.ok(figure >= 0 && figure <= 100);
  await page.getByText(/^It reaches .*, in places/).waitFor();
  await page.getByText(new RegExp(`^best ${figure}, last ${figure}, done once$`)).waitFor();
  await page.reload();
  await page.getByText(new RegExp(`^best ${figure}, last ${figure}, done once$`)).waitFor();
});

visit('a look is searched for, stopped, searched for again, and tried on the board', {}, async ({ page }) => {
  await page.goto(`${COASTERS}&view=look`);
  const cells = page.getByLabel('cells across');
  await cells.fill('huge');
  await cells.press('Enter');
  await page.locator('[aria-invalid=true]').waitFor();
  assert.equal(await cells.inputValue(), 'huge');
  await cells.fill('1 mm');
  await cells.press('Enter');
  await page.getByRole('button', { name: 'Look for it' }).click();
  await page.getByRole('button', { name: 'Stop looking' }).click();
  await page.getByRole('button', { name: 'Look for it' }).click();
  await page
    .getByRole('region', { name: 'Nearest' })
    .getByText(/ of white at \d+ min/)
    .waitFor({ timeout: SLOW });
  const found = await page.getByRole('region', { name: 'Nearest' }).locator('b').innerText();
  await page.getByRole('button', { name: 'Try it on the board' }).first().click();
  await idle(page);
  const white = await page.getByLabel('White', { exact: true }).inputValue();
  assert.ok(found.startsWith(white), `${found} is laid, not ${white}`);
});

visit(
  'a rehearsal is kept, undone and kept again; the chart shows its foam, and Pour times its strokes',
  { alone: true },
  async ({ page, complaints }) => {
    await page.goto(PANEL);
    await idle(page);
    for (const x of [0.3, 0.5, 0.7]) await push(page, x, 0.62, 0.5, 900);
    await page.getByRole('button', { name: 'Keep it' }).click();
    await page.getByText(/^Kept: Kelp Cove II is poured so now/).waitFor();
    const kept = page.getByRole('region', { name: 'Kept in the plan' });
    const strokes = Number(/(\d+) strokes of hot air/.exec(await kept.innerText())![1]);
    assert.ok(strokes >= 3, `${strokes} strokes`);
    await page.getByRole('link', { name: 'To the piece' }).click();
    await page.getByText('foam as rehearsed').waitFor();
    await page.getByText(/ min, rehearsed/).waitFor();
    await page.locator('[data-foam=rehearsed]').first().waitFor({ state: 'attached', timeout: SLOW });
    await page.getByRole('button', { name: 'Undo' }).click();
    await page.getByText('foam of one ordinary pass').waitFor();
    await page.getByRole('button', { name: 'Redo' }).click();
    await page.getByText('foam as rehearsed').waitFor();
    // another line is another wave: what was rehearsed is not poured so
    await page.getByRole('button', { name: 'Mirror' }).click();
    await page.getByText('foam of one ordinary pass').waitFor();
    await page.goto(PANEL);
    await page.getByText(/has changed since this was rehearsed/).waitFor();
    await page.goBack();
    await page.getByRole('button', { name: 'Undo' }).click();
    await page.getByText('foam as rehearsed').waitFor();

    await page.clock.install();
    await page.goto('/pieces/kelp-cove-2?start');
    await page.getByRole('button', { name: /^(Start|Pour it all the same)$/ }).click();
    await page.getByRole('button', { name: /^All of it is so/ }).click();
    const says = (): Promise<string> => page.getByRole('main').getByRole('status').first().innerText();
    for (let i = 0; i < 40 && !/^Heat pass 1/.test(await says()); i++) {
      await page.clock.fastForward('01:00');
      await page.waitForTimeout(900);
      await page.keyboard.press('Space');
      await page.waitForTimeout(400);
    }
    await page.getByText(new RegExp(`As rehearsed: hot air, ${strokes} strokes in`)).waitFor();
    await page.getByText(`Stroke 1 of ${strokes}`).waitFor();
    await page.waitForTimeout(900);
    await page.keyboard.press('Space');
    await page.clock.runFor(1_700);
    await page.getByText(new RegExp(`Stroke [2-9] of ${strokes}`)).waitFor();
    await page.getByTestId('tool').waitFor();
    assert.deepEqual(complaints, []);
  },
);
