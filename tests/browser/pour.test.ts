import assert from 'node:assert/strict';
import type { Page } from 'playwright-core';
import type { Studio } from '#core/document';
import { allIsSo, exportStudio, follow, ownServer, thin, until, visit } from './help';

const at = (page: Page, words: string | RegExp) => page.getByRole('main').getByRole('status').filter({ hasText: words }).waitFor();
const says = (page: Page): Promise<string> => page.getByRole('main').getByRole('status').first().innerText();
const board = (page: Page): Promise<string> => page.getByText(/^Step \d+ of \d+/).innerText();

/** A press of Space that is no slip, with so much time gone by before it. */
async function press(page: Page, minutes = '00:30'): Promise<void> {
  await page.clock.fastForward(minutes);
  await page.waitForTimeout(900);
  await page.keyboard.press('Space');
}
/** Steps on until one is asked for. */
async function to(page: Page, words: RegExp, minutes = '00:30'): Promise<void> {
  for (let i = 0; i < 40 && !words.test(await says(page)); i++) {
    const before = `${await says(page)} ${await board(page)} ${await page.locator('.button-bench-main').innerText()}`;
    await press(page, minutes);
    await until(
      async () =>
        `${await says(page)} ${await page.getByText(/^Step \d+ of \d+/).allInnerTexts()} ${await page.locator('.button-bench-main').innerText()}`,
      (now) => now !== before,
      `the step after “${before}”`,
    );
  }
  assert.match(await says(page), words);
}

/** Starts a pour of two panels by turns. */
async function begin(page: Page): Promise<void> {
  await follow(page, '/pieces/kelp-cove-2');
  await page.getByRole('button', { name: 'Start the pour' }).click();
  await page.getByRole('checkbox', { name: /Kelp Cove III/ }).check();
  await page.getByRole('button', { name: /^(Start|Pour it all the same)$/ }).click();
  await page.waitForURL('**/pour/**');
}

