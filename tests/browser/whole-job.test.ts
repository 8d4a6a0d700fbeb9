import assert from 'node:assert/strict';
import { allIsSo, cupMl, exportStudio, follow, openFile, plainServer, replaced, until, visit } from './help';

visit(
  'the whole job: a new panel, its shore, its cups, its pour by the clock, its line in the log, and the file of it',
  { alone: true },
  async ({ page, context }) => {
    await page.clock.install({ time: new Date('2026-11-25T13:36:00') });
    await follow(page, '/pieces');
    await page.getByRole('link', { name: 'New piece' }).click();
    await page.getByLabel('Name').fill('Harbour board');
    await page.getByLabel('Width').fill('16 in');
    await page.getByLabel('Height').fill('30 cm');
    await page.getByRole('button', { name: 'Put it on the table' }).click();
    await page.getByRole('heading', { name: 'Harbour board' }).waitFor();
    await page.getByText('panel 406 × 300 × 18 mm').waitFor();

    // the shore by mouse: farther out, so more beach and less sea
    const before = { sand: await cupMl(page, 'Sand'), shore: await cupMl(page, 'Shore') };
    const point = page.getByRole('slider', { name: 'Shoreline, point 3 of 5' });
    const box = (await point.boundingBox())!;
    await page.mouse.move(box.x + box.width / 2, box.y + box.height / 2);
    await page.mouse.down();
    await page.mouse.move(box.x + box.width / 2, box.y - 30, { steps: 6 });
    const dragged = await until(
      () => cupMl(page, 'Sand'),
      (ml) => ml > before.sand,
      'the sand cup grows while the shore is dragged',
    );
    await page.mouse.up();
    assert.ok((await cupMl(page, 'Shore')) < before.shore);
    await until(
      () => page.getByRole('button', { name: 'Undo' }).getAttribute('title'),
      (t) => t === 'Move the shoreline',
      'the drag can be undone',
    );

    // and by keyboard: ten millimetres back toward the beach
    await point.focus();
    await page.keyboard.press('Shift+ArrowDown');
    await page.keyboard.press('ArrowDown');
    await until(
      () => cupMl(page, 'Sand'),
      (ml) => ml < dragged,
      'the sand cup shrinks as the shore is nudged',
    );
    const down = await point.getAttribute('aria-valuetext');
    await page.getByRole('button', { name: 'Undo' }).click();
    await until(
      () => point.getAttribute('aria-valuetext'),
      (t) => t !== down,
      'undo takes both nudges back at once',
    );
    assert.equal(await cupMl(page, 'Sand'), dragged);
    await page.keyboard.press('Control+Shift+z');
    await until(
      () => point.getAttribute('aria-valuetext'),
      (t) => t === down,
      'redo by keyboard',
    );

    // the pour; what comes next is named beside the step at hand, so only the step itself says that it has come
    const at = (words: string) => page.getByRole('main').getByRole('status').filter({ hasText: words }).waitFor();
    await page.getByRole('button', { name: 'Start the pour' }).click();
    await page.getByLabel('Temperature at the bench now').fill('70 F');
    await page.getByRole('button', { name: 'Start', exact: true }).click();
    await allIsSo(page);
    await at('Bring A and B together, and press as they meet.');
    await page.getByText('21.1 °C').waitFor();
    await page.keyboard.press('Space');
    await at('Thin what the cups want too little of.');
    await page.getByText('White rests').waitFor();
    await page.clock.fastForward('05:00');
    await page.getByRole('button', { name: 'They are thinned' }).click();
    await at('Lay the beach, thinner toward the water.');
    await page.clock.fastForward('08:00');
    await page.getByRole('button', { name: /^Laid/ }).click();
    await at('Lay Deep');
    await page.clock.fastForward('02:00');
    await page.getByRole('button', { name: /^Laid/ }).click();
    await at('Lay Offshore');

    // the battery dies: it goes on where it was
    await page.reload();
    await at('Lay Offshore');
    assert.match(await page.getByTestId('since').innerText(), /^1[5-7]:\d\d$/);
    for (const cup of ['Offshore', 'Mid', 'Shallow', 'Shore']) {
      await at(`Lay ${cup}`);
      await page.clock.fastForward('01:30');
      await page.getByRole('button', { name: /^Laid/ }).click();
    }
    await at('Lay the clear line along the shore');
    await page.getByText(/^White is (in its window|at its best)$/).waitFor();

    // a slip, taken back
    await page.clock.fastForward('00:10');
    await page.keyboard.press('Space');
    await at('Lay the white on the clear line, along the shore.');
    await page.keyboard.press('u');
    await at('Lay the clear line along the shore');
    await page.clock.fastForward('02:00');
    await page.keyboard.press('Space');
    await at('Lay the white on the clear line, along the shore.');
    await page.clock.fastForward('00:30');
    await page.keyboard.press('Space');
    await at('Heat pass 1 of 2');
    await page.keyboard.press('n');
    await page.getByRole('textbox', { name: 'Note' }).fill('Wind from the window, cover sooner.');
    await page.getByRole('button', { name: 'Keep' }).click();
    await page.getByRole('dialog').waitFor({ state: 'detached' });
    await at('Heat pass 1 of 2');
    await page.clock.fastForward('00:40');
    await page.keyboard.press('h');
    // a second tap of the same glove does not end the pass it began
    await page.keyboard.press('h');
    await page.getByRole('button', { name: /^Pass done/ }).waitFor();
    await page.clock.fastForward('01:20');
    assert.match(await page.getByTestId('held').innerText(), /^01:2\d$/);
    await page.keyboard.press('h');
    await at('Heat pass 2 of 2');
    await page.getByText('Wait and look:').waitFor();
    await page.clock.fastForward('00:40');
    await page.keyboard.press('Space');
    await page.getByRole('button', { name: /^Pass done/ }).waitFor();
    await page.clock.fastForward('01:10');
    await page.keyboard.press('Space');
    await at('Cover it, level, hands off.');
    await page.clock.fastForward('01:00');
    await page.keyboard.press('Space');
    await page.getByRole('link', { name: 'To the log' }).click();

    // its line in the log, planned beside done
    const row = (name: string) => page.getByRole('row', { name: new RegExp(`^${name}`) });
    await row('Sand laid').waitFor();
    // the clock runs on while the browser works, so what was done may be some minutes after what was pressed
    const [planned, done, difference] = await row('White laid').getByRole('cell').allInnerTexts();
    assert.ok(Number(planned) >= 24 && Number(planned) <= 26, planned);
    assert.ok(Number(done) >= 23 && Number(done) < 30, done);
    assert.match(difference!, /^(as planned|\d min (later|sooner))$/);
    assert.equal((await row('Sand laid').getByRole('cell').allInnerTexts())[0], '14');
    await page.getByText(`White went out ${done} min after mixing, in its window`).waitFor();
    await page.getByText('Wind from the window, cover sooner.').waitFor();
    await page.getByText('Make it again').click();
    // what was pressed is on the disk, and read back, before the next thing is typed
    await page.waitForTimeout(800);
    await page.getByLabel('What to remember').fill('The shore sat right at 23 minutes.');
    await page.clock.runFor(1000);
    await page.waitForTimeout(800);
    await page.getByRole('link', { name: 'Log', exact: true }).click();
    await page.getByText('The shore sat right at 23 minutes.').waitFor();
    assert.equal(await page.getByText('make it again').count(), 3);
    await page.getByRole('group', { name: /Harbour board: pour/ }).waitFor();

    // out, into an empty browser, and out again: the same bytes
    const text = await exportStudio(page);
    assert.ok(text.includes('Harbour board') && text.includes('"undone"'));
    const elsewhere = await plainServer();
    const other = await context.browser()!.newContext({ acceptDownloads: true });
    const empty = await other.newPage();
    await empty.goto(`${elsewhere}/pieces`);
    await empty.getByText('No piece on the table yet').waitFor();
    await openFile(empty, text);
    await empty.getByText(/studio\.json holds 8 pieces and 6 pours/).waitFor();
    await empty.getByRole('button', { name: 'Open it' }).click();
    await replaced(empty);
    assert.equal(await exportStudio(empty), text);
    await empty.getByRole('link', { name: 'Pieces' }).click();
    await empty.getByText('Harbour board').first().waitFor();
    await other.close();
  },
);
