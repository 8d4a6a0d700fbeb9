import assert from 'node:assert/strict';
import type { Page } from 'playwright-core';
import { planned } from '../../tools/command';
import { exportStudio, follow, plainServer, until, visit } from './help';

interface Stored {
  pieces: { id: string; dueOn?: string; pourAt?: string }[];
  diary: { kind: string; operation?: string; at?: string; on?: string }[];
}
const stored = async (page: Page): Promise<Stored> => JSON.parse(await exportStudio(page)) as Stored;

/** The days as they are planned, and not being planned anew. */
async function days(page: Page): Promise<void> {
  await follow(page, '/calendar');
  await page.getByRole('group', { name: 'The days' }).waitFor();
  await settled(page);
}
const settled = (page: Page): Promise<unknown> =>
  until(
    () => page.getByRole('main').getByRole('status').first().innerText(),
    (text) => /sessions/.test(text) && !/planning/.test(text),
    'the days are planned',
  );
/** The afternoon the sample studio was recorded on. */
const NOW = '2026-11-25T13:36:00Z';
const fixed = (page: Page): Promise<void> => page.clock.install({ time: NOW });
const session = (page: Page, id: string) => page.locator(`[data-session="${id}"]`);
const says = async (page: Page, id: string): Promise<string> => (await session(page, id).getAttribute('aria-label')) ?? '';

const GLAZE = 'kelp-cove-1/pour-kelp-cove-1-glaze';
const TRAY = 'ferry-tray/pour-ferry-tray-clear';

visit(
  'seven pieces against busy evenings: one coat is moved by mouse and one by keys, and both are taken back',
  { alone: true },
  async ({ page }) => {
    await fixed(page);
    await days(page);
    const tray = await says(page, TRAY);

    // by mouse: dragged a quarter of the width to the right, it shows where all would lie before it is let go
    const mark = (await session(page, TRAY).locator('rect').first().boundingBox())!;
    const [x, y] = [mark.x + mark.width / 2, mark.y + mark.height / 2];
    await page.mouse.move(x, y);
    await page.mouse.down();
    await page.mouse.move(x + 60, y, { steps: 6 });
    await page.mouse.move(x + 140, y, { steps: 6 });
    await page.getByRole('region', { name: 'What would change' }).waitFor();
    await page.getByRole('button', { name: 'Put it there' }).waitFor();
    await page.keyboard.press('Escape');
    await page.getByRole('region', { name: 'What would change' }).waitFor({ state: 'detached' });
    await page.mouse.up();
    assert.equal(await says(page, TRAY), tray, 'Escape leaves it where it was');
    const again = (await session(page, TRAY).locator('rect').first().boundingBox())!;
    await page.mouse.move(again.x + again.width / 2, again.y + again.height / 2);
    await page.mouse.down();
    await page.mouse.move(x + 60, y, { steps: 6 });
    await page.mouse.move(x + 140, y, { steps: 6 });
    await page
      .getByRole('region', { name: 'What would change' })
      .getByText(/Ferry tray.*→/)
      .first()
      .waitFor();
    await page.mouse.up();
    await until(
      () => says(page, TRAY),
      (text) => text !== tray && /held there/.test(text),
      'the tray is held where it was let go',
    );
    await settled(page);
    await page
      .getByRole('region', { name: 'What changed' })
      .getByText(/Ferry tray/)
      .first()
      .waitFor();
    const held = await says(page, TRAY);
    const beside = await says(page, GLAZE);

    // by keys: an hour later with Alt, Shift and the arrow, put with Enter
    await session(page, GLAZE).focus();
    await page.keyboard.press('Enter');
    await page.getByText('Can wait:').waitFor();
    await page.keyboard.press('Alt+Shift+ArrowRight');
    await page.getByRole('button', { name: 'Put it there' }).waitFor();
    await page.keyboard.press('Escape');
    await page.getByRole('button', { name: 'Put it there' }).waitFor({ state: 'detached' });
    assert.equal(await says(page, GLAZE), beside);
    await session(page, GLAZE).focus();
    await page.keyboard.press('Alt+Shift+ArrowRight');
    await page.getByRole('button', { name: 'Put it there' }).waitFor();
    await page.keyboard.press('Enter');
    await until(
      () => says(page, GLAZE),
      (text) => text !== beside && /held there/.test(text),
      'the glaze is held an hour later',
    );
    // what is put shows at once; it can be taken back once it is stored
    const undo = page.getByRole('main').getByRole('button', { name: 'Undo' });
    await until(
      () => undo.getAttribute('title'),
      (title) => /^Move .* of Kelp Cove I$/.test(title ?? ''),
      'the move of the glaze can be undone',
    );
    await settled(page);

    // one step back each
    await undo.click();
    await until(
      () => says(page, GLAZE),
      (text) => !/held there/.test(text),
      'the glaze is let go',
    );
    assert.equal(await says(page, TRAY), held);
    await undo.click();
    await until(
      () => says(page, TRAY),
      (text) => !/held there/.test(text),
      'the tray is let go',
    );
    assert.equal((await stored(page)).diary.filter((e) => e.kind === 'pin').length, 0);
  },
);

