import assert from 'node:assert/strict';
import type { Locator, Page } from 'playwright-core';
import { allIsSo, exportStudio, follow, until, visit } from './help';

const minutes = async (page: Page, id: string): Promise<number> => Number.parseFloat(await page.getByTestId(id).innerText());

/** Moves a slider by its thumb, so far right of its place, px. */
async function drag(page: Page, thumb: Locator, by: number): Promise<void> {
  const { x, y, width, height } = (await thumb.boundingBox())!;
  await page.mouse.move(x + width / 2, y + height / 2);
  await page.mouse.down();
  await page.mouse.move(x + width / 2 + by, y + height / 2, { steps: 6 });
  await page.mouse.up();
}
const chart = (page: Page): Promise<string> =>
  page.evaluate(() => document.querySelector<HTMLCanvasElement>('main canvas')?.toDataURL() ?? '');

visit(
  'the batch on the clock: drag the room’s warmth and the windows move; warm bottles, a fuller cup; as planned again',
  {},
  async ({ page }) => {
    await follow(page, '/pieces/kelp-cove-1/clock');
    await page.getByTestId('white-from').waitFor();
    await until(
      () => chart(page),
      (url) => url.length > 3000,
      'the chart is drawn',
    );
    const [white, heat, drawn] = [await minutes(page, 'white-from'), await minutes(page, 'heat-until'), await chart(page)];
    await drag(page, page.getByRole('slider', { name: 'The room, slider' }), 40);
    await until(
      () => minutes(page, 'heat-until'),
      (min) => min < heat - 10,
      'a warmer room ends pouring sooner',
    );
    assert.notEqual(await chart(page), drawn, 'and the bands have moved');
    assert.match(await page.getByRole('region', { name: /^Slow coating at/ }).innerText(), /Slow coating at (2[4-9]|3\d)/);
    await page.getByRole('button', { name: 'As planned' }).click();
    assert.equal(await minutes(page, 'heat-until'), heat);

    const bottles = page.getByRole('textbox', { name: 'The bottles' });
    await bottles.fill('38 °C');
    await bottles.press('Enter');
    await until(
      () => minutes(page, 'heat-until'),
      (min) => min < heat - 3,
      'warm bottles too',
    );
    await page.getByRole('button', { name: 'As planned' }).click();
    const thumb = page.getByRole('slider', { name: 'In the cup, slider' });
    const row = page.getByRole('row', { name: /^White/ });
    const past = async (): Promise<number> => Number(/(\d+) min/.exec(await row.innerText())![1]);
    const alone = await past();
    await thumb.focus();
    for (let i = 0; i < 60; i++) await page.keyboard.press('ArrowRight');
    await until(past, (min) => min < alone, 'a fuller cup of white warms itself, by keyboard');
    assert.ok((await minutes(page, 'white-from')) <= white);
  },
);

visit('when A and B must meet, so that the white is ready at a time', {}, async ({ page }) => {
  await follow(page, '/pieces/kelp-cove-1/clock');
  const white = await minutes(page, 'white-from');
  await page.getByLabel('White is to be ready at').fill('14:00');
  const [h, m] = (await page.getByTestId('meet').innerText()).split(':').map(Number) as [number, number];
  assert.ok(Math.abs(14 * 60 - (60 * h + m) - white) <= 1, `${h}:${m} is ${white} min before`);
  await page.getByLabel('White is to be ready at').fill('');
  await page.getByText('Give a time of the day, as 14:00.').waitFor();
});

