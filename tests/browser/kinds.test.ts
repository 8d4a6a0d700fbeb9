import assert from 'node:assert/strict';
import { follow, openCoat, plainServer, until, visit } from './help';

visit(
  'a painted ground, a beach of gravel, a sky, a thread and a wash: said, drawn, and undone',
  { server: plainServer },
  async ({ page }) => {
    await follow(page, '/pieces/new');
    await page.getByLabel('Name').fill('Dusk');
    await page.getByLabel('Its beach').selectOption('gravel');
    await page.getByText('The rest', { exact: true }).click();
    await page.getByLabel('Shows through').selectOption('painted');
    const paint = page.getByLabel('Colours of the paint', { exact: true });
    await paint.fill('navy, the sea at dusk');
    await page.getByRole('button', { name: 'Put it on the table' }).click();
    await page.getByText('“the sea at dusk” is no colour here. Pick one, or write it as #1b6f8a or teal.').first().waitFor();
    assert.equal(await paint.inputValue(), 'navy, the sea at dusk', 'what was typed stays');
    await paint.fill('navy');
    await page.getByRole('button', { name: 'Another' }).click();
    await page.getByLabel('Colours of the paint, 2').fill('#d9c19a');
    await until(
      () => paint.inputValue(),
      (text) => text === '#000080, #d9c19a',
      'the picked colour is written',
    );
    await page.getByRole('button', { name: 'Put it on the table' }).click();
    await page.getByRole('heading', { name: 'Dusk' }).waitFor();

    // a sky comes with a coat of its own, in the sea's pour
    await page.getByRole('tab', { name: 'Add' }).click();
    await page.getByRole('button', { name: 'sky', exact: true }).click();
    await page.getByRole('button', { name: /^2 Sky/ }).waitFor();
    await page.getByRole('region', { name: 'Cups for pour 1' }).getByRole('button', { name: 'Sky' }).waitFor();
    await openCoat(page, /^2 Sky/);
    assert.equal(await page.getByRole('combobox', { name: 'over', exact: true }).inputValue(), 'area sky-1');
    await page.keyboard.press('Escape');

    await page.getByRole('button', { name: 'thread', exact: true }).click();
    const off = page.getByLabel('off the shore');
    await off.fill('35 mm');
    await off.blur();
    await page.getByText('35 mm off the shore').first().waitFor();

    // the beach is gravel, and may be bare
    await openCoat(page, /^1 Gravel/);
    await page.getByText(/^5\d(\.\d)? % of the volume$/).waitFor();
    await page.getByRole('combobox', { name: 'beach' }).selectOption('tint');
    await page.getByRole('button', { name: /^1 Beach/ }).waitFor();
    await page.getByRole('combobox', { name: 'beach' }).selectOption('bare');
    await until(
      () => page.getByRole('button', { name: /^1 (Beach|Gravel)/ }).count(),
      (n) => n === 0,
      'a bare beach has no coat',
    );
    await page.getByRole('button', { name: 'Undo' }).click();
    await page.getByRole('button', { name: 'Undo' }).click();
    await page.getByRole('button', { name: /^1 Gravel/ }).waitFor();

    // a wash on what is dry, before the top
    await openCoat(page, /^6 Clear top/);
    await page.getByRole('combobox', { name: 'brushed on before it' }).selectOption('wash');
    await page.getByRole('button', { name: 'Pick a colour' }).click();
    await page.getByLabel('Colour of the wash, 1').waitFor();
    await page
      .getByText(/^on a dry wash, after/)
      .first()
      .waitFor();
    await follow(page, '/pieces/dusk/print');
    const sheet = page.getByRole('article', { name: 'Piece sheet of Dusk' });
    await sheet.getByText('Brush the wash on thinly before Clear top, and let it dry through.').waitFor();
    await sheet.getByText('Paint the ground that is to show through, graded from the deep to the beach.').waitFor();
    assert.match(await sheet.innerText(), /Thread of Thread/);
  },
);

visit('a base of several tints', { server: plainServer }, async ({ page }) => {
  await follow(page, '/pieces/new');
  await page.getByLabel('Name').fill('Two grounds');
  await page.getByRole('button', { name: 'Put it on the table' }).click();
  await page.getByRole('button', { name: 'base', exact: true }).click();
  await page.getByRole('button', { name: 'Another tint, toward the beach' }).click();
  await page.getByRole('button', { name: /^1 Base, 2 tints/ }).waitFor();
  await page.keyboard.press('Escape');
  const cups = page.getByRole('region', { name: /^Cups for pour/ });
  await cups.getByRole('button', { name: 'Base 2' }).click();
  await cups.getByRole('button', { name: 'Tan tint' }).click();
  await cups
    .getByText(/Tan tint/)
    .first()
    .waitFor();
  await openCoat(page, /^1 Base/);
  await page.getByRole('button', { name: 'take it off', exact: true }).first().click();
  await page.getByRole('button', { name: /^1 Base\b(?!,)/ }).waitFor();
});