visit('the command prints what the calendar shows: every session and every promise', { alone: true }, async ({ page }) => {
  await fixed(page);
  await days(page);
  const text = await exportStudio(page);
  const zone = await page.evaluate('Intl.DateTimeFormat().resolvedOptions().timeZone');
  const { calendar } = JSON.parse(planned(['x', '--now', NOW, '--zone', String(zone)], () => text)) as {
    calendar: { sessions: { id: string; does: string; of: string }[]; promises: { piece: string; stands: string }[] };
  };
  await days(page);
  await page.getByRole('button', { name: 'Six weeks' }).click();
  for (const { id, does, of } of calendar.sessions) assert.ok((await says(page, id)).startsWith(`${of}: ${does}`), id);
  for (const { piece, stands } of calendar.promises)
    await page.getByRole('button', { name: new RegExp(`^${piece}, promised for .* ${stands}$`) }).waitFor();
});

visit(
  'a promise that does not hold: what would have to give was planned, is taken, and the promise is kept',
  { alone: true },
  async ({ page }) => {
    await fixed(page);
    await days(page);
    const soon = '2026-11-28';
    await follow(page, '/calendar/hours');
    await page.getByLabel('Window-seat lid promised for').fill(soon);
    await page.getByLabel('The promise of Window-seat lid comes').selectOption('before all others');
    await days(page);
    const edge = page.getByRole('button', { name: /^Window-seat lid, promised/ });
    await until(
      () => edge.getAttribute('aria-label'),
      (text) => /late/.test(text ?? ''),
      'it is late',
    );
    await edge.click();
    const panel = page.getByRole('region', { name: 'Window-seat lid', exact: true });
    await panel.getByRole('button', { name: /^Take it: Quick recoat/ }).click();
    await until(
      () => edge.getAttribute('aria-label'),
      (text) => /to spare/.test(text ?? ''),
      'it is kept',
    );
    await settled(page);
    await panel.getByText(/It can be handed over on/).waitFor();
    await page.getByRole('main').getByRole('button', { name: 'Undo' }).click();
    await until(
      () => edge.getAttribute('aria-label'),
      (text) => /late/.test(text ?? ''),
      'taken back it is late again',
    );
    // and the later day that is offered is one that holds
    await panel.getByRole('button', { name: /^Take it: Promise it for/ }).click();
    await until(
      () => edge.getAttribute('aria-label'),
      (text) => /to spare/.test(text ?? ''),
      'the later day is kept',
    );
  },
);

visit(
  'a day is barred by a key and opened again; “Can I promise it?” gives days as a range and keeps one',
  { alone: true },
  async ({ page }) => {
    await fixed(page);
    await days(page);
    const first = page.locator('[data-session]').first();
    await first.focus();
    await page.keyboard.press('Enter');
    await page.keyboard.press('b');
    await until(
      async () => (await stored(page)).diary.filter((e) => e.kind === 'day').length,
      (n) => n >= 1,
      'the day is barred',
    );
    await days(page);
    await page.getByRole('main').getByRole('button', { name: 'Undo' }).click();
    await settled(page);
    await page.getByRole('button', { name: 'Can I promise it?' }).click();
    const dialog = page.getByRole('dialog', { name: 'Can I promise it?' });
    await dialog.getByLabel('Piece').selectOption('Kelp Cove III');
    await dialog.getByRole('row', { name: /All others left alone/ }).waitFor();
    assert.match(await dialog.getByRole('row', { name: /Others moved/ }).innerText(), /[A-Z][a-z]{2} \d+ [A-Z][a-z]{2}/);
    await dialog.getByText(/each must begin by/).waitFor();
    await dialog
      .getByRole('row', { name: /All others left alone/ })
      .getByRole('button')
      .click();
    await dialog.waitFor({ state: 'detached' });
    const { pieces } = await stored(page);
    assert.notEqual(pieces.find((p) => p.id === 'kelp-cove-3')!.dueOn, undefined);
  },
);