visit('a bead check corrects the curve, on the piece and at the bench, and is kept where it is asked for', {}, async ({ page }) => {
  await follow(page, '/pieces/kelp-cove-1/clock');
  const white = await minutes(page, 'white-from');
  const check = page.getByRole('region', { name: 'Bead check' });
  await check.getByLabel('It ran').fill('12 mm');
  await check.getByRole('button', { name: 'Correct the clock by it' }).click();
  await check.getByText(/So short a run says nothing/).waitFor();
  assert.equal(await check.getByLabel('It ran').inputValue(), '12 mm', 'what was typed stays');
  await check.getByLabel('It ran').fill('58 mm');
  await check.getByRole('button', { name: 'Correct the clock by it' }).click();
  await check.getByText(/times as thick as/).waitFor();
  assert.ok((await minutes(page, 'white-from')) < white, 'thicker, and ready sooner');
  await check.getByRole('button', { name: 'Keep it as this resin’s' }).click();
  await page.getByText(/is kept as thick as you measured it/).waitFor();
  const resins = (JSON.parse(await exportStudio(page)) as { resins: { id: string; viscosity: number; measuredOn?: string }[] }).resins;
  const slow = resins.find((r) => r.id === 'slow-coating')!;
  assert.ok(slow.viscosity > 1 && /^\d{4}-\d\d-\d\d$/.test(slow.measuredOn!));

  await follow(page, '/pieces/kelp-cove-2');
  await page.getByRole('button', { name: 'Start the pour' }).click();
  await page.getByRole('button', { name: /^(Start|Pour it all the same)$/ }).click();
  await allIsSo(page);
  await page.getByRole('button', { name: /^A and B are together/ }).click();
  await page.getByRole('button', { name: /^Something else/ }).click();
  await page.getByRole('button', { name: /^Bead check/ }).click();
  const dialog = page.getByRole('dialog');
  await dialog.getByLabel('It ran').fill('90 mm');
  await dialog.getByRole('button', { name: 'Correct the clock by it' }).click();
  await page.getByText('A bead has corrected this clock.').waitFor();
  await page.reload();
  await page.getByText('A bead has corrected this clock.').waitFor();
  await page.keyboard.press('u');
  await page.getByText('A bead has corrected this clock.').waitFor({ state: 'detached' });
});

visit('how level a board lies: the bubble in words, which foot and how much, the drift, and undo', {}, async ({ page }) => {
  await follow(page, '/pieces/kelp-cove-1/level');
  const says = page.getByRole('region', { name: 'What follows' });
  await says.getByText('The board is level: nothing runs.').waitFor();
  const along = page.getByRole('group', { name: 'Along its length' });
  await along.getByLabel('the bubble is').selectOption('touching');
  await says.getByText('Put 1.8 mm below the upper right foot.').waitFor();
  await along.getByLabel('toward the').selectOption({ label: 'right end' });
  await says.getByText('Put 1.8 mm below the upper left foot.').waitFor();
  const far = Number.parseFloat(await page.getByTestId('drift').innerText());
  assert.ok(far > 20);
  await along.getByLabel('or it reads').fill('2 mm/m');
  await along.getByLabel('or it reads').press('Enter');
  await until(
    async () => Number.parseFloat(await page.getByTestId('drift').innerText()),
    (mm) => mm < far / 2,
    '2 mm a metre is 0.11°',
  );
  await along.getByLabel('or it reads').fill('45');
  await along.getByLabel('or it reads').press('Tab');
  await along.getByText(/A tilt of 45° is outside what can be planned/).waitFor();
  await page.getByLabel('Feet below it').fill('2');
  await page.getByLabel('Feet below it').press('Enter');
  await says.getByText('A board on two feet tips.').waitFor();
  await page.getByRole('button', { name: 'Undo' }).click();
  await says.getByText('A board on two feet tips.').waitFor({ state: 'detached' });

  const tilting = page.getByRole('region', { name: 'Tilting on purpose' });
  const seconds = Number.parseFloat(await page.getByTestId('tilt-there').innerText());
  await tilting.getByLabel('tilt it').fill('2.5°');
  await until(
    async () => Number.parseFloat(await page.getByTestId('tilt-there').innerText()),
    (s) => s > 1.8 * seconds,
    'half as steep takes twice as long',
  );
  await page.getByRole('button', { name: 'Lay this device on the board' }).click();
  // browsers differ in whether they ask before they tell
  await page.getByText(/use a spirit level/i).waitFor();
});
