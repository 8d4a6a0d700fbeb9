import assert from 'node:assert/strict';
import { cupMl, cupRow, follow, openCoat, until, visit } from './help';

const cove = '/pieces/kelp-cove-1';

visit('a film given as coverage is a film, and undo survives going elsewhere and a reload', {}, async ({ page, base }) => {
  await follow(page, cove);
  await openCoat(page, /^2 Sea, five tints/);
  const before = await cupMl(page, 'Deep');
  await page.getByLabel('film').fill('30 ml/100cm²');
  await page.keyboard.press('Enter');
  const thick = await until(
    () => cupMl(page, 'Deep'),
    (ml) => ml > 1.7 * before,
    'twice the film',
  );
  await page.getByText('30 ml/100 cm²').waitFor();
  // what was typed stays until it is stored
  await until(
    () => page.getByLabel('film').inputValue(),
    (text) => text === '3 mm',
    'the film as it is stored',
  );

  await page.getByRole('link', { name: 'Log' }).click();
  await page.getByRole('heading', { name: 'Log' }).waitFor();
  await page.goto(base + cove);
  await page.getByRole('button', { name: 'Undo' }).click();
  await until(
    () => cupMl(page, 'Deep'),
    (ml) => ml === before,
    'undone',
  );
  await page.getByRole('button', { name: 'Redo' }).click();
  await until(
    () => cupMl(page, 'Deep'),
    (ml) => ml === thick,
    'done again',
  );
});

visit('a second tab sees the change', {}, async ({ page, base, context }) => {
  await follow(page, cove);
  const second = await context.newPage();
  await second.goto(base + cove);
  const before = await cupMl(second, 'Sand');
  const point = page.getByRole('slider', { name: 'Shoreline, point 1 of 5' });
  await point.focus();
  for (let i = 0; i < 4; i++) await page.keyboard.press('Shift+ArrowUp');
  await until(
    () => cupMl(second, 'Sand'),
    (ml) => ml > before,
    'the second tab follows',
  );
  await second.getByRole('button', { name: 'Undo' }).click();
  await until(
    () => cupMl(page, 'Sand'),
    (ml) => ml === before,
    'and the first follows its undo',
  );
});

visit('a tint edge is chosen and moved by keyboard, and held at the board’s edge with a sentence', {}, async ({ page }) => {
  await follow(page, cove);
  await page.getByRole('button', { name: 'edge between Offshore and Deep' }).focus();
  await page.keyboard.press('Enter');
  const point = page.getByRole('slider', { name: 'edge between Offshore and Deep, point 4 of 5' });
  await point.focus();
  const before = await cupMl(page, 'Deep');
  for (let i = 0; i < 4; i++) await page.keyboard.press('Shift+ArrowUp');
  await page.getByText('A curve stays on the board: 0 to 300 mm down, 0 to 400 mm across.').waitFor();
  await until(
    () => point.getAttribute('aria-valuenow'),
    (v) => v === '0',
    'it stops at the edge',
  );
  assert.ok((await cupMl(page, 'Deep')) < before);
});

visit('a shoreline dragged off the board stays on it; where it leaves no beach, that is said', {}, async ({ page }) => {
  await follow(page, cove);
  for (let i = 1; i <= 5; i++) {
    const box = (await page.getByRole('slider', { name: `Shoreline, point ${i} of 5` }).boundingBox())!;
    await page.mouse.move(box.x + 6, box.y + 6);
    await page.mouse.down();
    await page.mouse.move(box.x + 6, 780, { steps: 4 });
    await page.mouse.up();
    await until(
      () => page.getByRole('slider', { name: `Shoreline, point ${i} of 5` }).getAttribute('aria-valuenow'),
      (v) => v === '300',
      'held at the edge',
    );
  }
  await page.getByText('Sand covers nothing.').waitFor();
  await page.getByText('Drag the shoreline back onto the board').waitFor();
});

visit('a load over the limit stops, and the recipe in the open row brings it back', {}, async ({ page }) => {
  await follow(page, cove);
  await page.getByRole('button', { name: /^White/ }).click();
  await page.getByText(/The drawn line takes \d+(\.\d)? ml/).waitFor();
  await page.getByLabel('White paste').fill('9 %');
  await page.keyboard.press('Enter');
  await page.getByText('White holds 9 % colourant; Slow coating takes 6 %.').waitFor();
  await page.getByText('9 % colourant', { exact: true }).waitFor();
  await page.getByLabel('White paste').fill('5 %');
  await page.keyboard.press('Enter');
  await page.getByText('White holds 9 % colourant').waitFor({ state: 'detached' });
});