visit(
  'hours are typed as a hand writes them, what is wrong stays and is said, and busy times come in with a file',
  { alone: true },
  async ({ page }) => {
    await fixed(page);
    await follow(page, '/calendar/hours');
    const monday = page.getByLabel('Monday');
    await monday.fill('22-7');
    await monday.press('Tab');
    await page.getByText(/They end after they begin/).waitFor();
    assert.equal(await monday.inputValue(), '22-7');
    await monday.fill('9-12, 5pm to 10pm');
    await monday.press('Tab');
    await until(
      () => monday.inputValue(),
      (text) => text === '9–12, 17–22',
      'it is read and written back',
    );
    const at = (days: number, hour: number): string =>
      `${new Date(Date.parse(NOW) + days * 86_400_000).toISOString().slice(0, 10).replaceAll('-', '')}T${String(hour).padStart(2, '0')}0000`;
    const ics = [
      'BEGIN:VCALENDAR',
      'VERSION:2.0',
      'BEGIN:VEVENT',
      'UID:a',
      'SUMMARY:Dentist',
      `DTSTART:${at(2, 15)}`,
      `DTEND:${at(2, 16)}`,
      'RRULE:FREQ=WEEKLY;COUNT=3',
      'END:VEVENT',
      'END:VCALENDAR',
    ].join('\r\n');
    for (let i = 0; i < 2; i++) {
      await page.getByLabel('Bring in busy times').setInputFiles({ name: 'home.ics', mimeType: 'text/calendar', buffer: Buffer.from(ics) });
      await page.getByText('3 busy times of “home” in the next 180 days.').waitFor();
    }
    assert.equal(
      (await stored(page)).diary.filter((e) => e.kind === 'busy' && 'source' in e).length,
      3,
      'a second time takes the place of the first',
    );
    await follow(page, '/calendar/hours');
    await page
      .getByLabel('Bring in busy times')
      .setInputFiles({ name: 'x.ics', mimeType: 'text/calendar', buffer: Buffer.from('no calendar') });
    await page.getByText(/This is no calendar file/).waitFor();
    const [saved] = await Promise.all([
      page.waitForEvent('download'),
      page.getByRole('button', { name: 'Save your sessions (.ics)' }).click(),
    ]);
    assert.equal(saved.suggestedFilename(), 'nerite.ics');
  },
);

visit(
  'today: what is due leads to it in one tap, what is done comes off and back, and an empty studio is calm',
  { alone: true },
  async ({ page }) => {
    await fixed(page);
    await follow(page, '/today');
    const first = page.getByRole('region', { name: 'What wants your hands' });
    await first.getByRole('heading').waitFor();
    const title = await first.getByRole('heading').innerText();
    const done = first.getByRole('button', { name: 'It is done' });
    if (await done.count()) {
      await done.click();
      await until(
        () => first.getByRole('heading').innerText(),
        (text) => text !== title,
        'the next thing stands there',
      );
      assert.ok((await stored(page)).diary.some((e) => e.kind === 'did'));
    }
    await follow(page, '/today');
    await page.getByRole('region', { name: 'On the table' }).getByText('Ferry tray').waitFor();
    await page.getByRole('region', { name: 'Next' }).getByRole('link').first().click();
    await page.waitForURL(/\/(calendar|pieces)/);
  },
);