visit(
  'two panels by turns, from the checklist to the log: a spill, a late white planned again, heat by the second, and what is seen to after',
  { alone: true },
  async ({ page }) => {
    await page.clock.install({ time: new Date('2026-11-25T13:36:00') });
    await begin(page);

    // what must be so, board by board; one is ticked, the rest at once
    await at(page, 'Before you start');
    for (const name of ['The bench', 'Kelp Cove II', 'Kelp Cove III']) await page.getByRole('region', { name, exact: true }).waitFor();
    await page.getByText(/Nitrile gloves and sleeves on/).waitFor();
    await page
      .getByRole('region', { name: 'Kelp Cove II', exact: true })
      .getByRole('button', { name: /It lies level/ })
      .click();
    await page.getByText('14 of 15 to see to').waitFor();
    await page.reload();
    await page.getByText('14 of 15 to see to').waitFor();
    await allIsSo(page);
    await at(page, 'Bring A and B together');
    await press(page);
    await thin(page);

    // both boards by turns, and the screen says which
    await at(page, 'Lay the beach');
    await to(page, /^Lay Deep/);
    assert.match(await board(page), /Kelp Cove II$/);
    await page.getByRole('figure', { name: 'Where it goes on Kelp Cove II' }).waitFor();
    for (const item of await page.getByRole('list', { name: 'Amounts' }).locator('b').all())
      assert.ok((await item.evaluate((b) => Number.parseFloat(getComputedStyle(b).fontSize))) >= 40, 'an amount is read from two metres');

    // half of Offshore spills before it is laid: two taps, and the rest is planned beside what was told
    await to(page, /^Lay Offshore/);
    await page
      .getByRole('list', { name: 'Cups' })
      .getByRole('button', { name: /^Offshore/ })
      .click();
    await page.getByRole('dialog', { name: 'Offshore' }).getByRole('button', { name: 'all of it' }).first().click();
    const plan = page.getByRole('region', { name: 'Planned again' });
    await plan.getByText(/^Offshore will not do: .+ are missing\.$/).waitFor();
    await page.waitForTimeout(900);
    await page.keyboard.press('y');
    await plan.waitFor({ state: 'detached' });
    await at(page, /^Batch 2 of 2: bring A and B together/);
    await press(page);
    await at(page, /^Lay Offshore/);
    // a slip is taken back, and done again
    await press(page);
    await at(page, /^Lay Mid/);
    await page.keyboard.press('u');
    await at(page, /^Lay Offshore/);
    await to(page, /^Lay the clear line/);

    // too late for the white: a fresh one, taken with one key
    await page.clock.fastForward('45:00');
    await plan.getByText(/^The white of Kelp Cove II and Kelp Cove III is past its window, by \d+\smin\.$/).waitFor();
    await plan
      .getByText(/^Mix a fresh white, .+, and lay that\.$/)
      .first()
      .waitFor();
    await plan.getByRole('row', { name: /White on Kelp Cove II / }).waitFor();
    assert.match(await plan.innerText(), /Decide by \d\d:\d\d\./);
    await page.keyboard.press('3');
    await plan.getByText(/One more session for Kelp Cove II: from/).waitFor();
    await page.keyboard.press('1');
    await page.keyboard.press('y');
    await at(page, /bring A and B together/);
    await to(page, /^Heat pass 1/, '00:10');

    // heat: the tool is drawn, it is timed, and one waits and looks
    await page.getByRole('figure', { name: 'How the tool is held' }).waitFor();
    await press(page, '00:05');
    await page.getByRole('button', { name: /^Pass done/ }).waitFor();
    await page.clock.fastForward('01:00');
    assert.match(await page.getByTestId('held').innerText(), /^01:0\d$/);
    await page.getByTestId('tool').waitFor();
    await press(page, '00:20');
    await at(page, /^Heat pass 2/);

    // something else, in two taps: skip the second pass, push back, and take the push back back
    await page.keyboard.press('e');
    await page.keyboard.press('b');
    await at(page, /^Push the white back from the sea side/);
    await page.waitForTimeout(900);
    await page.keyboard.press('u');
    await at(page, /^Heat pass 2/);
    await page.waitForTimeout(900);
    await page.getByRole('button', { name: /^Something else/ }).click();
    await page.getByRole('button', { name: /^Skip it/ }).click();
    await at(page, /^Lay the clear line/);
    assert.match(await board(page), /Kelp Cove III$/);
    await to(page, /^The pour is done\.$/, '00:15');

    // after: done with one tap there, and on Today
    await page.getByRole('button', { name: 'Done' }).first().waitFor();
    const seen = page.getByRole('region', { name: 'To see to' });
    await seen.getByText(/^Look before bed/).waitFor();
    await page.getByRole('link', { name: 'To the log' }).click();
    await page
      .getByRole('row', { name: /^White laid/ })
      .first()
      .waitFor();
    const story = page.getByRole('list', { name: 'What else happened' });
    await story.getByText(/of Offshore spilled\.$/).waitFor();
    await story.getByText(/Planned again: Mix a fresh white/).waitFor();
    await story
      .getByText(/^.*Heat held for \d+ s\.$/)
      .first()
      .waitFor();
    assert.ok((await page.getByText('left out').count()) >= 1);
    await follow(page, '/today');
    await page.getByRole('button', { name: /Look before bed.*Kelp Cove II and Kelp Cove III: done/ }).click();
    await page.getByRole('button', { name: /Look before bed.*Kelp Cove III: done/ }).waitFor({ state: 'detached' });
    const mark = page.getByRole('region', { name: 'Tide line' }).getByRole('button', { name: /Kelp Cove II: Look in the morning/ });
    await mark.press('Enter');
    await mark.waitFor({ state: 'detached' });

    const { events, told } = (JSON.parse(await exportStudio(page)) as Studio).pours.at(-1)!;
    const kinds = events.map((e) => e.kind);
    assert.equal(kinds.filter((k) => k === 'replanned').length, 2);
    assert.ok(told!.steps.length > 0, 'what was told first is kept');
    assert.ok(kinds.includes('cup lost') && kinds.includes('heat on') && kinds.includes('skipped'));
  },
);

