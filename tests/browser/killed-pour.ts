import assert from 'node:assert/strict';
import type { Page } from 'playwright-core';
import type { Pour, PourEvent } from '#core/document';
import { isPass, readSession, type Happening } from '#core/record';
import { seeded } from '#core/geometry';
import { all } from './damage';

/** What a press is, so far as it is compared: what it does not say of itself, as its moment, is left out. */
const sketch = (e: Happening | PourEvent): string =>
  JSON.stringify([e.kind, 'batch' in e ? e.batch : 0, 'step' in e ? e.step : 0, 'undoes' in e ? e.undoes : 0]);

/** What is recorded when Space is pressed in a pour as it stands. */
function spaceDoes(pour: Pour): Happening {
  const session = readSession(pour);
  const step = session.current!;
  if (!pour.events.some((e) => e.kind === 'ready')) return { kind: 'ready', items: [], as: 'seen to' };
  if (step.id.does === 'mix') return { kind: 'mixed', batch: step.id.batch! };
  if (isPass(step.id) && session.heatOn === undefined) return { kind: 'heat on' };
  return step === session.told.steps.at(-1) ? { kind: 'done' } : { kind: 'did', step: step.id };
}

/** Starts a pour of two panels of the sample; gives back its address. */
export async function startTwo(page: Page, base: string): Promise<string> {
  await page.goto(`${base}/pieces/kelp-cove-2?start&with=kelp-cove-3`);
  await page.getByRole('checkbox', { name: /Kelp Cove III/ }).waitFor();
  await page.getByRole('button', { name: /^(Start|Pour it all the same)$/ }).click();
  await page.waitForURL('**/pour/**');
  return page.url();
}

interface Row extends Pick<Pour, 'told' | 'startedAt'> {
  id: string;
}
async function stored(page: Page, id: string): Promise<Pour> {
  const row = (await all<Row>(page, 'pours')).find((p) => p.id === id)!;
  const events = (await all<PourEvent & { pourId: string }>(page, 'events')).filter((e) => e.pourId === id);
  return { ...(row as unknown as Pour), events: events.sort((a, b) => a.seq - b.seq) };
}

/** How a window, or the whole browser, is killed and opened anew. */
export interface Life {
  open: () => Promise<Page>;
  kill: (page: Page) => Promise<void>;
}

/**
 * A pour of two panels, killed so many times some moment after a press. What was on the screen by then must be in the log;
 * what was pressed and not yet shown may be; nothing else is.
 * @returns how often the log was not what was pressed
 */
export async function killedWhilePouring(base: string, times: number, life: Life, seed: number): Promise<number> {
  assert.ok(times > 0);
  const random = seeded(seed);
  let page = await life.open();
  const url = await startTwo(page, base);
  const id = url.split('/').at(-1)!;
  await page.getByRole('button', { name: /^All of it is so/ }).waitFor();
  let pour = await stored(page, id);
  let differ = 0;
  for (let i = 0; i < times; i++) {
    // now and then a press is taken back; a pour that is done is
    const undo = readSession(pour).done !== undefined || (i % 6 === 5 && pour.events.length > 2);
    const last = readSession(pour).events.at(-1);
    const pressed: Happening = undo && last ? { kind: 'undone', undoes: last.seq } : spaceDoes(pour);
    const shown = page.getByRole('main').getByRole('status').first();
    const main = page.locator('.button-bench-main');
    const before = `${await shown.innerText()} ${await main.innerText()}`;
    await page.keyboard.press(undo ? 'u' : 'Space');
    await page.waitForTimeout(Math.floor(random() * 160));
    const seen = `${await shown.innerText()} ${await main.innerText()}` !== before;
    await life.kill(page);
    page = await life.open();
    await page.goto(url);
    await page.locator('.button-bench-main').waitFor();
    const now = await stored(page, id);
    const [was, is] = [pour.events.map(sketch), now.events.map(sketch)];
    const after = [...was, sketch(pressed)];
    const right = is.join() === after.join() || (!seen && is.join() === was.join());
    if (!right) {
      differ++;
      console.error(`${i}: pressed ${after.at(-1)}, shown ${seen}, the log ends ${is.slice(-2).join(' ')}`);
    }
    pour = now;
  }
  await life.kill(page);
  return differ;
}