visit(
  'without hours Today says that nothing finds its hour, and a day of no year takes no promise away',
  { alone: true },
  async ({ page }) => {
    await fixed(page);
    const due = async () => (await stored(page)).pieces.find((p) => p.id === 'kelp-cove-1')!.dueOn;
    const before = await due();
    await follow(page, '/calendar/hours');
    const promised = page.getByLabel('Kelp Cove I promised for', { exact: true });
    await promised.fill('0002-01-01');
    await promised.blur();
    await page.getByText('Give a whole day, of a year from 1970 to 2199.').waitFor();
    assert.equal(await promised.inputValue(), '0002-01-01', 'what was typed stays');
    assert.equal(await due(), before);
    await follow(page, '/calendar/hours');
    for (const name of ['Monday', 'Tuesday', 'Wednesday', 'Thursday', 'Friday', 'Saturday', 'Sunday']) {
      await page.getByLabel(name, { exact: true }).fill('away');
      await page.getByLabel(name, { exact: true }).press('Tab');
    }
    await page.getByRole('button', { name: 'As every week' }).click();
    await follow(page, '/today');
    await page.getByRole('heading', { name: 'Nothing finds its hour' }).waitFor();
    await page.getByText(/Kelp Cove I.* cannot be planned\./).waitFor();
    await page.getByText(/You have no hours in the next 90 days/).waitFor();
  },
);

visit(
  'today in an empty studio says that there is nothing to see to, and the way to the first piece',
  { server: plainServer },
  async ({ page }) => {
    await follow(page, '/today');
    await page.getByRole('heading', { name: 'Nothing on the table yet' }).waitFor();
    await page.getByRole('main').getByRole('link', { name: 'New piece' }).waitFor();
    await follow(page, '/calendar');
    await page.getByRole('heading', { name: 'Nothing is to be poured' }).waitFor();
  },
);

visit('the tide line zooms to the hour and back by keys, moves, and leads to the piece', {}, async ({ page }) => {
  await follow(page, '/shelf');
  const line = page.getByRole('region', { name: 'Tide line' });
  await line.getByRole('link', { name: 'Kelp Cove II', exact: true }).waitFor();
  await line.focus();
  for (let i = 0; i < 4; i++) await page.keyboard.press('+');
  await line
    .getByText(/^\d\d:[03]0$/)
    .first()
    .waitFor();
  await page.keyboard.press('ArrowRight');
  await line.getByRole('button', { name: 'today' }).waitFor();
  await page.keyboard.press('Home');
  await line.getByRole('link', { name: 'Kelp Cove II', exact: true }).click();
  await page.waitForURL(/pieces\/kelp-cove-2/);
});

visit(
  'a promise that slips is told once, by the page and by the system; put off it comes back, and seen to it does not',
  { alone: true, worker: true },
  async ({ page }) => {
    await fixed(page);
    await follow(page, '/settings');
    await page.getByLabel(/Let the system show them too/).check();
    await follow(page, '/calendar/hours');
    await page.getByLabel('Window-seat lid promised for').fill('2026-11-28');
    const notice = page.getByRole('list', { name: 'Notices' }).getByText(/Window-seat lid is not ready by 28 Nov/);
    await notice.waitFor();
    const shown = (): Promise<string[]> =>
      page.evaluate('navigator.serviceWorker.ready.then((r) => r.getNotifications()).then((all) => all.map((n) => n.title))');
    await until(shown, (all) => all.length === 1 && /Window-seat lid is not ready/.test(all[0]!), 'the system tells it');
    await page.evaluate('navigator.serviceWorker.ready.then((r) => r.getNotifications()).then((all) => all.forEach((n) => n.close()))');
    await page.reload();
    await notice.waitFor();
    await page.waitForTimeout(500);
    assert.deepEqual(await shown(), [], 'never twice for the same thing');
    await page.getByRole('button', { name: /^In half an hour: Window-seat lid/ }).click();
    await notice.waitFor({ state: 'detached' });
    await page.clock.fastForward('31:00');
    await notice.waitFor();
    await page.getByRole('button', { name: /^Seen: Window-seat lid/ }).click();
    await notice.waitFor({ state: 'detached' });
    await page.reload();
    await page.getByRole('region', { name: 'Tide line' }).getByRole('link').first().waitFor();
    await page.waitForTimeout(1000);
    assert.equal(await notice.count(), 0);
    // in quiet hours nothing is told
    await follow(page, '/calendar/hours');
    await page.getByLabel('Ferry tray promised for').fill('2026-11-26');
    await page
      .getByRole('list', { name: 'Notices' })
      .getByText(/Ferry tray/)
      .waitFor();
    await follow(page, '/settings');
    await page.getByLabel('Quiet hours').fill('12-20');
    await page.getByLabel('Quiet hours').press('Tab');
    await page.getByRole('list', { name: 'Notices' }).waitFor({ state: 'detached' });
  },
);