visit(
  'a whole curve is moved by its line and by the arrow keys; a sea that does not fit is not drawn',
  { server: plainServer },
  async ({ page }) => {
    await follow(page, '/pieces/new');
    await page.getByLabel('Name').fill('Moved');
    await page.getByLabel('Shape').selectOption('heart');
    await page.getByRole('button', { name: 'Put it on the table' }).click();
    const shore = page.getByRole('slider', { name: 'Shoreline, the whole curve' });
    const first = page.getByLabel('down');
    await shore.waitFor();
    const mm = async (): Promise<number> => Number.parseFloat(await first.inputValue());
    const was = await mm();
    await shore.focus();
    await page.keyboard.press('Shift+ArrowUp');
    await until(mm, (v) => Math.abs(v - (was - 10)) < 0.11, 'ten up with shift');
    await page.keyboard.press('ArrowDown');
    await until(mm, (v) => Math.abs(v - (was - 9)) < 0.11, 'one down');

    // pulled by its line, where no point is; what is minded follows an edit at leisure, and may move the chart
    /** Between its second and its third point, on the line itself. */
    const onLine = (): Promise<[number, number]> =>
      shore.evaluate((slider) => {
        const path = (slider instanceof SVGPathElement ? slider : slider.querySelector('path')) as SVGPathElement;
        const at = path.getPointAtLength(0.375 * path.getTotalLength());
        const { x, y } = new DOMPoint(at.x, at.y).matrixTransform(path.getScreenCTM()!);
        return [x, y];
      });
    let still = '';
    await until(
      async () => {
        const before = still;
        await page.waitForTimeout(600);
        still = JSON.stringify(await onLine());
        return still === before;
      },
      (same) => same,
      'the chart lies still',
    );
    // what lies under the mouse is the curve: a figure that is fetched late, or a sentence, may have moved the chart since
    let [x, y] = await onLine();
    await until(
      async () => {
        [x, y] = await onLine();
        await page.mouse.move(x, y);
        return shore.evaluate((slider, at) => slider.contains(document.elementFromPoint(at[0]!, at[1]!)), [x, y]);
      },
      (is) => is,
      'the curve lies under the mouse',
    );
    await page.mouse.down();
    await page.mouse.move(x, y - 30, { steps: 6 });
    // a busy browser may join moves; the last is where the mouse rests
    await page.mouse.move(x, y - 31);
    await until(mm, (v) => v < was - 20, `the whole curve goes up with it, from ${was}`);
    await page.mouse.up();
    await until(mm, (v) => v < was - 20, `and stays there, from ${was}`);
    await page.getByRole('button', { name: 'Undo' }).click();
    await until(mm, (v) => Math.abs(v - (was - 9)) < 0.11, 'undone as one');

    // two thirds fits; the top third seen from the tip of the heart does not
    await page.getByRole('tab', { name: 'Sea' }).click();
    await page.getByRole('button', { name: 'two thirds' }).click();
    await page.getByLabel('beach at the').selectOption('far side');
    await page.getByRole('button', { name: 'top third' }).click();
    await page.getByText(/^Top third does not fit this shape: one of its parts has no room\./).waitFor();
    await page.getByRole('button', { name: 'open sea' }).click();
    await until(
      () => page.getByRole('button', { name: /^\d Sand/ }).count(),
      (n) => n === 0,
      'no beach, no sand',
    );
  },
);

visit('another layer like these', { server: plainServer }, async ({ page }) => {
  await follow(page, '/pieces/new');
  await page.getByLabel('Name').fill('Deep');
  await page.getByRole('button', { name: 'Put it on the table' }).click();
  await page.getByRole('button', { name: 'Pour another layer like these' }).click();
  await page.getByRole('region', { name: 'Cups for pour 2' }).getByRole('button', { name: 'Deep' }).waitFor();
  await page.getByRole('button', { name: /^5 Wave 2/ }).waitFor();
  await page.getByRole('button', { name: 'Undo' }).click();
  await page.getByRole('button', { name: /^4 Clear top/ }).waitFor();
});