visit(
  'a bench at 34 °C, a cup gone thick, hands off for a while, and a pour gone on with the next day',
  { alone: true },
  async ({ page }) => {
    await page.clock.install({ time: new Date('2026-11-25T13:36:00') });
    await follow(page, '/pieces/kelp-cove-2');
    await page.getByRole('button', { name: 'Start the pour' }).click();
    await page.getByRole('button', { name: /^(Start|Pour it all the same)$/ }).click();
    await allIsSo(page);
    await press(page);
    await thin(page);
    await to(page, /^Lay Deep/);
    await page.keyboard.press('e');
    await page.keyboard.press('c');
    const field = page.getByRole('dialog').getByLabel('Temperature');
    await field.fill('hot');
    await page.keyboard.press('Enter');
    await page
      .getByRole('alert')
      .getByText(/“hot” has no number/)
      .waitFor();
    assert.equal(await field.inputValue(), 'hot');
    await field.fill('34 C');
    await page.keyboard.press('Enter');
    const plan = page.getByRole('region', { name: 'Planned again' });
    await plan.getByText(/^The bench is warmer than this was planned for: 34 °C/).waitFor();
    await plan.getByRole('row', { name: /^Can be worked/ }).waitFor();
    await page.waitForTimeout(900);
    await page.keyboard.press('o');
    await plan.waitFor({ state: 'detached' });
    await page.getByText('It runs on the air as it was read.').waitFor();

    await page.waitForTimeout(900);
    await page.keyboard.press('p');
    await at(page, /^Held since/);
    await page.clock.fastForward('05:00');
    await page.waitForTimeout(900);
    await page.keyboard.press('Space');
    await at(page, /^Lay Deep/);
    await page.getByRole('list', { name: 'Cups' }).getByRole('button', { name: /^Mid/ }).click();
    await page.getByRole('dialog').getByRole('button', { name: 'It has gone thick' }).click();
    await plan.getByText('Mid has gone thick.').waitFor();
    await plan
      .getByText(/^Mix .+ of Mid anew\.$/)
      .first()
      .waitFor();
    await page.waitForTimeout(900);
    await page.keyboard.press('u');
    await plan.waitFor({ state: 'detached' });

    await page.clock.fastForward('20:00:00');
    await page.reload();
    await page
      .getByTestId('since')
      .getByText(/^Wed 25 13:\d\d$/)
      .waitFor();
    await plan.getByText(/is past its working time\.$/).waitFor();
    await plan
      .getByText(/anew, and lay that\.$/)
      .first()
      .waitFor();
  },
);

visit('a foot switch is learned by pressing it, does what Space does, and counts once however it chatters', {}, async ({ page }) => {
  await follow(page, '/pieces/kelp-cove-2');
  await page.getByRole('button', { name: 'Start the pour' }).click();
  await page.getByRole('button', { name: /^(Start|Pour it all the same)$/ }).click();
  await allIsSo(page);
  await page.getByRole('button', { name: 'Voice' }).click();
  const dialog = page.getByRole('dialog', { name: 'Voice, sounds and foot switch' });
  await dialog.getByRole('button', { name: /Spoken prompts/ }).click();
  await dialog.getByRole('button', { name: /A foot switch that presses Done/ }).click();
  await dialog.getByText('Press your foot switch now').waitFor();
  await page.keyboard.press('PageDown');
  await dialog.getByText('PageDown').waitFor();
  await page.keyboard.press('Escape');
  await dialog.waitFor({ state: 'detached' });
  // no foot is on the switch the moment a dialog closes
  await page.waitForTimeout(500);
  for (let i = 0; i < 6; i++) await page.keyboard.press('PageDown', { delay: 5 });
  await at(page, 'Thin what the cups want too little of.');
  await page.waitForTimeout(900);
  assert.equal(await says(page), 'Thin what the cups want too little of.', 'six contacts of one press are one');
  await page.keyboard.press('PageDown');
  await at(page, 'Lay the beach');
  await page.reload();
  await at(page, 'Lay the beach');
  await page.keyboard.press('PageDown');
  await at(page, 'Lay Deep');
  await page.evaluate('localStorage.clear()');
});