visit('a food piece wants its clear top, and gets it by the word below the coats', {}, async ({ page }) => {
  await follow(page, '/pieces/ferry-tray');
  await openCoat(page, /^4 Clear top/);
  await page.getByRole('button', { name: 'Take this coat off' }).click();
  await page.getByText('A piece for food has no clear top over its pigment.').waitFor();
  await page.getByRole('button', { name: 'top', exact: true }).click();
  await page.getByText('A piece for food has no clear top over its pigment.').waitFor({ state: 'detached' });
  await page.getByRole('button', { name: /^4 Clear top/ }).waitFor();
});

visit('a board put on another size takes its sea along, and a piece is removed only when asked', {}, async ({ page }) => {
  await follow(page, cove);
  const before = await cupMl(page, 'Deep');
  await page.getByRole('link', { name: 'Board' }).click();
  await page.getByLabel('Width').fill('80 cm');
  await page.getByLabel('Next pour planned for').fill('2027-01-04T09:30');
  await page.getByRole('button', { name: 'Keep' }).click();
  await page.getByText('panel 800 × 300 × 18 mm').waitFor();
  await page.getByText('Planned for Mon 4 09:30').waitFor();
  await until(
    () => cupMl(page, 'Deep'),
    (ml) => ml > 1.8 * before,
    'twice the board',
  );
  await page.getByRole('link', { name: 'Board' }).click();
  await page.getByRole('button', { name: 'Remove this piece' }).click();
  await page.getByRole('button', { name: 'Leave it' }).click();
  await page.getByRole('button', { name: 'Remove this piece' }).click();
  await page.getByRole('button', { name: 'Remove it' }).click();
  await page.getByText('Kelp Cove II', { exact: true }).first().waitFor();
  await page.getByText('Kelp Cove I was removed.').waitFor();
  assert.equal(await page.getByRole('link', { name: 'Chart of Kelp Cove I ', exact: false }).count(), 2);
  await page.getByRole('button', { name: 'Bring it back' }).click();
  await until(
    () => page.getByRole('link', { name: 'Chart of Kelp Cove I ', exact: false }).count(),
    (n) => n === 3,
    'it is back',
  );
});

visit('units are shown as chosen and read as written', {}, async ({ page }) => {
  await follow(page, '/settings');
  await page.getByLabel('Lengths').selectOption('in');
  await page.getByLabel('Volumes').selectOption('fl oz');
  await page.getByLabel('Temperatures').selectOption('°F');
  await until(
    () => page.getByLabel('By day').inputValue(),
    (v) => v === '70.5 °F',
    'shown in the chosen unit',
  );
  await page.getByLabel('By day').fill('75');
  await page.keyboard.press('Enter');
  await until(
    () => page.getByLabel('By day').inputValue(),
    (v) => v === '75 °F',
    'a bare number is in the chosen unit',
  );
  await follow(page, cove);
  await page.getByText('panel 15 3/4 × 11 13/16 × 23/32 in').waitFor();
  await page.getByRole('tab', { name: 'The batch on the clock' }).click();
  await page.getByText('Slow coating at 75 °F').waitFor();
  await page.getByRole('columnheader', { name: 'fl oz' }).waitFor();
  assert.match((await cupRow(page, 'Deep'))[0]!, /^1\.\d\d$/);
});

/** Types one entry, leaves it, and types on before anything could reach the disk. */
const hasty = `(() => {
  const field = document.activeElement;
  const type = (text) => {
    field.value = text;
    field.dispatchEvent(new Event('input', { bubbles: true }));
  };
  type('1.7 mm');
  field.dispatchEvent(new Event('change', { bubbles: true }));
  type('thin');
})()`;

visit('what is typed while the entry before it is still on its way to the disk stays', {}, async ({ page }) => {
  await follow(page, cove);
  await openCoat(page, /^2 Sea, five tints/);
  const film = page.getByLabel('film');
  await film.focus();
  await page.evaluate(hasty);
  await page.getByText('17 ml/100 cm²').or(page.getByText('“thin” has no number in front.')).first().waitFor();
  await until(() => page.getByRole('button', { name: 'Undo' }).isEnabled(), Boolean, 'the first entry was stored');
  assert.equal(await film.inputValue(), 'thin');
});

visit('what is typed after Enter takes the place of what was stored, and is not added to it', {}, async ({ page }) => {
  const typedOver = async (name: string, first: string, stored: string): Promise<string> => {
    const field = page.getByLabel(name);
    await field.fill(first);
    await page.keyboard.press('Enter');
    await until(
      () => field.inputValue(),
      (text) => text === stored,
      'written as it is stored',
    );
    await page.keyboard.type('8');
    return field.inputValue();
  };
  await follow(page, cove);
  await openCoat(page, /^2 Sea, five tints/);
  assert.equal(await typedOver('film', '1,7', '1.7 mm'), '8');
  await follow(page, '/settings');
  assert.equal(await typedOver('Spare', '12', '12 %'), '8');
});