visit(
  'two windows of one pour show the same; the second is told that another one leads, until that is closed',
  {},
  async ({ page, context }) => {
    await follow(page, '/pieces/kelp-cove-2');
    await page.getByRole('button', { name: 'Start the pour' }).click();
    await page.getByRole('button', { name: /^(Start|Pour it all the same)$/ }).click();
    await allIsSo(page);
    const other = await context.newPage();
    await other.goto(page.url());
    await at(other, 'Bring A and B together');
    await other.getByText('Another window pours this.').waitFor();
    assert.equal(await page.getByText('Another window pours this.').count(), 0);
    await page.keyboard.press('Space');
    await at(other, 'Thin what the cups want too little of.');
    await other.keyboard.press('Space');
    await at(page, 'Lay the beach');
    await page.goto('/today');
    await other.getByText('Another window pours this.').waitFor({ state: 'detached' });
    await other.close();
  },
);

visit(
  'with its server gone and the network off: opened, started, poured, reloaded; nothing is lost',
  { alone: true, worker: true, allow: /./ },
  async ({ page, context }) => {
    const server = await ownServer();
    await page.goto(`${server.base}/pieces`);
    await page.getByText('Kelp Cove III').first().waitFor();
    await page.evaluate('navigator.serviceWorker.ready');
    await until(
      () => page.evaluate(`caches.keys().then((names) => names.filter((name) => name !== 'nerite-foam').length)`) as Promise<number>,
      (n) => n === 2,
      'the build is kept, and which is in use',
    );
    server.end();
    await context.setOffline(true);
    await page.goto(`${server.base}/pieces/kelp-cove-2`);
    await page.getByRole('heading', { name: 'Kelp Cove II' }).waitFor();
    await page.getByRole('button', { name: 'Start the pour' }).click();
    await page.getByRole('button', { name: /^(Start|Pour it all the same)$/ }).click();
    await allIsSo(page);
    await page.keyboard.press('Space');
    await thin(page);
    await at(page, 'Lay the beach');
    await page.reload();
    await at(page, 'Lay the beach');
    await page.waitForTimeout(900);
    await page.keyboard.press('Space');
    await at(page, 'Lay Deep');
    await page.goto(`${server.base}/`);
    await page.getByRole('heading', { level: 1 }).first().waitFor();
    const icons = (await page.evaluate('fetch("/manifest.webmanifest").then((a) => a.json())')) as {
      icons: { src: string }[];
      start_url: string;
    };
    assert.equal(icons.start_url, '/today');
    for (const { src } of icons.icons) assert.equal(await page.evaluate(`fetch(${JSON.stringify(src)}).then((a) => a.ok)`), true, src);
  },
);

visit('a newer build that was fetched waits for a pour to end, and is then begun with', { alone: true, worker: true }, async ({ page }) => {
  await follow(page, '/pieces/kelp-cove-2');
  await page.evaluate('navigator.serviceWorker.ready');
  // a page that begins anew with another build has no answer just then
  const serves = () =>
    (page.evaluate(`caches.open('nerite-serves').then((c) => c.match('/name')).then((a) => a?.text())`) as Promise<string>).catch(() => '');
  const own = await until(serves, (name) => Boolean(name), 'a build in use');
  await page.getByRole('button', { name: 'Start the pour' }).click();
  await page.getByRole('button', { name: /^(Start|Pour it all the same)$/ }).click();
  await allIsSo(page);
  // as it is when the one in use is older than the one that was fetched
  await page.evaluate(`(async () => {
    const [from, to] = [await caches.open(${JSON.stringify(own)}), await caches.open('nerite-build-before')];
    for (const request of await from.keys()) await to.put(request, await from.match(request));
    await (await caches.open('nerite-serves')).put('/name', new Response('nerite-build-before'));
  })()`);
  await page.goto(new URL('/settings', page.url()).href);
  await page.getByText('It is used once no pour is under way.').waitFor();
  assert.equal(await serves(), 'nerite-build-before');
  await page.goBack();
  await page.getByRole('button', { name: /^Something else/ }).click();
  await page.getByRole('button', { name: /^Abandon this pour/ }).click();
  await page.getByRole('dialog').getByLabel('Why').fill('rain');
  await page.getByRole('dialog').getByRole('button', { name: 'Abandon it' }).click();
  await page.waitForURL('**/log/**');
  await page.reload();
  await until(serves, (name) => name === own, 'the newer one is begun with');
});
